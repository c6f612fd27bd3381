<script setup lang="ts">
import Button from 'primevue/button'
import AtHand from '../shared/AtHand.vue'
import { computed, nextTick, onMounted, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { asProblem, type Problem } from '../api/http'
import {
  addOutline,
  changeOutline,
  clientNames,
  oneOutline,
  outlineFor,
  outlineOn,
  type NamedOutline,
  type Remedy,
  type StepKind,
} from '../api/korvel'
import ForecastSection from '../forecast/ForecastSection.vue'
import Findings from '../shared/Findings.vue'
import PrincipleNote from '../shared/PrincipleNote.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import { useDraft } from '../shared/draft'
import { useFieldMessages } from '../shared/fields'
import { useAnswer, useAnswerTo } from '../shared/answer'
import { loadMethods, theMethods } from '../shared/methods'
import { minutes } from '../shared/words'
import OutlineStrip from './OutlineStrip.vue'
import OutlineTable from './OutlineTable.vue'
import {
  draftOf,
  drawnSeconds,
  emptyOutline,
  harder,
  newBlock,
  newStep,
  remove,
  reorder,
  requestOf,
  STEP_KINDS,
  stretch,
  type Level,
  type OutlineDraft,
  type Place,
  type StepDraft,
} from './outlineDraft'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'
import ConflictNote from '../shared/ConflictNote.vue'

/** An outline of the library: a strip of blocks, and at once what it comes to for somebody. */
const props = defineProps<{ outline: string }>()
const route = useRoute()
const router = useRouter()
const isNew = computed(() => props.outline === 'new')

const name = ref('')
const note = ref('')
const draft = reactive<OutlineDraft>(emptyOutline())
const version = ref(0)
const ready = ref(false)
const problem = ref<Problem | null>(null)
const selected = ref<Place | null>(null)
const nameField = ref<{ focus: () => void } | null>(null)

const shows = (named: NamedOutline) => {
  name.value = named.name
  note.value = named.note
  version.value = named.version ?? 0
  Object.assign(draft, draftOf(named.outline))
}
const kept = useDraft(
  () => `outline ${props.outline} ${version.value}`,
  () => ({ name: name.value, note: note.value, draft }),
  (typed) => {
    name.value = typed.name
    note.value = typed.note
    Object.assign(draft, typed.draft)
  },
  () => saving.value,
)
onMounted(async () => {
  void loadMethods()
  try {
    const brought: unknown = (window.history.state as { outline?: unknown } | null)?.outline
    if (isNew.value && typeof brought === 'string') {
      Object.assign(draft, JSON.parse(brought))
    } else if (typeof route.query.from === 'string') {
      shows(await oneOutline(route.query.from))
      name.value = `${name.value}, ours`
    } else if (!isNew.value) {
      shows(await oneOutline(props.outline))
    }
    kept.begin()
    const firstWork = draft.blocks.findIndex((block) => block.steps[0]?.kind === 'work')
    selected.value = { block: Math.max(0, firstWork), step: 0 }
    ready.value = true
    if (isNew.value) {
      await nextTick()
      nameField.value?.focus()
    }
  } catch (thrown) {
    problem.value = asProblem(thrown)
  }
})

// Whoever it is worked out for: nobody, or a client.
const everyone = useAnswer(clientNames)
void everyone.load()
const NOBODY = 'nobody'
const who = ref(String(route.query.for ?? NOBODY))
const people = computed(() => [
  { value: NOBODY, name: 'No client: percent only' },
  ...(everyone.data.value?.clients ?? []).map((each) => ({ value: each.id, name: each.name })),
])

/** The draft as it is sent. */
const written = computed(() => (ready.value ? requestOf(draft) : null))
const form = useFieldMessages()
const { messages, general } = form
const { answer } = useAnswerTo(
  () => (written.value ? { who: who.value, outline: written.value } : null),
  async ({ who: whose, outline }) =>
    whose === NOBODY
      ? { outline: await outlineOn(outline), fitted: null }
      : outlineFor(whose, 'run', outline),
  { form },
)
const worked = computed(() => answer.value?.outline ?? null)
const fitted = computed(() => answer.value?.fitted ?? null)
const broken = computed(() => worked.value?.broken ?? [])
const brokenAt = computed(() =>
  broken.value.flatMap(({ block, step }) =>
    block === null || step === null ? [] : [{ block, step }],
  ),
)
/** Each rule once, however many steps break it. */
const rules = computed(() => [
  ...new Map(broken.value.map(({ finding }) => [finding.code + finding.message, finding])).values(),
])

const whoseName = computed(
  () => people.value.find(({ value }) => value === who.value)?.name ?? 'a client',
)
function mend(remedy: Remedy) {
  change(() => {
    const mended = stepAt(remedy)
    mended.kind = remedy.kind
    mended.length = minutes(remedy.seconds)
    return { block: remedy.block, step: remedy.step }
  })
}

/** What is drawn is the draft; colours come from what was last worked out. */
const drawn = computed(() =>
  draft.blocks.map((block, at) => ({
    times: Number(block.times) || 1,
    apart: block.apart,
    steps: block.steps.map((step, n) => ({
      kind: step.kind,
      name: STEP_KINDS[step.kind].name,
      seconds: drawnSeconds(step),
      lowPercent: STEP_KINDS[step.kind].ranged ? Number(step.low) || 0 : null,
      highPercent: STEP_KINDS[step.kind].ranged ? Number(step.high) || 0 : null,
      aim: worked.value?.blocks[at]?.steps[n]?.aim ?? null,
    })),
  })),
)

// Every change can be withdrawn, one by one.
const history: string[] = []
const taken = ref(0)
function remember() {
  const now = JSON.stringify(draft)
  if (history.at(-1) !== now) history.push(now)
  taken.value = history.length
}
function takeBack() {
  let before = history.pop()
  while (before !== undefined && before === JSON.stringify(draft)) before = history.pop()
  taken.value = history.length
  if (before === undefined) return
  Object.assign(draft, JSON.parse(before))
  selected.value = {
    block: Math.min(selected.value?.block ?? 0, draft.blocks.length - 1),
    step: 0,
  }
}
useShortcuts({
  list: [
    ['← →', 'on the strip: the step before, the step after'],
    ['↑ ↓', 'harder or easier by 5 %'],
    ['+ −', 'longer or shorter'],
    ['Alt ← →', 'earlier or later in the session'],
    ['Delete', 'delete the step'],
    ['Ctrl Z', 'undo the last change'],
    ['Enter', 'in a field: save the outline'],
  ],
  // In a field the browser withdraws what was typed.
  act: { 'Ctrl+z': takeBack },
})

/** The range of any intensity, as the server has it. */
const intensity = computed(() => theMethods.value?.limits.find(({ id }) => id === 'intensity'))
const stepAt = (place: Place) => draft.blocks[place.block]!.steps[place.step]!
function change(what: () => Place | void) {
  remember()
  const to = what()
  if (to) selected.value = to
}

const block = computed(() => (selected.value ? draft.blocks[selected.value.block] : undefined))
const step = computed<StepDraft | undefined>(
  () => block.value?.steps[selected.value!.step] ?? block.value?.steps[0],
)
const messageAt = (field: string) =>
  selected.value
    ? (messages.value[`blocks[${selected.value.block}].steps[${selected.value.step}].${field}`] ??
      messages.value[`blocks[${selected.value.block}].${field}`])
    : undefined
const kinds = (Object.keys(STEP_KINDS) as StepKind[]).map((value) => ({
  value,
  name: STEP_KINDS[value].name,
}))
const levels = computed(() => [
  { value: 'none' as Level | 'none', name: 'None' },
  ...(theMethods.value?.scales ?? []).map((each) => ({
    value: each.name.toLowerCase() as Level,
    name: each.name,
  })),
])

/** What can be put in after the selected step. */
const ADDS: [string, () => ReturnType<typeof newBlock>][] = [
  ['Work', () => newBlock('1', newStep('work', '10', '40', '55'))],
  ['Easy', () => newBlock('1', newStep('easy', '3', '30', '40'))],
  [
    'Rounds',
    () => newBlock('6', newStep('work', '1', '60', '75'), newStep('easy', '2', '30', '40')),
  ],
  [
    'Bursts',
    () => newBlock('3', newStep('work', '2:40', '60', '75'), newStep('burst', '0:20', '75', '90')),
  ],
]
function add(make: () => ReturnType<typeof newBlock>) {
  change(() => {
    const at = (selected.value?.block ?? draft.blocks.length - 1) + 1
    draft.blocks.splice(at, 0, make())
    return { block: at, step: 0 }
  })
}
function fit() {
  change(() => {
    Object.assign(draft, draftOf(fitted.value!))
    return { block: 0, step: 0 }
  })
}

const savedNow = ref(false)
watch([name, note, () => JSON.stringify(draft)], () => (savedNow.value = false))
const { save, saving, theirs } = useSave(
  (over: number) => {
    const written = { name: name.value, note: note.value, outline: requestOf(draft) }
    return isNew.value ? addOutline(written) : changeOutline(props.outline, over, written)
  },
  {
    form,
    async saved(saved) {
      version.value = saved.version!
      if (isNew.value) await router.replace(`/studio/outlines/${saved.id}`)
      kept.done()
      await nextTick()
      savedNow.value = true
    },
  },
)
const stepsDiffer = computed(
  () =>
    theirs.value !== null &&
    JSON.stringify(requestOf(draftOf(theirs.value.outline))) !== JSON.stringify(requestOf(draft)),
)
function takeTheirs() {
  remember()
  shows(theirs.value!)
  theirs.value = null
}
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" />
  <div v-else-if="ready" class="stack">
    <p class="small"><RouterLink to="/studio">Studio</RouterLink> › session outlines</p>
    <h1>{{ name.trim() || 'New outline' }}</h1>

    <ConflictNote
      v-if="theirs"
      title="Somebody else changed this outline meanwhile"
      @mine="save(theirs.version!)"
      @theirs="takeTheirs"
    >
      <p>Nothing is lost: yours is in the editor. Theirs differs here:</p>
      <p v-if="theirs.name !== name">
        Name: <b>{{ theirs.name }}</b>
      </p>
      <p v-if="theirs.note !== note">When to use it: {{ theirs.note || 'nothing' }}</p>
      <template v-if="stepsDiffer">
        <p>
          Steps: <span class="num">{{ minutes(theirs.outline.workSeconds) }}</span> min of work
        </p>
        <OutlineStrip :blocks="theirs.outline.blocks" />
      </template>
    </ConflictNote>

    <form id="outline" class="sheet stack" novalidate @submit.prevent="save(version)">
      <div class="names">
        <TextField
          ref="nameField"
          v-model="name"
          label="Name"
          name="name"
          :message="messages.name"
        />
        <TextField v-model="note" label="When to use it" name="note" :message="messages.note" />
        <SelectField v-model="who" label="Worked out for" :options="people" filter />
      </div>

      <OutlineStrip
        v-model:selected="selected"
        :blocks="drawn"
        :broken="brokenAt"
        editable
        @grabbed="remember"
        @stretch="(place, to) => stretch(stepAt(place), to)"
        @harder="(place, by) => (remember(), harder(stepAt(place), by, intensity))"
        @reorder="(place, by) => change(() => reorder(draft, place, by))"
        @remove="(place) => draft.blocks.length > 1 && change(() => remove(draft, place))"
      />
      <div class="adds" role="group" aria-label="Insert after the selected step">
        <p v-if="worked" class="figures">
          <b class="num">{{ minutes(worked.workSeconds) }}</b> min of work in
          <b class="num">{{ minutes(worked.seconds) }}</b> · light
          <span class="num">{{ minutes(worked.lightSeconds) }}</span>, moderate
          <span class="num">{{ minutes(worked.moderateSeconds) }}</span>, vigorous
          <span class="num">{{ minutes(worked.vigorousSeconds) }}</span> ·
          <span class="num">{{ worked.easyPercent }}</span> % below vigorous
        </p>

        <span class="gap" />
        <div class="adds" role="group" aria-label="Insert after the selected step">
          <span class="quiet small">Put in</span>
          <Button
            v-for="[label, make] in ADDS"
            :key="label"
            :label="label"
            outlined
            size="small"
            @click="add(make)"
          />
        </div>
        <Button label="Undo" text :disabled="!taken" @click="takeBack" />
      </div>

      <div class="side-by-side">
        <fieldset v-if="step && block && selected" class="hand" @focusin="remember">
          <legend>{{ STEP_KINDS[step.kind].name }}</legend>
          <SelectField
            v-model="step.kind"
            label="Kind"
            :options="kinds"
            :message="messageAt('kind')"
          />
          <TextField
            v-model="step.length"
            label="Minutes"
            name="length"
            hint="12, or 2:40"
            :message="messageAt('seconds')"
          />
          <TextField
            v-model="block.times"
            label="Times"
            name="times"
            number
            hint="the whole block"
            :message="messageAt('times')"
          />
          <template v-if="STEP_KINDS[step.kind].ranged">
            <TextField
              v-model="step.low"
              label="From"
              name="low"
              number
              hint="% of reserve"
              :message="messageAt('lowPercent')"
            />
            <TextField
              v-model="step.high"
              label="to"
              name="high"
              number
              hint="% of reserve"
              :message="messageAt('highPercent')"
            />
          </template>
          <div class="ticks">
            <TickField
              v-if="step.kind === 'work'"
              v-model="step.waits"
              name="waits"
              label="Timer starts when the target is reached, or after 4 min"
            />
            <TickField
              v-if="Number(block.times) > 1"
              v-model="block.apart"
              name="apart"
              label="Spread over the day, hours apart"
            />
          </div>
          <div class="ways">
            <Button
              label="Earlier"
              outlined
              size="small"
              @click="change(() => reorder(draft, selected!, -1))"
            />
            <Button
              label="Later"
              outlined
              size="small"
              @click="change(() => reorder(draft, selected!, 1))"
            />
            <Button
              label="Delete"
              outlined
              size="small"
              :disabled="draft.blocks.length < 2"
              @click="change(() => remove(draft, selected!))"
            />
          </div>
        </fieldset>
        <ForecastSection
          :client="who === NOBODY ? null : who"
          :whose="who === NOBODY ? 'somebody' : whoseName"
          :outline="written"
          @mend="mend"
        />
      </div>

      <div class="goal">
        <SelectField
          v-model="draft.goalLevel"
          label="Goal: minutes at one level"
          :options="levels"
        />
        <TextField
          v-if="draft.goalLevel !== 'none'"
          v-model="draft.goalMinutes"
          label="Minutes"
          name="goalMinutes"
          number
          :message="messages['bandGoal.minutes']"
        />
      </div>

      <div v-if="rules.length" class="stack" aria-live="polite">
        <Findings :findings="rules" />
        <p v-if="fitted" class="fit">
          <Button label="Make it fit this client" outlined @click="fit" />
          <span class="quiet small"
            >Reduces what is too hard, and lengthens warm-up and cool-down as needed.</span
          >
        </p>
      </div>
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
      <AtHand>
        <Button
          type="submit"
          form="outline"
          :label="isNew ? 'Save to the library' : 'Save'"
          :loading="saving"
        />
        <p v-if="savedNow" role="status">Saved.</p>
        <p v-else class="quiet small">
          The library follows the general rules; a client's own limits apply when it is used.
        </p>
      </AtHand>
    </form>

    <section v-if="worked" class="sheet stack" aria-labelledby="steps-title">
      <h2 id="steps-title">Step by step</h2>
      <OutlineTable :outline="worked" :name="name.trim() || 'new outline'" />
      <PrincipleNote of="warm-up" />
    </section>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.names {
  display: grid;
  grid-template-columns: 1fr 1.4fr 1.1fr;
  gap: 14px;
}

.names :deep(input),
.names :deep(.p-select) {
  width: 100%;
}

.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.gap {
  flex: 1;
}

/* What is changed stands beside what comes of it. */
.side-by-side {
  display: grid;
  grid-template-columns: 19rem minmax(0, 1fr);
  gap: 14px 24px;
  align-items: start;
}

.hand {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
  align-items: start;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  margin: 0;
  padding: 8px 14px 12px;
  min-width: 0;
}

.hand :deep(input.p-inputtext),
.hand :deep(.p-select) {
  width: 100%;
}

legend {
  font-weight: 700;
  padding: 0 6px;
}

.hand .ways,
.ticks,
.hand > :first-of-type {
  grid-column: 1 / -1;
}

.goal {
  display: grid;
  grid-template-columns: 16rem 8rem;
  gap: 14px;
}

.fit {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}

@media (max-width: 900px) {
  .names {
    grid-template-columns: minmax(0, 1fr);
  }

  .side-by-side {
    grid-template-columns: minmax(0, 1fr);
  }

  .goal {
    grid-template-columns: minmax(0, 1fr) 8rem;
  }
}
</style>
