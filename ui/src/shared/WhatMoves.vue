<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Span } from '../api/korvel'
import type { RulerRow } from './ruler/layout'
import Ruler from './ruler/Ruler.vue'
import { rulerRow } from './spans'
import { span as range } from './words'
import { useAnswerTo } from './answer'

/** Two spans on one axis, and what moves between them: a target, and every band. */
const props = defineProps<{
  before: Span
  after: Span
  aim: { lowPercent: number; highPercent: number }
  capBpm: number | null
  /** What the two are called. */
  labels: [string, string]
}>()

const cursor = ref<number>()
const { answer } = useAnswerTo(
  () => ({ before: props.before, after: props.after, aim: props.aim, cap: props.capBpm }),
  ({ before, after, aim, cap }) =>
    Promise.all([
      rulerRow(props.labels[0], before, aim, cap),
      rulerRow(props.labels[1], after, aim, cap),
    ]),
)
const rows = computed(() => (answer.value ?? []).flatMap((row) => row ?? []))

interface Move {
  name: string
  from: string
  to: string
  target?: boolean
}
const words = (target: RulerRow['target']) =>
  target ? range([target.lowBpm, target.highBpm]) : 'none by rate'
const moves = computed<Move[]>(() => {
  const [was, is] = rows.value
  if (!was || !is) return []
  return [
    {
      name: `Target, ${range([props.aim.lowPercent, props.aim.highPercent])} %`,
      from: words(was.target),
      to: words(is.target),
      target: true,
    },
    ...is.zones.bands.map((band, at) => ({
      name: band.name,
      from: range([was.zones.bands[at]!.lowBpm, was.zones.bands[at]!.highBpm]),
      to: range([band.lowBpm, band.highBpm]),
    })),
  ]
})
</script>

<template>
  <div v-if="rows.length === 2" class="moved">
    <Ruler v-model:cursor="cursor" :rows="rows" />
    <ul aria-label="What changes">
      <li v-for="move in moves" :key="move.name" :class="{ target: move.target }">
        <b>{{ move.name }}</b>
        <span class="num">{{ move.from === move.to ? move.to : `${move.from} → ${move.to}` }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.moved {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
}

li {
  display: grid;
}

.target {
  color: var(--teal-deep);
}
</style>
