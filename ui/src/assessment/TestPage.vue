<script setup lang="ts">
import { computed, ref, toRef, watch } from 'vue'
import type { TestEvent } from '../api/korvel'
import { onClock } from '../live/cues'
import FloorNotes from '../live/FloorNotes.vue'
import StopSheet from '../live/StopSheet.vue'
import { toldRate, useStrap } from '../live/useStrap'
import ProblemNote from '../shared/ProblemNote.vue'
import SwitchButton from '../shared/SwitchButton.vue'
import { clock } from '../shared/clock'
import { useShortcuts } from '../shared/shortcuts'
import { useTitle } from '../shared/title'
import BeatShown from './BeatShown.vue'
import GradedRun from './GradedRun.vue'
import StrapConnect from './StrapConnect.vue'
import TestResult from './TestResult.vue'
import TimedRun from './TimedRun.vue'
import { metronomeHeard, useMetronome } from './metronome'
import { useTest } from './useTest'
import { floorLight, useScreenAwake } from '../live/floorScreen'

/** A test on the clock: what is due next, what was entered, and when it ends. */
const props = defineProps<{ test: string }>()
const run = useTest(toRef(props, 'test'))
const { sheet, state, problem, refused, waiting, connected, now, load, happen, undo } = run
useTitle(() => sheet.value && `${sheet.value.clientName}, ${sheet.value.name}`)

const strapRate = ref<number | null>(null)
const strap = useStrap((bytes) => {
  strapRate.value = toldRate(bytes)
  run.packet(bytes)
})
const rate = computed(() =>
  connected.value ? (state.value?.bpm ?? null) : (strapRate.value ?? null),
)

useScreenAwake()

const ms = (iso: string) => new Date(iso).getTime()
const working = computed(
  () => !!state.value?.open && state.value.begunAt !== null && state.value.workEndedAt === null,
)
const since = computed(() =>
  state.value?.begunAt ? Math.max(0, (now.value - ms(state.value.begunAt)) / 1000) : 0,
)

// The metronome runs while the work does: placed once by the clock of the test, then by its own.
const beats = computed(() => sheet.value?.metronome ?? null)
const beatsFrom = ref<number | null>(null)
watch(
  [working, beats],
  () =>
    (beatsFrom.value =
      working.value && beats.value !== null ? clock.wall() - 1000 * since.value : null),
  { immediate: true },
)
const { beat } = useMetronome(beats, beatsFrom)

// Stopping: one touch ends the work; which sign it was is asked afterwards.
const asking = ref(false)
let stopped = ''
function stop() {
  if (!working.value) return
  asking.value = true
  stopped = happen('ended', { reason: 'client' })
}
function wasSign(sign: string) {
  asking.value = false
  if (sign === 'wish') return
  happen('withdrawn', { of: stopped })
  happen('ended', { reason: 'sign', sign: sign as NonNullable<TestEvent['sign']> })
}
function goOn() {
  asking.value = false
  happen('withdrawn', { of: stopped })
}

useShortcuts({
  list: [
    ['x', 'stop'],
    ['u', 'undo the last entry'],
  ],
  act: (key) => (state.value ? { x: stop, u: undo }[key] : undefined),
})
const strapWords = computed(() => {
  if (!sheet.value) return ''
  if (sheet.value.simulated) {
    return `Simulated strap${sheet.value.speed > 1 ? `, ${sheet.value.speed}× speed` : ''}`
  }
  if (sheet.value.source === 'count') return 'Counts and displays'
  const { state: strapIs, name } = strap
  return strapIs.value === 'on' ? name.value : strapIs.value === 'lost' ? 'Strap lost' : ''
})
</script>

<template>
  <main
    id="content"
    class="floor-page test-page"
    :class="{ 'dark-ground': !floorLight }"
    tabindex="-1"
  >
    <ProblemNote v-if="problem" :problem="problem" @retry="load" />
    <template v-else-if="sheet && state">
      <header>
        <h1>
          <RouterLink v-if="sheet.clientId" :to="`/clients/${sheet.clientId}/tests`">{{
            sheet.clientName
          }}</RouterLink>
          <template v-else>{{ sheet.clientName }}</template>
        </h1>
        <span class="quiet"
          >{{ sheet.name }} · {{ sheet.setup }}
          <template v-if="working">
            · <span class="num">{{ onClock(since) }}</span></template
          ></span
        >
        <span class="quiet grow">{{ strapWords }}</span>
        <SwitchButton
          v-if="beats !== null"
          v-model="metronomeHeard"
          on="Metronome heard"
          off="Metronome silent"
        >
          <path class="full" d="M4 9.5h3.5L12 6v12l-4.5-3.5H4z" />
          <path v-if="metronomeHeard" d="M15 9.2a4 4 0 0 1 0 5.6M17.6 6.8a7.4 7.4 0 0 1 0 10.4" />
          <path v-else d="M15.5 9.5l5 5m0-5l-5 5" />
        </SwitchButton>
        <button type="button" class="plain" @click="floorLight = !floorLight">
          {{ floorLight ? 'Dark' : 'Light' }}
        </button>
        <button v-if="working" type="button" class="stop-now" @click="stop">
          <span aria-hidden="true">■</span> Stop
        </button>
      </header>

      <FloorNotes
        :offline="!connected"
        :waiting="waiting"
        :refused="refused"
        @close="refused = null"
      />

      <StopSheet
        v-if="asking"
        :signs="sheet.stopSigns"
        :also="[]"
        :action="sheet.stopAction"
        @sign="wasSign"
        @undo="goOn"
      />
      <TestResult v-if="!state.open" :run="run" />
      <template v-else>
        <StrapConnect v-if="sheet.source === 'strap' && !sheet.simulated" :strap="strap" />
        <BeatShown v-if="working && beats !== null" :beat="beat" :kind="sheet.kind" />
        <GradedRun v-if="state.graded" :run="run" :rate="rate" />
        <TimedRun v-else :run="run" :rate="rate" />
      </template>
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

h1 {
  font-size: 1.35rem;
}

h1 a {
  color: inherit;
}

.grow {
  flex: 1;
}

.plain {
  font: inherit;
  color: inherit;
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  min-height: 48px;
  padding: 0 14px;
}
</style>
