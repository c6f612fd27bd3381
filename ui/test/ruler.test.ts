import { ref } from 'vue'
import { describe, expect, it } from 'vitest'
import type { Band, Zones } from '../src/api/korvel'
import { scale, steps } from '../src/shared/chart/scale'
import { bracketOn } from '../src/shared/ruler/bracket'
import { domain, drawing, holds, ladderColour, ramp, seams } from '../src/shared/ruler/drawing'
import { useLayout, type RulerRow } from '../src/shared/ruler/layout'
import { callsOf, readingAt, saidAt, stackInWords } from '../src/shared/ruler/reading'

const band = (id: string, lowBpm: number, highBpm: number, level: number, sigma = 0) =>
  ({
    id,
    name: id,
    lowBpm,
    highBpm,
    level,
    lowSigmaBpm: sigma,
    highSigmaBpm: sigma,
    place: 'within',
  }) as Band

/** From 60 to 180, a reserve of 120. */
function zones(bands: Band[], more: Partial<Zones> = {}): Zones {
  const readings = Array.from({ length: 121 }, (_, n) => ({
    bpm: 60 + n,
    reservePercent: n / 1.2,
    maximumPercent: (60 + n) / 1.8,
    level: 1,
    counts: { '10': Math.round((60 + n) / 6), '15': Math.round((60 + n) / 4) },
    overCap: false,
  }))
  return {
    kind: 'ladder',
    basis: 'reserve',
    restingBpm: 60,
    maximumBpm: 180,
    reserveBpm: 120,
    restingSigmaBpm: 0,
    maximumSigmaBpm: 0,
    capBpm: null,
    bands,
    readings,
    levels: [],
    marks: [],
    ...more,
  } as unknown as Zones
}
const LADDER = zones([
  band('Easy', 60, 107, 1),
  band('Steady', 108, 131, 2, 4),
  band('Hard', 132, 180, 3),
])

describe('a scale', () => {
  it('lies between two places, either way round', () => {
    const y = scale(40, 80, 200, 0)
    expect([y(40), y(60), y(80)]).toEqual([200, 100, 0])
  })

  it('has one place for everything where it has no length', () => {
    expect(scale(60, 60, 10, 200)(60)).toBe(10)
  })

  it('has its whole steps, both ends included', () => {
    expect(steps(57, 90, 10)).toEqual([60, 70, 80, 90])
    expect(steps(-5, 5, 5)).toEqual([-5, 0, 5])
    expect(steps(61, 69, 10)).toEqual([])
  })
})

describe('what lies on a bar', () => {
  it('has edges as soft as they are uncertain', () => {
    expect([ramp(100, 108, 4), ramp(106, 108, 4), ramp(108, 108, 4), ramp(112, 108, 4)]).toEqual([
      0, 0.25, 0.5, 1,
    ])
    expect([ramp(107, 108, 0), ramp(108, 108, 0)]).toEqual([0, 1])
    expect(ladderColour(LADDER, 103)).toBe('var(--band-1)')
    expect(ladderColour(LADDER, 108)).toBe('color-mix(in oklab, var(--band-2) 50%, var(--band-1))')
    expect(ladderColour(LADDER, 112)).toBe('var(--band-2)')
  })

  it('is bare ground below a ladder that begins above rest, and past one that ends early', () => {
    const part = zones([band('Low', 100, 120, 1)])
    expect(ladderColour(part, 80)).toBe('var(--ruler-ground)')
    expect(ladderColour(part, 110)).toBe('var(--band-1)')
    expect(ladderColour(part, 130)).toBe('var(--ruler-ground)')
  })

  it('lays ranges that overlap in lanes, and those that follow each other in one', () => {
    const goals = [band('A', 90, 120, 1), band('B', 110, 140, 2), band('C', 120, 150, 3)]
    const { lanes, labels } = drawing(zones(goals, { kind: 'goals' }))
    expect(lanes).toBe(2)
    expect(labels.map((label) => [label.band.id, label.top])).toEqual([
      ['A', 0],
      ['C', 0],
      ['B', 0.5],
    ])
  })

  it('leaves out what is not within the span, and shows where levels do not change', () => {
    const odd = { ...band('Odd', 170, 200, 3), place: 'above-maximum' } as Band
    const made = zones([band('A', 60, 99, 1), band('B', 100, 139, 1), band('C', 140, 180, 2), odd])
    expect(drawing(made).labels.map(({ band: { id } }) => id)).toEqual(['A', 'B', 'C'])
    expect(seams(made)).toEqual([100])
    expect(seams(zones([], { kind: 'goals' }))).toEqual([])
  })

  it('reaches past both ends as far as they are uncertain', () => {
    expect(domain([LADDER])).toEqual([58, 182])
    expect(domain([zones([], { maximumSigmaBpm: 10, restingSigmaBpm: 3 })])).toEqual([57, 190])
  })

  it('holds the rates that a person sees, and none where it is too narrow', () => {
    const talk = band('Talk', 109, 130, 2)
    expect([108, 109, 130, 131].map((bpm) => holds(talk, bpm))).toEqual([false, true, true, false])
    expect(holds({ ...talk, place: 'too-narrow' } as Band, 120)).toBe(false)
  })
})

describe('what is read', () => {
  it('names every band that holds the rate, and says when none does', () => {
    const goals = zones([band('A', 90, 120, 1), band('B', 110, 140, 2)], { kind: 'goals' })
    expect(readingAt(goals, 115)?.name).toBe('A and B')
    expect(readingAt(goals, 80)?.name).toBe('outside its zones')
    expect(readingAt(goals, 181)).toBeNull()
  })

  it('goes by each one’s own rate where rows are laid out by reserve', () => {
    const rates = Array.from({ length: 101 }, (_, percent) => 60 + Math.round(1.2 * percent))
    const rows: RulerRow[] = [{ label: 'Ines', zones: LADDER, rates }]
    expect(saidAt(rows, 50, true)[0]!.at?.bpm).toBe(120)
    expect(stackInWords(saidAt(rows, 50, true), 50, true)).toBe(
      '50 percent of reserve: Ines, 120 beats per minute, Steady',
    )
    expect(stackInWords(saidAt(rows, 200, false), 200, false)).toBe(
      '200 beats per minute: Ines, outside its span',
    )
  })

  it('is cut where there is no room for it, and counts what it leaves out', () => {
    const long = band('A name that is far too long for its place', 60, 180, 1)
    const said = saidAt([{ zones: zones([long, band('B', 60, 180, 2)]) }], 100, false)
    expect(callsOf(said, false)).toEqual(['A name that is far to… +1'])
    expect(callsOf(said, true)).toEqual(['A name that is… +1'])
    expect(callsOf(saidAt([{ zones: LADDER }], 250, false), false)).toEqual([''])
  })
})

describe('the layout', () => {
  const laid = (rows: RulerRow[], more = {}, width = 900) =>
    useLayout({ rows, ...more }, 'id', ref(width))

  it('puts a rate on one place of the axis for every row', () => {
    const other = zones([], { restingBpm: 50, maximumBpm: 200, reserveBpm: 150 })
    const layout = laid([{ zones: LADDER }, { zones: other }])
    expect(layout.stacked).toBe(true)
    expect(layout.rows.map((row) => row.x(120))).toEqual([layout.x(120), layout.x(120)])
    expect(layout.x(layout.range[0])).toBe(8)
    expect(layout.x(layout.range[1])).toBe(892)
  })

  it('puts everyone’s rest and maximum one under the other by reserve', () => {
    const other = zones([], { restingBpm: 50, maximumBpm: 200, reserveBpm: 150 })
    const [one, two] = laid([{ zones: LADDER }, { zones: other }], { byReserve: true }).rows
    expect(one!.x(60)).toBeCloseTo(two!.x(50), 6)
    expect(one!.x(180)).toBeCloseTo(two!.x(200), 6)
  })

  it('says the lower of a cap and a ceiling, and neither above the maximum', () => {
    const words = (capBpm: number | null, ceilingBpm: number | null) =>
      laid([{ zones: { ...LADDER, capBpm }, ceilingBpm }]).rows[0]!.limit?.words
    expect(words(142, 150)).toBe('capped at 142')
    expect(words(150, 142)).toBe('above 142 not allowed yet')
    expect(words(null, 190)).toBeUndefined()
    expect(words(185, null)).toBeUndefined()
  })

  it('cuts the bracket at a cap, and keeps its ends apart for the finger', () => {
    const asked = { low: 40, high: 60, least: 20, most: 90 }
    const open = bracketOn(laid([{ zones: LADDER }]).rows[0]!, asked)
    expect(open.cut).toBe(false)
    expect(open.allowed).toBe(open.to)
    const capped = laid([{ zones: { ...LADDER, capBpm: 120 } }])
    const cut = bracketOn(capped.rows[0]!, asked)
    expect(cut.cut).toBe(true)
    expect(cut.allowed).toBe(capped.x(120))
    const [low, high] = cut.edges
    expect([low!.least, low!.most, high!.least, high!.most]).toEqual([20, 60, 40, 90])
    expect(low!.x + low!.right).toBeLessThanOrEqual(high!.x - high!.left)
  })
})
