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

const LOWEST = 6
const HIGHEST = 20

/** The ratings that make sense in a step: its own, some below and more above. */
export function ratings(low: number | null, high: number | null): number[] {
  const from = Math.max(LOWEST, (low ?? 9) - 3)
  const to = Math.min(HIGHEST, (high ?? 13) + 5)
  return Array.from({ length: to - from + 1 }, (_, n) => from + n)
}

/** Minutes and seconds, as on a clock. */
export function onClock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
