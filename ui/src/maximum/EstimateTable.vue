<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import { computed } from 'vue'
import type { Estimate, Maximum, MaximumSheet } from '../api/korvel'
import MethodLink from '../shared/MethodLink.vue'
import PlotMarks from '../shared/chart/PlotMarks.vue'
import { scale, steps } from '../shared/chart/scale'
import { standsOnMeasured } from '../shared/words'

/** The maximum by every equation, side by side on one axis, the one in use first. */
const props = defineProps<{
  maximum: Maximum | MaximumSheet
  /** Where the working of an equation is shown. */
  working: (method: string) => object
}>()
defineSlots<{ action(props: { row: Estimate }): unknown }>()

const rows = computed(() => {
  const { estimates, inUse } = props.maximum
  const rank = (row: Estimate) => (row.method === inUse ? 0 : row.applies ? 1 : 2)
  return [...estimates].sort((a, b) => rank(a) - rank(b))
})
const axis = computed(() => {
  const known = rows.value.filter((row) => row.bpm !== null)
  const from = Math.min(...known.map((row) => row.bpm! - row.standardErrorBpm)) - 4
  const to = Math.max(...known.map((row) => row.bpm! + row.standardErrorBpm)) + 4
  return { from, to, marks: steps(from, to, 20) }
})
const percent = computed(() => scale(axis.value.from, axis.value.to, 0, 100))

/** Whether a measured value stands before every equation. */
const waiting = computed(
  () => 'working' in props.maximum && standsOnMeasured(props.maximum.working),
)

function tag(row: Estimate) {
  if (row.method === props.maximum.inUse) {
    return waiting.value ? 'waits' : props.maximum.chosen ? 'your choice' : 'in use'
  }
  if (row.method === props.maximum.recommended) return 'by rule'
  return ''
}

const table = () => [
  ['Equation', 'Maximum, bpm', '± bpm', 'In use', 'Applies', 'Derived from', 'Source'],
  ...rows.value.map((row) => [
    row.name,
    row.bpm,
    row.standardErrorBpm,
    tag(row),
    row.applies ? 'yes' : row.reason,
    row.population,
    row.source,
  ]),
]
</script>

<template>
  <section class="sheet table" aria-label="Every equation">
    <div class="row head">
      <span>Equation</span>
      <span class="num">bpm</span>
      <span class="plot">
        <PlotMarks :marks="axis.marks" :at="percent" head />
      </span>
      <span>Derived from; source</span>
      <CsvLink name="maximum by every equation" :rows="table" />
    </div>
    <ul>
      <li
        v-for="row in rows"
        :key="row.method"
        class="row"
        :class="{ chosen: row.method === maximum.inUse && !waiting, off: !row.applies }"
      >
        <span class="formula"
          ><RouterLink
            v-if="row.bpm !== null"
            :to="working(row.method)"
            :title="`${row.name}: the working`"
            >{{ row.name }}</RouterLink
          ><template v-else>{{ row.name }}</template> {{ ' '
          }}<small v-if="tag(row)" :class="{ byrule: row.method !== maximum.inUse }">{{
            tag(row)
          }}</small>
          <small v-else-if="!row.applies" class="off-word">does not apply</small></span
        >
        <span class="num bpm"
          ><b>{{ row.bpm ?? '–' }}</b
          >&nbsp; <span class="quiet">± {{ row.standardErrorBpm }}</span></span
        >
        <span class="plot">
          <PlotMarks :marks="axis.marks" :at="percent" />
          <template v-if="row.bpm !== null">
            <i
              class="spread"
              :style="{
                left: `${percent(row.bpm - row.standardErrorBpm)}%`,
                right: `${100 - percent(row.bpm + row.standardErrorBpm)}%`,
              }"
            />
            <i class="dot" :style="{ left: `${percent(row.bpm)}%` }" />
          </template>
        </span>
        <span class="about">
          <span>{{ row.applies ? row.population + '.' : row.reason }} {{ row.errorNote }}</span>
          <MethodLink :to="row.method">{{ row.source }}</MethodLink>
        </span>
        <span class="action"><slot name="action" :row="row" /></span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.table {
  padding: 8px 20px;
}

.row {
  display: grid;
  grid-template-columns: 13.4rem 6rem minmax(120px, 1fr) minmax(200px, 1.5fr) 3.6rem;
  gap: 18px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}

.head {
  border: 0;
  font-size: 0.8rem;
  color: var(--ink-quiet);
}

.head .plot {
  height: 16px;
}

.plot {
  position: relative;
  height: 30px;
}

.plot .spread {
  position: absolute;
  top: 9px;
  height: 12px;
  border-radius: 6px;
  forced-color-adjust: none;
  background: var(--band-2);
}

.plot .dot {
  position: absolute;
  top: 6px;
  width: 4px;
  height: 18px;
  margin-left: -2px;
  border-radius: 2px;
  forced-color-adjust: none;
  background: var(--mark);
}

.formula {
  font-weight: 650;
}

.formula a {
  color: inherit;
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}

small {
  margin-left: 8px;
  font-size: 0.76rem;
  font-weight: 700;
  forced-color-adjust: none;
  background: var(--teal);
  color: white;
  border-radius: 4px;
  padding: 1px 6px;
  white-space: nowrap;
}

small.byrule {
  background: var(--ground-2);
  color: var(--ink);
}

small.off-word {
  display: block;
  margin-left: 0;
  background: none;
  color: var(--ink-quiet);
  font-weight: 500;
  padding: 0;
}

.chosen {
  background: var(--teal-wash);
  margin: 0 -20px;
  padding-left: 20px;
  padding-right: 20px;
}

.off .formula,
.off .bpm b {
  font-weight: 450;
  color: var(--ink-quiet);
}

.off .spread {
  background: none;
  box-shadow: inset 0 0 0 1.5px var(--line);
}

.off .dot {
  forced-color-adjust: none;
  background: var(--ink-quiet);
}

.about {
  font-size: 0.86rem;
  display: grid;
  color: var(--ink-quiet);
}

@media (max-width: 980px) {
  .head {
    display: none;
  }

  .row {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 4px 12px;
  }

  .row .plot,
  .row .about,
  .row .action {
    grid-column: 1 / -1;
  }
}
</style>
