<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import Button from 'primevue/button'
import { computed, nextTick, reactive, ref, toRef, watch } from 'vue'
import { asProblem } from '../api/http'
import { keepFieldTest, previewMeasured, withdraw, type MeasuredPreview } from '../api/korvel'
import ClockFace from '../pulse/ClockFace.vue'
import Choices from '../shared/Choices.vue'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SoundSwitch from '../shared/SoundSwitch.vue'
import TextField from '../shared/TextField.vue'
import WhatMoves from '../shared/WhatMoves.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { useTitle } from '../shared/title'
import { offerUndo } from '../shared/undo'
import { countWindows, GRADES, MODES, options, SOURCES } from '../shared/words'
import BoutTable from './BoutTable.vue'
import StopPanel from './StopPanel.vue'
import { onClock, useRun } from './useRun'
import { useShortcuts } from '../shared/shortcuts'

/** A field test as it is run: one clock, what to do now, the readings, and the stop signs. */
const props = defineProps<{ test: string }>()
const { test, problem, refused, waiting, now, load, happened, take } = useRun(toRef(props, 'test'))

useTitle(() => test.value?.clientName)

const stand = computed(() => test.value!.stand)
const over = computed(() => ['done', 'stopped'].includes(stand.value.phase))
const ms = (iso: string) => new Date(iso).getTime()

/** The face of the clock: what is left of the phase, or how long it has lasted. */
const face = computed(() => {
  const { phase, since, until } = stand.value
  if (over.value) return { shown: '–', share: 1, says: phase === 'done' ? 'finished' : 'stopped' }
  const waited = phase === 'rest' && (stand.value.mayStart || !until)
  if (!until || waited) {
    return { shown: onClock(now.value - ms(since)), share: 1, says: SAYS[phase] }
  }
  const whole = ms(until) - ms(since)
  const left = Math.max(0, ms(until) - now.value)
  return {
    shown: onClock(left + 999),
    share: whole ? Math.min(1, (now.value - ms(since)) / whole) : 1,
    says: `left: ${SAYS[phase]}`,
  }
})
const SAYS: Record<string, string> = {
  'warm-up': 'warm-up',
  ready: 'since warm',
  bout: 'hard',
  rest: 'easy',
}
const PHASES: Record<string, string> = {
  'warm-up': 'Warm up',
  ready: 'Ready',
  bout: 'Go',
  rest: 'Easy',
  done: 'Finished',
  stopped: 'Stopped',
}
const title = computed(() => {
  const { phase, bout } = stand.value
  const of = test.value!.mostBouts === test.value!.fewestBouts ? ` of ${test.value!.mostBouts}` : ''
  return phase === 'bout' && test.value!.mostBouts > 1 ? `Bout ${bout}${of}` : (PHASES[phase] ?? '')
})
const toDo = computed(() => {
  const { phase, mayStart, latest, plateau, bout } = stand.value
  const { work, rest, mostBouts, countsFromSeconds } = test.value!
  switch (phase) {
    case 'warm-up':
      return 'Start easy, rise step by step, and put in three short pick-ups in the last five minutes.'
    case 'ready':
      return work
    case 'bout':
      return countsFromSeconds && now.value < ms(stand.value.since) + countsFromSeconds * 1000
        ? `${work} Readings count from ${onClock(countsFromSeconds * 1000)} on.`
        : work
    case 'rest':
      if (plateau) return 'Two bouts in a row agree: the plateau is reached. Finish, and cool down.'
      if (bout >= mostBouts)
        return 'That was the last bout. Take the reading, answer the question, finish, and cool down.'
      if (!mayStart) return rest
      return latest && now.value > ms(latest)
        ? 'The rest is getting too long: start the next bout now.'
        : `${rest} The next bout may begin.`
    case 'done':
      return bout
        ? 'Cool down for ten minutes at least, easier and easier.'
        : 'Cancelled. No maximum is proposed.'
    default:
      return test.value!.stopAction
  }
})

// Readings
const entry = reactive({ rate: '', source: 'strap', window: 10 })
const field = ref<InstanceType<typeof TextField> | null>(null)
const { messages, general, clear, show } = useFieldMessages()
watch(refused, (failure) => (failure ? show(failure) : clear()))
const counted = computed(() => entry.source === 'count')
const readable = computed(() => !over.value && stand.value.bout > 0)
async function read() {
  const rate = typed(entry.rate)
  if (rate === null) return
  const taken = await happened({
    kind: 'reading',
    source: entry.source,
    ...(counted.value ? { beats: rate, windowSeconds: entry.window } : { bpm: rate }),
  })
  if (taken) entry.rate = ''
  await nextTick()
  field.value?.select()
}

const answer = (bout: number, yes: boolean) => happened({ kind: 'answered', bout, yes })
const takeBack = (of: string) => happened({ kind: 'taken-back', of })
async function end(kind: 'finished' | 'stopped', words?: string) {
  const taken = await happened({ kind, ...(words && { words }) })
  const event = test.value?.overBy
  if (!taken || !event) return
  offerUndo(kind === 'finished' ? 'The test is finished.' : 'The test is stopped.', async () => {
    await takeBack(event)
  })
}

useShortcuts({
  list: [
    ['s', 'stop'],
    ['b', 'begin the next bout'],
    ['r', 'to the reading; Enter saves it'],
    ['y n', 'the question about the last bout'],
    ['f', 'finish'],
  ],
  act: {
    b: () => stand.value.mayStart && happened({ kind: 'bout-started' }),
    r: () => field.value?.select(),
    y: () => lastAsked.value && answer(lastAsked.value.number, true),
    n: () => lastAsked.value && answer(lastAsked.value.number, false),
    f: () => stand.value.mayFinish && end('finished'),
    s: () => !over.value && end('stopped', 'a stop sign'),
  },
})
const lastAsked = computed(() => test.value?.bouts.filter((bout) => bout.asked).at(-1))

// What a finished test proposes
const preview = ref<MeasuredPreview | null>(null)
watch(test, async (made) => {
  const peak = made?.result.peakBpm ?? null
  if (made?.stand.phase !== 'done' || peak === null || made.keptAs) {
    preview.value = null
    return
  }
  preview.value = await previewMeasured(made.clientId, {
    kind: 'field-test',
    mode: made.mode,
    bpm: peak,
    measuredOn: made.day,
    grade: made.result.grade,
    protocol: made.name,
    note: '',
  }).catch(() => null)
})
const keeping = ref('')
async function keep() {
  keeping.value = ''
  try {
    const kept = await keepFieldTest(props.test)
    offerUndo(`${kept.result.peakBpm} is saved.`, async () => {
      await withdraw(kept.clientId, 'maxima', kept.keptAs!)
      await load()
    })
    take(kept)
  } catch (thrown) {
    keeping.value = asProblem(thrown).message
  }
}

const table = () => [
  ['Bout', 'Began', 'Read', 'bpm', 'Source', 'Counts'],
  ...(test.value?.bouts ?? []).flatMap((bout) =>
    bout.readings.map((reading) => [
      bout.number,
      bout.startedAt,
      reading.at,
      reading.bpm,
      SOURCES[reading.source].toLowerCase(),
      reading.counts ? 'yes' : 'early',
    ]),
  ),
]
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load" />
  <div v-else-if="test" class="run">
    <header>
      <div>
        <h1>{{ test.name }}</h1>
        <p class="quiet">
          <RouterLink :to="`/clients/${test.clientId}/maximum?mode=${test.mode}`">{{
            test.clientName
          }}</RouterLink>
          · {{ MODES[test.mode].toLowerCase() }} ·
          <span class="num">{{ onClock(now - ms(test.startedAt)) }}</span> since the start
        </p>
      </div>
      <SoundSwitch />
    </header>
    <p v-if="waiting.length" class="sheet waiting" role="status">
      Korvel does not answer. {{ waiting.length }}
      {{ waiting.length === 1 ? 'entry waits' : 'entries wait' }} here with the right time, and
      {{ waiting.length === 1 ? 'is' : 'are' }} sent as soon as it does.
    </p>

    <div class="main">
      <section class="sheet now" :class="stand.phase" aria-label="Now">
        <ClockFace phase="running" :share="face.share" :shown="face.shown" :says="face.says" />
        <div class="stack do">
          <h2 role="status">{{ title }}</h2>
          <p>{{ toDo }}</p>
          <div class="ways">
            <Button
              v-if="stand.mayStart"
              :label="test.mostBouts > 1 ? `Start bout ${stand.bout + 1}` : 'Start the half hour'"
              @click="happened({ kind: 'bout-started' })"
            />
            <Button
              v-if="stand.phase === 'bout'"
              label="The bout ended early"
              outlined
              @click="happened({ kind: 'bout-ended' })"
            />
            <Button
              v-if="stand.mayFinish"
              :label="stand.bout ? 'Finish' : 'Cancel the test'"
              :outlined="!stand.bout || (!stand.plateau && stand.bout < test.mostBouts)"
              @click="end('finished')"
            />
          </div>
          <p v-if="refused && !refused.errors.some((fault) => fault.field === 'bpm')" class="fault">
            {{ Object.values(messages).join(' ') || general }}
          </p>
        </div>
      </section>

      <section v-if="over" class="sheet stack" aria-label="How good was the test?">
        <h2>
          <template v-if="test.result.peakBpm !== null"
            >Peak <span class="num">{{ test.result.peakBpm }}</span>, graded
            {{ GRADES[test.result.grade].toLowerCase() }}</template
          >
          <template v-else>{{ stand.phase === 'stopped' ? 'Stopped' : 'No peak' }}</template>
        </h2>
        <Findings :findings="[test.result.finding]" />
        <ul
          v-if="test.result.departures.length && stand.phase === 'done' && stand.bout"
          class="departures"
        >
          <li v-for="departure in test.result.departures" :key="departure">{{ departure }}</li>
        </ul>
        <template v-if="test.keptAs">
          <p>
            <b>On record.</b>
            <RouterLink :to="`/clients/${test.clientId}/maximum?mode=${test.mode}`"
              >To the maximum</RouterLink
            >
          </p>
        </template>
        <template v-else-if="stand.phase === 'done' && test.result.peakBpm !== null">
          <p>{{ preview?.judged.reason }} The prescription does not change.</p>
          <WhatMoves
            v-if="
              preview?.before &&
              preview.after &&
              preview.before.maximumBpm !== preview.after.maximumBpm
            "
            :before="preview.before"
            :after="preview.after"
            :aim="preview.aim"
            :cap-bpm="null"
            :labels="['Now', 'With it']"
          />
          <div>
            <Button
              :label="
                preview?.judged.state === 'working'
                  ? `Save ${test.result.peakBpm} as the maximum`
                  : `Save ${test.result.peakBpm} to the record`
              "
              @click="keep"
            />
          </div>
          <p v-if="keeping" class="fault" role="alert">{{ keeping }}</p>
        </template>
        <p v-if="stand.phase === 'stopped'">
          <RouterLink :to="`/clients/${test.clientId}/screening`"
            >Record the symptom in the screening</RouterLink
          >
        </p>
      </section>

      <section v-if="test.bouts.length" class="sheet stack" aria-label="Readings">
        <form v-if="readable" novalidate class="read" @submit.prevent="read">
          <Choices
            v-model="entry.source"
            :options="options(SOURCES, ['strap', 'wrist', 'count'])"
            aria-label="Read from"
          />
          <Choices
            v-if="counted"
            v-model="entry.window"
            :options="countWindows([6, 10, 15])"
            aria-label="Counted for"
          />
          <div class="rate">
            <TextField
              ref="field"
              v-model="entry.rate"
              :label="counted ? `Beats in ${entry.window} s` : 'Rate'"
              name="rate"
              number
              :message="messages.bpm ?? messages.beats"
            />
            <Button type="submit" label="Save" />
          </div>
        </form>
        <CsvLink v-if="test.bouts.length" name="readings of the test" :rows="table" class="csv" />
        <BoutTable
          :test="test"
          :closed="stand.phase === 'stopped' || test.keptAs !== null"
          @answer="answer"
          @take-back="takeBack"
        />
      </section>
      <section v-else-if="!over" class="sheet stack">
        <h2>How the test works</h2>
        <p>{{ test.summary }}</p>
        <p class="quiet">
          Read the rate in the bout or at its end, by a strap where there is one.
          <span class="for-keys"
            ><kbd>b</kbd> begins a bout, <kbd>r</kbd> goes to the reading, <kbd>s</kbd> stops.</span
          >
        </p>
      </section>
    </div>

    <StopPanel
      :signs="test.stopSigns"
      :action="test.stopAction"
      :over="over"
      @stop="(why) => end('stopped', why)"
    />
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.run {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 264px;
  gap: 16px 20px;
  align-items: start;
}

header,
.waiting {
  grid-column: 1 / -1;
}

header {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
}

.waiting {
  border-left: 4px solid var(--ochre);
  font-weight: 650;
}

.main {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}

.now {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 28px;
  align-items: center;
}

.now.bout {
  background: var(--teal-wash);
  border-color: var(--teal);
}

.now.stopped {
  border: 2px solid var(--wine);
}

.do {
  gap: 12px;
}

.do h2 {
  font-size: 2rem;
  line-height: 1.1;
}

.do p {
  font-size: 1.08rem;
  max-width: 46ch;
}

.ways {
  min-height: var(--touch);
}

.read {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: end;
}

.rate {
  display: flex;
  gap: 10px;
  align-items: end;
}

.rate :deep(input) {
  width: 7rem;
  font-size: 1.2rem;
}

.departures {
  list-style: disc;
  padding-left: 20px;
}

kbd {
  font-family: var(--mono);
  font-size: 0.86rem;
  border: 1px solid var(--line);
  border-radius: 5px;
  padding: 1px 6px;
  background: var(--ground-2);
}

@media (max-width: 820px) {
  .run {
    grid-template-columns: minmax(0, 1fr);
  }

  .now {
    grid-template-columns: minmax(0, 1fr);
    justify-items: center;
    gap: 14px;
  }

  .do {
    justify-self: stretch;
  }
}
</style>
