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
  <section v-if="rows.length" class="sheet stack" aria-label="Modes side by side">
    <h2>The same percent of reserve in each mode</h2>
    <p class="quiet small">
      Each mode has a maximum of its own. Where none is measured, cycling and swimming take the
      running value less 10, the others the running value; all of them are less sure for it.
    </p>
    <Ruler v-model:cursor="cursor" :rows="rows" compact by-reserve />
  </section>
</template>
