import type { LiveState } from '../api/korvel'

type Kind = NonNullable<LiveState['cue']>['kind']

/** What is to be said: its shape, its words, and how loud it looks. */
export const CUES: Record<Kind, { mark: string; words: string }> = {
  'pick-up': { mark: '▲', words: 'Pick up' },
  hold: { mark: '●', words: 'Hold' },
  'ease-off': { mark: '▼', words: 'Ease off' },
  'stop-work': { mark: '■', words: 'Stop work. Keep moving. Ask.' },
  'no-signal': { mark: '–', words: 'No signal' },
  ask: { mark: '?', words: 'Ask how it feels' },
}

/** The five words of the voice, softest first. */
export const VOICE = ['Sing', 'Talk', 'Phrases', 'Words', 'Silent'] as const

/** Every rating of the scale from 6 to 20. */
export const RPE = Array.from({ length: 15 }, (_, n) => 6 + n)

/** The ratings that make sense in a step: its own, some below and more above. */
export function ratings(low: number | null, high: number | null): number[] {
  const from = (low ?? 9) - 3
  const to = (high ?? 13) + 5
  return RPE.filter((each) => each >= from && each <= to)
}

/** Minutes and seconds, as on a clock. */
export function onClock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
