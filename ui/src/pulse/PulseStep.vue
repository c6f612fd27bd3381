<script setup lang="ts">
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { asProblem, type Finding } from '../api/http'
import { judgeReading, keepReading, readings, type Reading } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import TextField from '../shared/TextField.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { useLoad } from '../shared/load'
import { theStudio } from '../shared/studio'
import { day, DISTURBANCES, options, POSTURES, SOURCES } from '../shared/words'
import CountClock from './CountClock.vue'
import RestingTrend from './RestingTrend.vue'

/** Count a resting pulse, see what it is worth, keep it; and what the working value stands on. */
const { id, refresh } = useClient()
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

async function keep() {
  if (saving.value) return
  saving.value = true
  kept.value = ''
  try {
    const reading = await keepReading(id.value, request.value)
    latest++
    kept.value = `${reading.bpm} bpm is kept.`
    entry.number = ''
    entry.disturbances = []
    clockFace.value?.reset()
    clear()
    judged.value = null
    await Promise.all([record.load(id.value), refresh()])
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
const usual = computed<Finding[]>(() => (judged.value ? [judged.value.usual] : []))
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
      <h2 id="count-title">Count a resting pulse</h2>
      <form class="bench" novalidate @submit.prevent="keep">
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
              ref="clockFace"
              :seconds="entry.windowSeconds"
              @done="onDone"
              @started="entry.number = ''"
            />
          </template>
          <p v-if="counting" class="quiet small hint">
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
            <Button type="submit" label="Keep" :loading="saving" />
          </div>
          <p v-if="general" class="general" role="alert">{{ general }}</p>
          <div class="result" aria-live="polite">
            <template v-if="judged">
              <p class="bpm">
                <b class="num">{{ judged.bpm }}</b> bpm
                <span v-if="judged.uncertaintyBpm" class="num quiet"
                  >± {{ judged.uncertaintyBpm }}</span
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
          <span class="quiet num">± {{ working.standardErrorBpm.toFixed(1) }}</span>
        </p>
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
              >{{ POSTURES[reading.posture] }}, {{ SOURCES[reading.source].toLowerCase() }}</span
            >
            <span class="quiet">{{ reading.grade }}</span>
          </li>
        </ul>
        <p class="quiet small">
          Marked: the readings the value stands on.
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
  grid-template-columns: 3rem 4.3rem 1fr auto;
  gap: 8px;
  padding: 5px 0;
  border-top: 1px solid var(--line);
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
