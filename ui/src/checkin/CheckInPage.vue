<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import {
  checkInSheet,
  judgeCheckIn,
  keepCheckIn,
  withdraw,
  type CheckInFound,
  type CheckInSheet,
  type Verdict,
} from '../api/korvel'
import { useClient } from '../clients/useClient'
import CountClock from '../pulse/CountClock.vue'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import AtHand from '../shared/AtHand.vue'
import WeightField from '../shared/WeightField.vue'
import { regional, weightText } from '../shared/units'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import TickList from '../shared/TickList.vue'
import { useDraft } from '../shared/draft'
import { typed, useFieldMessages } from '../shared/fields'
import { useAnswer, useAnswerTo } from '../shared/answer'
import { theStudio } from '../shared/studio'
import { day, options, OUTCOMES, POSTURES, SOURCES } from '../shared/words'
import UsualPicture from './UsualPicture.vue'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'

/** May they train today: the pulse now, how they feel, what their context asks, and the answer. */
const { id, overview, refresh } = useClient()
const router = useRouter()
const sheet = useAnswer(checkInSheet)

type ToldWord = NonNullable<CheckInFound['told']>[number]
type SymptomWord = NonNullable<CheckInFound['symptoms']>[number]

const WINDOWS = [
  { value: 0, name: 'bpm' },
  { value: 15, name: '15 s' },
  { value: 30, name: '30 s' },
  { value: 60, name: '60 s' },
]
const RHYTHMS = [
  { value: 'steady', name: 'Steady' },
  { value: 'uneven', name: 'Uneven' },
]
const KETONES = [
  { value: 'none', name: 'None' },
  { value: 'present', name: 'Present' },
  { value: 'not-measured', name: 'Not measured' },
]
const UNITS = [
  { value: 'mmol-l', name: 'mmol/L' },
  { value: 'mg-dl', name: 'mg/dL' },
]
const blank = () => ({
  window: 0,
  pulse: '',
  recount: '',
  rhythm: 'steady',
  posture: (sheet.data.value?.posture ?? 'seated') as CheckInSheet['posture'],
  source: (sheet.data.value?.source ?? 'count') as CheckInSheet['source'],
  settled: true,
  systolic: '',
  diastolic: '',
  glucose: '',
  glucoseUnit: regional.value.glucose,
  ketones: null as CheckInFound['ketones'] | null,
  weightKg: '',
  symptoms: [] as SymptomWord[],
  told: [] as ToldWord[],
})
const entry = reactive(blank())
/** Whether the pulse was taken in another way than the usual value. */
const otherwise = ref(false)
/** Whether another check-in is made although one is kept today. */
const again = ref(false)
const own = reactive({ outcome: 'light-only', reason: '', on: false })

const draft = useDraft(
  () => `check-in ${id.value}`,
  () => ({ ...entry }),
  (kept) => Object.assign(entry, kept),
)
const keptHeading = ref<HTMLElement | null>(null)
const pulseField = ref<InstanceType<typeof TextField> | null>(null)
const recountField = ref<InstanceType<typeof TextField> | null>(null)
async function toPulse() {
  await nextTick()
  pulseField.value?.focus()
}

watch(
  id,
  async () => {
    own.on = false
    again.value = false
    otherwise.value = false
    await sheet.load(id.value)
    Object.assign(entry, blank())
    draft.begin()
    if (!sheet.data.value?.today) await toPulse()
  },
  { immediate: true },
)

const asUsual = computed(
  () => entry.posture === sheet.data.value?.posture && entry.source === sheet.data.value?.source,
)

const asks = (measure: string) =>
  sheet.data.value?.ask.some((each) => each === measure) || more.value
/** Asked where the glucose is high enough for it to matter. */
const asksKetones = computed(() =>
  verdict.value?.findings.some((each) => each.code.startsWith('ketones')),
)
/** Shows every measure, whatever the context asks. */
const more = ref(false)

const found = computed(() => {
  const again = entry.recount.trim() !== ''
  const counted = entry.window > 0 && !again
  return {
    pulseBpm: counted ? null : typed(again ? entry.recount : entry.pulse),
    beats: counted ? typed(entry.pulse) : null,
    windowSeconds: counted ? entry.window : null,
    posture: entry.posture,
    source: entry.source,
    // A second count comes after they have sat for five minutes.
    settled: entry.settled || again,
    recounted: again,
    rhythm: entry.rhythm,
    systolic: typed(entry.systolic),
    diastolic: typed(entry.diastolic),
    glucose: typed(entry.glucose),
    glucoseUnit: entry.glucose.trim() ? entry.glucoseUnit : null,
    ketones: entry.glucose.trim() ? entry.ketones : null,
    weightKg: typed(entry.weightKg),
    symptoms: entry.symptoms,
    told: entry.told,
  }
})

const form = useFieldMessages()
const { messages, general } = form
const { answer: verdict, settled } = useAnswerTo(
  () => (entry.pulse.trim() ? found.value : null),
  (asked) => judgeCheckIn(id.value, asked),
  { form, stands: false },
)
// A first value that is no longer odd, or another one, needs its own recount.
watch(
  () => entry.pulse,
  () => (entry.recount = ''),
)
const recounting = computed(
  () => entry.recount.trim() !== '' || (verdict.value?.recount && !postureFirst.value),
)
/** It was taken in another posture than what is usual: counting that again would tell nothing. */
const postureFirst = computed(() =>
  verdict.value?.findings.some((each) => each.code === 'usual-posture-first'),
)
async function asUsually() {
  entry.posture = sheet.data.value!.posture
  entry.source = sheet.data.value!.source
  entry.pulse = ''
  otherwise.value = false
  await toPulse()
}

const readAnew = (client: string) => Promise.all([sheet.load(client), refresh()])
const { save, saving } = useSave(
  // An own decision without a reason is refused at its field, and nothing is saved.
  (client: string, { mayOverride }: Verdict) => {
    const decided = own.on && mayOverride ? { outcome: own.outcome, reason: own.reason } : null
    return keepCheckIn(client, { ...found.value, decided })
  },
  {
    form,
    undo: (kept, client) => ({
      said: `Checked in: ${kept.outcomeWords.toLowerCase()}.`,
      async back() {
        await withdraw(client, 'checkins', kept.id)
        await readAnew(client)
      },
    }),
    async saved(_, client) {
      Object.assign(entry, blank())
      draft.done()
      again.value = false
      own.on = false
      own.reason = ''
      verdict.value = null
      await readAnew(client)
      await nextTick()
      keptHeading.value?.focus()
    },
  },
)
async function keep() {
  await settled()
  if (!verdict.value) {
    pulseField.value?.focus()
  } else if (!verdict.value.recount) {
    await save(id.value, verdict.value)
  } else if (postureFirst.value) {
    await asUsually()
  } else {
    await nextTick()
    recountField.value?.focus()
  }
}

const carries = computed(() => sheet.data.value?.carry ?? [])
const TOLD_ALWAYS: ToldWord[] = ['fever', 'no-sleep', 'hospital', 'changed', 'poor-air', 'heat']
const toldOptions = computed(() => {
  const glucose = asks('glucose') ? (['unwell', 'severe-low'] as ToldWord[]) : []
  const words = [...TOLD_ALWAYS, ...glucose]
  const asked = (sheet.data.value?.told ?? []).filter((each) => words.includes(each.id))
  return carries.value.length
    ? [...asked, { id: 'carried' as ToldWord, name: `Carrying: ${carries.value.join(' and ')}` }]
    : asked
})
const today = computed(() => (again.value ? null : (sheet.data.value?.today ?? null)))
const shownBpm = computed(() => verdict.value?.pulseBpm ?? null)
const closed = computed(() => overview.value?.client.archived ?? false)
const outcomeNow = computed(() => verdict.value && OUTCOMES[verdict.value.outcome])
const easier = computed(() =>
  verdict.value?.outcome === 'light-only'
    ? [{ value: 'go', name: 'Go' }]
    : [
        { value: 'light-only', name: 'Light only' },
        { value: 'go', name: 'Go' },
      ],
)
watch(easier, (all) => {
  if (!all.some((each) => each.value === own.outcome)) own.outcome = all[0]!.value
})
async function onCounted() {
  await toPulse()
}
function startAgain() {
  again.value = true
  void toPulse()
}

useShortcuts({
  list: [
    ['Enter', 'in a field: save the check-in, or go to the recount it asks for'],
    ['Space', 'on a report: tick it'],
  ],
})
</script>

<template>
  <ProblemNote v-if="sheet.problem.value" :problem="sheet.problem.value" @retry="sheet.load(id)" />
  <div v-else-if="sheet.data.value" class="columns">
    <section v-if="today" class="sheet stack" aria-labelledby="kept-title">
      <div class="answer" :class="today.outcome">
        <p class="small">Checked in today</p>
        <h2 id="kept-title" ref="keptHeading" tabindex="-1">
          <span aria-hidden="true">{{ OUTCOMES[today.outcome].mark }}</span>
          {{ today.outcomeWords }}
        </h2>
        <p>
          <span class="num">{{ today.pulseBpm }}</span> bpm<template v-if="today.usualBpm !== null"
            >, usual <span class="num">{{ today.usualBpm }}</span></template
          ><template v-if="today.pressure">, {{ today.pressure }} mmHg</template
          ><template v-if="today.glucose">, glucose {{ today.glucose }}</template
          ><template v-if="today.weightKg !== null">, {{ weightText(today.weightKg) }}</template>
        </p>
        <p v-if="today.reason">
          Your decision: “{{ today.reason }}”. By rule:
          {{ OUTCOMES[today.byRule].name.toLowerCase() }}.
        </p>
      </div>
      <Findings :findings="today.findings" />
      <div class="ways">
        <Button
          v-if="today.outcome === 'go' || today.outcome === 'light-only'"
          label="Start the session"
          @click="router.push(`/clients/${id}/session`)"
        />
        <Button label="Check in again" outlined :disabled="closed" @click="startAgain" />
        <RouterLink :to="`/clients/${id}/prescription`">To the prescription</RouterLink>
        <RouterLink to="/today">Back to today</RouterLink>
      </div>
    </section>

    <form
      v-else
      id="check-in"
      class="sheet stack"
      novalidate
      aria-label="Check-in"
      @submit.prevent="keep"
    >
      <div class="pulse">
        <TextField
          ref="pulseField"
          v-model="entry.pulse"
          :label="entry.window ? `Beats in ${entry.window} s` : 'Pulse now'"
          name="pulse"
          number
          :message="messages.pulseBpm ?? messages.beats"
        />
        <ChoiceField v-model="entry.window" label="As" :options="WINDOWS" />
        <ChoiceField v-model="entry.rhythm" label="Rhythm" :options="RHYTHMS" />
        <div v-if="otherwise" class="otherwise">
          <ChoiceField v-model="entry.posture" label="Posture" :options="options(POSTURES)" />
          <ChoiceField v-model="entry.source" label="Source" :options="options(SOURCES)" />
          <TickField v-model="entry.settled" label="Rested for 5 minutes before" name="settled" />
        </div>
        <p v-else class="quiet small">
          {{ POSTURES[sheet.data.value.posture] }}, settled,
          {{ SOURCES[sheet.data.value.source].toLowerCase() }}: as the usual value was taken.
          <button type="button" class="link small" @click="otherwise = true">
            Measured differently?
          </button>
        </p>
      </div>
      <CountClock v-if="entry.window" :seconds="entry.window" @done="onCounted" />
      <div v-if="recounting" class="recount">
        <TextField
          ref="recountField"
          v-model="entry.recount"
          label="Counted again, for 60 s"
          name="recount"
          number
          hint="After 5 minutes of sitting. An unusual reading must be repeated."
        />
      </div>

      <div v-if="asks('blood-pressure') || asks('glucose') || asks('weight')" class="measures">
        <template v-if="asks('blood-pressure')">
          <TextField
            v-model="entry.systolic"
            label="Systolic"
            name="systolic"
            number
            hint="mmHg, at rest"
            :message="messages.systolic"
          />
          <TextField
            v-model="entry.diastolic"
            label="Diastolic"
            name="diastolic"
            number
            hint="mmHg"
            :message="messages.diastolic"
          />
        </template>
        <template v-if="asks('glucose')">
          <TextField
            v-model="entry.glucose"
            label="Glucose"
            name="glucose"
            number
            :message="messages.glucose"
          />
          <ChoiceField v-model="entry.glucoseUnit" label="in" class="unit" :options="UNITS" />
          <ChoiceField
            v-if="entry.ketones || asksKetones"
            v-model="entry.ketones"
            label="Ketones"
            class="ketones"
            :options="KETONES"
          />
        </template>
        <WeightField
          v-if="asks('weight')"
          v-model="entry.weightKg"
          label="Weight"
          name="weightKg"
          :message="messages.weightKg"
        />
      </div>

      <fieldset>
        <legend>How they are</legend>
        <div class="ticks">
          <TickList v-model="entry.told" :options="toldOptions" />
        </div>
      </fieldset>
      <details :open="entry.symptoms.length > 0">
        <summary>Any sign or symptom, worse than usual?</summary>
        <div class="ticks">
          <TickList v-model="entry.symptoms" :options="sheet.data.value.symptoms" />
        </div>
      </details>
      <button v-if="!more" type="button" class="link small" @click="more = true">
        Blood pressure, glucose and weight as well
      </button>
      <p v-if="general || messages.override" class="fault" role="alert">
        {{ general || messages.override }}
      </p>
    </form>

    <aside class="stack">
      <section v-if="!today" class="sheet stack" aria-labelledby="verdict-title" aria-live="polite">
        <div v-if="verdict && outcomeNow" class="answer" :class="verdict.outcome">
          <p class="small">
            {{ verdict.recount ? 'Until it is counted again' : 'May they train today?' }}
          </p>
          <h2 id="verdict-title">
            <span aria-hidden="true">{{ outcomeNow.mark }}</span> {{ verdict.outcomeWords }}
          </h2>
          <p v-if="verdict.outcome === 'light-only' && verdict.lightBelowBpm !== null">
            Stay under <b class="num">{{ verdict.lightBelowBpm }}</b> bpm, and able to sing.
          </p>
          <p v-else-if="verdict.outcome === 'light-only'">Easy enough to sing.</p>
        </div>
        <h2 v-else id="verdict-title" class="quiet">May they train today?</h2>
        <UsualPicture
          v-if="sheet.data.value.usualBpm !== null && asUsual && theStudio"
          :sheet="sheet.data.value"
          :now="shownBpm"
          :today="theStudio.today"
        />
        <p v-else-if="!asUsual && verdict?.usualBpm" class="quiet small">
          Compared with <span class="num">{{ verdict.usualBpm }}</span>, which is usual for them.
        </p>
        <p v-else-if="sheet.data.value.usualBpm === null" class="quiet small">
          No usual value yet: only the fixed limits apply.
        </p>
        <p v-else class="quiet small">
          Usual is <span class="num">{{ sheet.data.value.usualBpm }}</span>,
          {{ POSTURES[sheet.data.value.posture].toLowerCase() }}.
        </p>
        <Findings v-if="verdict" :findings="verdict.findings" />
        <div v-if="verdict?.mayOverride" class="own">
          <TickField v-model="own.on" label="Override" name="own" />
          <template v-if="own.on">
            <ChoiceField v-model="own.outcome" label="Today" :options="easier" />
            <TextField
              v-model="own.reason"
              label="Why"
              name="reason"
              hint="Saved with the check-in, 3 to 200 characters."
              :message="messages.reason"
            />
          </template>
        </div>
        <AtHand v-slot="{ phone }">
          <b v-if="phone && verdict && outcomeNow">
            <span aria-hidden="true">{{ outcomeNow.mark }}</span> {{ verdict.outcomeWords }}
          </b>
          <Button
            type="submit"
            form="check-in"
            :label="
              !verdict?.recount
                ? 'Save'
                : postureFirst
                  ? `Count it ${POSTURES[sheet.data.value.posture].toLowerCase()}`
                  : 'Count again first'
            "
            :loading="saving"
            :disabled="closed"
          />
          <button v-if="again" type="button" class="link" @click="again = false">
            Keep the earlier check-in
          </button>
        </AtHand>
      </section>
      <section
        v-if="sheet.data.value.recent.length"
        class="sheet stack"
        aria-labelledby="recent-title"
      >
        <h2 id="recent-title">Previous check-ins</h2>
        <ul class="recent">
          <li v-for="each in sheet.data.value.recent" :key="each.id">
            <span>{{ day(each.on) }}</span>
            <span class="num">{{ each.pulseBpm }}</span>
            <span :class="each.outcome">
              <span aria-hidden="true">{{ OUTCOMES[each.outcome].mark }}</span>
              {{ each.outcomeWords }}
            </span>
          </li>
        </ul>
      </section>
    </aside>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1.35fr) minmax(320px, 1fr);
}

.pulse {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 12px 18px;
  align-items: start;
}

.pulse > p,
.otherwise {
  grid-column: 1 / -1;
  margin-top: -6px;
}

.otherwise {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
}

.pulse :deep(input[name='pulse']),
.recount :deep(input) {
  font-size: 1.5rem;
  max-width: 9rem;
}

.recount {
  border-left: 4px solid var(--ochre);
  padding-left: 14px;
}

.unit {
  grid-column: span 2;
}

.ketones {
  grid-column: 1 / -1;
}

.measures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 12px;
}

legend,
summary {
  font-weight: 650;
  font-size: 0.92rem;
  padding: 0;
}

summary {
  cursor: pointer;
  min-height: var(--touch);
  display: flex;
  align-items: center;
  color: var(--teal-deep);
}

.ticks {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 20px;
}

button.link {
  justify-self: start;
  min-height: 36px;
}

.answer {
  border-left: 5px solid var(--teal);
  background: var(--teal-wash);
  border-radius: 0 var(--radius) var(--radius) 0;
  padding: 12px 16px;
}

.answer h2 {
  font-size: 1.7rem;
  line-height: 1.2;
}

.answer h2:focus {
  outline: none;
}

.answer.count-again,
.answer.light-only {
  border-color: var(--ochre);
  background: var(--ochre-wash);
}

.answer.not-today {
  border-color: var(--wine);
  background: var(--wine-wash);
}

.own {
  display: grid;
  gap: 10px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}

.recent li {
  display: grid;
  grid-template-columns: 5.5rem 3rem 1fr;
  gap: 10px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}

.recent li:first-child {
  border-top: 0;
}

.recent .not-today {
  color: var(--wine);
  font-weight: 650;
}

.recent .count-again,
.recent .light-only {
  color: var(--ochre-deep);
  font-weight: 650;
}

@media (max-width: 560px) {
  .pulse,
  .ticks {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
