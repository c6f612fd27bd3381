<script setup lang="ts">
import { ref, watch } from 'vue'
import { ratesOf, type MaximumSheet } from '../api/korvel'
import type { RulerRow } from '../shared/ruler/layout'
import Ruler from '../shared/ruler/Ruler.vue'
import { rulerRow } from '../shared/spans'
import { MODES } from '../shared/words'

/** Every mode with its own maximum, laid out by reserve: the same percent side by side. */
const props = defineProps<{ sheet: MaximumSheet }>()
const rows = ref<RulerRow[]>([])
const cursor = ref<number>()

const ORIGINS = {
  measured: 'measured',
  borrowed: 'from running',
  estimated: 'estimated',
  chosen: 'estimated',
} as const

let latest = 0
watch(
  () => props.sheet,
  async (sheet) => {
    const mine = ++latest
    const found = await Promise.all(
      sheet.modes.map(async ({ mode, span, maximum }) => {
        if (!span || !maximum) return null
        const [row, { rates }] = await Promise.all([
          rulerRow(
            `${MODES[mode]} · ${maximum.bpm} ± ${maximum.standardErrorBpm}, ${ORIGINS[maximum.origin]}`,
            span,
            sheet.aim,
            sheet.capBpm,
          ),
          ratesOf(span.restingBpm, span.maximumBpm),
        ])
        return row && { ...row, rates }
      }),
    )
    if (mine === latest) rows.value = found.filter((row) => row !== null)
  },
  { immediate: true },
)
</script>

<template>
  <section v-if="rows.length" class="sheet stack" aria-label="Activities side by side">
    <h2>The same % of reserve in each activity</h2>
    <p class="quiet small">
      Each activity has its own maximum. Where none is measured, cycling and swimming use the
      running value less 10, the others the running value; all are less certain.
    </p>
    <Ruler v-model:cursor="cursor" :rows="rows" compact by-reserve />
  </section>
</template>
