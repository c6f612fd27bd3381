import { onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import type { LiveTrace } from '../api/korvel'
import { asProblem, type Problem } from '../api/http'
import { clock } from '../shared/clock'
import { useChannel } from './channel'
import { LiveClock } from './liveClock'
import { Outbox, type HandIn, type HandSamples } from './outbox'

const TICK = 200
const FLUSH = 1000
/** Samples that waited so long, in seconds, change what was shown before. */
const LATE = 20

interface Stands {
  id: string
  now: string
}
interface View<Sheet, State> {
  sheet: Sheet
  state: State
  trace: LiveTrace
}

/** How something on the clock is read, told and added to. */
export interface OnTheClock<Sheet, State, Event> {
  /** As the channel names it. */
  named: (id: string) => string
  read: (id: string) => Promise<View<Sheet, State>>
  add: (id: string, event: string, happened: Event) => Promise<State>
  samples: HandSamples
}

/**
 * A session or a test on the clock: what it is, where it stands, and its heart rate by the second.
 * Where it stands is always the server's word; what happens here is kept until the server has it.
 */
export function useOnTheClock<
  Sheet extends { speed: number },
  State extends Stands,
  Event extends object,
>(id: Ref<string>, how: OnTheClock<Sheet, State, Event>) {
  const sheet = shallowRef<Sheet | null>(null)
  const state = shallowRef<State | null>(null)
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
    () => how.named(id.value),
    (message) => hear(message as Pick<View<Sheet, State>, 'state' | 'trace'>),
  )

  function take(fresh: State) {
    // Answers may overtake each other; the clock of a session never goes back.
    const before = state.value
    if (before?.id === fresh.id && new Date(fresh.now) < new Date(before.now)) return
    time.learn(fresh.now)
    now.value = time.now()
    state.value = fresh
  }

  async function load() {
    try {
      const view = await how.read(id.value)
      sheet.value = view.sheet
      trace.value = view.trace.bpm
      take(view.state)
      heard()
      problem.value = null
    } catch (thrown) {
      if (!sheet.value) problem.value = asProblem(thrown)
    }
  }

  function hear({ state: fresh, trace: piece }: Pick<View<Sheet, State>, 'state' | 'trace'>) {
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

  const handIn: HandIn = async (of, event, happened) =>
    take(await how.add(of, event, happened as Event))
  watch(
    id,
    (of) => {
      sheet.value = null
      state.value = null
      trace.value = []
      const mine: Outbox = new Outbox(
        of,
        {
          refused: (failure) => (refused.value = failure),
          changed() {
            waiting.value = { ...mine.waiting }
            late ||= waiting.value.seconds > LATE
            if (!late || waiting.value.seconds) return
            // What was handed in late lies further back than what comes along.
            late = false
            void load()
          },
        },
        handIn,
        how.samples,
      )
      outbox = mine
      waiting.value = { ...mine.waiting }
      void load()
      again()
    },
    { immediate: true },
  )

  /** What time it is by its clock. */
  const moment = () => new Date(Math.floor(time.now())).toISOString()
  /** Notes that something happened now, or at another moment. */
  function happened(what: Omit<Event, 'at'>): string {
    refused.value = null
    return outbox!.event({ at: moment(), ...what })
  }
  /** Drops or withdraws what happened last, where it still waits here. */
  const undoHere = () => outbox?.undo(moment()) ?? false
  let lastPacket = 0
  function packet(bytes: string) {
    // The server's time is learned anew with each answer; packets keep their order all the same.
    lastPacket = Math.max(lastPacket, Math.floor(time.now()))
    outbox?.packet(lastPacket, bytes)
  }

  const seen = { sheet, state, trace, problem, refused, waiting, connected, now }
  return { ...seen, load, happened, undoHere, moment, packet }
}
