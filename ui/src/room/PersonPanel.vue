<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { Lane, LiveEvent, RoomPerson, RoomSheet } from '../api/korvel'
import CountEntry from '../live/CountEntry.vue'
import RatingPad from '../live/RatingPad.vue'
import StopSheet from '../live/StopSheet.vue'
import PassageAsked from '../talk/PassageAsked.vue'
import { CUES, onClock } from '../live/cues'
import { useRatingKeys } from '../live/ratingKeys'
import { useStopping } from '../live/stopping'
import { canReachStraps, WITHOUT_BLUETOOTH, type StrapConnection } from '../live/useStrap'
import SelectField from '../shared/SelectField.vue'
import TickField from '../shared/TickField.vue'
import { useShortcuts } from '../shared/shortcuts'
import { span } from '../shared/words'

/** One person, over the board: ratings, a count, pause, strap, end, stop. */
const props = defineProps<{
  sheet: RoomSheet
  person: RoomPerson
  lane: Lane
  now: number
  strap: StrapConnection | null
  happen: (what: Omit<LiveEvent, 'at'>) => string
}>()
const emit = defineEmits<{
  close: []
  undo: []
  connect: []
  swap: [other: string]
  wall: [shown: { nickname: string | null; rate: boolean }]
}>()

const running = computed(() => props.lane.phase === 'running')
const ended = computed(() => props.lane.phase === 'ended')
const step = computed(() => {
  const row = props.lane.leg?.row
  return row === undefined ? null : props.person.steps[row]!
})
const left = computed(() => {
  const leg = props.lane.leg
  if (!leg) return ''
  const until = leg.until && running.value ? new Date(leg.until).getTime() : null
  return onClock(until ? (until - props.now) / 1000 : leg.seconds - props.lane.ranMillis / 1000)
})
const asks = computed(() => {
  const on = step.value
  if (!on) return ''
  return [
    on.lowBpm !== null ? `${span([on.lowBpm, on.highBpm!])} bpm` : '',
    on.lowRpe20 !== null ? `RPE ${span([on.lowRpe20, on.highRpe20!])}` : '',
  ]
    .filter(Boolean)
    .join(' · ')
})
const cue = computed(() => (props.lane.cue ? CUES[props.lane.cue.kind] : null))

const { asking, stop, wasSign, goOn } = useStopping(props.happen)
const end = (reason: 'planned' | 'tired' | 'other') => props.happen({ kind: 'ended', reason })
const pause = () => props.happen({ kind: running.value ? 'paused' : 'resumed' })
const legs = computed(() => props.lane.legs)

const others = computed(() => [
  { value: '', name: 'nobody' },
  ...props.sheet.people
    .filter(({ session }) => session !== props.person.session)
    .map(({ session, name }) => ({ value: session, name })),
])
const swappedWith = ref('')
const label = ref('')
function give() {
  if (!label.value.trim()) return
  props.happen({ kind: 'strap-given', strap: label.value.trim() })
  label.value = ''
}
const nickname = ref('')
const wallRate = ref(true)
watch(
  () => props.person.session,
  () => {
    nickname.value = props.person.nickname ?? ''
    wallRate.value = props.person.wallRate
  },
  { immediate: true },
)
const saveWall = () => emit('wall', { nickname: nickname.value || null, rate: wallRate.value })

/** The passage is being said. */
const talking = ref(false)
const countEntry = ref<InstanceType<typeof CountEntry> | null>(null)
const panel = ref<HTMLElement | null>(null)
onMounted(() => nextTick(() => panel.value?.focus()))
const rated = useRatingKeys((what) => running.value && props.happen({ kind: 'rated', ...what }))
useShortcuts({
  list: [
    ['Esc', 'back to the board'],
    ['6 … 20', 'RPE'],
    ['a s d f g', 'voice: Sing, Talk, Phrases, Words, Silent'],
    ['Space', 'pause, go on'],
    ['t', 'talk check: the passage, then 1 … 5'],
    ['c', 'enter a count'],
    ['u', 'undo the last entry'],
    ['x', 'stop'],
  ],
  act: (key) => {
    if (key === 't') return () => (talking.value = running.value)
    if (key === 'Escape') return () => !asking.value && emit('close')
    if (key === 'u') return () => props.lane.undo && emit('undo')
    const rating = rated(key)
    if (rating) return rating
    if (ended.value) return key.length === 1 ? () => undefined : undefined
    const known = { ' ': pause, c: () => countEntry.value?.focus(), x: stop }[key]
    // No letter leads to another person while one is open.
    return known ?? (/^[a-z]$/.test(key) ? () => undefined : undefined)
  },
})
</script>

<template>
  <section ref="panel" class="person" tabindex="-1" :aria-label="person.name">
    <header>
      <div>
        <h2>{{ person.name }}</h2>
        <p class="quiet">
          <template v-if="ended">{{ lane.endedBecause }}</template>
          <template v-else-if="step"
            >{{ step.name }} · <span class="num">{{ left }}</span> left<template v-if="asks">
              · {{ asks }}</template
            ></template
          >
        </p>
      </div>
      <button v-if="!ended" type="button" class="stop-now" @click="stop">
        <span aria-hidden="true">■</span> Stop
      </button>
    </header>
    <StopSheet
      v-if="asking"
      :signs="sheet.stopSigns"
      :also="person.stopAlso"
      :action="sheet.stopAction"
      @sign="wasSign"
      @undo="goOn"
    />
    <template v-else>
      <p v-if="ended && lane.needs?.what === 'stop'" class="small">{{ sheet.stopAction }}</p>
      <div v-if="!ended" class="now">
        <b class="num" :class="{ doubtful: lane.inDoubt }">{{ lane.bpm ?? '–' }}</b>
        <p>
          <b v-if="cue">{{ cue.mark }} {{ cue.words }}</b
          ><b v-else-if="lane.phase === 'paused'">Paused</b>
          <span v-if="lane.cue" class="small">{{ lane.cue.because }}</span>
          <span v-if="lane.inDoubt" class="small"
            >Not sure whose strap this is: count for 15 s. Until they agree it has no vote.</span
          >
        </p>
      </div>
      <template v-if="!ended">
        <PassageAsked
          v-if="talking && running"
          :name="person.name"
          :now="now"
          @voice="
            (voice, from) => {
              happen({ kind: 'rated', voice, from })
              talking = false
            }
          "
          @close="talking = false"
        />
        <RatingPad
          v-else
          class="tall"
          :rpe20="lane.rpe20"
          :voice="lane.voice"
          :prescribed="[step?.lowRpe20 ?? null, step?.highRpe20 ?? null]"
          :levels="[step?.lowLevel ?? null, step?.highLevel ?? null]"
          :due="lane.prompts"
          :disabled="!running"
          @rpe="(rpe20) => happen({ kind: 'rated', rpe20 })"
          @voice="(voice) => happen({ kind: 'rated', voice })"
        />
        <CountEntry
          ref="countEntry"
          :due="lane.prompts.includes('count')"
          :may-strap="lane.source !== 'strap' && !person.simulated"
          @counted="
            (beats, windowSeconds) =>
              happen({ kind: 'counted', beats, windowSeconds } as Omit<LiveEvent, 'at'>)
          "
          @read="(bpm) => happen({ kind: 'read-off', bpm } as Omit<LiveEvent, 'at'>)"
          @strap="happen({ kind: 'source-changed', source: 'strap' })"
        />
        <div class="ways">
          <Button
            v-if="lane.workStopped"
            label="Asked: let the work go on"
            @click="happen({ kind: 'work-resumed' })"
          />
          <Button
            v-if="running || lane.phase === 'paused'"
            :label="running ? 'Pause' : 'Go on'"
            @click="pause"
          />
          <Button v-if="running && !talking" label="Talk check" outlined @click="talking = true" />
          <Button
            v-if="step"
            label="Next step"
            outlined
            @click="happen({ kind: 'step-ended', leg: legs })"
          />
          <Button
            v-if="step"
            label="+ 1 min"
            outlined
            @click="happen({ kind: 'lengthened', leg: legs, seconds: 60 })"
          />
          <Button label="End: done" outlined @click="end('planned')" />
          <Button label="End: tired" outlined @click="end('tired')" />
        </div>
        <details v-if="!person.simulated || others.length > 1">
          <summary>Strap{{ lane.strap ? `: ${lane.strap}` : '' }}</summary>
          <div v-if="!person.simulated" class="ways">
            <Button
              v-if="canReachStraps()"
              :label="
                {
                  none: 'Connect a strap',
                  connecting: 'Connecting…',
                  on: 'Change strap',
                  lost: 'Connect again',
                }[strap?.state.value ?? 'none']
              "
              outlined
              @click="emit('connect')"
            />
            <p v-else class="small">{{ WITHOUT_BLUETOOTH }}</p>
            <form class="give" @submit.prevent="give">
              <label
                >Give strap
                <input
                  v-model="label"
                  class="floor-field"
                  maxlength="40"
                  autocomplete="off"
                  list="straps"
              /></label>
              <Button type="submit" label="Give" outlined />
            </form>
            <Button
              v-if="lane.source === 'strap'"
              label="Count by hand instead"
              text
              @click="happen({ kind: 'source-changed', source: 'count' })"
            />
          </div>
          <p v-if="strap?.trouble.value" class="small">{{ strap.trouble.value }}</p>
          <SelectField v-model="swappedWith" label="Swapped with" :options="others" />
          <Button
            v-if="swappedWith"
            label="Their straps were swapped"
            outlined
            @click="emit('swap', swappedWith)"
          />
        </details>
        <details>
          <summary>On the wall</summary>
          <form class="ways" @submit.prevent="saveWall">
            <label
              >Nickname
              <input v-model="nickname" class="floor-field" maxlength="24" autocomplete="off"
            /></label>
            <TickField v-model="wallRate" label="Show the rate" name="wallRate" />
            <Button type="submit" label="Save" outlined />
          </form>
        </details>
      </template>
      <p v-else>
        <RouterLink :to="`/floor/sessions/${person.session}`">What it came to</RouterLink>
      </p>
      <footer>
        <Button v-if="lane.undo" :label="`Undo: ${lane.undo.words}`" text @click="emit('undo')" />
        <Button label="Back to the board" text class="close" @click="emit('close')" />
      </footer>
    </template>
  </section>
</template>

<style scoped>
.person {
  position: fixed;
  top: 0;
  right: 0;
  bottom: 0;
  z-index: 5;
  width: min(620px, 100%);
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 14px;
  padding: 10px 22px 14px;
  background: var(--paper);
  color: var(--ink);
  border-left: 2px solid var(--line);
}

header,
footer {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  align-items: center;
}

footer {
  margin-top: auto;
}

h2 {
  font-size: 1.5rem;
}

.now {
  display: flex;
  gap: 20px;
  align-items: center;
}

.now > b {
  font-size: 4.2rem;
  line-height: 1;
  letter-spacing: -0.05em;
}

.now p {
  display: grid;
}

.now p b {
  font-size: 1.5rem;
}

.doubtful {
  color: var(--ink-quiet);
  text-decoration: underline dotted;
}

.tall {
  grid-template-columns: minmax(0, 1fr);
}

.ways,
.give {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}

summary {
  min-height: var(--touch);
  display: flex;
  align-items: center;
  font-weight: 650;
  cursor: pointer;
}

label:not([for]) {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
