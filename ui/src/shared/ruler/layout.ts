import { computed, reactive, type Ref } from 'vue'
import type { Zones } from '../../api/korvel'
import { scale } from '../chart/scale'
import { span } from '../words'
import { domain, drawing, seams } from './drawing'

/** One ruler of a stack. */
export interface RulerRow {
  zones: Zones
  /** What it is called in a stack. */
  label?: string
  target?: { lowBpm: number; highBpm: number } | null
  /** Above this rate nothing is prescribed to this client. */
  ceilingBpm?: number | null
  /** The rate at each whole percent of reserve: for rulers laid out by reserve. */
  rates?: number[]
  /** The one in use among several. */
  inUse?: boolean
  /** Where whole sentences seem to end so far. */
  talk?: { lowBpm: number; highBpm: number } | null
}

export interface RulerProps {
  rows: RulerRow[]
  /** Drawn for reading from across a hall, on a dark ground. */
  wall?: boolean
  /** Low bars, for many rows. */
  compact?: boolean
  /** Laid out by percent of reserve; the cursor is a whole percent. */
  byReserve?: boolean
  /** Many zone systems on one span: names on the left, what each calls the rate on the right. */
  beside?: boolean
  /** The target's edges in percent of reserve, where they can be dragged and typed along. */
  bracket?: { low: number; high: number; least: number; most: number } | null
  /** Read while somebody moves: a pointer at that rate in place of the cursor; null without one. */
  pointer?: number | null
  /** A range across every row of such a stack. */
  mark?: { lowBpm: number; highBpm: number } | null
}

/** The lower of a clinician's cap and a ceiling, and how it is said. */
function limitOf(row: RulerRow): { bpm: number; words: string } | null {
  const cap = row.zones.capBpm
  const ceiling = row.ceilingBpm ?? null
  if (cap !== null && (ceiling === null || cap <= ceiling)) {
    return cap < row.zones.maximumBpm ? { bpm: cap, words: `capped at ${cap}` } : null
  }
  return ceiling !== null && ceiling < row.zones.maximumBpm
    ? { bpm: ceiling, words: `above ${ceiling} not allowed yet` }
    : null
}

/** The edges of a ladder that the client's own talk has moved. */
const learnedOf = ({ scheme, learned }: Zones) =>
  scheme === 'voice-ladder' && learned
    ? [learned.lower, learned.upper].filter((each) => each !== null)
    : []

/** Where everything on a ruler lies, in pixels, and what is drawn of each row. */
export function useLayout(props: RulerProps, id: string, width: Ref<number>) {
  const stacked = computed(() => !props.beside && (props.rows.length > 1 || !!props.byReserve))
  const narrow = computed(() => width.value < 560)

  /** What talk checks say stands under a ruler of its own, not in a stack. */
  const marksLearned = computed(() => !props.compact && !props.beside && !props.byReserve)

  /** All lengths in pixels; a wall screen takes them larger. */
  const size = computed(() => {
    const by = props.wall ? Math.min(2.6, Math.max(1, width.value / 830)) : 1
    if (props.beside) {
      const aside = !narrow.value
      return {
        by,
        margin: 8,
        left: aside ? 196 : 8,
        right: aside ? 196 : 8,
        head: aside ? 3 : 21,
        bar: aside ? 21 : 23,
        lane: 16,
        gap: 4,
        axis: 52,
        text: 13,
        letter: 7,
        under: 0,
      }
    }
    const limited = props.rows.some((row) => limitOf(row))
    const lines = props.compact
      ? 1
      : limited && narrow.value
        ? 3
        : limited || props.rows.some((row) => row.target)
          ? 2
          : 1
    return {
      by,
      margin: 8 * by,
      left: 8 * by,
      right: 8 * by,
      head: (lines * 19 + (props.compact ? 4 : 10)) * by,
      bar: (props.compact ? 24 : stacked.value ? 46 : 50) * by,
      lane: (props.compact ? 24 : 27) * by,
      gap: (props.byReserve ? 24 : props.compact ? 8 : 10) * by,
      axis: 52 * by,
      text: 13 * by,
      letter: 7 * by,
      under:
        marksLearned.value && props.rows.some((row) => row.talk || learnedOf(row.zones).length)
          ? 30 * by
          : 0,
    }
  })
  /** Where each bar lies and how tall it is: ranges that overlap need a lane each. */
  const bars = computed(() => {
    const { head, bar, lane, gap, under } = size.value
    let y = 0
    return props.rows.map(({ zones }) => {
      const what = drawing(zones)
      const tall = Math.max(bar, what.lanes * lane)
      const top = y + head
      y = top + tall + gap + under
      return { ...what, top, tall }
    })
  })
  /** Under the last bar, and under the rates of its edges where they stand there. */
  const bottom = computed(
    () =>
      bars.value.at(-1)!.top +
      bars.value.at(-1)!.tall +
      size.value.under +
      (props.byReserve ? 20 * size.value.by : 0),
  )
  const height = computed(() => bottom.value + size.value.axis)

  /** The span of the axis: rates, or percent of reserve with a little room for soft ends. */
  const range = computed<[number, number]>(() =>
    props.byReserve ? [-6, 106] : domain(props.rows.map((row) => row.zones)),
  )
  /** Where a point of the axis lies. */
  const placed = computed(() =>
    scale(...range.value, size.value.left, width.value - size.value.right),
  )
  const x = (at: number) => placed.value(at)
  /** Where a rate of someone's lies. */
  const rateAt = (zones: Zones) => (bpm: number) =>
    x(props.byReserve ? (100 * (bpm - zones.restingBpm)) / zones.reserveBpm : bpm)

  const drawn = computed(() =>
    props.rows.map((row, at) => {
      const { letter, by } = size.value
      const { zones } = row
      const x = rateAt(zones)
      const { pieces, labels, top, tall: bar } = bars.value[at]!
      const limit = limitOf(row)
      const limitWords = limit?.words ?? ''
      // The words of a target give way to those of a limit on the same line.
      const target = row.target
        ? { ...row.target, words: `target ${span([row.target.lowBpm, row.target.highBpm])}` }
        : null
      const targetHalf = ((target?.words.length ?? 0) * letter) / 2 + 6
      const limitLeft =
        limit && !narrow.value ? width.value - (limitWords.length + 2) * letter : width.value
      return {
        key: at,
        x,
        top,
        bar,
        zones,
        label: row.label ?? '',
        inUse: row.inUse ?? false,
        talk: row.talk ?? null,
        learned: marksLearned.value ? learnedOf(zones) : [],
        limit,
        target: target && {
          ...target,
          at: Math.max(
            targetHalf,
            Math.min((x(target.lowBpm) + x(target.highBpm)) / 2, limitLeft - targetHalf),
          ),
        },
        pieces: pieces.map((piece) => ({
          ...piece,
          url: `${id}-${at}-${piece.id}`,
          from: x(piece.stops[0]!.bpm),
          to: x(piece.stops.at(-1)!.bpm),
          y: top + piece.top * bar + (piece.height < 1 ? 1.5 * by : 0),
          tall: piece.height * bar - (piece.height < 1 ? 3 * by : 0),
          offsets: piece.stops.map((stop) => ({
            ...stop,
            offset:
              (stop.bpm - piece.stops[0]!.bpm) /
              Math.max(0.001, piece.stops.at(-1)!.bpm - piece.stops[0]!.bpm),
          })),
        })),
        edges: props.byReserve ? zones.bands.slice(1).map((band) => band.lowBpm) : [],
        points: zones.kind === 'points' ? zones.bands.map((band) => band.lowBpm) : [],
        seams: seams(zones),
        labels: labels.map((each) => {
          const left = x(each.fromBpm)
          const right = x(each.toBpm)
          // A single rate is named beside its line, and a range where its word fits.
          const point = zones.kind === 'points'
          const tall = each.height * bar
          const lane = tall < 20 * by
          const broad = each.band.name.length * (lane ? 6.6 : 8.4) * by + 8 * by
          const word = (point && !props.beside) || right - left > broad
          const both = tall >= 44 * by
          return {
            ...each.band,
            middle: point ? left + 6 * by : (left + right) / 2,
            anchor: point ? 'start' : 'middle',
            lane,
            plain: point,
            word: word ? each.band.name : '',
            wordAt: top + each.top * bar + (both ? 22 * by : tall / 2 + (lane ? 4 : 5) * by),
            strokes:
              !point &&
              !lane &&
              right - left > each.band.level * 6 * by + 4 * by &&
              (both || !word),
            strokesAt: top + each.top * bar + (both && word ? 31 * by : tall / 2 - 5.5 * by),
          }
        }),
      }
    }),
  )

  return reactive({ width, stacked, narrow, size, bars, bottom, height, range, x, rows: drawn })
}
export type Layout = ReturnType<typeof useLayout>
export type DrawnRow = Layout['rows'][number]
