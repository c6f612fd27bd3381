<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, toRef, watch } from 'vue'
import type { LiveEvent } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SwitchButton from '../shared/SwitchButton.vue'
import Ruler from '../shared/ruler/Ruler.vue'
import { useShortcuts } from '../shared/shortcuts'
import { CUE_SOUNDS, cuesHeard } from '../shared/sound'
import { useTitle } from '../shared/title'
import { MODES, span } from '../shared/words'
import { CUES, onClock, VOICE } from './cues'
import CountEntry from './CountEntry.vue'
import FloorNotes from './FloorNotes.vue'
import LiveFigures from './LiveFigures.vue'
import LiveSummary from './LiveSummary.vue'
import PassageAsked from '../talk/PassageAsked.vue'
import RatingPad from './RatingPad.vue'
import StepStrip from './StepStrip.vue'
import StopSheet from './StopSheet.vue'
import { useRatingKeys } from './ratingKeys'
import { useStopping } from './stopping'
import { useForecast } from './useForecast'
import { useLive } from './useLive'
import { toldRate, useStrap, WITHOUT_BLUETOOTH, canReachStraps } from './useStrap'
import { floorLight, useScreenAwake } from './floorScreen'

/** A session on the clock, for one: how hard it is, what to say, how long it goes on. */
const props = defineProps<{ session: string }>()
const {
  sheet,
  state,
  trace,
  problem,
  refused,
  waiting,
  connected,
  now,
  step,
  load,
  happened,
  undo,
  packet,
} = useLive(toRef(props, 'session'))
useTitle(() => sheet.value?.clientName)
const ahead = useForecast(toRef(props, 'session'), sheet, state)

const strapRate = ref<number | null>(null)
const strap = useStrap(
  (bytes) => {
    strapRate.value = toldRate(bytes)
    packet(bytes)
  },
  (name) => happened({ kind: 'strap-given', strap: name }),
)
const simulated = computed(() => sheet.value?.simulated ?? null)
const byHand = computed(() => state.value?.source !== 'strap')
/** For some no rate leads: nothing reads one then. */
const byRate = computed(() => !!sheet.value?.zones)
const needsStrap = computed(
  () =>
    byRate.value && !simulated.value && !byHand.value && !ended.value && strap.state.value !== 'on',
)

useScreenAwake()

const phase = computed(() => state.value?.phase ?? 'ready')
const ended = computed(() => phase.value === 'ended')
const running = computed(() => phase.value === 'running')
const ms = (iso: string) => new Date(iso).getTime()

/** What is left of the step, in seconds; null while it waits or its clock stands. */
const left = computed(() => {
  const leg = step.value?.leg
  if (!leg) return null
  return leg.until && running.value ? Math.max(0, (ms(leg.until) - now.value) / 1000) : null
})
const stood = computed(() => {
  const leg = step.value?.leg
  return leg ? Math.max(0, leg.seconds - (state.value?.ranMillis ?? 0) / 1000) : 0
})
const waits = computed(() => running.value && step.value !== null && !step.value.leg.clockFrom)
const since = computed(() =>
  state.value?.begunAt ? Math.max(0, (now.value - ms(state.value.begunAt)) / 1000) : 0,
)
const rate = computed(() => (connected.value ? (state.value?.bpm ?? null) : strapRate.value))

const cue = computed(() => {
  const stands = state.value?.cue
  return stands && !ended.value ? { ...CUES[stands.kind], ...stands } : null
})
const quiet = computed(() => {
  if (phase.value === 'ready') return 'Ready'
  if (phase.value === 'paused') return 'Paused'
  if (phase.value === 'complete') return 'All steps are done'
  if (waits.value) return 'Up to the target'
  return step.value?.step.name ?? ''
})
const why = ref(false)
const rateNote = computed(() => {
  const { secondsWithoutSignal, counted } = state.value!
  if (offline.value && rate.value !== null) return ' as the strap says it'
  if (secondsWithoutSignal > 5 && !byHand.value) {
    return ` · no signal for ${onClock(secondsWithoutSignal)}`
  }
  return counted === null ? '' : ` · counted ${counted}`
})
const timeShown = computed(() => {
  if (left.value !== null) return onClock(left.value)
  if (!step.value) return '–'
  return onClock(waits.value ? (now.value - ms(step.value.leg.from)) / 1000 : stood.value)
})
const timeOf = computed(() => {
  if (waits.value) return 'waiting for the target'
  if (step.value) return `left: ${step.value.step.name.toLowerCase()}`
  return phase.value === 'ready' ? 'not begun' : 'end it when ready'
})
const target = computed(() => {
  const first = phase.value === 'ready' ? sheet.value?.steps.find(({ work }) => work) : undefined
  const on = step.value?.step ?? first
  return on && on.lowBpm !== null && on.highBpm !== null
    ? { lowBpm: on.lowBpm, highBpm: on.highBpm }
    : null
})
const asked = computed(() => {
  const on = step.value?.step
  if (!on) return ''
  return [
    on.lowBpm !== null ? `${span([on.lowBpm, on.highBpm!])} bpm` : '',
    on.lowRpe20 !== null ? `RPE ${span([on.lowRpe20, on.highRpe20!])}` : '',
    on.lowLevel !== null
      ? [...new Set([VOICE[on.lowLevel - 1], VOICE[on.highLevel! - 1]])].join(' to ')
      : '',
  ]
    .filter(Boolean)
    .join(' · ')
})
const due = computed(() => state.value?.prompts.map(({ what }) => what) ?? [])

// What happens
const happen = (kind: LiveEvent['kind'], more: Omit<LiveEvent, 'at' | 'kind'> = {}) =>
  happened({ kind, ...more })
const leg = computed(() => state.value?.legs.length ?? 0)
const begin = () => phase.value === 'ready' && happen('begun')
const pause = () =>
  running.value ? happen('paused') : phase.value === 'paused' && happen('resumed')
const next = () => step.value && happen('step-ended', { leg: leg.value })
const back = () => step.value && happen('step-back', { leg: leg.value })
const longer = (seconds: number) => step.value && happen('lengthened', { leg: leg.value, seconds })
const { asking, stop, wasSign, goOn } = useStopping(happened)
const ending = ref(false)
function end(reason: 'planned' | 'tired' | 'other') {
  ending.value = false
  happen('ended', { reason })
}
const askEnd = () => (phase.value === 'complete' ? end('planned') : (ending.value = true))

// A count by hand, or a rate read off
const countEntry = ref<InstanceType<typeof CountEntry> | null>(null)
const counting = computed(
  () =>
    byRate.value &&
    (byHand.value || state.value?.goByHand || state.value?.inDoubt) &&
    (running.value || phase.value === 'paused'),
)

watch(
  () => state.value?.cue?.second,
  () => {
    const stands = state.value?.cue
    if (stands && running.value) CUE_SOUNDS[stands.kind]?.()
  },
)

/** The passage is being said. */
const talking = ref(false)
const ratingOf = useRatingKeys((what) => happen('rated', what))
useShortcuts({
  list: [
    ['Space', 'begin, pause, go on'],
    ['6 … 20', 'RPE'],
    ['a s d f g', 'voice: Sing, Talk, Phrases, Words, Silent'],
    ['t', 'talk check: the passage, then 1 … 5'],
    ['n b', 'next step, back a step'],
    ['+ −', 'a minute more, a minute less'],
    ['c', 'enter a count'],
    ['u', 'undo the last entry'],
    ['e', 'end'],
    ['x', 'stop'],
    ['w', 'why'],
  ],
  act: (key) => {
    if (!state.value || (ended.value && key !== 'u')) return undefined
    if (key === 't') return () => (talking.value = running.value)
    // A figure never leads to another place from here.
    const rating = ratingOf(key)
    if (rating && (running.value || /\d/.test(key))) return () => running.value && rating()
    return {
      ' ': phase.value === 'ready' ? begin : pause,
      n: next,
      b: back,
      '+': () => longer(60),
      '-': () => longer(-60),
      c: () => countEntry.value?.focus(),
      u: state.value.undo && !(ended.value && state.value.log) ? undo : undefined,
      e: askEnd,
      x: stop,
      w: () => (why.value = !why.value),
    }[key]
  },
})

const offline = computed(() => state.value !== null && !connected.value)
const strapWords = computed(() => {
  if (simulated.value)
    return `Simulated strap${sheet.value!.speed > 1 ? `, ${sheet.value!.speed}× speed` : ''}`
  if (!byRate.value) return sheet.value!.guide
  if (byHand.value)
    return state.value?.source === 'count' ? 'Counted by hand' : 'Read off a machine'
  const { state: strapIs, name, battery } = strap
  if (strapIs.value === 'on') {
    return `${name.value}${battery.value === null ? '' : `, battery ${battery.value} %`}`
  }
  return { connecting: 'Connecting…', lost: 'Strap lost: connecting again…', none: 'No strap yet' }[
    strapIs.value
  ]
})
</script>

<template>
  <main id="content" class="floor-page" :class="{ 'dark-ground': !floorLight }" tabindex="-1">
    <ProblemNote v-if="problem" :problem="problem" @retry="load" />
    <template v-else-if="sheet && state">
      <header>
        <RouterLink :to="`/clients/${sheet.clientId}`" class="who">{{
          sheet.clientName
        }}</RouterLink>
        <span class="quiet"
          >{{ MODES[sheet.mode]
          }}<template v-if="sheet.broughtIn === null">
            · <span class="num">{{ onClock(ended ? trace.length : since) }}</span></template
          ></span
        >
        <span v-if="sheet.broughtIn !== null" class="quiet strap"
          >Brought in from {{ sheet.broughtIn }}</span
        >
        <span v-else class="quiet strap" :class="strap.state.value">{{ strapWords }}</span>
        <RouterLink
          v-if="sheet.compared"
          :to="`/clients/${sheet.clientId}/recordings/${session}/compared`"
          class="floor-link"
          >Two recordings</RouterLink
        >
        <RouterLink
          v-if="phase !== 'ready' && sheet.broughtIn === null"
          :to="`/floor/sessions/${session}/recovery`"
          class="floor-link recovery"
          >Recovery</RouterLink
        >
        <SwitchButton
          v-if="sheet.broughtIn === null"
          v-model="cuesHeard"
          on="Cues heard"
          off="Cues silent"
          class="sound"
        >
          <path class="full" d="M4 9.5h3.5L12 6v12l-4.5-3.5H4z" />
          <path v-if="cuesHeard" d="M15 9.2a4 4 0 0 1 0 5.6M17.6 6.8a7.4 7.4 0 0 1 0 10.4" />
          <path v-else d="M15.5 9.5l5 5m0-5l-5 5" />
        </SwitchButton>
        <button type="button" class="plain" @click="floorLight = !floorLight">
          {{ floorLight ? 'Dark' : 'Light' }}
        </button>
        <button v-if="!ended" type="button" class="stop-now" @click="stop">
          <span aria-hidden="true">■</span> Stop
        </button>
        <RouterLink v-else to="/today" class="plain">To today</RouterLink>
      </header>

      <FloorNotes :offline="offline" :waiting="waiting" :refused="refused" @close="refused = null">
        Cues wait: go by RPE and talk.
      </FloorNotes>

      <StopSheet
        v-if="asking"
        :signs="sheet.stopSigns"
        :also="sheet.stopAlso"
        :action="sheet.stopAction"
        @sign="wasSign"
        @undo="goOn"
      />
      <section v-else-if="ending" class="sheet ends" aria-label="End the session">
        <h2>End before the last step?</h2>
        <div class="ways">
          <Button label="As planned" @click="end('planned')" />
          <Button label="Tired" outlined @click="end('tired')" />
          <Button label="Another reason" outlined @click="end('other')" />
          <Button label="Go on" text @click="ending = false" />
        </div>
      </section>

      <template v-if="!ended">
        <LiveFigures
          :rate="rate"
          :note="rateNote"
          :cue="cue"
          :otherwise="quiet"
          :time="timeShown"
          :of="timeOf"
          :by-rate="byRate"
          @why="why = !why"
        />
        <p v-if="why && cue" class="because">
          <b>{{ cue.because.message }}</b> {{ cue.because.because }}
          <span class="quiet">{{ cue.because.source }}</span>
        </p>

        <section class="under">
          <p class="asked">
            <b>{{ step ? step.step.name : phase === 'ready' ? sheet.steps[0]?.name : '' }}</b>
            {{ asked }}
            <template v-if="state.goalSecondsLeft !== null && sheet.goal">
              · <span class="num">{{ onClock(state.goalSecondsLeft) }}</span> left at
              {{ sheet.goal.name }}</template
            >
          </p>
          <Ruler v-if="sheet.zones" :rows="[{ zones: sheet.zones, target }]" :pointer="rate" />
          <p v-else class="quiet">{{ sheet.guide }}: no heart rate leads here.</p>
          <Findings v-if="phase === 'ready' && sheet.findings.length" :findings="sheet.findings" />
          <Findings v-if="state.findings.length" :findings="state.findings" />
        </section>

        <section v-if="needsStrap" class="connect" aria-label="Strap">
          <Button
            :label="strap.state.value === 'lost' ? 'Connect again' : 'Connect a strap'"
            :loading="strap.state.value === 'connecting'"
            :disabled="!canReachStraps()"
            size="large"
            @click="strap.connect()"
          />
          <Button
            label="Count by hand"
            outlined
            size="large"
            @click="happen('source-changed', { source: 'count' })"
          />
          <Button
            label="Read it off a machine"
            outlined
            size="large"
            @click="happen('source-changed', { source: 'wrist' })"
          />
          <p v-if="strap.trouble.value || !canReachStraps()" class="trouble" role="status">
            {{ strap.trouble.value || WITHOUT_BLUETOOTH }}
          </p>
        </section>

        <CountEntry
          v-if="counting"
          ref="countEntry"
          :due="due.includes('count')"
          :may-strap="byHand && !simulated"
          @counted="(beats, windowSeconds) => happen('counted', { beats, windowSeconds })"
          @read="(bpm) => happen('read-off', { bpm })"
          @strap="happen('source-changed', { source: 'strap' })"
        />

        <PassageAsked
          v-if="talking && running"
          :name="sheet.clientName"
          :now="now"
          @voice="
            (voice, from) => {
              void happen('rated', { voice, from })
              talking = false
            }
          "
          @close="talking = false"
        />
        <RatingPad
          v-else-if="step"
          :rpe20="state.rpe20"
          :voice="state.voice"
          :prescribed="[step?.step.lowRpe20 ?? null, step?.step.highRpe20 ?? null]"
          :levels="[step?.step.lowLevel ?? null, step?.step.highLevel ?? null]"
          :due="due"
          :disabled="!running"
          @rpe="(rpe20) => happen('rated', { rpe20 })"
          @voice="(voice) => happen('rated', { voice })"
        />

        <div class="controls">
          <Button v-if="phase === 'ready'" label="Begin" size="large" class="main" @click="begin" />
          <template v-else>
            <Button
              v-if="state.workStopped"
              label="Asked: let the work go on"
              class="main"
              @click="happen('work-resumed')"
            />
            <Button
              v-if="waits"
              label="Start the step now"
              outlined
              @click="happen('step-started')"
            />
            <Button
              v-if="phase !== 'complete'"
              :label="phase === 'paused' ? 'Go on' : 'Pause'"
              class="main"
              @click="pause"
            />
            <Button
              v-if="step && running && !talking"
              label="Talk check"
              outlined
              @click="talking = true"
            />
            <Button v-if="step" label="Back a step" outlined @click="back" />
            <Button v-if="step" label="Next step" outlined @click="next" />
            <Button
              v-if="step"
              label="− 1 min"
              aria-label="A minute less"
              outlined
              @click="longer(-60)"
            />
            <Button
              v-if="step"
              label="+ 1 min"
              aria-label="A minute more"
              outlined
              @click="longer(60)"
            />
          </template>
          <Button
            v-if="state.undo"
            :label="`Undo: ${state.undo.words}`"
            text
            class="undo"
            @click="undo"
          />
          <Button label="End" :outlined="phase !== 'complete'" class="end" @click="askEnd" />
        </div>
      </template>
      <template v-else>
        <h1>
          {{ state.endedBecause }}
          <Button
            v-if="
              state.undo &&
              (!state.log || (phase === 'ended' && state.endedBecause?.startsWith('Stopped')))
            "
            label="Undo"
            text
            @click="undo"
          />
        </h1>
      </template>

      <LiveSummary
        v-if="ended || phase === 'complete'"
        :sheet="sheet"
        :state="state"
        :ahead="ahead"
        :trace="trace"
        @logged="load"
      />
      <StepStrip
        v-if="!(ended && ahead?.review)"
        :sheet="sheet"
        :legs="state.legs"
        :begun-at="state.begunAt"
        :trace="trace"
        :now="ended ? trace.length : since"
        :forecast="ahead?.forecast ?? null"
      />
    </template>
    <p v-else class="quiet" role="status">Loading…</p>
  </main>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
}

.who {
  font-size: 1.25rem;
  font-weight: 750;
  color: var(--ink);
  text-decoration: none;
}

.strap {
  margin-right: auto;
}

.strap.lost {
  color: var(--ochre-deep);
  font-weight: 650;
}

.plain {
  font: inherit;
  color: var(--ink);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  min-height: 48px;
  padding: 0 14px;
  display: inline-flex;
  align-items: center;
}

.ends {
  display: grid;
  gap: 10px;
}

.asked {
  font-size: 1.08rem;
}

.connect,
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}

.trouble {
  flex-basis: 100%;
  max-width: 80ch;
}

.main {
  min-width: 150px;
}

.end {
  margin-left: auto;
}

h1 {
  display: flex;
  gap: 16px;
  align-items: center;
}

@media (max-width: 820px) {
  /* Stop keeps its corner. */
  header {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 2px 10px;
  }

  .who,
  header > .quiet,
  header > .recovery {
    grid-column: 1;
  }

  .stop-now {
    grid-area: 1 / 3 / span 3;
    min-width: 96px;
  }

  header > .plain:not(a),
  header > .sound {
    grid-column: 2;
    min-height: 40px;
  }

  header > .plain:not(a) {
    grid-row: 2 / span 2;
  }

  header > .sound {
    grid-row: 1;
  }

  header > a.plain {
    grid-area: 1 / 3;
  }
}
</style>
