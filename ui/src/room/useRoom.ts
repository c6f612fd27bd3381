import { onScopeDispose, ref, shallowReactive, shallowRef, watch, type Ref } from 'vue'
import { asProblem, type Problem } from '../api/http'
import {
  addToRoom,
  liveRoom,
  type Lane,
  type LiveEvent,
  type RoomSheet,
  type RoomState,
  type RoomTime,
  type RoomView,
  type SwapQuestion,
} from '../api/korvel'
import { useChannel } from '../live/channel'
import { LiveClock } from '../live/liveClock'
import { Outbox } from '../live/outbox'
import { clock } from '../shared/clock'

const TICK = 200
const FLUSH = 1000

/**
 * A room: who is in it, how each stands, who needs somebody. Where they stand is always the
 * server's word; what happens here is kept until the server has it.
 */
export function useRoom(id: Ref<string>) {
  const sheet = shallowRef<RoomSheet | null>(null)
  /** How each stands; a lane is drawn anew only when it changes. */
  const lanes = shallowReactive(new Map<string, Lane>())
  const time = shallowRef<RoomTime | null>(null)
  const queue = shallowRef<string[]>([])
  const questions = shallowRef<SwapQuestion[]>([])
  const problem = shallowRef<Problem | null>(null)
  const refused = shallowRef<Problem | null>(null)
  const waiting = ref(0)

  const ofRoom = new LiveClock(() => sheet.value?.speed ?? 1)
  const now = ref(clock.wall())
  const { connected, heard, again } = useChannel(
    () => `room:${id.value}`,
    (message) => take((message as { room: RoomState }).room),
  )

  function take(state: RoomState) {
    const before = time.value
    if (before && new Date(state.time.now) < new Date(before.now)) return
    ofRoom.learn(state.time.now)
    time.value = state.time
    for (const lane of state.lanes) lanes.set(lane.session, lane)
    if (state.queue.join() !== queue.value.join()) queue.value = state.queue
    if (state.questions.length || questions.value.length) questions.value = state.questions
    // Somebody who has joined elsewhere is not on this sheet yet.
    if (state.lanes.some(({ session }) => !isHere(session))) void load()
  }
  const isHere = (session: string) =>
    !sheet.value || sheet.value.people.some((person) => person.session === session)

  function show(view: RoomView) {
    sheet.value = view.sheet
    take(view.state)
    heard()
    problem.value = null
    // What waited on this device when it was left is handed in.
    for (const { session } of view.sheet.people) outbox(session)
  }
  async function load() {
    try {
      show(await liveRoom(id.value))
    } catch (thrown) {
      if (!sheet.value) problem.value = asProblem(thrown)
    }
  }

  const outboxes = new Map<string, Outbox>()
  const told = {
    refused: (failure: Problem) => (refused.value = failure),
    changed() {
      waiting.value = [...outboxes.values()].reduce((sum, box) => sum + box.waiting.events, 0)
    },
  }
  function outbox(session: string): Outbox {
    const known = outboxes.get(session)
    if (known) return known
    const made =
      session === id.value
        ? new Outbox(session, told, async (room, event, happened) =>
            show(await addToRoom(room, event, happened)),
          )
        : new Outbox(session, told)
    outboxes.set(session, made)
    return made
  }
  const at = () => new Date(Math.floor(ofRoom.now())).toISOString()
  /** Notes that something happened to one of them now. */
  function happened(session: string, what: Omit<LiveEvent, 'at'>): string {
    refused.value = null
    return outbox(session).event({ at: at(), ...what })
  }
  /** Notes that something happened to all of them now. */
  const roomHappened = (what: Omit<LiveEvent, 'at'>) => happened(id.value, what)
  /** Undoes what happened last to one of them, or with the room's id to all. */
  function undo(session: string, last: { of: string } | null | undefined) {
    if (!outbox(session).undo(at()) && last) happened(session, { kind: 'withdrawn', of: last.of })
  }
  const lastPacket = new Map<string, number>()
  function packet(session: string, bytes: string) {
    const moment = Math.max(lastPacket.get(session) ?? 0, Math.floor(ofRoom.now()))
    lastPacket.set(session, moment)
    outbox(session).packet(moment, bytes)
  }

  let flushed = 0
  const stopTicking = clock.every(TICK, () => {
    now.value = ofRoom.now()
    if (clock.now() - flushed < FLUSH) return
    flushed = clock.now()
    for (const box of outboxes.values()) box.flush()
  })
  onScopeDispose(() => {
    stopTicking()
    for (const box of outboxes.values()) box.flush()
  })
  watch(
    id,
    () => {
      sheet.value = null
      time.value = null
      lanes.clear()
      outboxes.clear()
      void load()
      again()
    },
    { immediate: true },
  )
  const seen = { sheet, lanes, time, queue, questions, problem, refused, waiting, connected, now }
  return { ...seen, load, show, happened, roomHappened, undo, packet }
}
