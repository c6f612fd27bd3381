<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { asProblem, Problem, type Finding } from '../api/http'
import {
  bands,
  prescriptions,
  previewPrescription,
  savePrescription,
  start as whereToStart,
  type Mode,
  type Prescription,
  type Start,
} from '../api/korvel'
import { useClient } from '../clients/useClient'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import Ruler from '../shared/Ruler.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import WhatMoves from '../shared/WhatMoves.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { useLoad } from '../shared/load'
import { theStudio } from '../shared/studio'
import { APPROACHES, day, effort, MODES, options, span } from '../shared/words'
import WeekBar from './WeekBar.vue'

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
})
const start = ref<Start | null>(null)
const problem = ref<Problem | null>(null)
const preview = ref<Prescription | null>(null)
const { messages, general, clear, show } = useFieldMessages()
const refused = ref<Finding[]>([])
const saved = useLoad(prescriptions)
const zones = useLoad(bands)
const cursor = ref<number>()

const request = computed(() => ({
  ...parts,
  lowPercent: typed(parts.lowPercent),
  highPercent: typed(parts.highPercent),
  minutes: typed(parts.minutes),
}))

let latestStart = 0
/** Asks where to start for a goal, at first the one named at intake, and lays the answer out in the form. */
async function propose(approach: string | null, goal: string | null = parts.goal) {
  const asked = ++latestStart
  try {
    const answer = await whereToStart(id.value, goal, approach, parts.mode)
    if (asked !== latestStart) return
    start.value = answer
    problem.value = null
    const proposed = answer.parts
    Object.assign(parts, {
      goal: proposed.goal,
      approach: proposed.approach,
      lowPercent: String(proposed.lowPercent),
      highPercent: String(proposed.highPercent),
      minutes: String(proposed.minutes),
      days: proposed.days,
      type: proposed.type,
    })
  } catch (thrown) {
    problem.value = asProblem(thrown)
  }
}

/** A band of a school that was picked elsewhere: its percents of reserve come in the address. */
function takeFromAddress() {
  const { low, high } = route.query
  if (!start.value || typeof low !== 'string' || typeof high !== 'string') return
  Object.assign(parts, { lowPercent: low, highPercent: high })
  void router.replace({ query: {} })
}

const justSaved = ref<number | null>(null)
let latest = 0
async function workOut() {
  const mine = ++latest
  try {
    const answer = await previewPrescription(id.value, request.value)
    if (mine !== latest) return
    preview.value = answer
    refused.value = []
    clear()
  } catch (thrown) {
    if (mine !== latest) return
    const failure = asProblem(thrown)
    refused.value = failure.findings
    show(failure)
    if (failure.findings.length) preview.value = null
  }
}

watch(
  [id, () => overview.value?.client.version],
  async () => {
    void saved.load(id.value)
    if (String(route.query.mode ?? '') in MODES) parts.mode = route.query.mode as Mode
    await propose(null, null)
    takeFromAddress()
  },
  { immediate: true },
)
// What was saved may stand otherwise after a change anywhere in the client's records.
watch(overview, () => void saved.load(id.value))
watch(request, () => {
  justSaved.value = null
  if (start.value) void workOut()
})
watch([id, () => parts.mode], () => zones.load(id.value, '', parts.mode), {
  immediate: true,
})

const saving = ref(false)
async function save() {
  if (saving.value) return
  saving.value = true
  try {
    const answer = await savePrescription(id.value, request.value)
    justSaved.value = answer.version
    clear()
    await Promise.all([saved.load(id.value), refresh()])
  } catch (thrown) {
    const failure = asProblem(thrown)
    refused.value = failure.findings
    show(failure)
  } finally {
    saving.value = false
  }
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

const HAS_CARD = ['issued', 'rate-suspended']
const STANDINGS = {
  issued: '',
  'rate-suspended': 'rates suspended',
  suspended: 'suspended',
  draft: 'draft',
}
/** Why the present version does not hold, or not whole. */
const standing = computed(() => saved.data.value?.versions[0]?.standing.findings ?? [])

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
/** The target worked out on the desk, long hand. */
const onDesk = computed(() => ({
  path: '/desk/target',
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
      />
    </section>

    <div class="columns">
      <form
        class="sheet stack"
        novalidate
        aria-label="Parts of the prescription"
        @submit.prevent="save"
      >
        <fieldset class="goals">
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
                >towards <span class="num">{{ goal.lowPercent }}–{{ goal.highPercent }}</span> % of
                reserve</small
              ></span
            >
          </label>
        </fieldset>

        <p v-if="messages.goal" class="fault" role="alert">{{ messages.goal }}</p>

        <ChoiceField
          v-if="start.offersApproach"
          :model-value="parts.approach"
          label="How to start someone new"
          :options="options(APPROACHES)"
          @update:model-value="propose"
        />

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
          label="Days a week"
          :options="DAYS"
          :message="messages.days"
        />
        <div class="pair two">
          <SelectField
            v-model="parts.type"
            label="Type"
            :options="types"
            :hint="typeHow"
            :message="messages.type"
          />
          <SelectField
            v-model="parts.mode"
            label="What they do"
            :options="options(MODES)"
            hint="Each mode has a maximum of its own."
            :message="messages.mode"
          />
        </div>
      </form>

      <section class="sheet stack result" :class="{ behind: faulty }" aria-label="What follows">
        <template v-if="preview">
          <div class="headline">
            <div v-if="preview.target">
              <p class="target num">{{ preview.target.lowBpm }}–{{ preview.target.highBpm }}</p>
              <p class="quiet small">
                <RouterLink :to="onDesk">bpm, long hand</RouterLink> ·
                <span class="num">{{ span(preview.target.counts['10']) }}</span> in 10 s ·
                <span class="num">{{ span(preview.target.counts['15']) }}</span> in 15 s
              </p>
            </div>
            <div v-else>
              <p class="target words">by effort and talk</p>
            </div>
            <div class="feel">
              <p v-for="feel in preview.feel" :key="feel.level">
                <LevelStrokes :level="feel.level" /> <b>{{ feel.name }}</b> {{ feel.voice }}
              </p>
              <p class="quiet small">
                effort <span class="num">{{ effort(preview.rpe20, 6) }}</span> of 20 ·
                <span class="num">{{ effort(preview.rpe10, 0) }}</span> of 10 ·
                {{ preview.steeringWords.toLowerCase() }}
              </p>
            </div>
          </div>
          <ol class="session" aria-label="A session">
            <li :style="{ flexGrow: preview.warmUp.minutes }">
              <b class="num">{{ preview.warmUp.minutes }}</b> warm-up
              <small v-if="preview.warmUp.highBpm" class="num quiet"
                >{{ preview.warmUp.lowBpm }}–{{ preview.warmUp.highBpm }}</small
              >
            </li>
            <li
              class="work"
              :style="{
                flexGrow: preview.parts.minutes,
                background: `var(--band-${preview.feel.at(-1)?.level})`,
                color: `var(--on-band-${preview.feel.at(-1)?.level})`,
              }"
            >
              <b class="num">{{ preview.parts.minutes }}</b>
              {{ preview.parts.typeName.toLowerCase() }}
            </li>
            <li :style="{ flexGrow: preview.coolDown.minutes }">
              <b class="num">{{ preview.coolDown.minutes }}</b> cool-down
              <small v-if="preview.coolDown.highBpm" class="num quiet"
                >to &lt; {{ preview.coolDown.highBpm }}</small
              >
            </li>
          </ol>
          <p class="quiet small">
            <MethodLink to="threshold-warm-up" class="num">{{ preview.sessionMinutes }}</MethodLink>
            min in all,
            <span class="num">{{ preview.parts.days }}</span> days a week<template v-if="goalNow"
              >; grows towards
              <span class="num">{{ goalNow.lowPercent }}–{{ goalNow.highPercent }}</span> % of
              reserve</template
            >.
          </p>
          <WeekBar :week="preview.week" />
          <ul v-if="onThem.length" class="on-them">
            <li v-for="[name, what] in onThem" :key="name">
              <b>{{ name }}:</b> {{ what }}
            </li>
          </ul>
          <Findings :findings="cautions" />
        </template>
        <p v-if="general" class="general" role="alert">{{ general }}</p>

        <div class="save">
          <Button
            :label="
              start.mayIssue
                ? `Save as version ${(saved.data.value?.versions[0]?.version ?? 0) + 1}`
                : 'Save as a draft'
            "
            :disabled="faulty || !preview"
            :loading="saving"
            @click="save"
          />
          <p v-if="faulty" class="fault" role="status">Mend the marked part first.</p>
          <p v-else-if="justSaved" role="status">
            Version <span class="num">{{ justSaved }}</span> is saved<template
              v-if="!start.mayIssue"
            >
              as a draft</template
            >.
            <RouterLink v-if="start.mayIssue" :to="`/clients/${id}/card/${justSaved}`"
              >Open the card</RouterLink
            >
          </p>
          <p v-else-if="!start.mayIssue" class="small">
            It cannot be issued yet. {{ blocks[0]?.message }}
          </p>
        </div>
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
        <h2>How it came about</h2>
        <Findings :findings="notes" />
      </section>
      <section class="sheet stack">
        <h2>Saved versions</h2>
        <Findings :findings="standing" />
        <ul v-if="saved.data.value?.versions.length" class="versions">
          <li v-for="version in saved.data.value.versions" :key="version.id">
            <b class="num">{{ version.version }}</b>
            <span>
              {{ day(version.prescription.date, theStudio?.today) }} ·
              {{ version.prescription.parts.goalName }} ·
              <span class="num"
                >{{ version.prescription.parts.lowPercent }}–{{
                  version.prescription.parts.highPercent
                }}</span
              >
              %, <span class="num">{{ version.prescription.parts.minutes }}</span> min ×
              <span class="num">{{ version.prescription.parts.days }}</span>
            </span>
            <RouterLink
              v-if="HAS_CARD.includes(version.standing.state)"
              :to="`/clients/${id}/card/${version.version}`"
              >Card</RouterLink
            >
            <span v-if="version.standing.state !== 'issued'" :class="version.standing.state">{{
              STANDINGS[version.standing.state]
            }}</span>
          </li>
        </ul>
        <p v-else class="quiet">None yet. Save the one above and its card can be printed.</p>
      </section>
    </div>
  </div>
  <p v-else class="quiet" role="status">Working out where to start…</p>
</template>

<style scoped>
.review {
  border-left: 4px solid var(--ochre);
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.08fr);
  gap: 16px;
  align-items: start;
}

fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}

legend {
  font-weight: 650;
  font-size: 0.92rem;
  padding: 0;
  margin-bottom: 6px;
}

.goals {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}

.goals legend {
  grid-column: 1 / -1;
}

.goals label {
  display: flex;
  gap: 10px;
  align-items: center;
  border: 1px solid var(--line);
  border-radius: 7px;
  padding: 8px 11px;
  min-height: 56px;
  cursor: pointer;
}

.goals label.on {
  border-color: var(--teal);
  background: var(--teal-wash);
}

.goals label:focus-within {
  outline: 3px solid var(--teal);
  outline-offset: 1px;
}

.goals input {
  accent-color: var(--teal);
  width: 18px;
  height: 18px;
  outline: none;
  flex: none;
}

.goals span {
  display: block;
  line-height: 1.25;
}

.goals label > span > small {
  display: block;
  font-size: 0.8rem;
}

.goals small .num {
  display: inline;
}

.pair {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 14px;
}

.pair.two {
  grid-template-columns: repeat(2, minmax(0, 1fr));
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
.behind .session {
  opacity: 0.45;
}

.session {
  display: flex;
  gap: 3px;
}

.session li {
  flex: 1 1 5.6rem;
  min-width: 5.6rem;
  background: var(--ground-2);
  border-radius: 5px;
  padding: 8px 10px;
  font-size: 0.88rem;
  line-height: 1.3;
}

.session small {
  display: block;
}

.on-them {
  display: grid;
  gap: 3px;
  font-size: 0.92rem;
}

.suspended,
.rate-suspended {
  color: var(--wine);
  font-weight: 650;
}

.draft {
  color: var(--ink-quiet);
}

.save {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}

.save p {
  flex: 1;
}

.fault,
.general {
  color: var(--wine);
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

.versions li {
  display: grid;
  grid-template-columns: 2rem 1fr auto;
  gap: 8px;
  padding: 7px 0;
  border-top: 1px solid var(--line);
  font-size: 0.94rem;
}

@media (max-width: 980px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 640px) {
  .goals,
  .pair.two,
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
