<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { MaximumSheet } from '../api/korvel'
import type { RulerRow } from '../shared/ruler/layout'
import Ruler from '../shared/ruler/Ruler.vue'
import { rulerRow } from '../shared/spans'
import { standsOnMeasured } from '../shared/words'

/** Every equation that applies as a ruler on one axis, with what it does to the target. */
const props = defineProps<{ sheet: MaximumSheet }>()
const rows = ref<RulerRow[]>([])
const cursor = ref<number>()

/** The one in use first, then the equations that apply. */
const spans = computed(() => {
  const { span, working, estimates } = props.sheet
  if (!span) return []
  const measured =
    working && standsOnMeasured(working)
      ? [{ label: `In use: ${working.bpm} ± ${working.standardErrorBpm}`, span }]
      : []
  const applying = estimates
    .filter((row) => row.applies && row.bpm !== null)
    .sort((a, b) => Number(b.method === props.sheet.inUse) - Number(a.method === props.sheet.inUse))
    .map((row) => ({
      label: `${row.name} ± ${row.standardErrorBpm}`,
      span: {
        ...span,
        maximumBpm: row.bpm!,
        maximumStandardErrorBpm: row.standardErrorBpm,
      },
    }))
  return [...measured, ...applying]
})

let latest = 0
watch(
  spans,
  async (wanted) => {
    const mine = ++latest
    const { aim, capBpm } = props.sheet
    const found = await Promise.all(
      wanted.map((each) => rulerRow(each.label, each.span, aim, capBpm)),
    )
    if (mine === latest) rows.value = found.filter((row) => row !== null)
  },
  { immediate: true },
)
</script>

<template>
  <section
    v-if="rows.length"
    class="sheet stack"
    aria-label="What each equation does to the target"
  >
    <h2>
      What each does to
      {{ sheet.aim.prescribed ? 'the prescribed target' : 'the starting target' }},
      <span class="num">{{ sheet.aim.lowPercent }}–{{ sheet.aim.highPercent }}</span> % of reserve
    </h2>
    <Ruler v-model:cursor="cursor" :rows="rows" compact />
  </section>
</template>
