<script setup lang="ts">
import { reachText } from '../shared/units'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed } from 'vue'
import { chartOf, methods as everyMethod } from '../api/korvel'
import SheetFrame from '../sheet/SheetFrame.vue'
import { useSheet } from '../sheet/useSheet'
import ChoiceField from '../shared/ChoiceField.vue'
import CsvLink from '../shared/CsvLink.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import { typed } from '../shared/fields'
import { useAnswer, useAnswerTo } from '../shared/answer'
import { figureSpan, MODES, options, PAPERS } from '../shared/words'
import { useAddress } from './calculators'

/** A table for a hall: ages, maxima, and ranges in bpm and in beats to count. */
const form = useAddress(
  { from: '20', to: '70', every: '5' },
  {
    method: 'tanaka-208',
    mode: 'run',
    scheme: 'school-range',
    /** Ids of the bands shown, or nothing for all. */
    bands: '',
    /** Ranges of one's own, a line each: name, from and to, with tabs between. */
    own: 'Easy\t55\t65\nBrisk\t65\t75',
    count: '10',
    shows: 'bpm-and-beats',
    paper: 'a3',
  },
)
const OWN = 'own-ranges'
const known = useAnswer(everyMethod)
void known.load()
const mostRanges = computed(
  () => known.data.value?.limits.find((each) => each.id === 'chart-ranges')?.highest ?? 0,
)
const methods = computed(() =>
  (known.data.value?.equations ?? [])
    .filter((each) => each.forAClass)
    .map((each) => ({ value: each.id, name: each.formula })),
)
const onMaximum = computed(() =>
  (known.data.value?.schemes ?? []).filter((each) => each.basis === 'maximum'),
)
const schemeOptions = computed(() => [
  ...onMaximum.value.map((each) => ({ value: each.id, name: each.name })),
  { value: OWN, name: 'Your own ranges' },
])
const scheme = computed(() => onMaximum.value.find((each) => each.id === form.scheme))
const pickScheme = computed({
  get: () => form.scheme,
  set: (chosen) => {
    form.scheme = chosen
    form.bands = ''
  },
})
const bandIds = computed(() => form.bands.split(' ').filter(Boolean))
const isShown = (id: string) => !bandIds.value.length || bandIds.value.includes(id)
function show(id: string, on: boolean) {
  const all = scheme.value!.bands.map((band) => band.id)
  const now = all.filter((each) => (each === id ? on : isShown(each)))
  if (now.length) form.bands = now.length === all.length ? '' : now.join(' ')
}

type Own = { name: string; low: string; high: string }
const own = computed<Own[]>({
  get: () =>
    form.own.split('\n').map((line) => {
      const [name = '', low = '', high = ''] = line.split('\t')
      return { name, low, high }
    }),
  set: (rows) =>
    (form.own = rows.map(({ name, low, high }) => [name, low, high].join('\t')).join('\n')),
})
const change = (at: number, part: Partial<Own>) =>
  (own.value = own.value.map((row, n) => (n === at ? { ...row, ...part } : row)))
const addRange = () => (own.value = [...own.value, { name: '', low: '', high: '' }])
const leaveOut = (at: number) => (own.value = own.value.filter((_, n) => n !== at))

const request = computed(() => ({
  from: typed(form.from),
  to: typed(form.to),
  every: typed(form.every),
  method: form.method,
  mode: form.mode,
  scheme: form.scheme === OWN ? null : form.scheme,
  bands: form.scheme === OWN ? null : bandIds.value,
  ranges:
    form.scheme === OWN
      ? own.value.map((row) => ({ name: row.name, low: typed(row.low), high: typed(row.high) }))
      : null,
  windowSeconds: typed(form.count),
  shows: form.shows,
  paper: form.paper,
}))
const { answer, messages, general } = useAnswerTo(() => request.value, chartOf)
const sheet = useSheet('chart', () => request.value)
const { page, behind, making } = sheet
const at = (n: number, field: string) => messages.value[`ranges[${n}].${field}`]

const SHOWS = [
  { value: 'bpm-and-beats', name: 'Both' },
  { value: 'bpm', name: 'bpm' },
  { value: 'beats', name: 'Beats' },
]
const table = () => {
  const chart = answer.value
  if (!chart) return []
  return [
    [
      'Age',
      'Maximum, bpm',
      ...chart.ranges.flatMap(({ name }) => [
        `${name}, bpm`,
        `${name}, beats in ${chart.windowSeconds} s`,
      ]),
    ],
    ...chart.rows.map((row) => [
      row.age,
      row.maximumBpm,
      ...row.cells.flatMap((cell) =>
        cell.lowBpm === null
          ? [`up to ${cell.highBpm}`, `up to ${cell.highBeats}`]
          : [`${cell.lowBpm}–${cell.highBpm}`, `${cell.lowBeats}–${cell.highBeats}`],
      ),
    ]),
  ]
}
</script>

<template>
  <div class="form-and-sheet">
    <form class="sheet stack" novalidate aria-label="The chart" @submit.prevent>
      <div class="ages">
        <TextField
          v-model="form.from"
          label="Ages from"
          name="from"
          number
          :message="messages.from"
        />
        <TextField v-model="form.to" label="to" name="to" number :message="messages.to" />
        <TextField
          v-model="form.every"
          label="every"
          name="every"
          number
          hint="years"
          :message="messages.every"
        />
      </div>
      <div class="pair">
        <SelectField
          v-model="form.method"
          label="Maximum by"
          :options="methods"
          :message="messages.method"
        />
        <SelectField v-model="form.mode" label="Activity" :options="options(MODES)" />
      </div>
      <SelectField
        v-model="pickScheme"
        label="Ranges, % of maximum"
        :options="schemeOptions"
        :message="messages.scheme || messages.bands"
      />
      <fieldset v-if="scheme && scheme.bands.length > 1">
        <legend class="visually-hidden">Zones to show</legend>
        <TickField
          v-for="band in scheme.bands"
          :key="band.id"
          :model-value="isShown(band.id)"
          :label="`${band.name}, ${figureSpan(band.low, band.high)} %`"
          :name="band.id"
          @update:model-value="show(band.id, $event)"
        />
      </fieldset>
      <fieldset v-else-if="form.scheme === OWN" class="own">
        <legend class="visually-hidden">Your own ranges</legend>
        <div v-for="(row, n) in own" :key="n" class="range">
          <InputText
            :model-value="row.name"
            :aria-label="`Name of range ${n + 1}`"
            :name="`range-${n}-name`"
            placeholder="Name"
            autocomplete="off"
            :invalid="!!at(n, 'name')"
            @update:model-value="change(n, { name: ($event ?? '').replace(/\s/g, ' ') })"
          />
          <InputText
            :model-value="row.low"
            class="num"
            :aria-label="`Range ${n + 1} from, percent of maximum`"
            :name="`range-${n}-low`"
            inputmode="decimal"
            autocomplete="off"
            :invalid="!!at(n, 'low')"
            @update:model-value="change(n, { low: $event ?? '' })"
          />
          <span>to</span>
          <InputText
            :model-value="row.high"
            class="num"
            :aria-label="`Range ${n + 1} to, percent of maximum`"
            :name="`range-${n}-high`"
            inputmode="decimal"
            autocomplete="off"
            :invalid="!!at(n, 'high')"
            @update:model-value="change(n, { high: $event ?? '' })"
          />
          <button
            type="button"
            class="link"
            :aria-label="`Remove range ${n + 1} out`"
            :disabled="own.length === 1"
            @click="leaveOut(n)"
          >
            ✕
          </button>
          <p v-if="at(n, 'name') || at(n, 'low') || at(n, 'high')" class="fault small" role="alert">
            {{ [at(n, 'name'), at(n, 'low'), at(n, 'high')].filter(Boolean).join(' ') }}
          </p>
        </div>
        <p v-if="messages.ranges" class="fault small" role="alert">{{ messages.ranges }}</p>
        <Button
          v-if="own.length < mostRanges"
          label="Add a range"
          outlined
          size="small"
          @click="addRange"
        />
      </fieldset>
      <div class="row">
        <ChoiceField
          v-model="form.count"
          label="Count for"
          :options="[
            { value: '10', name: '10 s' },
            { value: '15', name: '15 s' },
          ]"
          :message="messages.windowSeconds"
        />
        <ChoiceField v-model="form.shows" label="Show" :options="SHOWS" />
      </div>
      <ChoiceField v-model="form.paper" label="Paper" :options="options(PAPERS)" />
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
      <p class="quiet small">
        For people without a condition or medication that affects the heart rate; anyone with one
        carries their own card.
      </p>
    </form>
    <SheetFrame
      :page="page"
      title="Class chart"
      :behind="behind"
      :making="making"
      @pdf="sheet.pdf()"
    >
      <template v-if="answer">
        Figures {{ answer.figureMillimetres.toFixed(1) }} mm high: read with ease from
        <b>{{ reachText(answer.readFromMetres) }}</b>, with good eyesight from twice as far.
        {{ answer.pages > 1 ? `${answer.pages} pages: fewer ages or ranges make it larger.` : '' }}
        <CsvLink name="class chart" :rows="table" />
      </template>
      <template #nothing>{{
        Object.keys(messages).length
          ? 'Correct the highlighted field, and the chart appears here.'
          : 'Calculating…'
      }}</template>
    </SheetFrame>
  </div>
</template>

<style scoped>
.form-and-sheet {
  --form-width: 400px;
}

.ages {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px;
}

.pair {
  display: grid;
  grid-template-columns: minmax(0, 1.22fr) minmax(0, 1fr);
  gap: 12px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 22px;
}

.ages :deep(input) {
  width: 100%;
}

.own {
  display: grid;
  gap: 8px;
  justify-items: start;
}

.range {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 4.2rem auto 4.2rem 44px;
  gap: 8px;
  align-items: center;
  width: 100%;
}

.range p {
  grid-column: 1 / -1;
}

.range .link {
  min-height: var(--touch);
}

@media (max-width: 640px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
