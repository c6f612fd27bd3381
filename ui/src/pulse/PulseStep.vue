<script setup lang="ts">
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { asProblem, type Finding } from '../api/http'
import {
  correctReading,
  judgeReading,
  keepReading,
  readings,
  takeBackReading,
  undoReading,
  type Reading,
} from '../api/korvel'
import { useClient } from '../clients/useClient'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import TextField from '../shared/TextField.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { useLoad } from '../shared/load'
import { theStudio } from '../shared/studio'
import { offerUndo } from '../shared/undo'
import { day, DISTURBANCES, options, POSTURES, SOURCES } from '../shared/words'
import CountClock from './CountClock.vue'
import RestingTrend from './RestingTrend.vue'

/** Count a resting pulse, see what it is worth, keep it; and what the working value stands on. */
const { id, overview, refresh } = useClient()
const record = useLoad(readings)
watch(id, record.load, { immediate: true })

const WINDOWS = [10, 15, 30, 60].map((value) => ({ value, name: `${value} s` }))
const entry = reactive({
  windowSeconds: 30,
  number: '',
  posture: 'seated',
  source: 'count',
  minutesRested: '5',
  disturbances: [] as string[],
})
const counting = computed(() => entry.source === 'count')

const request = computed(() => ({
  source: entry.source,
  beats: counting.value ? typed(entry.number) : null,
  windowSeconds: counting.value ? entry.windowSeconds : null,
  bpm: counting.value ? null : typed(entry.number),
  posture: entry.posture,
  minutesRested: typed(entry.minutesRested),
  disturbances: entry.disturbances as unknown as string,
}))

const { messages, general, clear, show } = useFieldMessages()
const judged = ref<Reading | null>(null)
const saving = ref(false)
const kept = ref('')

let latest = 0
watch(request, async (asked) => {
  const mine = ++latest
  if (entry.number.trim() === '') {
    judged.value = null
    clear()
    return
  }
  try {
    const answer = await judgeReading(id.value, asked)
    if (mine !== latest) return
    judged.value = answer
    clear()
  } catch (thrown) {
    if (mine !== latest) return
    judged.value = null
    show(asProblem(thrown))
  }
})

const clockFace = ref<InstanceType<typeof CountClock> | null>(null)
const beatsField = ref<InstanceType<typeof TextField> | null>(null)
async function onDone() {
  await nextTick()
  beatsField.value?.focus()
}

/** The reading that is being put right, if any. */
const correcting = ref<Reading | null>(null)
/** How the next count is taken: set aside while an old reading fills the form. */
let circumstances: typeof entry | null = null
const open = computed(() => overview.value?.client.archived === false)

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
  })
  void onDone()
}

/** The bench as it was before a count or a correction. */
function putAway() {
  latest++
  correcting.value = null
  if (circumstances) Object.assign(entry, circumstances)
  circumstances = null
  entry.number = ''
  entry.disturbances = []
  clockFace.value?.reset()
  clear()
  judged.value = null
}
const reread = () => Promise.all([record.load(id.value), refresh()])

/** Does it, and offers to undo it. */
async function change(done: string, work: () => Promise<string>) {
  if (saving.value) return
  saving.value = true
  const client = id.value
  try {
    const undoable = await work()
    putAway()
    kept.value = done
    await reread()
    offerUndo(done, async () => {
      await undoReading(client, undoable)
      kept.value = ''
      await reread()
    })
  } catch (thrown) {
    show(asProblem(thrown))
    await record.load(id.value)
  } finally {
    saving.value = false
  }
}
function keepCorrection() {
  const { id: wrong, bpm } = correcting.value!
  return change(`The reading of ${bpm} is put right.`, async () => {
    return (await correctReading(id.value, wrong, request.value)).id
  })
}
function takeBack() {
  const { id: wrong, bpm } = correcting.value!
  return change(`The reading of ${bpm} is taken back.`, async () => {
    return (await takeBackReading(id.value, wrong)).id
  })
}

async function keep() {
  if (correcting.value) return keepCorrection()
  if (saving.value) return
  saving.value = true
  kept.value = ''
  try {
    const reading = await keepReading(id.value, request.value)
    putAway()
    kept.value = `${reading.bpm} bpm is kept.`
    await reread()
  } catch (thrown) {
    show(asProblem(thrown))
    beatsField.value?.focus()
  } finally {
    saving.value = false
  }
}

const GRADES = { good: 'good', fair: 'fair', poor: 'poor' }
const worth = computed(() => {
  if (!judged.value) return ''
  const why = judged.value.departures.join('; ')
  return why ? `Graded ${GRADES[judged.value.grade]}: ${why}.` : 'Graded good: standard protocol.'
})
const usual = computed<Finding[]>(() => (judged.value?.findings ?? []))
const working = computed(() => record.data.value?.working ?? null)
const sameKind = computed(() => {
  const all = record.data.value?.readings ?? []
  const head = all.find((reading) => working.value?.basis.includes(reading.id))
  return all.filter(
    (reading) => reading.posture === head?.posture && reading.source === head?.source,
  )
})
const shown = ref(6)
</script>

<template>
  <ProblemNote
    v-if="record.problem.value"
    :problem="record.problem.value"
    @retry="record.load(id)"
  />
  <div v-else class="columns">
    <section class="sheet count" aria-labelledby="count-title">
      <h2 id="count-title">
        {{
          correcting
            ? `Put right the reading of ${day(correcting.takenAt, theStudio?.today)}: ${correcting.bpm} bpm`
            : 'Count a resting pulse'
        }}
      </h2>
      <form class="bench" :class="{ correcting }" novalidate @submit.prevent="keep">
        <div class="left">
          <template v-if="counting">
            <SelectButton
              v-model="entry.windowSeconds"
              :options="WINDOWS"
              option-label="name"
              option-value="value"
              :allow-empty="false"
              aria-label="How long to count"
            />
            <CountClock
              v-if="!correcting"
              ref="clockFace"
              :seconds="entry.windowSeconds"
              @done="onDone"
              @started="entry.number = ''"
            />
          </template>
          <p v-if="correcting" class="quiet small hint">
            It keeps the moment it was taken. What it said before stays on record.
          </p>
          <p v-else-if="counting" class="quiet small hint">
            Pads of two or three fingers, never the thumb. Press Start and count every beat until
            the ring is full.
          </p>
          <p v-else class="quiet device">
            Read the rate off the device once it has been steady for a minute.
          </p>
        </div>

        <div class="right">
          <div class="entry">
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
              :label="correcting ? 'Put right' : 'Keep'"
              :loading="saving"
              :disabled="!open"
            />
          </div>
          <div v-if="correcting" class="ways">
            <Button label="Take it back" outlined class="take-back" @click="takeBack" />
            <Button label="Leave it as it is" outlined @click="putAway" />
          </div>
          <p v-if="general" class="general" role="alert">{{ general }}</p>
          <div class="result" aria-live="polite">
            <template v-if="judged">
              <p class="bpm">
                <b class="num">{{ judged.bpm }}</b> bpm
                <MethodLink v-if="judged.uncertaintyBpm" to="count" class="num quiet"
                  >± {{ judged.uncertaintyBpm }}</MethodLink
                >
              </p>
              <Findings :findings="usual" />
              <p class="quiet small">{{ worth }}</p>
            </template>
            <p v-else-if="kept" class="kept">{{ kept }}</p>
            <p v-else class="quiet small">
              Enter the number and see here what it makes, how sure it is, and whether it is usual.
            </p>
          </div>
          <div class="circumstances">
            <ChoiceField
              v-model="entry.posture"
              label="Posture"
              :options="options(POSTURES)"
              :message="messages.posture"
            />
            <TextField
              v-model="entry.minutesRested"
              class="minutes"
              label="Quiet minutes"
              name="minutesRested"
              number
              :message="messages.minutesRested"
            />
            <ChoiceField
              v-model="entry.source"
              label="Source"
              :options="options(SOURCES, ['count', 'strap', 'wrist', 'overnight'])"
              :message="messages.source"
            />
            <ChoiceField
              v-model="entry.disturbances"
              label="Disturbed by"
              :options="options(DISTURBANCES)"
              multiple
            />
          </div>
        </div>
      </form>
    </section>

    <section class="sheet stack" aria-labelledby="working-title">
      <h2 id="working-title">Working resting value</h2>
      <template v-if="working">
        <p class="working">
          <b class="num">{{ working.bpm }}</b> bpm
          <MethodLink to="resting-error" class="quiet num"
            >± {{ working.standardErrorBpm.toFixed(1) }}</MethodLink
          >
        </p>
        <details class="sum">
          <summary>Long hand</summary>
          <ul>
            <li v-for="line in working.longHand" :key="line.label">
              <MethodLink :to="line.method">{{ line.label }}</MethodLink>
              <span class="num">{{ line.sum }} → {{ line.answer }} {{ line.unit }}</span>
            </li>
          </ul>
        </details>
        <Findings :findings="working.findings" />
        <RestingTrend
          v-if="theStudio"
          :readings="sameKind"
          :basis="working.basis"
          :today="theStudio.today"
        />
        <ul class="list">
          <li v-for="reading in record.data.value!.readings.slice(0, shown)" :key="reading.id">
            <span class="num rate" :class="{ stands: working.basis.includes(reading.id) }">{{
              reading.bpm
            }}</span>
            <span>{{ day(reading.takenAt, theStudio?.today) }}</span>
            <span class="quiet"
              ><template v-if="!sameKind.includes(reading)"
                >{{ POSTURES[reading.posture].toLowerCase() }},
                {{ SOURCES[reading.source].toLowerCase() }}, </template
              >{{ reading.grade
              }}<template v-if="reading.ratesBefore.length"
                >, was <s class="num">{{ reading.ratesBefore.join(', ') }}</s></template
              ></span
            >
            <button
              v-if="open"
              type="button"
              class="link"
              :aria-label="`Put right the ${reading.bpm} of ${day(reading.takenAt, theStudio?.today)}`"
              @click="correct(reading)"
            >
              Put right
            </button>
          </li>
        </ul>
        <p class="quiet small">
          Marked: the readings the value stands on<template v-if="sameKind[0]"
            >, {{ POSTURES[sameKind[0].posture].toLowerCase() }} and
            {{ SOURCES[sameKind[0].source].toLowerCase() }}</template
          >.
          <button
            v-if="record.data.value!.readings.length > shown"
            type="button"
            class="link"
            @click="shown += 30"
          >
            Show earlier ones
          </button>
        </p>
      </template>
      <p v-else-if="record.data.value" class="quiet">
        None yet. Seat the client, both feet on the floor, quiet for 5 minutes; then count for 30 or
        60 s. The first good reading becomes the working value, three make it a median.
      </p>
      <p v-else class="quiet" role="status">Fetching the readings…</p>
    </section>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 2.15fr) minmax(300px, 1fr);
  gap: 16px;
  align-items: start;
}

.bench {
  display: grid;
  grid-template-columns: 268px minmax(0, 1fr);
  gap: 18px 28px;
  margin-top: 12px;
  align-items: start;
}

.left :deep(.p-togglebutton) {
  white-space: nowrap;
  padding-inline: 5px;
}

.left {
  display: grid;
  gap: 14px;
  justify-items: center;
}

.device {
  padding: 30px 0;
}

.hint {
  text-align: center;
  max-width: 24ch;
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

.bpm b,
.working b {
  font-size: 2.6rem;
  line-height: 1;
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

.circumstances {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 22px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}

.minutes :deep(input) {
  width: 6.4rem;
}

.general {
  color: var(--wine);
  font-weight: 600;
}

.list {
  display: grid;
  font-size: 0.88rem;
}

.list li {
  display: grid;
  grid-template-columns: 3rem 4rem 1fr auto;
  gap: 8px;
  align-items: center;
  padding: 1px 0;
  border-top: 1px solid var(--line);
}

.take-back {
  color: var(--wine);
  border-color: var(--wine);
}

.list .link {
  min-height: 36px;
}

.sum summary {
  cursor: pointer;
  color: var(--teal-deep);
  padding: 4px 0;
}

.sum li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  justify-content: space-between;
  font-size: 0.92rem;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}

.rate {
  font-weight: 700;
}

.rate.stands::after {
  content: ' ●';
  color: var(--teal);
  font-size: 0.7rem;
  vertical-align: 2px;
}

@media (max-width: 1060px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 640px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }

  .entry button {
    flex: 1;
  }
}
</style>
