<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, reactive, ref, toRef, watch } from 'vue'
import {
  correctReading,
  judgeReading,
  keepReading,
  undoRecord,
  withdraw,
  type Reading,
  type RestingRecord,
  type StrapSample,
} from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import Choices from '../shared/Choices.vue'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import { typed, useFieldMessages } from '../shared/fields'
import {
  countWindows,
  day,
  DISTURBANCES,
  options,
  POSTURES,
  RHYTHMS,
  SOURCES,
  STRENGTHS,
  oneOf,
} from '../shared/words'
import CountClock from './CountClock.vue'
import QuietTime from './QuietTime.vue'
import StrapMinute from './StrapMinute.vue'
import TapPad from './TapPad.vue'
import TechniqueHelp from './TechniqueHelp.vue'
import { useQuiet } from './quiet'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'
import { useAnswerTo } from '../shared/answer'

/** Where a resting pulse is taken: counted, tapped along or read off, judged, and kept. */
const props = defineProps<{ client: string; record: RestingRecord; closed: boolean }>()
const emit = defineEmits<{ changed: [] }>()

const WINDOWS = countWindows()
const FULL_MINUTE = 60

const entry = reactive({
  windowSeconds: 30,
  number: '',
  posture: 'seated',
  source: 'count',
  minutesRested: String(props.record.quietTimes[0]),
  disturbances: [] as string[],
  site: 'radial',
  rhythm: '',
  strength: '',
  asUsual: false,
})
const taps = ref<number[]>([])
const counting = computed(() => entry.source === 'count')
const tapping = computed(() => entry.source === 'tap')
const felt = computed(() => counting.value || tapping.value)

/** The reading that is being corrected, if any. */
const correcting = ref<Reading | null>(null)
/** How the next count is taken: set aside while an old reading fills the form. */
let circumstances: typeof entry | null = null
/** A tapped reading is corrected by its rate: it is not tapped again. */
const byRate = computed(() => !counting.value && (!tapping.value || correcting.value !== null))
const empty = computed(() =>
  counting.value || byRate.value
    ? entry.number.trim() === ''
    : taps.value.length < props.record.fewestTaps,
)

const request = computed(() => ({
  source: entry.source,
  beats: counting.value ? typed(entry.number) : null,
  windowSeconds: counting.value ? entry.windowSeconds : null,
  tapMillis: tapping.value && !byRate.value ? taps.value : null,
  tappedSeconds: tapping.value && byRate.value ? correcting.value!.tappedSeconds : null,
  bpm: byRate.value ? typed(entry.number) : null,
  posture: entry.posture,
  minutesRested: typed(entry.minutesRested),
  disturbances: entry.disturbances,
  site: felt.value ? entry.site || null : null,
  rhythm: entry.rhythm || null,
  strength: felt.value ? entry.strength || null : null,
  asUsual: entry.asUsual,
}))
const form = useFieldMessages()
const { messages, general, clear } = form
const kept = ref('')

/** Taps are judged once they pause, so that tapping itself is never held up. */
const TAPS_PAUSE = 500
const { answer: judged } = useAnswerTo(
  () => (empty.value ? null : request.value),
  (asked) => judgeReading(props.client, asked, correcting.value?.id),
  { form, stands: false, pause: () => (tapping.value ? TAPS_PAUSE : 0) },
)

const clockFace = ref<InstanceType<typeof CountClock> | null>(null)
const beatsField = ref<InstanceType<typeof TextField> | null>(null)
async function toNumber() {
  await nextTick()
  beatsField.value?.focus()
}

// The resting protocol: a quiet time, then a full minute's count.
const quiet = useQuiet(toRef(props, 'client'))
const resting = ref(quiet.running.value !== null)
const STANDARD = { source: 'count', posture: 'seated', windowSeconds: FULL_MINUTE }
function rest(minutes: number) {
  quiet.start(minutes)
  resting.value = true
}
async function countRested() {
  const minutesRested = String(Math.min(props.record.mostQuietMinutes, quiet.minutes.value))
  // Who chose a strap before the rest goes on with it.
  const byStrap = entry.source === 'strap'
  Object.assign(entry, byStrap ? { posture: STANDARD.posture } : STANDARD, { minutesRested })
  leaveRest()
  await nextTick()
  clockFace.value?.start()
}
/** A minute by strap is a reading like one that is read off. */
function onSampled(sample: StrapSample) {
  entry.number = String(sample.bpm)
  entry.rhythm = oneOf(RHYTHMS, sample.rhythm) ?? ''
  void toNumber()
}
function leaveRest() {
  quiet.stop()
  resting.value = false
}
async function fullMinute() {
  Object.assign(entry, { source: 'count', windowSeconds: FULL_MINUTE })
  taps.value = []
  await nextTick()
  clockFace.value?.start()
}

/** The bench as it was before a count or a correction. */
function putAway() {
  correcting.value = null
  if (circumstances) Object.assign(entry, circumstances)
  circumstances = null
  Object.assign(entry, { number: '', disturbances: [], rhythm: '', strength: '', asUsual: false })
  taps.value = []
  clockFace.value?.reset()
  clear()
  judged.value = null
}
watch(
  () => props.client,
  () => {
    putAway()
    kept.value = ''
    resting.value = quiet.running.value !== null
  },
)

function correct(reading: Reading) {
  correcting.value = reading
  circumstances ??= { ...entry }
  kept.value = ''
  Object.assign(entry, {
    source: reading.source,
    windowSeconds: reading.windowSeconds ?? 30,
    number: String(reading.beats ?? reading.bpm),
    posture: reading.posture,
    minutesRested: String(reading.minutesRested),
    disturbances: [...reading.disturbances],
    site: reading.site ?? '',
    rhythm: reading.rhythm ?? '',
    strength: reading.strength ?? '',
    asUsual: reading.asUsual,
  })
  void toNumber()
}
defineExpose({ correct })

interface Change {
  said: string
  undo: () => Promise<unknown>
}
/** Does it, says so, and offers to undo it. */
const { save: change, saving } = useSave(
  (work: (client: string) => Promise<Change>) => {
    kept.value = ''
    return work(props.client)
  },
  {
    form,
    undo: ({ said, undo }) => ({
      said,
      async back() {
        await undo()
        kept.value = ''
        emit('changed')
      },
    }),
    async saved({ said }) {
      putAway()
      kept.value = said
      await nextTick()
      beatsField.value?.focus()
      emit('changed')
    },
    wrong() {
      beatsField.value?.focus()
      emit('changed')
    },
  },
)
const keep = () =>
  change(async (client) => {
    const wrong = correcting.value
    if (wrong) {
      const right = await correctReading(client, wrong.id, request.value)
      return {
        said: `The reading of ${wrong.bpm} is corrected.`,
        undo: () => undoRecord(client, 'readings', right.id),
      }
    }
    const reading = await keepReading(client, request.value)
    return {
      said: `${reading.bpm} bpm is saved.`,
      undo: () => withdraw(client, 'readings', reading.id),
    }
  })
const takeBack = () =>
  change(async (client) => {
    const { id: wrong, bpm } = correcting.value!
    const withdrawal = await withdraw(client, 'readings', wrong)
    return {
      said: `The reading of ${bpm} is deleted.`,
      undo: () => undoRecord(client, 'readings', withdrawal.id),
    }
  })

/** Far from what was taken earlier that day: it counts only where somebody says so. */
const departs = computed(() =>
  judged.value?.findings.some((finding) => finding.code === 'reading-departs'),
)
const worth = computed(() => {
  if (!judged.value) return ''
  const why = judged.value.departures.join('; ')
  return why
    ? `Graded ${judged.value.grade}: ${why}.`
    : `Graded ${judged.value.grade}: standard protocol.`
})
const technique = computed(() =>
  felt.value
    ? ((entry.site || 'radial') as 'radial' | 'carotid' | 'chest')
    : (entry.source as 'strap' | 'wrist' | 'overnight'),
)
const sites = computed(() =>
  props.record.sites.map((each) => ({ value: each.id, name: each.name })),
)
const title = computed(() =>
  correcting.value
    ? `Edit the reading of ${day(correcting.value.takenAt)}: ${correcting.value.bpm} bpm`
    : resting.value
      ? 'Resting protocol'
      : 'Take a resting pulse',
)

async function typeNumber(digit: string) {
  entry.number = digit
  await nextTick()
  beatsField.value?.focus()
}

useShortcuts({
  list: [['0–9 Enter', 'enter the beats, or the rate, and save']],
  // A number that is typed anywhere on the page is the count.
  act: (key) => (/^\d$/.test(key) && beatsField.value ? () => typeNumber(key) : undefined),
})
</script>

<template>
  <section class="sheet" aria-labelledby="count-title">
    <header>
      <h2 id="count-title">{{ title }}</h2>
      <p v-if="!correcting && !resting" class="protocol">
        <span class="quiet small">Rest first, then count:</span>
        <button
          v-for="minutes in record.quietTimes"
          :key="minutes"
          type="button"
          class="start-rest num"
          :aria-label="`Rest ${minutes} minutes, then count a full minute`"
          @click="rest(minutes)"
        >
          {{ minutes }} min
        </button>
      </p>
    </header>
    <Choices
      v-if="!resting"
      v-model="entry.source"
      class="source"
      :options="options(SOURCES, ['count', 'tap', 'strap', 'wrist', 'overnight'])"
      aria-label="Source"
    />
    <form class="bench" :class="{ correcting }" novalidate @submit.prevent="keep">
      <div class="left">
        <QuietTime
          v-if="resting && quiet.running.value"
          :seconds="quiet.seconds.value"
          :wanted="quiet.running.value.minutes"
          :over="quiet.over.value"
          @count="countRested"
          @leave="leaveRest"
        />
        <template v-else-if="counting">
          <Choices
            v-model="entry.windowSeconds"
            :options="WINDOWS"
            aria-label="How long to count"
          />
          <CountClock
            v-if="!correcting"
            ref="clockFace"
            :seconds="entry.windowSeconds"
            @done="toNumber"
            @started="entry.number = ''"
          />
        </template>
        <TapPad
          v-else-if="tapping && !correcting"
          v-model="taps"
          :fewest="record.fewestTaps"
          :most="record.mostTaps"
          @enter="keep"
          @full-minute="fullMinute"
        />
        <StrapMinute v-else-if="entry.source === 'strap' && !correcting" @sampled="onSampled" />
        <p v-if="correcting" class="quiet small hint">
          The time it was taken stays the same; the earlier value stays in the history.
        </p>
        <p v-else-if="!felt && entry.source !== 'strap'" class="quiet hint">
          Read the rate once it has been steady for a minute, and enter it.
        </p>
      </div>

      <div class="right">
        <div v-if="resting" class="advice">
          <p>Seated, both feet on the floor, back supported, hands in the lap.</p>
          <p class="quiet small">
            Meanwhile ask what may affect the count, and tick it below. The rest continues if you
            leave this page.
          </p>
        </div>
        <template v-else>
          <div v-if="counting || byRate" class="entry">
            <TextField
              ref="beatsField"
              v-model="entry.number"
              class="beats"
              :label="counting ? `Beats in ${entry.windowSeconds} s` : 'Beats per minute'"
              name="beats"
              number
              :message="messages.beats ?? messages.bpm"
            />
            <Button
              type="submit"
              :label="correcting ? 'Save changes' : 'Save'"
              :loading="saving"
              :disabled="closed"
            />
          </div>
          <div v-if="correcting" class="ways">
            <Button label="Delete" outlined class="take-back" @click="takeBack" />
            <Button label="Cancel" outlined @click="putAway" />
          </div>
          <p v-if="general || messages.tapMillis" class="general" role="alert">
            {{ general || messages.tapMillis }}
          </p>
          <p v-if="!counting && !byRate && messages.bpm" class="general" role="alert">
            {{ messages.bpm }}
          </p>
          <div class="result" aria-live="polite">
            <template v-if="judged">
              <p class="bpm">
                <b class="num">{{ judged.bpm }}</b> bpm
                <MethodLink v-if="judged.uncertaintyBpm" to="count" class="num quiet"
                  >± {{ judged.uncertaintyBpm }}</MethodLink
                >
              </p>
              <Findings :findings="judged.findings" />
              <TickField
                v-if="departs || entry.asUsual"
                v-model="entry.asUsual"
                label="It is usual for them: let it count"
                name="asUsual"
              />
              <p class="quiet small">
                {{ worth }}
              </p>
            </template>
            <p v-else-if="kept" class="kept">{{ kept }}</p>
            <p v-else class="quiet small">
              {{
                tapping
                  ? 'Tap along, and see here what it makes and whether it is usual.'
                  : 'Enter the number and see here the rate it makes, how accurate it is, and whether it is usual.'
              }}
            </p>
          </div>
          <Button
            v-if="tapping && !byRate"
            type="submit"
            label="Save"
            class="keep-taps"
            :loading="saving"
            :disabled="closed || empty"
          />
        </template>
      </div>
      <div class="circumstances">
        <template v-if="!resting">
          <ChoiceField
            v-model="entry.posture"
            label="Posture"
            :options="options(POSTURES)"
            :message="messages.posture"
          />
          <TextField
            v-model="entry.minutesRested"
            class="minutes"
            label="Minutes rested"
            name="minutesRested"
            number
            :message="messages.minutesRested"
          />
          <ChoiceField
            v-if="felt"
            v-model="entry.site"
            label="Felt at"
            :options="sites"
            :message="messages.site"
            :hint="record.sites.length < 3 ? 'Do not use the neck with this client.' : ''"
          />
          <ChoiceField
            v-model="entry.rhythm"
            label="Rhythm"
            :options="options(RHYTHMS, ['steady', 'uneven'])"
            clearable
          />
          <ChoiceField
            v-if="felt"
            v-model="entry.strength"
            label="Strength"
            :options="options(STRENGTHS)"
            clearable
          />
        </template>
        <ChoiceField
          v-model="entry.disturbances"
          label="Affected by"
          :options="options(DISTURBANCES)"
          multiple
        />
      </div>
    </form>
    <TechniqueHelp :of="technique" :felt="felt" />
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 8px;
}

.protocol {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  align-items: center;
}

.start-rest {
  font: inherit;
  font-weight: 650;
  font-size: 0.88rem;
  padding: 0 10px;
  white-space: nowrap;
  min-height: var(--touch);
  color: var(--teal-deep);
  background: var(--sheet);
  border: 1px solid var(--teal);
  border-radius: 6px;
  cursor: pointer;
}

.bench {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 18px 28px;
  margin: 14px 0 12px;
  align-items: start;
}

.left :deep(.choice span) {
  white-space: nowrap;
  padding-inline: 8px;
}

.left {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  justify-items: center;
}

.hint {
  text-align: center;
  max-width: 26ch;
}

.right {
  min-width: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  align-content: start;
}

.beats {
  width: 9rem;
}

.beats :deep(input) {
  font-size: 2rem;
  font-weight: 700;
  width: 9rem;
}

.bpm b {
  font-size: 2.6rem;
  line-height: 1;
}

.advice {
  display: grid;
  gap: 8px;
  font-size: 1.06rem;
}

.result {
  display: grid;
  gap: 6px;
  align-content: start;
  min-height: 104px;
}

.kept {
  font-weight: 650;
  color: var(--teal-deep);
}

.entry {
  display: flex;
  gap: 18px;
  align-items: start;
}

.entry button {
  margin-top: 27px;
  min-height: 62px;
  min-width: 7rem;
}

.keep-taps {
  justify-self: start;
  min-width: 10rem;
}

.circumstances {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}

.minutes :deep(input) {
  width: 6.4rem;
}

.general {
  color: var(--fault);
  font-weight: 600;
}

.take-back {
  color: var(--ink-quiet);
  border-color: var(--ink-quiet);
}

@media (max-width: 700px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }

  .entry button {
    flex: 1;
  }
}
</style>
