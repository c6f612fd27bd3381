import type { Zones } from '../api/korvel'

/** A point of the run of colours: where, and what it looks like there. */
export interface Stop {
  bpm: number
  colour: string
  opacity: number
}

/** 0 below the soft edge, 1 above it, and evenly between: an edge is as soft as it is uncertain. */
function ramp(bpm: number, edge: number, sigma: number): number {
  if (sigma <= 0) return bpm < edge ? 0 : 1
  return Math.min(1, Math.max(0, (bpm - (edge - sigma)) / (2 * sigma)))
}

/** The span a ruler draws: a little past both ends, as far as they are uncertain. */
export function domain(zones: Zones): [number, number] {
  return [
    zones.restingBpm - Math.max(2, zones.restingSigmaBpm),
    zones.maximumBpm + Math.max(2, zones.maximumSigmaBpm),
  ]
}

/**
 * The colours along the ruler of a ladder. Each edge is a ramp over ± its σ; where ramps overlap
 * the colours mix in turn.
 */
export function stops(zones: Zones): Stop[] {
  const [from, to] = domain(zones)
  const result: Stop[] = []
  for (let bpm = Math.floor(from); bpm <= Math.ceil(to); bpm++) {
    let colour = `var(--band-${zones.bands[0]?.level ?? 1})`
    zones.bands.slice(1).forEach((band) => {
      const share = Math.round(100 * ramp(bpm, band.lowBpm, band.lowSigmaBpm))
      if (share === 100) colour = `var(--band-${band.level})`
      else if (share > 0)
        colour = `color-mix(in oklab, var(--band-${band.level}) ${share}%, ${colour})`
    })
    const opacity =
      ramp(bpm, zones.restingBpm, zones.restingSigmaBpm) *
      (1 - ramp(bpm, zones.maximumBpm, zones.maximumSigmaBpm))
    result.push({ bpm, colour, opacity })
  }
  return result
}

/** Whole tens inside the span. */
export function tens(from: number, to: number): number[] {
  const first = Math.ceil(from / 10) * 10
  return Array.from(
    { length: Math.max(0, Math.floor((to - first) / 10) + 1) },
    (_, i) => first + 10 * i,
  )
}
