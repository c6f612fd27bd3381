<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { months, monthsFile, type Mode, type Months } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SelectField from '../shared/SelectField.vue'
import { useAnswer } from '../shared/answer'
import { theStudio } from '../shared/studio'
import { undone } from '../shared/undo'
import { day, figureSpan, MODES, month as monthOf, VOICES } from '../shared/words'
import AllSessionsSheet from './AllSessionsSheet.vue'
import MonthsPicture from './MonthsPicture.vue'
import TrendLine from './TrendLine.vue'
import TwoDates from './TwoDates.vue'

/** What has come of it month by month, on one page; a change is named only beyond noise. */
const { id } = useClient()
const count = ref(12)
const mode = ref<Mode | null>(null)
const { data, problem, load } = useAnswer(() => months(id.value, count.value, mode.value))
watch([id, count, mode, undone], () => void load(), { immediate: true })

const RANGES = [
  { value: 6, name: '6 months' },
  { value: 12, name: 'A year' },
  { value: 24, name: '2 years' },
  { value: 60, name: '5 years' },
]
const modes = computed(() =>
  (data.value?.modes ?? []).map((value) => ({ value, name: MODES[value] })),
)
const today = computed(() => theStudio.value?.today ?? '')
const since = computed(() => `${data.value?.months[0]?.month ?? '2000-01'}-01`)
const names = Object.values(VOICES).map((voice) => voice.slice(2))
const sum = (minutes: number[]) => minutes.reduce((all, each) => all + each, 0)
const anything = computed(
  () =>
    !!data.value &&
    (data.value.trends.length > 0 ||
      data.value.months.some(({ minutes, planned }) => planned > 0 || sum(minutes) > 0)),
)
const doneOf = ({ planned, done, extra }: Months['months'][number]) =>
  [planned ? `${done} of ${planned}` : '', extra ? `+ ${extra}` : ''].join(' ').trim() || '–'
/** The end of the first month in which both ends of the span were known. */
const firstKnown = computed(() => {
  const known = data.value?.months.find(
    ({ span }) => span.restingBpm !== null && span.maximumBpm !== null,
  )
  return known && known !== data.value?.months.at(-1) ? `${known.month}-28` : since.value
})
const latestFirst = computed(() => [...(data.value?.months ?? [])].reverse())
</script>

<template>
  <ProblemNote v-if="problem && !data" :problem="problem" @retry="load()" />
  <div v-else-if="data" class="stack">
    <div class="chosen">
      <ChoiceField v-model="count" label="Looking back" :options="RANGES" />
      <SelectField
        v-if="modes.length > 1"
        :model-value="data.mode"
        label="Maximum and talk rates of"
        :options="modes"
        @update:model-value="(chosen: Mode) => (mode = chosen)"
      />
      <p class="ways">
        <a :href="monthsFile(id, count, data.mode, 'pdf')" target="_blank">A page to hand over</a>
        <a :href="monthsFile(id, count, data.mode, 'csv')" download>CSV</a>
      </p>
    </div>

    <section v-if="!anything" class="sheet stack">
      <h2>Nothing on record yet</h2>
      <p>
        Months fill from sessions that are logged, resting readings, tests and recordings.
        <RouterLink :to="`/clients/${id}/sessions`">To the sessions</RouterLink> ·
        <RouterLink :to="`/clients/${id}/recordings`">To the recordings</RouterLink>
      </p>
    </section>
    <template v-else>
      <section v-if="data.findings.length" class="sheet stack" aria-labelledby="said-title">
        <h2 id="said-title">What has changed, and what has not</h2>
        <Findings :findings="data.findings" />
        <p v-if="data.medicineChanges.length" class="quiet">
          Medication that touches the heart rate changed on
          {{ data.medicineChanges.map((on) => day(on)).join(', ') }}: what lies before is not
          compared with what came after.
        </p>
      </section>
      <section class="sheet stack" aria-labelledby="months-title">
        <h2 id="months-title">Minutes by level, month by month</h2>
        <MonthsPicture :months="data.months" />
        <p class="quiet small levels">
          <span v-for="(name, at) in names" :key="name"
            ><LevelStrokes :level="at + 1" /> {{ name }}</span
          >
          <span>easy: below Phrases</span>
        </p>
      </section>
      <div v-if="data.trends.length" class="columns trends">
        <section v-for="trend in data.trends" :key="trend.name + trend.alike" class="sheet stack">
          <h2>{{ trend.name }}</h2>
          <p class="quiet small">{{ trend.alike }}</p>
          <TrendLine
            :points="trend.points.map(({ on, bpm }) => ({ on, value: bpm }))"
            unit="bpm"
            :label="`${trend.name}, ${trend.alike}`"
            :breaks="data.medicineChanges"
            :between="[since, today]"
          />
          <p>{{ trend.finding?.message ?? 'Too few since the last change to be compared.' }}</p>
        </section>
      </div>
      <section class="sheet stack" aria-labelledby="table-title">
        <h2 id="table-title">As it was, month by month</h2>
        <p v-if="data.target" class="quiet">
          RPE at the target that was met most often: {{ MODES[data.target.mode] }},
          <span class="num">{{ figureSpan(data.target.lowPercent, data.target.highPercent) }}</span>
          % of reserve.
        </p>
        <div class="scrolled" tabindex="0" role="group" aria-labelledby="table-title">
          <table>
            <thead>
              <tr>
                <th scope="col">Month</th>
                <th scope="col">Resting</th>
                <th scope="col">Maximum</th>
                <th scope="col">Talk rates</th>
                <th scope="col">Done</th>
                <th scope="col">Minutes</th>
                <th scope="col">Easy</th>
                <th scope="col">RPE</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="month in latestFirst" :key="month.month">
                <th scope="row">{{ monthOf(`${month.month}-01`) }}</th>
                <td class="num">{{ month.restingBpm ?? '–' }}</td>
                <td class="num">
                  {{ month.span.maximumBpm ?? '–'
                  }}<span v-if="month.span.maximumBpm !== null" class="quiet small by">
                    {{ month.span.estimated ? 'est.' : 'meas.' }}</span
                  >
                </td>
                <td class="num">
                  {{
                    month.span.lowerBpm === null && month.span.upperBpm === null
                      ? '–'
                      : `${month.span.lowerBpm ?? '–'} / ${month.span.upperBpm ?? '–'}`
                  }}
                </td>
                <td class="num">
                  {{ doneOf(month) }}
                </td>
                <td class="num">{{ sum(month.minutes) || '–' }}</td>
                <td class="num">
                  {{ month.easyPercent === null ? '–' : `${month.easyPercent} %` }}
                </td>
                <td class="num">{{ month.meanRpe ?? '–' }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
    </template>
    <TwoDates :client="id" :mode="data.mode" :first="firstKnown" :today="today" />
    <AllSessionsSheet :client="id" :since="since" />
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.chosen {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 28px;
  align-items: end;
}

.levels {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: center;
}

.by {
  margin-left: 6px;
}

.scrolled {
  overflow-x: auto;
}

table {
  width: 100%;
  min-width: 620px;
}

th {
  text-align: left;
}

tbody th {
  font-weight: 500;
  white-space: nowrap;
}

th,
td {
  padding: 5px 14px 5px 0;
}

tbody tr {
  border-top: 1px solid var(--line);
}
</style>
