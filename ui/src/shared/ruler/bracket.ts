import type { DrawnRow, RulerProps } from './layout'

/** One end of a bracket: where it is, how far it may go, and how much of it can be grabbed. */
export interface Handle {
  edge: 'low' | 'high'
  name: string
  x: number
  percent: number
  least: number
  most: number
  left: number
  right: number
}

/** Where a bracket lies, in pixels. */
export interface Bracket {
  top: number
  from: number
  to: number
  /** How far it reaches where a cap cuts it off. */
  allowed: number
  cut: boolean
  edges: Handle[]
}

/** The bracket that can be moved: both edges as they were asked for, and what a cap cuts off. */
export function bracketOn(row: DrawnRow, asked: NonNullable<RulerProps['bracket']>): Bracket {
  const { low, high, least, most } = asked
  const at = (percent: number) =>
    row.x(row.zones.restingBpm + (row.zones.reserveBpm * percent) / 100)
  const cap = row.zones.capBpm === null ? Infinity : row.x(row.zones.capBpm)
  const middle = (at(low) + at(high)) / 2
  const reach = Math.max(1, Math.min(22, middle - at(low)))
  return {
    top: row.top,
    from: at(low),
    to: at(high),
    allowed: Math.min(at(high), cap),
    cut: at(high) > cap + 1,
    edges: [
      {
        edge: 'low',
        name: 'Lower edge',
        x: at(low),
        percent: low,
        least,
        most: high,
        left: 22,
        right: reach,
      },
      {
        edge: 'high',
        name: 'Upper edge',
        x: at(high),
        percent: high,
        least: low,
        most,
        left: reach,
        right: 22,
      },
    ],
  }
}
