import { computed, onScopeDispose, ref } from 'vue'
import { clock } from '../shared/clock'

/** How many seconds of a session go by in one. */
export const SPEED = 60
const EVERY = 50

/** A clock that plays something from its beginning to its end, faster than time. */
export function usePlayed(length: () => number) {
  const at = ref(0)
  const playing = ref(false)
  let stop: (() => void) | undefined
  function pause() {
    stop?.()
    stop = undefined
    playing.value = false
  }
  function play() {
    if (playing.value || !length()) return
    if (at.value >= length()) at.value = 0
    const from = clock.now() - (1000 * at.value) / SPEED
    playing.value = true
    stop = clock.every(EVERY, () => {
      at.value = Math.min(length(), Math.floor(((clock.now() - from) * SPEED) / 1000))
      if (at.value >= length()) pause()
    })
  }
  function rewind() {
    pause()
    at.value = 0
  }
  onScopeDispose(pause)
  const over = computed(() => length() > 0 && at.value >= length())
  return { at, playing, over, play, pause, rewind }
}
