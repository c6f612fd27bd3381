import type { Forecast } from '../api/korvel'

/** Where seconds and rates lie on a picture, in pixels. */
export interface Scales {
  x: (second: number) => number
  y: (bpm: number) => number
}

const place = (second: number, bpm: number, { x, y }: Scales) =>
  `${x(second).toFixed(1)} ${y(bpm).toFixed(1)}`

/** A forecast's points and their seconds; the first is of second 1. */
const pathOf = (values: number[], every: number, scales: Scales) =>
  values.map((bpm, n) => place(1 + n * every, bpm, scales)).join('L')

export const line = ({ bpm, everySeconds }: Forecast, scales: Scales) =>
  `M${pathOf(bpm, everySeconds, scales)}`

/** The ribbon: along its upper edge, and back along the lower one. */
export function ribbon({ lowBpm, highBpm, everySeconds }: Forecast, scales: Scales): string {
  const back = lowBpm.map((bpm, n) => place(1 + n * everySeconds, bpm, scales)).reverse()
  return `M${pathOf(highBpm, everySeconds, scales)}L${back.join('L')}Z`
}

/**
 * A recording, as far as it is to be seen: a point for every pixel at most; 0 is no rate.
 *
 * @param until the last second that is drawn
 */
export function recorded(bpm: number[], until: number, scales: Scales): string {
  const wide = Math.max(1, scales.x(bpm.length) - scales.x(0))
  const each = Math.max(1, Math.floor(bpm.length / wide))
  let drawing = false
  let drawn = ''
  for (let second = 1; second <= Math.min(until, bpm.length); second += each) {
    const rate = bpm[second - 1]!
    if (rate) drawn += `${drawing ? 'L' : 'M'}${place(second, rate, scales)}`
    drawing = rate > 0
  }
  return drawn
}

/** A forecast at a second, the point at or before it: the rate and the edges of its ribbon. */
export function at(forecast: Forecast, second: number) {
  const n = Math.max(
    0,
    Math.min(forecast.bpm.length - 1, Math.floor((second - 1) / forecast.everySeconds)),
  )
  const { bpm, lowBpm, highBpm, percent, lowPercent, highPercent } = forecast
  return {
    bpm: [bpm[n]!, lowBpm[n]!, highBpm[n]!],
    percent: [percent[n]!, lowPercent[n]!, highPercent[n]!],
  }
}

/** Those of several labels that leave each other room, the first one always. */
export function apart<T>(labels: T[], y: (label: T) => number, room: number): T[] {
  const kept: T[] = []
  for (const label of labels) {
    if (kept.every((other) => Math.abs(y(other) - y(label)) >= room)) kept.push(label)
  }
  return kept
}
