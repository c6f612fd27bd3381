<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import Button from 'primevue/button'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import {
  chooseMaximum,
  defaultMaximum,
  maximum,
  maximumChoices,
  undoRecord,
  withdraw,
  type Estimate,
  type MeasuredMaximum,
  type Mode,
  type Span,
} from '../api/korvel'
import { useClient } from '../clients/useClient'
import ProblemNote from '../shared/ProblemNote.vue'
import TextField from '../shared/TextField.vue'
import WhatMoves from '../shared/WhatMoves.vue'
import { useFieldMessages } from '../shared/fields'
import { useAnswer } from '../shared/answer'
import { theStudio } from '../shared/studio'
import { offerUndo, undone } from '../shared/undo'
import { day, MAXIMUM_STATES, MODES, standsOnMeasured, oneOf } from '../shared/words'
import EquationRulers from './EquationRulers.vue'
import EstimateTable from './EstimateTable.vue'
import MeasuredForm from './MeasuredForm.vue'
import MeasuredList from './MeasuredList.vue'
import ModesTable from './ModesTable.vue'
import WorkingMaximum from './WorkingMaximum.vue'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'
import { useRecords } from '../shared/records'

/**
 * The maximum: the one in use and why, what was measured, every equation with what it does to the
 * target, and the modes side by side. Another equation can be picked, with a reason that is saved.
 */
const { id, overview, refresh } = useClient()
const route = useRoute()
const mode = ref<Mode>(oneOf(MODES, route.query.mode) ?? 'run')
const { data, problem, load } = useAnswer(maximum)
const history = useAnswer(maximumChoices)
const reload = () => Promise.all([load(id.value, mode.value), history.load(id.value)])
watch([id, mode, () => overview.value?.client.version, undone], reload, { immediate: true })
const again = () => Promise.all([reload(), refresh()])

const inUse = computed(() => data.value?.estimates.find((row) => row.method === data.value?.inUse))
/** Whether a measured value stands before every equation. */
const waits = computed(() => standsOnMeasured(data.value?.working))
const nameOf = (method: string | null) =>
  data.value?.estimates.find((row) => row.method === method)?.name ?? 'no equation'
const open = computed(() => overview.value?.client.archived === false)

// A measured value
const entering = ref(false)
const correcting = ref<MeasuredMaximum | null>(null)
function enter(value: MeasuredMaximum | null) {
  correcting.value = value
  entering.value = true
}
async function kept(kept: string, bpm: string) {
  const was = correcting.value
  const client = id.value
  offerUndo(was ? `${was.bpm} is corrected: ${bpm}.` : `${bpm} is saved.`, async () => {
    await (was ? undoRecord(client, 'maxima', kept) : withdraw(client, 'maxima', kept))
    await again()
  })
  entering.value = false
  correcting.value = null
  await again()
}
const onPage = useFieldMessages()
const { general: refused } = onPage
const records = useRecords('maxima', () => id.value, again, onPage.show)
const takeBack = (value: MeasuredMaximum) =>
  records.takeBack(`The ${value.bpm} is deleted.`, value.id)

// Picking another equation
const picked = ref<Estimate | null>(null)
const reason = ref('')
const form = useFieldMessages()
const { messages, general, clear } = form
const panel = ref<HTMLElement | null>(null)
const field = ref<InstanceType<typeof TextField> | null>(null)

/** The span an equation would give; none where there is no pulse to start from. */
function spanBy(row: Estimate | null | undefined): Span | null {
  const span = data.value?.span
  if (!span || !row || row.bpm === null) return null
  return { ...span, maximumBpm: row.bpm, maximumStandardErrorBpm: row.standardErrorBpm }
}

async function pick(row: Estimate) {
  picked.value = row
  reason.value = ''
  clear()
  await nextTick()
  panel.value?.scrollIntoView({ block: 'nearest' })
  field.value?.focus()
}

const { save: use, saving } = useSave(
  (client: string, { method }: Estimate) => chooseMaximum(client, method, reason.value),
  {
    form,
    undo: ({ latestChoice }, client, { name }) => ({
      said: waits.value
        ? `${name} is chosen; the measured value takes precedence.`
        : `${name} is in use.`,
      back: () => undoChoice(client, latestChoice),
    }),
    saved() {
      picked.value = null
      return again()
    },
    wrong: () => field.value?.focus(),
  },
)

/** The choice that holds is undone: the one before stands again, as of when it was made. */
async function undoChoice(client: string, choice: string | null) {
  if (choice) await undoRecord(client, 'maximum-choices', choice)
  await again()
}

const { save: backToDefault } = useSave((client: string) => defaultMaximum(client), {
  form: onPage,
  undo: ({ latestChoice }, client) => ({
    said: 'The default is in use again.',
    back: () => undoChoice(client, latestChoice),
  }),
  saved: again,
})

/** The same figures in the calculators, where the working is shown. */
function inCalculators(method: string) {
  const { client, facts } = overview.value!
  return {
    path: '/calculators/maximum',
    query: {
      age: client.age,
      sex: client.sex,
      rest: overview.value!.restingBpm ?? '',
      activity: facts.activity,
      mode: mode.value,
      beta: facts.betaBlocker ? 'yes' : '',
      heart: facts.heartCondition ? 'yes' : '',
      failure: facts.heartFailure ? 'yes' : '',
      method,
    },
  }
}

const measuredTable = () => [
  ['Measured on', 'Maximum, bpm', '± bpm', 'How', 'Grade', 'Stands as', 'Why', 'Note'],
  ...(data.value?.measured ?? []).map((value) => [
    value.measuredOn,
    value.bpm,
    value.standardErrorBpm,
    value.protocol || value.standsAs,
    value.grade,
    MAXIMUM_STATES[value.state].name,
    value.reason,
    value.note,
  ]),
]

useShortcuts({
  list: [['Enter', 'in a field: save the value, or use the equation']],
})
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="reload" />
  <div v-else-if="data" class="stack">
    <WorkingMaximum v-model:mode="mode" :sheet="data">
      <template #ways>
        <div v-if="open" class="ways">
          <Button label="Enter a measured value" @click="enter(null)" />
          <RouterLink
            class="test"
            :to="data.running ? `/field-tests/${data.running}` : `/clients/${id}/maximum/tests`"
            >{{ data.running ? 'Field test: continue' : 'Field test' }}</RouterLink
          >
        </div>
        <p class="ways small">
          <RouterLink :to="`/clients/${id}/tests`">Every test</RouterLink>
          <RouterLink :to="`/clients/${id}/device-sheet?mode=${mode}`"
            >Values for their device</RouterLink
          >
          <RouterLink :to="{ path: '/compare', query: { with: `${id}.${mode}` } }"
            >Compare</RouterLink
          >
        </p>
        <p v-if="data.chosen && open">
          <Button label="Back to the default" outlined size="small" @click="backToDefault(id)" />
        </p>
        <p v-if="refused" class="fault" role="alert">{{ refused }}</p>
      </template>
      <template #more>
        <details v-if="history.data.value?.choices.length" class="history">
          <summary>Previous choices</summary>
          <ul>
            <li v-for="(each, n) in history.data.value.choices" :key="n">
              <span>{{ day(each.on) }}</span>
              <span v-if="each.method">{{ nameOf(each.method) }}: “{{ each.reason }}”</span>
              <span v-else>back to the default</span>
            </li>
          </ul>
        </details>
      </template>
    </WorkingMaximum>

    <MeasuredForm
      v-if="entering && theStudio"
      :key="correcting?.id ?? 'new'"
      :client="id"
      :sheet="data"
      :today="theStudio.today"
      :correcting="correcting"
      @kept="kept"
      @leave="entering = false"
    />

    <section v-if="data.measured.length" class="sheet" aria-labelledby="measured-title">
      <h2 id="measured-title">Measured, {{ MODES[data.mode].toLowerCase() }}</h2>
      <MeasuredList
        :values="data.measured"
        :closed="!open"
        @correct="enter"
        @take-back="takeBack"
      />
      <CsvLink name="measured maxima" :rows="measuredTable" />
    </section>

    <EquationRulers :sheet="data" />

    <section
      v-if="picked"
      ref="panel"
      class="sheet stack pick"
      :aria-label="`Use ${picked.name} instead`"
    >
      <h2>
        Use {{ picked.name }} (<span class="num">{{ picked.bpm }}</span
        >) instead of {{ inUse?.name ?? 'none'
        }}<template v-if="inUse">
          (<span class="num">{{ inUse.bpm }}</span
          >)</template
        >?
      </h2>
      <WhatMoves
        v-if="spanBy(inUse) && spanBy(picked)"
        :before="spanBy(inUse)!"
        :after="spanBy(picked)!"
        :aim="data.aim"
        :cap-bpm="data.capBpm"
        :labels="[waits ? (inUse?.name ?? '') : 'In use now', picked.name]"
      />
      <form novalidate @submit.prevent="use(id, picked)">
        <TextField
          ref="field"
          v-model="reason"
          label="Your reason"
          name="reason"
          hint="Shown beside the maximum. Being fit is not a reason; a measured peak is."
          :message="messages.reason ?? messages.method"
        />
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
        <div class="ways">
          <Button type="submit" label="Use it" :loading="saving" />
          <Button label="Cancel" outlined @click="picked = null" />
        </div>
      </form>
    </section>

    <EstimateTable :maximum="data" :working="inCalculators">
      <template #action="{ row }">
        <Button
          v-if="open && row.prescribable && row.method !== data.inUse"
          label="Use"
          outlined
          size="small"
          :aria-label="`Use ${row.name}`"
          @click="pick(row)"
        />
      </template>
    </EstimateTable>

    <ModesTable :sheet="data" />
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.ways {
  margin-top: 6px;
}

.test {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 650;
}

.history {
  font-size: 0.92rem;
}

.history summary {
  cursor: pointer;
  color: var(--teal-deep);
  padding: 6px 0;
}

.history li {
  display: grid;
  grid-template-columns: 5.4rem 1fr;
  gap: 10px;
  padding: 3px 0;
}

.pick {
  border: 2px solid var(--teal);
}

form {
  display: grid;
  gap: 12px;
}

form :deep(input) {
  width: min(100%, 640px);
}
</style>
