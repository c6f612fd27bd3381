import { ref } from 'vue'
import type { LiveEvent } from '../api/korvel'

/**
 * One touch stops; which sign it was is asked afterwards, and takes its place.
 *
 * @param happen notes what happened; the id it is known by
 */
export function useStopping(happen: (what: Omit<LiveEvent, 'at'>) => string) {
  const asking = ref(false)
  let stopped = ''
  function stop() {
    asking.value = true
    stopped = happen({ kind: 'stopped', sign: 'wish' })
  }
  function wasSign(sign: string) {
    asking.value = false
    if (sign === 'wish') return
    happen({ kind: 'withdrawn', of: stopped })
    happen({ kind: 'stopped', sign: sign as NonNullable<LiveEvent['sign']> })
  }
  function goOn() {
    asking.value = false
    happen({ kind: 'withdrawn', of: stopped })
  }
  return { asking, stop, wasSign, goOn }
}
