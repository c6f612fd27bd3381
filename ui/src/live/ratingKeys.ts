import { clock } from '../shared/clock'

const VOICE_KEYS = 'asdfg'
const LOWEST = 6
const HIGHEST = 20
/** Two figures typed so close together are one rating, ms. */
const TOGETHER = 1200

/**
 * Ratings from the keyboard: RPE by its number, the voice by the keys of one hand.
 *
 * @returns what a key does; undefined where it is none of these
 */
export function useRatingKeys(rate: (what: { rpe20?: number; voice?: number }) => unknown) {
  let typed = ''
  let at = 0
  function figure(key: string) {
    const moment = clock.wall()
    typed = moment - at < TOGETHER ? typed + key : key
    at = moment
    const value = Number(typed)
    if (value >= LOWEST && value <= HIGHEST) {
      rate({ rpe20: value })
      typed = ''
    }
  }
  return (key: string): (() => unknown) | undefined => {
    if (/^\d$/.test(key)) return () => figure(key)
    const voice = key.length === 1 ? VOICE_KEYS.indexOf(key) : -1
    return voice < 0 ? undefined : () => rate({ voice: voice + 1 })
  }
}
