<script setup lang="ts">
import { computed } from 'vue'
import type { Prescription } from '../api/korvel'
import { APPROACHES, effort, figureSpan, MODES } from '../shared/words'

/** Two prescriptions side by side; what differs stands out. */
const props = defineProps<{
  one: Prescription
  other: Prescription
  labels: [string, string]
}>()

type Row = [name: string, of: (made: Prescription) => string]
const ROWS: Row[] = [
  ['Made on', (made) => made.date],
  ['Goal', (made) => made.parts.goalName],
  ['Start', (made) => APPROACHES[made.parts.approach]],
  ['Intensity, % of reserve', (made) => figureSpan(made.parts.lowPercent, made.parts.highPercent)],
  [
    'Target, bpm',
    (made) =>
      made.target
        ? figureSpan(made.target.lowBpm, made.target.highBpm) +
          (made.target.capped ? ', cut by the cap' : '')
        : 'none by rate',
  ],
  ['RPE (6–20)', (made) => effort(made.rpe20, 6)],
  ['Feels like', (made) => made.feel.map((feel) => feel.name).join(', ')],
  ['Steered by', (made) => made.steeringWords],
  ['Minutes of work', (made) => String(made.parts.minutes)],
  ['Days per week', (made) => String(made.parts.days)],
  ['Type', (made) => made.parts.typeName],
  ['Activity', (made) => made.parts.exerciseName ?? MODES[made.parts.mode]],
  ['Warm-up, cool-down', (made) => `${made.warmUp.minutes} and ${made.coolDown.minutes} min`],
  ['Moderate-equivalent min per week', (made) => `${made.week.moderateEquivalentMinutes} min`],
  ['Resting', (made) => (made.basis ? `${made.basis.restingBpm} bpm` : 'not used')],
  [
    'Maximum',
    (made) =>
      made.basis ? `${made.basis.maximumBpm} bpm, ${made.basis.maximumMethod}` : 'not used',
  ],
  ['Cap', (made) => (made.cap ? `${made.cap.bpm} bpm` : 'none')],
]
const rows = computed(() =>
  ROWS.map(([name, of]) => {
    const one = of(props.one)
    const other = of(props.other)
    return { name, one, other, differs: one !== other }
  }),
)
const differing = computed(() => rows.value.filter((row) => row.differs).length)
</script>

<template>
  <div>
    <p class="quiet small" role="status">
      <span class="num">{{ differing }}</span> of <span class="num">{{ rows.length }}</span> differ.
    </p>
    <div class="scroll" tabindex="0" role="region" aria-label="Two versions side by side">
      <table>
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">Part</span></th>
            <th v-for="label in labels" :key="label" scope="col">{{ label }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name" :class="{ differs: row.differs }">
            <th scope="row">
              {{ row.name }}<span v-if="row.differs" class="visually-hidden">, differs</span>
            </th>
            <td>{{ row.one }}</td>
            <td>{{ row.other }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
table {
  font-size: 0.92rem;
}

th,
td {
  vertical-align: top;
  padding: 4px 12px 4px 8px;
  border-top: 1px solid var(--line);
}

thead th {
  border-top: 0;
}

tbody th {
  font-weight: 450;
  color: var(--ink-quiet);
}

.differs td {
  font-weight: 700;
  background: var(--teal-wash);
}
</style>
