<script setup lang="ts">
import { clock } from '../shared/units'
import { computed, nextTick, ref } from 'vue'
import type { PlannedSession, Programme, SessionLog } from '../api/korvel'
import { daysLater, MODES, minutes, weekday } from '../shared/words'

/** The seven days of a week with their sessions: dragged to another day, or moved by keys. */
const props = defineProps<{ programme: Programme; week: number; logs: SessionLog[] }>()
const selected = defineModel<number | null>('session', { required: true })
const emit = defineEmits<{
  move: [session: number, date: string]
  skip: [session: number, skipped: boolean]
}>()

const start = computed(() => props.programme.weeks[props.week - 1]!.startsOn)
const days = computed(() =>
  Array.from({ length: 7 }, (_, n) => daysLater(start.value, n))
    .filter((date) => date <= props.programme.plan.endsOn)
    .map((date) => ({
      date,
      sessions: props.programme.sessions.filter((session) => session.date === date),
    })),
)
const shown = computed(() => days.value.flatMap((each) => each.sessions))
const outlineOf = (session: PlannedSession) => props.programme.outlines[session.outline]!
/** The hardest its work gets, for its colour. */
const level = (session: PlannedSession) => outlineOf(session).level
const logOf = (session: PlannedSession) =>
  props.logs.find(({ number }) => number === session.number)
const spoken = (session: PlannedSession) =>
  `${weekday(session.date)}: ${minutes(outlineOf(session).workSeconds)} minutes of work, ` +
  `${MODES[session.mode]}${session.ownOutline ? `, ${session.ownOutline}` : ''}` +
  `${logOf(session) ? `, logged: ${logOf(session)!.words}` : ''}` +
  `${session.skipped ? ', skipped' : ''}${session.date !== session.laidOn ? ', moved' : ''}`

const board = ref<HTMLElement | null>(null)
async function focusSelected() {
  await nextTick()
  board.value?.querySelector<HTMLElement>('.session.on')?.focus()
}
defineExpose({ focusSelected })
function onKey(event: KeyboardEvent, session: PlannedSession) {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (event.ctrlKey || event.metaKey) return
  if (by && event.altKey) {
    emit('move', session.number, daysLater(session.date, by))
  } else if (by) {
    const to = shown.value[shown.value.findIndex((each) => each.number === session.number) + by]
    if (to) {
      selected.value = to.number
      void focusSelected()
    }
  } else if (event.key === 'Delete') {
    emit('skip', session.number, !session.skipped)
  } else {
    return
  }
  event.preventDefault()
}

// Dragged with mouse, finger or pen; a short press only selects.
const dragged = ref<{ number: number; x: number; y: number; over: string | null } | null>(null)
let from = { x: 0, y: 0 }
function grab(event: PointerEvent, session: PlannedSession) {
  selected.value = session.number
  from = { x: event.clientX, y: event.clientY }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  dragged.value = { number: session.number, x: 0, y: 0, over: null }
}
function pull(event: PointerEvent) {
  if (!dragged.value || !(event.buttons & 1)) return
  const x = event.clientX - from.x
  const y = event.clientY - from.y
  if (Math.hypot(x, y) < 6 && !dragged.value.over) return
  const over = document
    .elementsFromPoint(event.clientX, event.clientY)
    .map((each) => (each as HTMLElement).dataset?.day)
    .find(Boolean)
  dragged.value = { ...dragged.value, x, y, over: over ?? null }
}
function drop() {
  const done = dragged.value
  dragged.value = null
  const session = props.programme.sessions.find((each) => each.number === done?.number)
  if (done?.over && session && done.over !== session.date) emit('move', done.number, done.over)
}
</script>

<template>
  <ol ref="board" class="board" aria-label="Days of the week">
    <li
      v-for="day in days"
      :key="day.date"
      :data-day="day.date"
      :class="{ over: dragged?.over === day.date }"
    >
      <span class="date">{{ weekday(day.date) }}</span>
      <button
        v-for="session in day.sessions"
        :key="session.number"
        type="button"
        class="session"
        :class="{ on: selected === session.number, skipped: session.skipped }"
        :style="{
          ...(session.skipped
            ? {}
            : {
                background: `var(--band-${level(session)})`,
                color: `var(--on-band-${level(session)})`,
              }),
          ...(dragged?.number === session.number && (dragged.x || dragged.y)
            ? { transform: `translate(${dragged.x}px, ${dragged.y}px)`, zIndex: 5 }
            : {}),
        }"
        :aria-pressed="selected === session.number"
        :aria-label="spoken(session)"
        @click="selected = session.number"
        @keydown="onKey($event, session)"
        @pointerdown="grab($event, session)"
        @pointermove="pull"
        @pointerup="drop"
        @pointercancel="dragged = null"
      >
        <b class="num">{{ minutes(outlineOf(session).workSeconds) }}</b> min
        <span class="what">{{ MODES[session.mode] }}</span>
        <span v-if="session.ownOutline" class="what">{{ session.ownOutline }}</span>
        <span v-else-if="session.easier" class="what">an easier day</span>
        <span v-if="session.time" class="what num">{{ clock(session.time) }}</span>
        <span v-if="logOf(session)" class="what">{{
          logOf(session)!.done ? '✓ done' : '– not done'
        }}</span>
        <span v-else-if="session.skipped" class="what">skipped</span>
        <span v-else-if="session.date !== session.laidOn" class="what">moved</span>
      </button>
      <span v-if="!day.sessions.length" class="rest quiet">–</span>
    </li>
  </ol>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: 6px;
}

li {
  display: grid;
  align-content: start;
  gap: 5px;
  min-height: 104px;
  border: 1px solid var(--line);
  border-radius: 7px;
  padding: 6px;
}

li.over {
  border-color: var(--teal);
  background: var(--teal-wash);
}

.date {
  font-size: 0.82rem;
  color: var(--ink-quiet);
  white-space: nowrap;
}

.session {
  font: inherit;
  font-size: 0.92rem;
  text-align: left;
  line-height: 1.25;
  border: 0;
  border-radius: 5px;
  padding: 6px 8px;
  min-height: var(--touch);
  cursor: grab;
  touch-action: none;
}

.session.on {
  box-shadow:
    inset 0 0 0 2px var(--sheet),
    0 0 0 2px var(--teal);
}

.session.skipped {
  background: var(--ground-2);
  color: var(--ink-quiet);
  text-decoration: line-through;
}

.what {
  display: block;
  font-size: 0.78rem;
  overflow: hidden;
  text-overflow: ellipsis;
}

.rest {
  justify-self: center;
}

@media (max-width: 760px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }

  li {
    grid-template-columns: 6.2rem minmax(0, 1fr);
    min-height: 0;
    align-items: center;
  }

  li .session + .session {
    grid-column: 2;
  }

  .rest {
    justify-self: start;
  }
}
</style>
