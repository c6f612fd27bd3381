<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useId, watch } from 'vue'
import type { Zones } from '../api/korvel'
import MethodLink from './MethodLink.vue'
import { domain, drawing, holds, seams, tens } from './rulerDrawing'
import { effort, span } from './words'

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
}

/**
 * The ruler: from rest to maximum, bands with edges as soft as they are uncertain, a target above,
 * a cap or ceiling hatched, and a cursor that reads one point in every language. Several rows are
 * stacked on one axis and read by one cursor: an axis of rates, or of percent of reserve, on which
 * everyone's rest and everyone's maximum lie one under the other. Rows of one span may have their
 * name on one side and what they call the rate at the cursor on the other.
 */
const props = withDefaults(
  defineProps<{
    rows: RulerRow[]
    /** Drawn for reading from across a hall, on a dark ground. */
    wall?: boolean
    /** Low bars, for many rows. */
    compact?: boolean
    /** Laid out by percent of reserve; the cursor is a whole percent. */
    byReserve?: boolean
    /** Many schools on one span: names on the left, what each calls the rate on the right. */
    beside?: boolean
    /** The target's edges in percent of reserve, where they can be dragged and typed along. */
    bracket?: { low: number; high: number; least: number; most: number } | null
    /** A range across every row of such a stack. */
    mark?: { lowBpm: number; highBpm: number } | null
  }>(),
  { wall: false, compact: false, byReserve: false, beside: false, mark: null, bracket: null },
)
const cursor = defineModel<number>('cursor')
const emit = defineEmits<{ bracket: [edge: 'low' | 'high', percent: number] }>()

const id = useId()
const box = ref<HTMLElement | null>(null)
const svg = ref<SVGSVGElement | null>(null)
const width = ref(900)
let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    if (entry) width.value = Math.max(280, Math.round(entry.contentRect.width))
  })
  if (box.value) observer.observe(box.value)
})
onBeforeUnmount(() => observer?.disconnect())

const first = computed(() => props.rows[0]!.zones)
const stacked = computed(() => !props.beside && (props.rows.length > 1 || props.byReserve))
const narrow = computed(() => width.value < 560)

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
  }
})
/** Where each bar lies and how tall it is: ranges that overlap need a lane each. */
const bars = computed(() => {
  const { head, bar, lane, gap } = size.value
  let y = 0
  return props.rows.map(({ zones }) => {
    const what = drawing(zones)
    const tall = Math.max(bar, what.lanes * lane)
    const top = y + head
    y = top + tall + gap
    return { ...what, top, tall }
  })
})
/** Under the last bar, and under the rates of its edges where they stand there. */
const bottom = computed(
  () =>
    bars.value.at(-1)!.top + bars.value.at(-1)!.tall + (props.byReserve ? 20 * size.value.by : 0),
)
const height = computed(() => bottom.value + size.value.axis)

/** Where a range across every row is drawn: on a phone names stand between the rows. */
const marked = computed(() => (narrow.value ? bars.value : [{ top: 2, tall: bottom.value + 2 }]))

/** The span of the axis: rates, or percent of reserve with a little room for soft ends. */
const range = computed<[number, number]>(() =>
  props.byReserve ? [-6, 106] : domain(props.rows.map((row) => row.zones)),
)
/** Where a point of the axis lies. */
const x = (at: number) => {
  const [from, to] = range.value
  const { left, right } = size.value
  return left + ((at - from) / (to - from)) * (width.value - left - right)
}
/** Where a rate of someone's lies. */
const rateAt = (zones: Zones) => (bpm: number) =>
  x(props.byReserve ? (100 * (bpm - zones.restingBpm)) / zones.reserveBpm : bpm)

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
            !point && !lane && right - left > each.band.level * 6 * by + 4 * by && (both || !word),
          strokesAt: top + each.top * bar + (both && word ? 31 * by : tall / 2 - 5.5 * by),
        }
      }),
    }
  }),
)
const axis = computed(() => {
  const [from, to] = range.value
  const every = narrow.value ? 20 : 10
  return tens(from, to).map((bpm) => ({ bpm, word: bpm % every === 0 }))
})
/** Whether a figure under the axis has room before its end. */
const fits = (at: number) => {
  const half = 2 * size.value.letter
  return x(at) > half && x(at) < width.value - half
}
const marks = computed(() =>
  stacked.value || (first.value.basis !== 'reserve' && !props.beside)
    ? []
    : first.value.marks.filter(
        ({ percent }) => !narrow.value || [0, 40, 60, 100].includes(percent),
      ),
)

const lowest = computed(() =>
  props.byReserve ? 0 : Math.min(...props.rows.map((row) => row.zones.restingBpm)),
)
const highest = computed(() =>
  props.byReserve ? 100 : Math.max(...props.rows.map((row) => row.zones.maximumBpm)),
)

/** What a row says of a rate; nothing outside its span. */
function readingAt(zones: Zones, bpm: number) {
  const reading = zones.readings[bpm - zones.restingBpm]
  if (!reading) return null
  const names = zones.bands.filter((band) => holds(band, bpm)).map((band) => band.name)
  return { ...reading, names, name: names.join(' and ') || 'outside its bands' }
}
/** Where the cursor is on the axis: a rate, or a percent of reserve. */
const bpm = computed(() =>
  Math.min(highest.value, Math.max(lowest.value, cursor.value ?? lowest.value)),
)
const at = computed(() => {
  const readings = first.value.readings
  const index = bpm.value - first.value.restingBpm
  return readings[Math.min(readings.length - 1, Math.max(0, index))]!
})
const level = computed(() => first.value.levels[at.value.level - 1]!)
const said = computed(() =>
  props.rows.map((row) => ({
    label: row.label ?? '',
    target: row.target ? span([row.target.lowBpm, row.target.highBpm]) : '',
    at: readingAt(row.zones, props.byReserve ? (row.rates?.[bpm.value] ?? 0) : bpm.value),
  })),
)
const bandName = computed(() => said.value[0]!.at?.name ?? 'outside its span')

/** What each school calls the rate, in the room beside its ruler. */
const calls = computed(() =>
  props.beside
    ? said.value.map(({ at: here }) => {
        const [one = '', ...more] = here?.names ?? []
        const most = (narrow.value ? 18 : 25) - (more.length ? 3 : 0)
        const short = one.length > most ? `${one.slice(0, most - 1)}…` : one
        return short && more.length ? `${short} +${more.length}` : short
      })
    : [],
)

function moveTo(to: number) {
  cursor.value = Math.min(highest.value, Math.max(lowest.value, Math.round(to)))
}

watch(
  () => [lowest.value, highest.value],
  () => {
    const target = props.mark ?? props.rows.find((row) => row.target)?.target
    moveTo(
      cursor.value ??
        (props.byReserve
          ? 60
          : target
            ? (target.lowBpm + target.highBpm) / 2
            : (first.value.restingBpm + first.value.maximumBpm) / 2),
    )
  },
  { immediate: true },
)

/** The next lower edge of any band of any row, upwards or downwards. */
function nextEdge(from: number, up: boolean): number {
  const edges = props.rows.flatMap((row) =>
    row.zones.bands.map((band) => (props.byReserve ? band.low : band.lowBpm)),
  )
  const beyond = edges.filter((edge) => (up ? edge > from : edge < from))
  if (!beyond.length) return up ? highest.value : lowest.value
  return up ? Math.min(...beyond) : Math.max(...beyond)
}

const STEPS: Record<string, (from: number, far: boolean) => number> = {
  ArrowRight: (from, far) => (far ? nextEdge(from, true) : from + 1),
  ArrowUp: (from) => from + 1,
  ArrowLeft: (from, far) => (far ? nextEdge(from, false) : from - 1),
  ArrowDown: (from) => from - 1,
  PageUp: (from) => from + 10,
  PageDown: (from) => from - 10,
  Home: () => lowest.value,
  End: () => highest.value,
}
function onKey(event: KeyboardEvent) {
  const step = STEPS[event.key]
  if (!step || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  moveTo(step(bpm.value, event.shiftKey))
}

function pointTo(event: PointerEvent) {
  const left = svg.value!.getBoundingClientRect().left
  const [from, to] = range.value
  const { left: before, right } = size.value
  const across = width.value - before - right
  moveTo(from + ((event.clientX - left - before) / across) * (to - from))
}
function onPointerDown(event: PointerEvent) {
  svg.value!.setPointerCapture(event.pointerId)
  pointTo(event)
}
function onPointerMove(event: PointerEvent) {
  if (event.buttons & 1) pointTo(event)
}

/** The bracket that can be moved: both edges as they were asked for, and what a cap cuts off. */
const handles = computed(() => {
  const row = drawn.value[0]
  if (!props.bracket || !row) return null
  const { low, high, least, most } = props.bracket
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
        edge: 'low' as const,
        name: 'Lower edge',
        x: at(low),
        percent: low,
        least,
        most: high,
        left: 22,
        right: reach,
      },
      {
        edge: 'high' as const,
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
})
type Handle = NonNullable<typeof handles.value>['edges'][number]
function setEdge(handle: Handle, percent: number) {
  const within = Math.min(handle.most, Math.max(handle.least, Math.round(percent)))
  if (within !== handle.percent) emit('bracket', handle.edge, within)
}
const EDGE_STEPS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 5,
  PageDown: -5,
}
function onEdgeKey(event: KeyboardEvent, handle: Handle) {
  const by = EDGE_STEPS[event.key]
  if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  setEdge(handle, handle.percent + (event.shiftKey ? 5 * Math.sign(by) : by))
}
function grab(event: PointerEvent) {
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent, edge: 'low' | 'high') {
  if (!(event.buttons & 1)) return
  const row = drawn.value[0]!
  const handle = handles.value!.edges.find((each) => each.edge === edge)!
  const left = svg.value!.getBoundingClientRect().left
  const from = row.x(row.zones.restingBpm)
  const to = row.x(row.zones.maximumBpm)
  setEdge(handle, (100 * (event.clientX - left - from)) / (to - from))
}

const spoken = computed(() =>
  stacked.value
    ? (props.byReserve ? `${bpm.value} percent of reserve: ` : `${bpm.value} beats per minute: `) +
      said.value
        .map(({ label, at: here }) =>
          here
            ? props.byReserve
              ? `${label}, ${here.bpm} beats per minute, ${here.name}`
              : `${label}, ${here.name}, ${here.reservePercent} percent of reserve`
            : `${label}, outside its span`,
        )
        .join('; ')
    : `${at.value.bpm} beats per minute, ${at.value.reservePercent} percent of reserve, ` +
      `${at.value.maximumPercent} percent of maximum, ${bandName.value}, ${level.value.voice}, ` +
      `effort ${effort(level.value.rpe20, 6)} of 20, ${effort(level.value.rpe10, 0)} of 10, ` +
      `${at.value.counts['10']} beats in 10 seconds, ${at.value.counts['15']} in 15 seconds` +
      (at.value.overCap ? ', over the cap' : '') +
      (props.beside
        ? said.value.map(({ label, at: here }) => `; ${label}, ${here?.name ?? 'nothing'}`).join('')
        : ''),
)
</script>

<template>
  <div
    ref="box"
    class="ruler"
    :class="{ wall, 'dark-ground': wall, compact, beside, wide: byReserve }"
  >
    <svg
      ref="svg"
      :width="width"
      :height="height"
      :viewBox="`0 0 ${width} ${height}`"
      :style="{ fontSize: `${size.text}px` }"
      role="slider"
      tabindex="0"
      :aria-label="
        byReserve
          ? 'Rulers laid out by percent of reserve'
          : stacked || beside
            ? 'Rulers on one axis, from rest to maximum'
            : 'Ruler from rest to maximum'
      "
      :aria-valuemin="lowest"
      :aria-valuemax="highest"
      :aria-valuenow="bpm"
      :aria-valuetext="spoken"
      @keydown="onKey"
      @pointerdown="onPointerDown"
      @pointermove="onPointerMove"
    >
      <!-- What does not move with the cursor is not drawn again when it moves. -->
      <defs v-memo="[drawn]">
        <template v-for="row in drawn" :key="row.key">
          <linearGradient
            v-for="piece in row.pieces"
            :id="piece.url"
            :key="piece.id"
            x1="0"
            x2="1"
            y1="0"
            y2="0"
          >
            <stop
              v-for="(stop, n) in piece.offsets"
              :key="n"
              :offset="stop.offset"
              :style="{ stopColor: stop.colour, stopOpacity: stop.opacity }"
            />
          </linearGradient>
        </template>
        <pattern
          :id="`${id}-hatch`"
          :width="7 * size.by"
          :height="7 * size.by"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect
            :width="2.4 * size.by"
            :height="7 * size.by"
            fill="var(--sheet)"
            fill-opacity="0.7"
          />
        </pattern>
      </defs>

      <g v-for="row in drawn" :key="row.key" v-memo="[row, narrow]" class="row">
        <text
          v-if="!beside"
          :x="row.x(row.zones.restingBpm)"
          :y="row.top - 8 * size.by"
          class="end"
        >
          <tspan v-if="row.label" class="label">{{ row.label }}</tspan>
          <tspan v-if="!row.label || (!narrow && (!compact || byReserve))" :dx="row.label ? 10 : 0">
            rest {{ row.zones.restingBpm }}
          </tspan>
        </text>
        <text
          v-if="!(byReserve && narrow) && !beside"
          :x="row.x(row.zones.maximumBpm)"
          :y="row.top - 8 * size.by"
          class="end"
          text-anchor="end"
        >
          {{ narrow || compact ? 'max' : 'maximum' }}
          {{ row.zones.maximumSigmaBpm > 3 ? 'about' : '' }} {{ row.zones.maximumBpm }}
        </text>

        <rect
          v-for="piece in row.pieces"
          :key="piece.id"
          :x="piece.from"
          :y="piece.y"
          :width="Math.max(0, piece.to - piece.from)"
          :height="piece.tall"
          :rx="3 * size.by"
          :fill="`url(#${piece.url})`"
          :data-piece="piece.id"
        />
        <line
          v-for="edge in row.seams"
          :key="`seam-${edge}`"
          class="seam"
          :x1="row.x(edge)"
          :x2="row.x(edge)"
          :y1="row.top"
          :y2="row.top + row.bar"
        />
        <line
          v-for="point in row.points"
          :key="`point-${point}`"
          class="point"
          :x1="row.x(point)"
          :x2="row.x(point)"
          :y1="row.top"
          :y2="row.top + row.bar"
        />
        <g v-if="row.limit" class="limit">
          <rect
            :x="row.x(row.limit.bpm)"
            :y="row.top"
            :width="Math.max(0, width - size.right - row.x(row.limit.bpm))"
            :height="row.bar"
            :fill="`url(#${id}-hatch)`"
          />
          <line
            :x1="row.x(row.limit.bpm)"
            :x2="row.x(row.limit.bpm)"
            :y1="row.top - (beside ? 2 : 5) * size.by"
            :y2="row.top + row.bar + (beside ? 2 : 5) * size.by"
          />
          <text
            v-if="!beside"
            :x="width - size.right"
            :y="row.top - (narrow ? 44 : 27) * size.by"
            class="limit-word"
            text-anchor="end"
          >
            {{ row.limit.words }}
          </text>
        </g>

        <g
          v-for="band in row.labels"
          :key="band.id"
          :fill="band.plain ? 'var(--ink)' : `var(--on-band-${band.level})`"
        >
          <text
            v-if="band.word"
            :x="band.middle"
            :y="band.wordAt"
            class="word"
            :class="{ plain: band.plain, lane: band.lane }"
            :text-anchor="band.anchor"
          >
            {{ band.word }}
          </text>
          <template v-if="band.strokes">
            <rect
              v-for="n in band.level"
              :key="n"
              :x="band.middle - band.level * 3 * size.by + (n - 1) * 6 * size.by + 1.5 * size.by"
              :y="band.strokesAt"
              :width="3 * size.by"
              :height="11 * size.by"
              :rx="size.by"
            />
          </template>
        </g>

        <g v-if="row.target" class="target">
          <path
            v-if="!bracket"
            :d="
              compact
                ? `M${row.x(row.target.lowBpm)} ${row.top - 2}V${row.top + row.bar + 2}H${row.x(row.target.highBpm)}V${row.top - 2}Z`
                : `M${row.x(row.target.lowBpm)} ${row.top - 3 * size.by}v${-7 * size.by}H${row.x(row.target.highBpm)}v${7 * size.by}`
            "
            fill="none"
          />
          <text
            v-if="!compact || !narrow"
            :x="row.target.at"
            :y="row.top - (compact ? 8 : 27) * size.by"
            text-anchor="middle"
          >
            {{ row.target.words }}
          </text>
        </g>
        <text
          v-for="edge in row.edges"
          :key="`edge-${edge}`"
          :x="row.x(edge)"
          :y="row.top + row.bar + 15 * size.by"
          class="edge"
          text-anchor="middle"
        >
          {{ edge }}
        </text>
      </g>

      <g v-if="handles" class="bracket">
        <path
          v-if="handles.cut"
          class="cut"
          :d="`M${Math.max(handles.from, handles.allowed)} ${handles.top - 10 * size.by}H${handles.to}v${7 * size.by}`"
        />
        <path
          v-if="handles.allowed > handles.from"
          :d="`M${handles.from} ${handles.top - 3 * size.by}v${-7 * size.by}H${handles.allowed}v${7 * size.by}`"
        />
      </g>

      <g v-memo="[axis, marks, bottom, range, width]" class="axis">
        <template v-for="tick in axis" :key="tick.bpm">
          <line
            :x1="x(tick.bpm)"
            :x2="x(tick.bpm)"
            :y1="bottom + 4 * size.by"
            :y2="bottom + 11 * size.by"
          />
          <text
            v-if="tick.word && fits(tick.bpm) && (!byReserve || (tick.bpm >= 0 && tick.bpm <= 100))"
            :x="x(tick.bpm)"
            :y="bottom + 25 * size.by"
            text-anchor="middle"
          >
            {{ tick.bpm }}{{ byReserve ? ' %' : '' }}
          </text>
        </template>
        <text
          v-for="tick in marks"
          :key="tick.percent"
          :x="x(tick.bpm)"
          :y="bottom + 45 * size.by"
          class="percent"
          :text-anchor="tick.percent === 0 ? 'start' : 'middle'"
        >
          {{ tick.percent }}%
        </text>
      </g>

      <g v-if="mark" class="mark">
        <template v-for="row in marked" :key="row.top">
          <rect
            :x="x(mark.lowBpm)"
            :y="row.top"
            :width="Math.max(1, x(mark.highBpm) - x(mark.lowBpm))"
            :height="row.tall"
          />
          <line
            v-for="edge in [mark.lowBpm, mark.highBpm]"
            :key="edge"
            :x1="x(edge)"
            :x2="x(edge)"
            :y1="row.top"
            :y2="row.top + row.tall"
          />
        </template>
      </g>

      <g v-if="beside" v-memo="[drawn, narrow]" aria-hidden="true">
        <text
          v-for="row in drawn"
          :key="row.key"
          class="name"
          :class="{ 'in-use': row.inUse }"
          :x="narrow ? size.margin : 0"
          :y="narrow ? row.top - 6 : row.top + row.bar / 2 + 5"
        >
          {{ row.label }}
        </text>
      </g>
      <g v-if="beside" class="calls" aria-hidden="true">
        <text
          v-for="(call, n) in calls"
          :key="n"
          class="call"
          :class="{ said: call }"
          :x="narrow ? width - size.margin : width - size.right + 14"
          :y="narrow ? bars[n]!.top - 6 : bars[n]!.top + bars[n]!.tall / 2 + 5"
          :text-anchor="narrow ? 'end' : 'start'"
        >
          {{ call || '–' }}
        </text>
      </g>

      <g class="cursor">
        <line :x1="x(bpm)" :x2="x(bpm)" :y1="size.head - 6 * size.by" :y2="bottom + 6 * size.by" />
        <circle :cx="x(bpm)" :cy="bottom" :r="8 * size.by" />
      </g>
    </svg>
    <template v-if="handles">
      <span
        v-for="handle in handles.edges"
        :key="handle.edge"
        role="slider"
        tabindex="0"
        class="handle"
        :style="{
          left: `${handle.x - handle.left}px`,
          width: `${handle.left + handle.right}px`,
          top: `${handles.top - 28}px`,
          '--grip': `${handle.left}px`,
        }"
        :aria-label="`${handle.name} of the target`"
        :aria-valuemin="handle.least"
        :aria-valuemax="handle.most"
        :aria-valuenow="handle.percent"
        :aria-valuetext="`${handle.percent} percent of reserve`"
        @keydown="onEdgeKey($event, handle)"
        @pointerdown="grab"
        @pointermove="drag($event, handle.edge)"
      />
    </template>

    <dl v-if="!stacked" class="reading" aria-hidden="true">
      <div class="bpm">
        <dt>bpm</dt>
        <dd class="num">{{ at.bpm }}</dd>
      </div>
      <div>
        <dt>
          <MethodLink to="rate-of-reserve" tabindex="-1">of reserve</MethodLink>
        </dt>
        <dd class="num">{{ at.reservePercent.toFixed(1) }} %</dd>
      </div>
      <div>
        <dt><MethodLink to="rate-of-maximum" tabindex="-1">of maximum</MethodLink></dt>
        <dd class="num">{{ at.maximumPercent.toFixed(1) }} %</dd>
      </div>
      <div>
        <dt><MethodLink to="count-card" tabindex="-1">beats in 10 · 15 s</MethodLink></dt>
        <dd class="num">{{ at.counts['10'] }} · {{ at.counts['15'] }}</dd>
      </div>
      <div>
        <dt>
          <MethodLink :to="`level-${level.level}`" tabindex="-1">effort of 20 · of 10</MethodLink>
        </dt>
        <dd class="num">{{ effort(level.rpe20, 6) }} · {{ effort(level.rpe10, 0) }}</dd>
      </div>
      <div class="voice">
        <dt>{{ bandName }}{{ at.overCap ? ', over the cap' : '' }}</dt>
        <dd>{{ level.voice }}</dd>
      </div>
    </dl>
    <div v-else class="reading together" aria-hidden="true">
      <div class="bpm">
        <span class="num figure">{{ bpm }}<template v-if="byReserve"> %</template></span>
        <span v-if="byReserve" class="unit">of reserve</span>
        <span v-else class="unit"
          >bpm<template v-if="said[0]!.at">
            · <span class="num">{{ said[0]!.at.counts['15'] }}</span> in 15 s</template
          ></span
        >
      </div>
      <ul>
        <li v-for="row in said" :key="row.label">
          <b>{{ row.label }}</b>
          <template v-if="row.at && byReserve">
            <span
              ><b class="num">{{ row.at.bpm }}</b> bpm</span
            >
            <span
              ><span class="num">{{ row.at.counts['15'] }}</span> in 15 s</span
            >
            <span class="num">{{ row.at.maximumPercent.toFixed(1) }} % of maximum</span>
          </template>
          <template v-else-if="row.at">
            <span>{{ row.at.name }}</span>
            <span class="num">{{ row.at.reservePercent.toFixed(1) }} % of reserve</span>
            <span v-if="!compact" class="num"
              >{{ row.at.maximumPercent.toFixed(1) }} % of maximum</span
            >
            <span v-else-if="row.target" class="num aim">{{ row.target }}</span>
          </template>
          <span v-else>outside its span</span>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.bracket path {
  fill: none;
  stroke: var(--teal);
  stroke-width: 3;
}

.bracket .cut {
  stroke: var(--wine);
  stroke-dasharray: 5 4;
}

.handle {
  position: absolute;
  height: 44px;
  cursor: ew-resize;
  touch-action: none;
}

.handle::after {
  content: '';
  position: absolute;
  left: calc(var(--grip) - 8px);
  top: 13px;
  width: 16px;
  height: 16px;
  border-radius: 50%;
  background: var(--sheet);
  border: 3px solid var(--teal);
}

.handle:hover::after,
.handle:focus-visible::after {
  forced-color-adjust: none;
  background: var(--teal);
  border-color: var(--ink);
}

.ruler {
  position: relative;
  min-width: 0;
  overflow: hidden;
  print-color-adjust: exact;
  -webkit-print-color-adjust: exact;
}

svg {
  display: block;
  touch-action: pan-y;
  cursor: ew-resize;
  user-select: none;
}

svg:focus-visible {
  outline-offset: -3px;
}

text {
  font-family: var(--text);
  fill: var(--ink-quiet);
}

.label {
  font-weight: 700;
  fill: var(--ink);
}

.word {
  font-size: 1.15em;
  font-weight: 700;
  fill: inherit;
}

/* A rate's name stays readable wherever its soft edge ends. */
.plain {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}

.word.lane {
  font-size: 0.92em;
}

.beside .name.in-use {
  fill: var(--teal-deep);
  font-weight: 700;
}

/* On a phone they stand over the range that runs across every row. */
.name,
.call {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}

.call {
  fill: var(--ink-quiet);
}

.call.said {
  fill: var(--ink);
  font-weight: 650;
}

.mark rect {
  fill: var(--teal);
  fill-opacity: 0.09;
}

.mark line {
  stroke: var(--teal);
  stroke-width: 1.6;
}

.axis text {
  font-family: var(--mono);
  font-size: 0.96em;
}

.axis line {
  stroke: var(--ink);
  stroke-width: 1.4;
}

.axis .percent {
  font-size: 0.92em;
}

.target path {
  stroke: var(--teal);
  stroke-width: 2.6;
}

.edge {
  font-family: var(--mono);
  font-size: 0.92em;
}

.compact .target path {
  stroke-width: 3;
}

.compact .label {
  font-weight: 650;
}

.compact .together li {
  grid-template-columns: minmax(10rem, 1.6fr) minmax(4rem, 0.7fr) 10.4rem 5rem;
  font-size: 0.88rem;
}

.wide.compact .together li {
  grid-template-columns: minmax(12rem, 2fr) 5rem 6rem 11rem;
}

.aim {
  color: var(--teal-deep);
  font-weight: 650;
}

.target text {
  fill: var(--teal-deep);
  font-weight: 700;
  font-size: 1.08em;
}

.limit line {
  stroke: var(--ink);
  stroke-width: 2.4;
}

.limit-word {
  font-weight: 600;
}

.seam {
  stroke: var(--sheet);
  stroke-width: 1.6;
  stroke-dasharray: 3 3;
}

.point {
  stroke: var(--ink);
  stroke-width: 2;
}

.cursor line {
  stroke: var(--ink);
  stroke-width: 1.8;
}

.cursor circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2.6;
}

.reading {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding-top: 10px;
}

.reading div {
  display: flex;
  flex-direction: column-reverse;
}

dt,
.unit {
  font-size: 0.8rem;
  color: var(--ink-quiet);
}

dd {
  font-size: 1.15rem;
  line-height: 1.2;
  white-space: nowrap;
}

.bpm {
  min-width: 4.4rem;
}

.bpm dd,
.figure {
  font-family: var(--text);
  font-size: 2.4rem;
  font-weight: 700;
  line-height: 1;
}

.reading.together {
  display: flex;
  gap: 8px 28px;
  align-items: center;
}

.together .bpm {
  flex-direction: column;
  min-width: 7.4rem;
}

.together ul {
  flex: 1;
  display: grid;
  gap: 4px;
  min-width: 0;
}

.together li {
  display: grid;
  grid-template-columns: minmax(9rem, 1.2fr) minmax(6rem, 1fr) 10.4rem 10.4rem;
  gap: 2px 16px;
  font-size: 0.94rem;
}

.voice {
  min-width: 14rem;
}

.voice dd {
  font-size: 1.02rem;
  white-space: normal;
}

.wall {
  background: var(--paper);
  color: var(--ink);
}

.wall dt {
  font-size: 1em;
}

.wall dd {
  font-size: 1.5em;
}

.wall .bpm dd {
  font-size: 3.6em;
}

.wall .voice {
  min-width: 0;
}

.wall .reading {
  gap: 0.6em 2em;
  padding-top: 0.8em;
}

@media (max-width: 1000px) {
  .together li {
    grid-template-columns: 1fr 1fr;
  }
}

@media (max-width: 640px) {
  .reading {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 14px;
  }

  .reading.together {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
  }

  .together li {
    padding-top: 6px;
    border-top: 1px solid var(--line);
  }

  .compact .together li,
  .wide.compact .together li {
    grid-template-columns: auto minmax(0, 1fr) auto;
  }

  .compact .together li b:first-child {
    grid-column: 1 / -1;
  }

  .voice {
    grid-column: 1 / -1;
    min-width: 0;
  }
}

@media print {
  .cursor,
  .reading,
  .reading.together {
    display: none;
  }
}
</style>
