<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { asProblem } from '../api/http'
import {
  bands,
  clientNames,
  efforts,
  keepEffort,
  previewEffort,
  ratesOf,
  withdraw,
  zonesOf,
  type Mode,
} from '../api/korvel'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import type { RulerRow } from '../shared/ruler/layout'
import Ruler from '../shared/ruler/Ruler.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { useAnswer, useAnswerTo } from '../shared/answer'
import { theStudio } from '../shared/studio'
import { undone } from '../shared/undo'
import { MODES, options } from '../shared/words'
import EffortPicture, { type EffortOf } from './EffortPicture.vue'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'
import { useRecords } from '../shared/records'

/** Several people, or one in several modes, at the same share of reserve; and their efforts. */
const MOST = 6
const route = useRoute()
const router = useRouter()
const everyone = useAnswer(clientNames)
void everyone.load()

interface Who {
  client: string
  mode: Mode
}
/** Who is compared stands in the address: it can be kept and sent on, and holds no name. */
const who = computed<Who[]>(() =>
  [route.query.with ?? []]
    .flat()
    .map((each) => String(each).split('.'))
    .filter((each) => each.length === 2 && each[1]! in MODES)
    .slice(0, MOST)
    .map(([client, mode]) => ({ client: client!, mode: mode as Mode })),
)
const go = (next: Who[]) =>
  router.replace({ query: { with: next.map(({ client, mode }) => `${client}.${mode}`) } })

const people = computed(() => everyone.data.value?.clients ?? [])
const nameOf = (client: string) => people.value.find((each) => each.id === client)?.name ?? ''
const add = reactive({ client: '', mode: 'run' as Mode })
function addRow() {
  if (!add.client) return
  void go([...who.value, { ...add }])
  add.client = ''
}
const remove = (at: number) => go(who.value.filter((_, n) => n !== at))

interface Row {
  who: Who
  ruler: RulerRow | null
  /** The same by percent of reserve alone, where talk checks have moved an edge. */
  equation?: RulerRow
  /** Why they are not on the picture. */
  why: string
}
const cursor = ref<number>()
async function rowOf(each: Who): Promise<Row> {
  try {
    const { zones, findings } = await bands(each.client, '', each.mode)
    if (!zones) return { who: each, ruler: null, why: findings[0]?.message ?? '' }
    const { rates } = await ratesOf(zones.restingBpm, zones.maximumBpm)
    const label = `${nameOf(each.client)}, ${MODES[each.mode].toLowerCase()}`
    const row: Row = { who: each, ruler: { zones, rates, label }, why: '' }
    if (zones.learned) {
      const equation = await zonesOf({
        restingBpm: zones.restingBpm,
        maximumBpm: zones.maximumBpm,
        scheme: zones.scheme,
        restingStandardErrorBpm: zones.restingSigmaBpm,
        maximumStandardErrorBpm: zones.maximumSigmaBpm,
        capBpm: zones.capBpm,
      })
      row.ruler!.label = `${label}, learned from talk`
      row.equation = { zones: equation, rates, label: `${label}, by the equation` }
    }
    return row
  } catch (thrown) {
    return { who: each, ruler: null, why: asProblem(thrown).message }
  }
}
const compared = useAnswerTo(
  () => ({ who: who.value, people: people.value }),
  ({ who: wanted }) => Promise.all(wanted.map(rowOf)),
)
const rows = computed(() => compared.answer.value ?? [])
const drawn = computed(() =>
  rows.value.flatMap((row) => [row.ruler, row.equation].filter((each) => !!each)),
)

// Efforts
const done = ref<EffortOf[]>([])
async function fetchEfforts() {
  const distinct = [...new Set(who.value.map((each) => each.client))]
  const lists = await Promise.all(
    distinct.map((client) =>
      efforts(client)
        .then(({ efforts: list }) =>
          list.map((effort) => ({ client, name: nameOf(client), effort })),
        )
        .catch(() => []),
    ),
  )
  done.value = lists.flat()
}
watch([who, people, undone], fetchEfforts, { immediate: true })

const entry = reactive({ at: 0, name: '', averageBpm: '', minutes: '', doneOn: '' })
watch(theStudio, (studio) => (entry.doneOn ||= studio?.today ?? ''), { immediate: true })
const doers = computed(() =>
  rows.value.map((row, value) => ({
    value,
    name: `${nameOf(row.who.client)}, ${MODES[row.who.mode].toLowerCase()}`,
  })),
)
const doer = computed(() => who.value[entry.at] ?? who.value[0])
const request = computed(() => ({
  name: entry.name,
  mode: doer.value?.mode ?? 'run',
  averageBpm: typed(entry.averageBpm),
  minutes: typed(entry.minutes),
  doneOn: entry.doneOn || null,
}))
const form = useFieldMessages()
const { messages, general } = form
const { answer: preview } = useAnswerTo(
  () =>
    doer.value && entry.averageBpm.trim()
      ? // What it was need not be named yet to see what it comes to.
        { client: doer.value.client, effort: { ...request.value, name: entry.name.trim() || '–' } }
      : null,
  ({ client, effort }) => previewEffort(client, effort),
  { form, stands: false },
)
const { save: keep } = useSave((client: string) => keepEffort(client, request.value), {
  form,
  undo: ({ id, name }, client) => ({
    said: `${name} is saved.`,
    back: () => withdraw(client, 'efforts', id),
  }),
  saved() {
    Object.assign(entry, { name: '', averageBpm: '', minutes: '' })
    return fetchEfforts()
  },
})
const takeBack = ({ client, effort }: EffortOf) =>
  useRecords('efforts', () => client, fetchEfforts, form.show).takeBack(
    `${effort.name} is deleted.`,
    effort.id,
  )

const table = () => [
  ['Name', 'Effort', 'Done on', 'Average, bpm', 'Minutes', '% of reserve', '% of maximum', 'Level'],
  ...done.value.map(({ name, effort }) => [
    name,
    effort.name,
    effort.doneOn,
    effort.averageBpm,
    effort.minutes,
    effort.reservePercent,
    effort.maximumPercent,
    effort.levelName,
  ]),
]

useShortcuts({
  list: [
    ['← →', 'on the ruler: move by 1 % of reserve'],
    ['Enter', 'in a field: save the effort'],
  ],
})
</script>

<template>
  <div class="stack">
    <header>
      <h1>Compare at the same effort</h1>
      <p class="quiet">
        The same % of reserve is the same effort for two people, whatever their rates are.
      </p>
    </header>
    <ProblemNote
      v-if="everyone.problem.value"
      :problem="everyone.problem.value"
      @retry="everyone.load()"
    />

    <section class="sheet stack" aria-label="Who">
      <ul v-if="rows.length" class="who">
        <li v-for="(row, at) in rows" :key="at">
          <span
            ><RouterLink :to="`/clients/${row.who.client}/maximum?mode=${row.who.mode}`">{{
              nameOf(row.who.client) || 'Someone'
            }}</RouterLink
            >, {{ MODES[row.who.mode].toLowerCase() }}
            <span v-if="row.why" class="why">{{ row.why }}</span></span
          >
          <button
            type="button"
            class="link"
            :aria-label="`Remove ${nameOf(row.who.client)}`"
            @click="remove(at)"
          >
            leave out
          </button>
        </li>
      </ul>
      <form v-if="who.length < MOST" class="add" @submit.prevent="addRow">
        <Select
          v-model="add.client"
          :options="people"
          option-label="name"
          option-value="id"
          filter
          placeholder="Someone"
          aria-label="Person to add"
        />
        <Select
          v-model="add.mode"
          :options="options(MODES)"
          option-label="name"
          option-value="value"
          aria-label="Activity"
        />
        <Button type="submit" label="Add" :disabled="!add.client" />
      </form>
      <p v-if="!who.length" class="quiet">
        Add two people, or one person twice in different modes; up to {{ MOST }}.
      </p>
    </section>

    <section v-if="drawn.length" class="sheet" aria-label="Aligned by % of reserve">
      <Ruler v-model:cursor="cursor" :rows="drawn" by-reserve compact />
    </section>

    <section v-if="drawn.length" class="sheet stack" aria-labelledby="efforts-title">
      <h2 id="efforts-title">Efforts, as % of reserve</h2>
      <form class="effort" novalidate @submit.prevent="doer && keep(doer.client)">
        <SelectField v-model="entry.at" label="Who" :options="doers" />
        <TextField v-model="entry.name" label="What was it?" name="name" :message="messages.name" />
        <TextField
          v-model="entry.averageBpm"
          label="Average rate"
          name="averageBpm"
          number
          :message="messages.averageBpm"
        />
        <TextField
          v-model="entry.minutes"
          label="Minutes"
          name="minutes"
          number
          :message="messages.minutes"
        />
        <TextField
          v-model="entry.doneOn"
          label="On"
          name="doneOn"
          type="date"
          :message="messages.doneOn"
        />
        <Button type="submit" label="Save" />
      </form>
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
      <p v-if="preview" role="status">
        <b class="num">{{ preview.reservePercent.toFixed(1) }} %</b> of reserve,
        <b class="num">{{ preview.maximumPercent.toFixed(1) }} %</b> of maximum:
        {{ preview.levelName }}, with {{ preview.restingBpm }} at rest and a maximum of
        {{ preview.maximumBpm }}.
      </p>
      <Findings v-if="preview?.finding" :findings="[preview.finding]" />
      <template v-if="done.length">
        <EffortPicture :efforts="done" @take-back="takeBack" />
        <CsvLink name="efforts" class="csv" :rows="table" />
      </template>
      <p v-else class="quiet">
        None recorded yet. Enter the average rate of a race or a session to see what % of reserve it
        took.
      </p>
    </section>
  </div>
</template>

<style scoped>
.who li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  justify-content: space-between;
  align-items: center;
  min-height: 36px;
}

.why {
  color: var(--fault);
  margin-left: 10px;
}

.add,
.effort {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: end;
}

.add :deep(.p-select) {
  min-width: 190px;
}

.effort {
  display: grid;
  grid-template-columns: minmax(170px, 1.4fr) minmax(150px, 1.4fr) 7rem 6rem 10rem auto;
  align-items: start;
}

.effort :deep(.p-button) {
  margin-top: 27px;
}

@media (max-width: 980px) {
  .effort {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
