<script setup lang="ts">
import { computed } from 'vue'
import { steps } from '../chart/scale'
import type { Layout } from './layout'

/** The axis under the bars: rates or percents, and the percents of reserve that matter. */
const props = defineProps<{
  layout: Layout
  byReserve: boolean
  /** Rates at whole percents of reserve, where there is one reserve. */
  percents: { percent: number; bpm: number }[]
}>()

const ticks = computed(() => {
  const [from, to] = props.layout.range
  const every = props.layout.narrow ? 20 : 10
  return steps(from, to, 10).map((bpm) => ({ bpm, word: bpm % every === 0 }))
})
/** Whether a figure has room before the end of the axis. */
const fits = (at: number) => {
  const { size, width, x } = props.layout
  const half = 2 * size.letter
  return x(at) > half && x(at) < width - half
}
const marks = computed(() =>
  props.percents.filter(
    ({ percent }) => !props.layout.narrow || [0, 40, 60, 100].includes(percent),
  ),
)
</script>

<template>
  <g class="axis">
    <template v-for="tick in ticks" :key="tick.bpm">
      <line
        :x1="layout.x(tick.bpm)"
        :x2="layout.x(tick.bpm)"
        :y1="layout.bottom + 4 * layout.size.by"
        :y2="layout.bottom + 11 * layout.size.by"
      />
      <text
        v-if="tick.word && fits(tick.bpm) && (!byReserve || (tick.bpm >= 0 && tick.bpm <= 100))"
        :x="layout.x(tick.bpm)"
        :y="layout.bottom + 25 * layout.size.by"
        text-anchor="middle"
      >
        {{ tick.bpm }}{{ byReserve ? ' %' : '' }}
      </text>
    </template>
    <text
      v-for="tick in marks"
      :key="tick.percent"
      :x="layout.x(tick.bpm)"
      :y="layout.bottom + 45 * layout.size.by"
      class="percent"
      :text-anchor="tick.percent === 0 ? 'start' : 'middle'"
    >
      {{ tick.percent }}%
    </text>
  </g>
</template>

<style scoped>
text {
  font-family: var(--mono);
  font-size: 0.96em;
  fill: var(--ink-quiet);
}

line {
  stroke: var(--ink);
  stroke-width: 1.4;
}

.percent {
  font-size: 0.92em;
}
</style>
