import { computed, onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import { asProblem, type Problem } from '../api/http'
import {
  live,
  type LiveEvent,
  type LiveLeg,
  type LiveSheet,
  type LiveState,
  type LiveStep,
  type LiveTrace,
} from '../api/korvel'
import { clock } from '../shared/clock'
import { useChannel } from './channel'
import { LiveClock } from './liveClock'
import { Outbox } from './outbox'

const TICK = 200
const FLUSH = 1000
/** Samples that waited so long, in seconds, change what was shown before. */
const LATE = 20

interface Push {
  state: LiveState
  trace: LiveTrace
}

/** The step that is on by the plan, when its leg and those after it run their time. */
export function planned(leg: LiveLeg, steps: LiveStep[], now: number) {
  let on = leg
  while (on.until && new Date(on.until).getTime() <= now && on.row + 1 < steps.length) {
    const row = on.row + 1
    const seconds = steps[row]!.seconds
    const until = new Date(new Date(on.until).getTime() + 1000 * seconds).toISOString()
    on = { ...on, row, from: on.until, clockFrom: on.until, until, seconds }
  }
  return { leg: on, step: steps[on.row]! }
}

/**
 * A session on the clock: what it is, where it stands, and its heart rate by the second. Where it
 * stands is always the server's word; what happens here is kept until the server has it.
 */
export function useLive(session: Ref<string>) {
  const sheet = shallowRef<LiveSheet | null>(null)
  const state = shallowRef<LiveState | null>(null)
  /** The smoothed rate of each second from 1 on; 0 for none. */
  const trace = shallowRef<number[]>([])
  const problem = shallowRef<Problem | null>(null)
  const refused = shallowRef<Problem | null>(null)
  const waiting = ref({ events: 0, seconds: 0 })

  const time = new LiveClock(() => sheet.value?.speed ?? 1)
  const now = ref(clock.wall())
  let outbox: Outbox | null = null
  let late = false
  const { connected, heard, again } = useChannel(
    () => session.value,
    (message) => hear(message as Push),
  )

  function take(fresh: LiveState) {
    // Answers may overtake each other; the clock of a session never goes back.
    const before = state.value
    if (before?.id === fresh.id && new Date(fresh.now) < new Date(before.now)) return
    time.learn(fresh.now)
    now.value = time.now()
    state.value = fresh
  }

  async function load() {
    try {
      const view = await live(session.value)
      sheet.value = view.sheet
      trace.value = view.trace.bpm
      take(view.state)
      heard()
      problem.value = null
    } catch (thrown) {
      if (!sheet.value) problem.value = asProblem(thrown)
    }
  }

  function hear({ state: fresh, trace: piece }: Push) {
    take(fresh)
    // What was missed is more than what comes along: all of it is asked for.
    if (piece.from > trace.value.length + 1) void load()
    else trace.value = [...trace.value.slice(0, piece.from - 1), ...piece.bpm]
  }

  let flushed = 0
  const stopTicking = clock.every(TICK, () => {
    now.value = time.now()
    const moment = clock.now()
    if (moment - flushed >= FLUSH) {
      flushed = moment
      outbox?.flush()
    }
  })
  onBeforeUnmount(() => {
    stopTicking()
    outbox?.flush()
  })

  watch(
    session,
    (id) => {
      sheet.value = null
      state.value = null
      trace.value = []
      const mine: Outbox = new Outbox(id, {
        state: take,
        refused: (failure) => (refused.value = failure),
        changed() {
          waiting.value = { ...mine.waiting }
          late ||= waiting.value.seconds > LATE
          if (!late || waiting.value.seconds) return
          // What was handed in late lies further back than what comes along.
          late = false
          void load()
        },
      })
      outbox = mine
      waiting.value = { ...mine.waiting }
      void load()
      again()
    },
    { immediate: true },
  )

  /** Notes that something happened now. */
  function happened(what: Omit<LiveEvent, 'at'>): string {
    refused.value = null
    return outbox!.event({ at: new Date(Math.floor(time.now())).toISOString(), ...what })
  }
  let lastPacket = 0
  function packet(bytes: string) {
    // The server's time is learned anew with each answer; packets keep their order all the same.
    lastPacket = Math.max(lastPacket, Math.floor(time.now()))
    outbox?.packet(lastPacket, bytes)
  }

  /** The step that is on. While nobody answers, the steps follow each other by the plan. */
  const step = computed(() => {
    const leg = state.value?.legs.at(-1)
    const steps = sheet.value?.steps
    if (!leg || leg.ended || !steps) return null
    return connected.value ? { leg, step: steps[leg.row]! } : planned(leg, steps, now.value)
  })

  const seen = { sheet, state, trace, problem, refused, waiting, connected, now, step }
  /** Undoes what happened last: here, where it has not gone out yet, else on record. */
  function undo() {
    const at = new Date(Math.floor(time.now())).toISOString()
    if (!outbox?.undo(at) && state.value?.undo) {
      happened({ kind: 'withdrawn', of: state.value.undo.of })
    }
  }
  return { ...seen, load, happened, undo, packet }
}
