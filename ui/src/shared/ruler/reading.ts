import type { Zones } from '../../api/korvel'
import { cut, effort, span } from '../words'
import { holds } from './drawing'
import type { RulerRow } from './layout'

/** What a row says of a rate; nothing outside its span. */
export function readingAt(zones: Zones, bpm: number) {
  const reading = zones.readings[bpm - zones.restingBpm]
  if (!reading) return null
  const names = zones.bands.filter((band) => holds(band, bpm)).map((band) => band.name)
  return { ...reading, names, name: names.join(' and ') || 'outside its zones' }
}

/** What one row says at the cursor. */
export interface Said {
  label: string
  target: string
  at: ReturnType<typeof readingAt>
}

/** What the rows say at a point of the axis: a rate, or a percent of reserve. */
export const saidAt = (rows: RulerRow[], at: number, byReserve: boolean): Said[] =>
  rows.map((row) => ({
    label: row.label ?? '',
    target: row.target ? span([row.target.lowBpm, row.target.highBpm]) : '',
    at: readingAt(row.zones, byReserve ? (row.rates?.[at] ?? 0) : at),
  }))

/** What the first row says of a rate in every language there is; the nearest of its span. */
export function fullReading({ readings, restingBpm, levels }: Zones, bpm: number) {
  const at = readings[Math.min(readings.length - 1, Math.max(0, bpm - restingBpm))]!
  return { at, level: levels[at.level - 1]! }
}
export type FullReading = ReturnType<typeof fullReading>

/** What each row calls the rate, as long as there is room for beside it. */
export const callsOf = (said: Said[], narrow: boolean): string[] =>
  said.map(({ at }) => {
    const [one = '', ...more] = at?.names ?? []
    const most = (narrow ? 18 : 25) - (more.length ? 3 : 0)
    const short = cut(one, most)
    return short && more.length ? `${short} +${more.length}` : short
  })

/** The cursor of a stack in words. */
export const stackInWords = (said: Said[], at: number, byReserve: boolean): string =>
  (byReserve ? `${at} percent of reserve: ` : `${at} beats per minute: `) +
  said
    .map(({ label, at: here }) =>
      here
        ? byReserve
          ? `${label}, ${here.bpm} beats per minute, ${here.name}`
          : `${label}, ${here.name}, ${here.reservePercent} percent of reserve`
        : `${label}, outside its span`,
    )
    .join('; ')

/** The cursor of one ruler in words. */
export const inWords = ({ at, level }: FullReading, name: string): string =>
  `${at.bpm} beats per minute, ${at.reservePercent} percent of reserve, ` +
  `${at.maximumPercent} percent of maximum, ${name}, ${level.voice}, ` +
  `RPE ${effort(level.rpe20, 6)} on 6 to 20, ${effort(level.rpe10, 0)} on 0 to 10, ` +
  `${at.counts['10']} beats in 10 seconds, ${at.counts['15']} in 15 seconds` +
  (at.overCap ? ', over the cap' : '')
