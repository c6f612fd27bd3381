<script setup lang="ts">
import { computed } from 'vue'
import type { Lane, RoomPerson, RoomSheet } from '../api/korvel'
import { CUES, VOICE } from '../live/cues'

/**
 * Somebody in a room: a slim ruler by percent of reserve, the target as a bracket, the rate as a
 * pointer with the last half minute behind it. Who is within is quiet, who is not stands out.
 */
const props = defineProps<{
  person: RoomPerson
  lanes: Map<string, Lane>
  letters: string
  /** The step that the room does: only another one is named. */
  roomStep: string | null
  /** Where each level begins, in percent of reserve. */
  levels: RoomSheet['levels']
  wall?: boolean
  /** Whether there is little room: names are short then. */
  narrow?: boolean
}>()
const emit = defineEmits<{ open: [] }>()
const lane = computed(() => props.lanes.get(props.person.session))

const MOST = 108
const x = (percent: number) => Math.max(0, Math.min(MOST, percent))
const zones = computed(() =>
  props.levels.map(({ level, percent }, at) => ({
    level,
    from: percent,
    to: props.levels[at + 1]?.percent ?? MOST,
  })),
)

const step = computed(() => {
  const row = lane.value?.leg?.row
  return row === undefined ? null : (props.person.steps[row] ?? null)
})
const target = computed(() => {
  const on = step.value
  return on && on.lowPercent !== null && on.highPercent !== null
    ? { from: on.lowPercent, to: on.highPercent }
    : null
})
const TALL = 20
const tail = computed(() => {
  const all = lane.value?.tail ?? []
  return all
    .map((percent, at) => (percent ? `${x(percent)},${((at + 1) / all.length) * TALL}` : ''))
    .filter(Boolean)
    .join(' ')
})

const cue = computed(() => {
  const stands = lane.value?.cue
  return stands ? CUES[stands.kind] : null
})
/** What stands out on it. */
const state = computed(() => {
  const { needs, phase } = lane.value ?? {}
  if (!needs || props.wall) return phase === 'ended' ? 'over' : (cueState.value ?? '')
  return phase === 'ended' && needs.what !== 'stop' ? 'over' : needs.what
})
const cueState = computed(() => lane.value?.cue?.kind)
const words = computed(() => {
  const on = lane.value
  if (!on) return ''
  if (on.phase === 'ready') return 'Not begun'
  if (on.phase === 'ended') return props.wall ? 'Resting' : (on.endedBecause ?? 'Ended')
  if (on.phase === 'paused') return 'Paused'
  if (on.resting) return 'Recovering'
  if (on.phase === 'complete') return 'Done'
  const level = on.level ? VOICE[on.level - 1]! : ''
  const own = step.value?.name ?? ''
  return own && own !== props.roomStep && props.roomStep ? `${level} · ${own}` : level
})
/** “Ines O.” */
function short(whole: string): string {
  const [first = '', ...others] = whole.split(' ')
  return others.length ? `${first} ${others.at(-1)![0]}.` : first
}
/** On the wall a first name will do. */
const name = computed(() => {
  const { name: whole, nickname } = props.person
  if (props.wall) return nickname ?? whole.split(' ')[0]!
  return props.narrow ? short(whole) : whole
})
const shown = computed(() => (!props.wall || props.person.wallRate) && (lane.value?.bpm ?? null))
const said = computed(() => {
  const on = lane.value
  const parts = [name.value, shown.value ? `${shown.value} bpm` : '', words.value]
  parts.push(props.wall ? (cue.value?.words ?? '') : (on?.needs?.words ?? cue.value?.words ?? ''))
  return parts.filter(Boolean).join(', ')
})
</script>

<template>
  <component
    :is="wall ? 'div' : 'button'"
    :type="wall ? undefined : 'button'"
    class="lane"
    :class="[state, { wall, narrow, quiet: lane?.phase === 'ended' || lane?.phase === 'ready' }]"
    :aria-label="said"
    :role="wall ? 'listitem' : undefined"
    @click="emit('open')"
  >
    <kbd v-if="!wall" aria-hidden="true">{{ letters }}</kbd>
    <span class="name">{{ name }}</span>
    <svg :viewBox="`0 0 ${MOST} ${TALL}`" preserveAspectRatio="none" aria-hidden="true">
      <rect
        v-for="{ level, from, to } in zones"
        :key="level"
        :x="from"
        :y="TALL - 4"
        :width="to - from - 0.4"
        height="4"
        :class="`zone-${level}`"
      />
      <rect
        v-if="person.capPercent !== null"
        :x="x(person.capPercent)"
        y="0"
        :width="MOST - x(person.capPercent)"
        :height="TALL"
        class="over-cap-end"
      />
      <template v-if="target">
        <rect
          :x="x(target.from)"
          y="0"
          :width="Math.max(1.5, x(target.to) - x(target.from))"
          :height="TALL"
          class="target"
        />
        <path
          :d="`M${x(target.from) + 1.4} 1H${x(target.from)}V${TALL}M${x(target.to) - 1.4} 1H${x(target.to)}V${TALL}`"
          class="bracket"
        />
      </template>
      <polyline v-if="tail" :points="tail" class="tail" />
      <path v-if="lane?.percent" class="pointer" :d="`M${x(lane.percent)} 1V${TALL}`" />
    </svg>
    <b class="num rate" :class="{ none: !shown, doubtful: lane?.inDoubt }">{{
      shown || (wall && !person.wallRate ? '' : '–')
    }}</b>
    <span class="word">{{ words }}</span>
    <span class="cue" :class="lane?.cue?.kind" aria-hidden="true">{{
      lane?.workStopped ? '■' : (cue?.mark ?? '')
    }}</span>
  </component>
</template>

<style scoped>
.lane {
  display: grid;
  grid-template-columns: 1.7em minmax(5.5em, 0.62fr) minmax(90px, 1fr) 2.3em 6.2em 1.5em;
  gap: 0 10px;
  align-items: center;
  width: 100%;
  min-height: 32px;
  min-width: 0;
  padding: 0 8px;
  font: inherit;
  font-size: clamp(0.86rem, var(--lane-font, 1rem), 1.9rem);
  line-height: 1.1;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 0;
  border-top: 1px solid var(--line);
  border-radius: 0;
}

kbd {
  font-family: inherit;
  font-size: 0.8em;
  color: var(--ink-quiet);
  border: 1px solid var(--line);
  border-radius: 4px;
  text-align: center;
  padding: 1px 0;
}

.name,
.word {
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}

.name {
  font-weight: 550;
}

.word {
  color: var(--ink-quiet);
  font-size: 0.88em;
}

svg {
  width: 100%;
  height: min(78%, 46px);
  min-height: 22px;
  overflow: visible;
}

.zone-1 {
  fill: var(--band-1);
}

.zone-2 {
  fill: var(--band-2);
}

.zone-3 {
  fill: var(--band-3);
}

.zone-4 {
  fill: var(--band-4);
}

.zone-5 {
  fill: var(--band-5);
}

.target {
  fill: var(--teal-wash);
}

.bracket,
.pointer,
.tail {
  fill: none;
  vector-effect: non-scaling-stroke;
}

.bracket {
  stroke: var(--teal);
  stroke-width: 2;
}

.over-cap-end {
  fill: var(--line);
  opacity: 0.5;
}

.tail {
  stroke: var(--ink-quiet);
  stroke-width: 1.5;
  opacity: 0.7;
}

.pointer {
  stroke: var(--ink);
  stroke-width: 4;
}

.rate {
  font-size: 1.25em;
  text-align: right;
}

.rate.none {
  color: var(--ink-quiet);
}

.rate.doubtful {
  color: var(--ink-quiet);
  text-decoration: underline dotted;
}

.cue {
  text-align: center;
  font-size: 1.2em;
  color: var(--ink-quiet);
}

.cue.hold {
  font-size: 0.7em;
}

.cue.pick-up {
  color: var(--teal);
}

.cue.ease-off {
  color: var(--ochre);
}

.cue.stop-work {
  color: var(--wine);
}

/* Who is outside stands out; who is within is quiet. */
.ease-off,
.pick-up,
.over-maximum {
  background: var(--ochre-wash);
}

.pick-up {
  background: var(--teal-wash);
}

.ease-off .name,
.pick-up .name,
.over-maximum .name,
.over-cap .name,
.no-signal .name,
.stop .name,
.stop-work .name {
  font-weight: 780;
}

.no-signal,
.in-doubt {
  background: repeating-linear-gradient(-45deg, transparent 0 9px, var(--ground-2) 9px 18px);
}

.over-cap,
.stop,
.stop-work {
  background: var(--wine-wash);
  box-shadow: inset 6px 0 0 var(--wine);
}

.lane.quiet {
  color: var(--ink-quiet);
}

.lane.quiet svg {
  opacity: 0.35;
}

.narrow {
  grid-template-columns: 1.7em minmax(0, 1fr) minmax(60px, 0.95fr) 2.1em 3.9em 1em;
  gap: 0 6px;
  padding: 0 4px;
}

.narrow .word {
  font-size: 0.8em;
}

.wall {
  grid-template-columns: minmax(4.5em, 0.62fr) minmax(90px, 1fr) 2.3em 5.5em 1.5em;
}

@media (max-width: 600px) {
  .lane {
    grid-template-columns: 1.7em minmax(0, 1fr) 2.3em 4.6em 1.3em;
    grid-template-rows: auto auto;
    padding: 6px 6px;
    min-height: 56px;
    font-size: 1rem;
  }

  .lane svg {
    grid-row: 2;
    grid-column: 1 / -1;
    height: 20px;
  }
}
</style>
