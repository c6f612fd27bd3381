import { onScopeDispose, ref } from 'vue'
import { clock } from '../shared/clock'

const TICK = 200
/** Nothing heard for so long: the page shows what it knows, and says so. */
const SILENT = 4000
const FIRST_WAIT = 250
const LONGEST_WAIT = 4000

/**
 * What the server tells by itself: opened again whenever it closes, sooner at first.
 *
 * @param wanted what is looked at, as the channel names it
 */
export function useChannel(wanted: () => string, hear: (message: unknown) => void) {
  const connected = ref(false)
  let heardAt = clock.now()
  let channel: WebSocket | null = null
  let wait = FIRST_WAIT
  let over = false
  let openAt = 0

  /** The server has answered, by whatever way. */
  function heard() {
    heardAt = clock.now()
    connected.value = true
  }
  function listen() {
    const mine = new WebSocket(`${location.origin.replace(/^http/, 'ws')}/api/live/channel`)
    channel = mine
    mine.onopen = () => {
      wait = FIRST_WAIT
      mine.send(wanted())
    }
    mine.onmessage = ({ data }) => {
      heard()
      hear(JSON.parse(data as string))
    }
    mine.onclose = () => {
      channel = null
      openAt = clock.now() + wait
      wait = Math.min(LONGEST_WAIT, wait * 2)
    }
  }
  /** Something else is looked at now. */
  function again() {
    if (channel) channel.close()
    else listen()
  }
  const stopTicking = clock.every(TICK, () => {
    const moment = clock.now()
    if (connected.value && moment - heardAt > SILENT) connected.value = false
    if (!channel && !over && moment >= openAt) listen()
  })
  onScopeDispose(() => {
    over = true
    stopTicking()
    channel?.close()
  })
  return { connected, heard, again }
}
