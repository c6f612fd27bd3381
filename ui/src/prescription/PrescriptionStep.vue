<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import {
  bands,
  prescriptions,
  previewPrescription,
  savePrescription,
  start as whereToStart,
  type Mode,
  type Remedy,
  type Start,
} from '../api/korvel'
import { useClient } from '../clients/useClient'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import Ruler from '../shared/ruler/Ruler.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import PrincipleNote from '../shared/PrincipleNote.vue'
import WhatMoves from '../shared/WhatMoves.vue'
import { useDraft } from '../shared/draft'
import { typed, useFieldMessages } from '../shared/fields'
import { theStudio } from '../shared/studio'
import ForecastSection from '../forecast/ForecastSection.vue'
import { draftOf, requestOf } from '../outline/outlineDraft'
import OutlineStrip from '../outline/OutlineStrip.vue'
import OutlineTable from '../outline/OutlineTable.vue'
import {
  APPROACHES,
  effort,
  figureSpan,
  minutes,
  MODES,
  span,
  oneOf,
  within,
} from '../shared/words'
import ExerciseField from './ExerciseField.vue'
import SavedVersions from './SavedVersions.vue'
import VersionCompare from './VersionCompare.vue'
import WeekBar from './WeekBar.vue'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'
import { useAnswer, useAnswerTo } from '../shared/answer'
import AtHand from '../shared/AtHand.vue'
import ConflictNote from '../shared/ConflictNote.vue'

/** Pick a goal, see where to start and why, change any part, see what follows, save it. */
const { id, overview, refresh } = useClient()
const route = useRoute()
const router = useRouter()

const parts = reactive({
  goal: 'general-fitness',
  approach: 'guideline',
  lowPercent: '',
  highPercent: '',
  minutes: '',
  days: 3,
  type: 'steady',
  mode: 'run' as Mode,
  exercise: null as string | null,
})
const { data: start, problem, load: findStart } = useAnswer(whereToStart)
const form = useFieldMessages()
const { messages, general } = form
const saved = useAnswer(prescriptions)
const zones = useAnswer(bands)
const cursor = ref<number>()

const request = computed(() => ({
  ...parts,
  lowPercent: typed(parts.lowPercent),
  highPercent: typed(parts.highPercent),
  minutes: typed(parts.minutes),
}))

/** Parts as they stand in the form. */
const partsOf = (proposed: Start['parts']) => ({
  goal: proposed.goal,
  approach: proposed.approach,
  lowPercent: String(proposed.lowPercent),
  highPercent: String(proposed.highPercent),
  minutes: String(proposed.minutes),
  days: proposed.days,
  type: proposed.type,
})

/** Asks where to start for a goal, at first the one named at intake, and lays the answer out in the form. */
async function propose(approach: string | null, goal: string | null = parts.goal) {
  const found = await findStart(id.value, goal, approach, parts.mode)
  if (found) Object.assign(parts, partsOf(start.value!.parts))
}

/** A band of a zone system that was picked elsewhere: its percents of reserve come in the address. */
function takeFromAddress(): boolean {
  const { low, high } = route.query
  if (!start.value || typeof low !== 'string' || typeof high !== 'string') return false
  Object.assign(parts, { lowPercent: low, highPercent: high })
  void router.replace({ query: {} })
  return true
}
const draft = useDraft(
  () => `prescription ${id.value}`,
  () => ({ ...parts }),
  (kept) => Object.assign(parts, kept),
)

const justSaved = ref<number | null>(null)
const stepInHand = ref<{ block: number; step: number } | null>(null)
const { answer: worked, refused } = useAnswerTo(
  () => (start.value ? { client: id.value, asked: request.value } : null),
  ({ client, asked }) => previewPrescription(client, asked),
  { form },
)
const preview = computed(() => worked.value?.prescription ?? null)

// What the session would do to this heart, and what may not be meant.
const outline = computed(() => (worked.value ? requestOf(draftOf(worked.value.outline)) : null))
/** A prescribed session is laid out by its type: another length makes it an outline of its own. */
function openMended({ block, step, kind, seconds }: Remedy) {
  const mended = draftOf(worked.value!.outline)
  Object.assign(mended.blocks[block]!.steps[step]!, { kind, length: minutes(seconds) })
  void router.push({
    path: '/studio/outlines/new',
    query: { for: id.value },
    state: { outline: JSON.stringify(mended) },
  })
}

watch(
  [id, () => overview.value?.client.version],
  async () => {
    void saved.load(id.value)
    parts.mode = oneOf(MODES, route.query.mode) ?? parts.mode
    await propose(null, null)
    if (takeFromAddress()) draft.done()
    else draft.begin()
  },
  { immediate: true },
)
// What was saved may stand otherwise after a change anywhere in the client's records.
watch(overview, () => void saved.load(id.value))
watch(request, () => (justSaved.value = null))
watch([id, () => parts.mode], () => zones.load(id.value, '', parts.mode), {
  immediate: true,
})

const latestVersion = computed(() => saved.data.value?.versions[0]?.version ?? 0)
/** Saves it after the version that was last seen; theirs is another one saved meanwhile. */
const {
  save: write,
  saving,
  theirs,
} = useSave(() => savePrescription(id.value, latestVersion.value, request.value), {
  form,
  async saved({ version }) {
    justSaved.value = version
    draft.done()
    await Promise.all([saved.load(id.value), refresh()])
    document.querySelector<HTMLElement>('[data-card]')?.focus()
  },
  async conflict() {
    await saved.load(id.value)
    return saved.data.value?.versions[0] ?? null
  },
  wrong: ({ findings }) => (refused.value = findings),
})
const save = async () => preview.value && !faulty.value && write()
function takeTheirs() {
  const parts_ = theirs.value!.prescription.parts
  Object.assign(parts, {
    ...partsOf(parts_),
    mode: parts_.mode,
    exercise: parts_.exercise,
  })
  theirs.value = null
}

/** The bracket on the ruler: what is typed, as far as it can be drawn. */
const bracket = computed(() => {
  const low = typed(parts.lowPercent)
  const high = typed(parts.highPercent)
  if (!start.value) return null
  const { lowestPercent: least, highestPercent: most } = start.value
  return typeof low === 'number' && typeof high === 'number' && low <= high && low >= 0
    ? { low, high: Math.min(high, 100), least, most }
    : null
})
function dragged(edge: 'low' | 'high', percent: number) {
  if (edge === 'low') parts.lowPercent = String(percent)
  else parts.highPercent = String(percent)
}

/** What goes with it for this client, a line each. */
const onThem = computed(() => {
  const made = preview.value
  if (!made) return []
  const lines: [string, string][] = [
    ['Supervised', made.supervised ? 'at the start at least' : ''],
    ['Carry', made.carry.join('; ')],
    ['Leave out', made.leaveOut.join('; ')],
    ['Stop also for', made.stopAlso.join('; ')],
  ]
  return lines.filter(([, what]) => what)
})

/** The latest version, and what has moved since it was made. */
const current = computed(() => saved.data.value?.versions[0])
const change = computed(() =>
  current.value?.standing.state === 'issued' ? (saved.data.value?.change ?? null) : null,
)

const GOALS = computed(() => start.value?.goals ?? [])
const DAYS = [1, 2, 3, 4, 5, 6, 7].map((value) => ({ value, name: String(value) }))
const types = computed(() =>
  (start.value?.types ?? []).map(({ type, name }) => ({ value: type as string, name })),
)
const typeHow = computed(
  () => start.value?.types.find((type) => type.type === parts.type)?.how ?? '',
)
const goalNow = computed(() => GOALS.value.find((goal) => goal.goal === parts.goal))
const cautions = computed(() =>
  (preview.value?.findings ?? []).filter((finding) => finding.severity !== 'info'),
)
const blocks = computed(() => cautions.value.filter((finding) => finding.severity === 'block'))
const notes = computed(() => [
  ...(start.value?.findings ?? []),
  ...(preview.value?.findings ?? []).filter((finding) => finding.severity === 'info'),
])
const faulty = computed(() => Object.keys(messages.value).length > 0)
/** The working of the target, among the calculators. */
const inCalculators = computed(() => ({
  path: '/calculators/target',
  query: {
    rest: preview.value?.basis?.restingBpm,
    max: preview.value?.basis?.maximumBpm,
    basis: 'reserve',
    low: preview.value?.parts.lowPercent,
    high: preview.value?.parts.highPercent,
    cap: preview.value?.cap?.bpm,
  },
}))
const ceiling = computed(() => zones.data.value?.ceilingBpm ?? null)

useShortcuts({
  list: [
    ['← → Shift', 'on an end of the bracket: move that edge by 1 %, by 5 %'],
    ['Enter', 'in a field: save'],
  ],
})
useShortcuts({
  list: [['Ctrl Enter', 'save']],
  act: { 'Ctrl+enter': save },
  inFields: true,
})
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="propose(null)" />
  <section
    v-else-if="refused.some((finding) => finding.code === 'resting-missing')"
    class="sheet stack"
  >
    <h2>Nothing to start from yet</h2>
    <Findings :findings="refused" />
    <div>
      <Button label="Count a pulse" @click="router.push(`/clients/${id}/pulse`)" />
    </div>
  </section>
  <div v-else-if="start" class="stack">
    <section v-if="change" class="sheet stack review" aria-labelledby="review-title">
      <h2 id="review-title">Values have changed since version {{ current?.version }}</h2>
      <Findings v-if="change.review" :findings="[change.review]" />
      <p v-else class="quiet">Its target would move by under 3 bpm: nothing to do yet.</p>
      <WhatMoves
        :before="change.before"
        :after="change.after"
        :aim="change"
        :cap-bpm="overview?.capBpm ?? null"
        :labels="[`Version ${current?.version}`, 'Today']"
      />
    </section>

    <section v-if="zones.data.value?.zones" class="sheet">
      <Ruler
        v-model:cursor="cursor"
        :rows="[
          {
            zones: zones.data.value.zones,
            target: preview?.target ?? null,
            ceilingBpm: ceiling,
          },
        ]"
        :bracket="bracket"
        @bracket="dragged"
      />
    </section>

    <div class="columns">
      <div class="stack left">
        <form
          id="parts"
          class="sheet stack"
          novalidate
          aria-label="Intensity, time, frequency and type"
          @submit.prevent="save"
        >
          <fieldset class="cards goals">
            <legend>Goal</legend>
            <label v-for="goal in GOALS" :key="goal.goal" :class="{ on: parts.goal === goal.goal }">
              <input
                v-model="parts.goal"
                type="radio"
                name="goal"
                :value="goal.goal"
                @change="propose(null)"
              />
              <span
                ><b>{{ goal.name }}</b
                ><small class="quiet"
                  >towards <span class="num">{{ goal.lowPercent }}–{{ goal.highPercent }}</span> %
                  of reserve</small
                ></span
              >
            </label>
          </fieldset>

          <p v-if="messages.goal" class="fault" role="alert">{{ messages.goal }}</p>

          <fieldset v-if="start.offersApproach" class="cards schools">
            <legend>How to start someone new</legend>
            <label
              v-for="school in start.schools"
              :key="school.approach"
              :class="{ on: parts.approach === school.approach }"
            >
              <input
                type="radio"
                name="approach"
                :value="school.approach"
                :checked="parts.approach === school.approach"
                @change="propose(school.approach)"
              />
              <span
                ><b
                  >{{ APPROACHES[school.approach] }},
                  <span class="num">{{ school.lowPercent }}–{{ school.highPercent }}</span> %</b
                ><small v-if="school.usual" class="quiet">usual for this client</small
                ><small class="quiet">{{ school.finding.because }}</small></span
              >
            </label>
          </fieldset>

          <div class="pair">
            <TextField
              v-model="parts.lowPercent"
              label="Intensity from"
              name="lowPercent"
              number
              hint="% of reserve"
              :message="messages.lowPercent"
            />
            <TextField
              v-model="parts.highPercent"
              label="to"
              name="highPercent"
              number
              :hint="`up to ${start.highestPercent} %`"
              :message="messages.highPercent"
            />
            <TextField
              v-model="parts.minutes"
              label="Minutes of work"
              name="minutes"
              number
              hint="a session"
              :message="messages.minutes"
            />
          </div>
          <ChoiceField
            v-model="parts.days"
            label="Days per week"
            :options="DAYS"
            :message="messages.days"
          />
          <PrincipleNote of="frequency" />
          <SelectField
            v-model="parts.type"
            label="Type"
            :options="types"
            :hint="typeHow"
            :message="messages.type"
          />
          <ExerciseField
            v-model:mode="parts.mode"
            v-model:exercise="parts.exercise"
            :exercises="start.exercises"
            :messages="messages"
          />
        </form>

        <ForecastSection
          v-if="outline"
          class="sheet ahead"
          :client="id"
          :whose="overview?.client.name ?? 'this client'"
          :mode="parts.mode"
          :outline="outline"
          :behind="faulty"
          does="Open as an outline,"
          @mend="openMended"
        />
      </div>

      <section class="sheet stack result" :class="{ behind: faulty }" aria-label="Result">
        <template v-if="preview">
          <div class="headline">
            <div v-if="preview.target">
              <p class="target num">{{ preview.target.lowBpm }}–{{ preview.target.highBpm }}</p>
              <p class="quiet small">
                <RouterLink :to="inCalculators">bpm: show the working</RouterLink> ·
                <span class="num">{{ span(preview.target.counts['10']) }}</span> in 10 s ·
                <span class="num">{{ span(preview.target.counts['15']) }}</span> in 15 s
              </p>
            </div>
            <div v-else>
              <p class="target words">by RPE and talk</p>
            </div>
            <div class="feel">
              <p v-for="feel in preview.feel" :key="feel.level">
                <LevelStrokes :level="feel.level" /> <b>{{ feel.name }}</b> {{ feel.voice }}
              </p>
              <p class="quiet small">
                RPE <span class="num">{{ effort(preview.rpe20, 6) }}</span> (6–20) ·
                <span class="num">{{ effort(preview.rpe10, 0) }}</span> (0–10) ·
                {{ within(preview.steeringWords) }}
              </p>
            </div>
          </div>
          <OutlineStrip v-model:selected="stepInHand" :blocks="worked!.outline.blocks" />
          <p class="quiet small">
            <MethodLink to="threshold-warm-up" class="num">{{ preview.sessionMinutes }}</MethodLink>
            min in all,
            <span class="num">{{ preview.parts.days }}</span> days a week<template v-if="goalNow"
              >; grows towards
              <span class="num">{{ goalNow.lowPercent }}–{{ goalNow.highPercent }}</span> % of
              reserve</template
            >.
          </p>
          <details class="steps">
            <summary>Every step in bpm, counts, RPE and voice</summary>
            <OutlineTable :outline="worked!.outline" name="a session" />
          </details>
          <PrincipleNote of="warm-up" />
          <p v-if="preview.otherDays" class="others">
            <b
              >On <span class="num">{{ preview.otherDays.days }}</span> of the
              {{ preview.parts.days }} days easier:</b
            >&#32;<span class="num"
              >{{ preview.otherDays.lowPercent }}–{{ preview.otherDays.highPercent }}</span
            >
            % of reserve<template v-if="preview.otherDays.target"
              >,
              <span class="num">{{
                figureSpan(preview.otherDays.target.lowBpm, preview.otherDays.target.highBpm)
              }}</span>
              bpm</template
            >, RPE <span class="num">{{ effort(preview.otherDays.rpe20, 6) }}</span> (6–20).
          </p>
          <WeekBar :week="preview.week" />
          <PrincipleNote of="overload" />
          <ul v-if="onThem.length" class="on-them">
            <li v-for="[name, what] in onThem" :key="name">
              <b>{{ name }}:</b> {{ what }}
            </li>
          </ul>
          <Findings :findings="cautions" />
        </template>
        <p v-if="general" class="general" role="alert">{{ general }}</p>

        <ConflictNote
          v-if="theirs"
          :title="`Version ${theirs.version} was saved meanwhile, by somebody else`"
          :mine="`Save mine as version ${theirs.version + 1}`"
          @mine="save"
          @theirs="takeTheirs"
        >
          <p>Nothing is lost: theirs is saved, yours is still in the form.</p>
          <VersionCompare
            :one="theirs.prescription"
            :other="preview!"
            :labels="[`Theirs, version ${theirs.version}`, 'Yours, not saved']"
          />
        </ConflictNote>
        <AtHand v-else>
          <Button
            :label="start.mayIssue ? `Save as version ${latestVersion + 1}` : 'Save as a draft'"
            type="submit"
            form="parts"
            :disabled="faulty || !preview"
            :loading="saving"
          />
          <p v-if="faulty" class="fault" role="status">Correct the highlighted field first.</p>
          <p v-else-if="justSaved" role="status">
            Version <span class="num">{{ justSaved }}</span> is saved<template
              v-if="!start.mayIssue"
            >
              as a draft</template
            >.
            <RouterLink v-if="start.mayIssue" :to="`/clients/${id}/card/${justSaved}`" data-card
              >Open the card</RouterLink
            >
          </p>
          <p v-else-if="!start.mayIssue" class="small">
            It cannot be issued yet. {{ blocks[0]?.message }}
          </p>
        </AtHand>
        <div class="stop">
          <p>
            <b>Stop at once for:</b>
            {{ theStudio?.stopSigns.join('; ') }}.
          </p>
          <p>{{ theStudio?.stopAction }}</p>
        </div>
        <p class="quiet small">{{ theStudio?.notice }}</p>
      </section>
    </div>

    <div class="columns">
      <section v-if="notes.length" class="sheet stack">
        <h2>Why this prescription</h2>
        <Findings :findings="notes" />
      </section>
      <SavedVersions v-if="saved.data.value" :id="id" :saved="saved.data.value" />
    </div>
  </div>
  <p v-else class="quiet" role="status">Calculating a starting point…</p>
</template>

<style scoped>
.review {
  border-left: 4px solid var(--ochre);
}

.columns {
  --columns: minmax(0, 1fr) minmax(0, 1.08fr);
}

/* One under the other, what it comes to stands before what it would do. */
@media (max-width: 980px) {
  .left {
    display: contents;
  }

  .ahead {
    order: 1;
  }
}

legend {
  font-weight: 650;
  font-size: 0.92rem;
  padding: 0;
  margin-bottom: 6px;
}

.cards {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}

.cards legend {
  grid-column: 1 / -1;
}

.cards label {
  display: flex;
  gap: 10px;
  align-items: center;
  border: 1px solid var(--line);
  border-radius: 7px;
  padding: 8px 11px;
  min-height: 56px;
  cursor: pointer;
}

.cards label.on {
  border-color: var(--teal);
  background: var(--teal-wash);
}

.cards label:focus-within {
  outline: 3px solid var(--teal);
  outline-offset: 1px;
}

.cards input {
  width: 18px;
  height: 18px;
  outline: none;
  flex: none;
}

.cards label > span {
  display: block;
  line-height: 1.25;
}

.cards label > span > small {
  display: block;
  font-size: 0.8rem;
}

.pair {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 14px;
}

.pair :deep(input) {
  width: 100%;
}

.headline {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 24px;
  align-items: center;
}

.target {
  font-family: var(--text);
  font-size: 2.9rem;
  font-weight: 750;
  line-height: 1.05;
  color: var(--teal-deep);
  white-space: nowrap;
}

.target.words {
  font-size: 1.5rem;
}

.feel {
  display: grid;
  gap: 3px;
}

.behind .headline,
.behind .strip {
  opacity: 0.45;
}

.steps summary {
  cursor: pointer;
  min-height: var(--touch);
  display: flex;
  align-items: center;
  color: var(--teal-deep);
  text-decoration: underline;
  text-underline-offset: 3px;
}

.schools label {
  align-items: flex-start;
}

.on-them {
  display: grid;
  gap: 3px;
  font-size: 0.92rem;
}

.fault,
.general {
  color: var(--fault);
  font-weight: 600;
}

.stop {
  border-left: 4px solid var(--wine);
  background: var(--wine-wash);
  border-radius: 0 6px 6px 0;
  padding: 9px 13px;
  font-size: 0.88rem;
  display: grid;
  gap: 4px;
}

@media (max-width: 640px) {
  .cards,
  .headline {
    grid-template-columns: minmax(0, 1fr);
  }

  .headline {
    gap: 12px;
  }

  .pair {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
