<script setup lang="ts">
import { computed } from 'vue'
import type { GradedState } from '../api/korvel'

/** The sheet as it is kept: before the work, the stages, and the recovery. */
const props = defineProps<{ graded: GradedState }>()
type Vitals = GradedState['stages'][number]['vitals']
interface Row {
  key: string
  name: string
  work: string
  vitals: Vitals
  met: string
  on: boolean
  group: string
}
const after = (seconds: number) =>
  seconds < 60 ? `${seconds} s` : `${seconds / 60} min`.replace('.5 min', ' min 30')
const rows = computed<Row[]>(() => {
  const { phase, baseline, stages, recovery } = props.graded
  const before = baseline.map(({ posture, name, vitals }) => ({
    key: posture,
    name,
    work: 'baseline',
    vitals,
    met: '',
    on: phase === 'baseline' && props.graded.posture === posture,
    group: 'before',
  }))
  const work = stages.map((stage) => ({
    key: `stage-${stage.number}`,
    name: String(stage.number),
    work: stage.words + (stage.walked === false ? ', run' : stage.walked ? ', walked' : ''),
    vitals: stage.vitals,
    met: stage.whole && stage.met !== null ? stage.met.toFixed(1) : '',
    on: phase === 'work' && !stage.ended,
    group: 'work',
  }))
  // Of the readings to come only the next one is shown.
  const read = recovery.map(({ vitals }) => vitals.bpm !== null || vitals.systolic !== null)
  const last = read.lastIndexOf(true)
  const back = recovery.slice(0, last + 2).map(({ seconds, vitals, symptoms }, at) => ({
    key: `after-${seconds}`,
    name: `+ ${after(seconds)}`,
    work: symptoms === null ? '' : symptoms ? 'symptoms' : 'no symptoms',
    vitals,
    met: '',
    on: phase === 'recovery' && at === last + 1,
    group: 'after',
  }))
  return [...before, ...work, ...back]
})
const dash = (value: number | null) => value ?? '–'
</script>

<template>
  <table v-if="rows.length">
    <thead>
      <tr>
        <th scope="col">Stage</th>
        <th scope="col">Work</th>
        <th scope="col" class="figure">bpm</th>
        <th scope="col" class="figure">mmHg</th>
        <th scope="col" class="figure">RPE</th>
        <th scope="col" class="figure">MET</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.key" :class="[row.group, { on: row.on }]">
        <th scope="row">{{ row.name }}</th>
        <td class="quiet">{{ row.work }}</td>
        <td class="num figure">{{ dash(row.vitals.bpm) }}</td>
        <td class="num figure">
          {{
            row.vitals.systolic === null ? '–' : `${row.vitals.systolic}/${row.vitals.diastolic}`
          }}
        </td>
        <td class="num figure">{{ dash(row.vitals.rpe20) }}</td>
        <td class="num figure">{{ row.met }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 4px 8px 4px 0;
  text-align: left;
  font-weight: 400;
  border-top: 1px solid var(--line);
}

thead th {
  border-top: 0;
  color: var(--ink-quiet);
  font-size: 0.95rem;
}

tbody th {
  font-weight: 650;
  white-space: nowrap;
}

.figure {
  text-align: right;
}

.on th,
.on td {
  font-size: 1.15rem;
  background: var(--ground-2);
}

.before + .work th,
.before + .work td,
.work + .after th,
.work + .after td {
  border-top: 2px solid var(--ink-quiet);
}
</style>
