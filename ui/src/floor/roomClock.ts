import { onBeforeUnmount } from 'vue'

/** How long a room may count, in seconds. */
export const ROOM_WINDOWS = [10, 15, 30, 60]

/** What the windows of one machine tell each other about the clock of the room. */
export type RoomMessage =
  { kind: 'start'; seconds: number; at: number } | { kind: 'stop' } | { kind: 'hello' }

/** A line between the instructor's window and the one on the wall. */
export function useRoomLine(heard: (message: RoomMessage) => void) {
  const line = new BroadcastChannel('korvel-room-clock')
  line.onmessage = (event: MessageEvent<RoomMessage>) => heard(event.data)
  onBeforeUnmount(() => line.close())
  return (message: RoomMessage) => line.postMessage(message)
}
