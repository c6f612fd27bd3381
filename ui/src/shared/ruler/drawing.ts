import type { Band, Zones } from '../../api/korvel'

/** A point of a run of colours: where, and what it looks like there. */
export interface Stop {
  bpm: number
  colour: string
  opacity: number
}

/** A band or a run of bands as it lies on a ruler. */
export interface Piece {
  id: string
  /** From the top of the bar, as shares of its height. */
  top: number
  height: number
  stops: Stop[]
}

/** A band's name and strokes: where there is room for them. */
export interface Label {
  band: Band
  fromBpm: number
  toBpm: number
  top: number
  height: number
}

/** The ground a bar lies on where no band is. */
const GROUND = 'var(--ruler-ground)'
const colourOf = (band: Band) => `var(--band-${band.level})`

/** Whether a rate lies in a band, on the whole edges that a person sees. */
export function holds(band: Band, bpm: number): boolean {
  return band.place !== 'too-narrow' && band.lowBpm <= bpm && bpm <= band.highBpm
}

/** Whether anything of a band is to be drawn: it lies within the span, and has a rate of its own. */
const within = (band: Band) => band.place === 'within'

/** 0 below the soft edge, 1 above it, and evenly between: an edge is as soft as it is uncertain. */
export function ramp(bpm: number, edge: number, sigma: number): number {
  if (sigma <= 0) return bpm < edge ? 0 : 1
  return Math.min(1, Math.max(0, (bpm - (edge - sigma)) / (2 * sigma)))
}

/** The span a ruler draws: a little past both ends, as far as they are uncertain. */
export function domain(rows: Zones[]): [number, number] {
  return [
    Math.min(...rows.map((zones) => zones.restingBpm - Math.max(2, zones.restingSigmaBpm))),
    Math.max(...rows.map((zones) => zones.maximumBpm + Math.max(2, zones.maximumSigmaBpm))),
  ]
}

function mix(share: number, over: string, under: string): string {
  const percent = Math.round(100 * share)
  if (percent === 0) return under
  return percent === 100 ? over : `color-mix(in oklab, ${over} ${percent}%, ${under})`
}

/** How much of the bar is there at all: it fades out past rest and maximum. */
function there(bpm: number, zones: Zones): number {
  return (
    ramp(bpm, zones.restingBpm, zones.restingSigmaBpm) *
    (1 - ramp(bpm, zones.maximumBpm, zones.maximumSigmaBpm))
  )
}

/** Just below a hard edge: its two sides lie at one place. */
const HAIR = 0.001

/** Where a soft edge begins and ends; both sides of a hard one. */
const ends = (edge: number, sigma: number) =>
  sigma > 0 ? [edge - sigma, edge + sigma] : [edge - HAIR, edge]

/** Every edge that is drawn within a span, and how soft it is. */
function edges(zones: Zones): [number, number][] {
  const bands = zones.kind === 'ladder' ? zones.bands.filter(within) : []
  return [
    [zones.restingBpm, zones.restingSigmaBpm],
    [zones.maximumBpm, zones.maximumSigmaBpm],
    ...bands.map((band): [number, number] => [band.lowBpm, band.lowSigmaBpm]),
    ...bands.slice(-1).map((band): [number, number] => [band.highBpm + 1, band.highSigmaBpm]),
  ]
}

/** A stop where a soft edge begins and ends, and at each beat: between them nothing bends. */
function run(zones: Zones, colour: (bpm: number) => string): Stop[] {
  const [from, to] = domain([zones])
  const at = new Set(edges(zones).flatMap(([edge, sigma]) => ends(edge, sigma)))
  for (let bpm = Math.ceil(from); bpm <= to; bpm++) at.add(bpm)
  return [...at, from, to]
    .filter((bpm) => bpm >= from && bpm <= to)
    .sort((a, b) => a - b)
    .map((bpm) => ({ bpm, colour: colour(bpm), opacity: there(bpm, zones) }))
}

/**
 * The colours along a ladder. Each edge is a ramp over ± its σ; where ramps overlap the colours mix
 * in turn. Below a ladder that starts above rest, and above one that ends early, lies bare ground.
 */
export function ladderColour(zones: Zones, bpm: number): string {
  const bands = zones.bands.filter(within)
  const last = bands.at(-1)
  let colour = GROUND
  for (const band of bands) {
    const share = band.lowBpm <= zones.restingBpm ? 1 : ramp(bpm, band.lowBpm, band.lowSigmaBpm)
    colour = mix(share, colourOf(band), colour)
  }
  return last && last.highBpm < zones.maximumBpm
    ? mix(ramp(bpm, last.highBpm + 1, last.highSigmaBpm), GROUND, colour)
    : colour
}

/** Ranges and single rates in lanes, so that those that overlap lie one above the other. */
function lanes(bands: Band[]): Band[][] {
  const result: Band[][] = []
  for (const band of bands) {
    const free = result.find((lane) => lane.at(-1)!.highBpm <= band.lowBpm)
    if (free) free.push(band)
    else result.push([band])
  }
  return result
}

function rangeStops(band: Band): Stop[] {
  const colour = colourOf(band)
  const low = band.lowSigmaBpm
  const high = band.highSigmaBpm
  return [
    { bpm: band.lowBpm - low, colour, opacity: 0 },
    { bpm: Math.min(band.lowBpm + low, (band.lowBpm + band.highBpm) / 2), colour, opacity: 1 },
    { bpm: Math.max(band.highBpm - high, (band.lowBpm + band.highBpm) / 2), colour, opacity: 1 },
    { bpm: band.highBpm + high, colour, opacity: 0 },
  ]
}

/** What lies on the bar of a ruler, and where its words go. */
export function drawing(zones: Zones): { pieces: Piece[]; labels: Label[]; lanes: number } {
  const shown = zones.bands.filter(within)
  if (zones.kind === 'ladder') {
    return {
      pieces: [
        { id: 'run', top: 0, height: 1, stops: run(zones, (bpm) => ladderColour(zones, bpm)) },
      ],
      labels: shown.map((band) => ({
        band,
        fromBpm: Math.max(band.lowBpm, zones.restingBpm),
        toBpm: Math.min(band.highBpm + 1, zones.maximumBpm),
        top: 0,
        height: 1,
      })),
      lanes: 1,
    }
  }
  const all = lanes(shown)
  const height = 1 / all.length
  const placed = all.flatMap((lane, at) => lane.map((band) => ({ band, top: at * height })))
  return {
    pieces: [
      { id: 'ground', top: 0, height: 1, stops: run(zones, () => GROUND) },
      ...placed.map(({ band, top }) => ({ id: band.id, top, height, stops: rangeStops(band) })),
    ],
    labels: placed.map(({ band, top }) => ({
      band,
      fromBpm: band.lowBpm,
      toBpm: band.highBpm,
      top,
      height,
    })),
    lanes: all.length,
  }
}

/** Edges between bands of one level, which no change of colour would show. */
export function seams(zones: Zones): number[] {
  if (zones.kind !== 'ladder') return []
  return zones.bands
    .filter((band, at) => at > 0 && zones.bands[at - 1]!.level === band.level && within(band))
    .map((band) => band.lowBpm)
}
