<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { Forecast } from '../api/korvel'
import { onClock } from '../live/cues'
import { scale, steps as ticks } from '../shared/chart/scale'
import { apart, at, line, recorded, ribbon } from './drawing'

/**
 * A session's heart rate before it is done: its ribbon over the targets of its steps, and over it
 * what was recorded, or another forecast.
 */
const props = withDefaults(
  defineProps<{
    forecast: Forecast
    label: string
    /** By the second, from second 1 on; 0 where there was no rate. */
    record?: number[]
    /** How much of the record is shown, in seconds. */
    until?: number
    other?: Forecast | null
    /** Of nobody in particular: in percent of reserve. */
    inPercent?: boolean
    tall?: number
  }>(),
  { record: () => [], until: Infinity, other: null, inPercent: false, tall: 230 },
)
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box, { width: 800, height: 0 })
const wide = computed(() => Math.max(280, Math.round(width.value)))
const TOP = 20
const FOOT = 24
const LEFT = 46
const right = computed(() => (wide.value > 520 ? 70 : 10))

const seconds = computed(() =>
  Math.max(
    60,
    props.forecast.seconds,
    props.other?.seconds ?? 0,
    Math.min(props.record.length, props.until),
  ),
)
const lowest = computed(
  () => Math.min(props.forecast.restingBpm, props.other?.restingBpm ?? Infinity) - 4,
)
const highest = computed(
  () => Math.max(props.forecast.maximumBpm, props.other?.maximumBpm ?? 0, ...recordTop.value) + 2,
)
const recordTop = computed(() => [props.record.reduce((a, b) => Math.max(a, b), 0)])
const x = computed(() => scale(0, seconds.value, LEFT, wide.value - right.value))
const y = computed(() => scale(lowest.value, highest.value, props.tall - FOOT, TOP))
const scales = computed(() => ({ x: x.value, y: y.value }))

const zones = computed(() =>
  props.forecast.zones.map((zone) => ({ ...zone, middle: (zone.lowBpm + zone.highBpm) / 2 })),
)
/** The lines across: where zones begin, or in percent the marks of a scale. */
const rates = computed(() =>
  apart(
    props.inPercent
      ? props.forecast.marks.map(({ bpm, percent }) => ({ bpm, words: `${percent} %` }))
      : [
          props.forecast.restingBpm,
          props.forecast.maximumBpm,
          ...zones.value.slice(1).map(({ lowBpm }) => lowBpm),
        ].map((bpm) => ({ bpm, words: String(bpm) })),
    ({ bpm }) => y.value(bpm),
    15,
  ),
)
const names = computed(() => apart(zones.value, ({ middle }) => y.value(middle), 15))
const times = computed(() => {
  const most = Math.max(3, Math.floor((wide.value - LEFT - right.value) / 62))
  const by = [60, 120, 300, 600, 900, 1800, 3600, 7200].find((each) => seconds.value / each <= most)
  return ticks(0, seconds.value, by ?? 14_400)
})
const steps = computed(() =>
  props.forecast.steps.map((step, n, all) => ({
    ...step,
    // A step that comes in pieces is named once.
    name: step.block === null && all[n - 1]?.name === step.name ? '' : step.name,
    left: x.value(step.fromSecond - 1),
    wide: Math.max(1, x.value(step.toSecond) - x.value(step.fromSecond - 1)),
    waits: x.value(step.fromSecond - 1 + step.waitsSeconds) - x.value(step.fromSecond - 1),
  })),
)

// A moment is read by pointer or keys.
const cursor = ref<number | null>(null)
function point(event: PointerEvent) {
  const from = box.value!.getBoundingClientRect().left
  const part = (event.clientX - from - LEFT) / (wide.value - right.value - LEFT)
  cursor.value = Math.max(1, Math.min(props.forecast.seconds, Math.round(part * seconds.value)))
}
function move(event: KeyboardEvent) {
  const by = { ArrowLeft: -15, ArrowRight: 15, PageDown: -60, PageUp: 60 }[event.key]
  if (!by) return
  event.preventDefault()
  cursor.value = Math.max(1, Math.min(props.forecast.seconds, (cursor.value ?? 0) + by))
}
const words = (forecast: Forecast, second: number) => {
  const { bpm, percent } = at(forecast, second)
  return props.inPercent
    ? `${percent[0]} % of reserve (${percent[1]} to ${percent[2]})`
    : `${bpm[0]} bpm (${bpm[1]} to ${bpm[2]}), ${percent[0]} % of reserve`
}
const reading = computed(() => {
  if (cursor.value === null) {
    const { highestBpm, highestPercent, highestSecond } = props.forecast
    const highest = props.inPercent ? `${highestPercent} % of reserve` : `${highestBpm} bpm`
    return `Highest ${highest} at ${onClock(highestSecond)}`
  }
  const second = cursor.value
  const was = second <= props.until ? props.record[second - 1] : 0
  return [
    `${onClock(second)}: ${words(props.forecast, second)}`,
    props.other && second <= props.other.seconds ? `other: ${words(props.other, second)}` : '',
    was ? `actual ${was}` : '',
  ]
    .filter(Boolean)
    .join(' · ')
})
</script>

<template>
  <div class="forecast">
    <div
      ref="box"
      class="picture"
      role="slider"
      tabindex="0"
      :aria-label="label"
      aria-valuemin="0"
      :aria-valuemax="forecast.seconds"
      :aria-valuenow="cursor ?? 0"
      :aria-valuetext="reading"
      @pointermove="point"
      @pointerdown="point"
      @pointerleave="cursor = null"
      @keydown="move"
      @blur="cursor = null"
    >
      <svg :viewBox="`0 0 ${wide} ${tall}`" :width="wide" :height="tall" aria-hidden="true">
        <g v-for="zone in zones" :key="zone.id">
          <rect
            :x="wide - right + 2"
            :width="7"
            :y="y(zone.highBpm + 1)"
            :height="Math.max(0, y(zone.lowBpm) - y(zone.highBpm + 1) - 1)"
            :style="{ fill: `var(--band-${zone.level})` }"
          />
        </g>
        <g v-for="{ bpm, words: named } in rates" :key="bpm">
          <line :x1="LEFT" :x2="wide - right" :y1="y(bpm)" :y2="y(bpm)" class="grid" />
          <text :x="LEFT - 6" :y="y(bpm) + 4" text-anchor="end">{{ named }}</text>
        </g>
        <template v-if="right > 20">
          <text v-for="zone in names" :key="zone.id" :x="wide - right + 14" :y="y(zone.middle) + 4">
            {{ zone.name.length > 9 ? zone.name.slice(0, 8) + '…' : zone.name }}
          </text>
        </template>
        <text
          v-for="second in times"
          :key="second"
          :x="x(second)"
          :y="tall - 6"
          :text-anchor="second ? 'middle' : 'start'"
        >
          {{ onClock(second) }}
        </text>
        <g v-for="(step, n) in steps" :key="n">
          <line :x1="step.left" :x2="step.left" :y1="TOP - 14" :y2="tall - FOOT" class="grid" />
          <text
            v-if="step.name && step.wide > 7 * step.name.length + 6"
            :x="step.left + 4"
            :y="TOP - 7"
          >
            {{ step.name }}
          </text>
          <rect
            v-if="step.lowBpm !== null && step.highBpm !== null"
            class="target"
            :x="step.left + step.waits"
            :width="Math.max(1, step.wide - step.waits - 1)"
            :y="y(step.highBpm)"
            :height="Math.max(3, y(step.lowBpm) - y(step.highBpm))"
          />
          <rect
            v-if="step.waits && step.lowBpm !== null && step.highBpm !== null"
            class="waiting"
            :x="step.left"
            :width="step.waits"
            :y="y(step.highBpm)"
            :height="Math.max(3, y(step.lowBpm) - y(step.highBpm))"
          />
        </g>
        <line
          v-if="forecast.capBpm !== null"
          class="cap"
          :x1="LEFT"
          :x2="wide - right"
          :y1="y(forecast.capBpm)"
          :y2="y(forecast.capBpm)"
        />
        <path v-if="other" :d="ribbon(other, scales)" class="ribbon second" />
        <path :d="ribbon(forecast, scales)" class="ribbon" />
        <path v-if="other" :d="line(other, scales)" class="line second" />
        <path :d="line(forecast, scales)" class="line" />
        <path v-if="record.length" :d="recorded(record, until, scales)" class="record" />
        <line
          v-if="cursor !== null"
          class="cursor"
          :x1="x(cursor)"
          :x2="x(cursor)"
          :y1="TOP"
          :y2="tall - FOOT"
        />
      </svg>
    </div>
    <p class="reading num small">{{ reading }}</p>
  </div>
</template>

<style scoped src="../shared/chart/picture.css"></style>

<style scoped>
.forecast {
  min-width: 0;
}

.picture {
  touch-action: pan-y;
  border-radius: var(--radius);
}

.target {
  fill: var(--ochre);
  opacity: 0.22;
}

.waiting {
  fill: none;
  stroke: var(--ochre-deep);
  stroke-dasharray: 3 3;
}

.ribbon {
  fill: var(--teal);
  opacity: 0.2;
}

.ribbon.second {
  fill: var(--wine);
  opacity: 0.13;
}

.line {
  fill: none;
  stroke: var(--teal-deep);
  stroke-width: 2;
  stroke-linejoin: round;
}

.line.second {
  stroke: var(--wine);
  stroke-dasharray: 6 3;
}

.record {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-linejoin: round;
}

.cap {
  stroke: var(--wine);
  stroke-width: 2;
  stroke-dasharray: 2 4;
}

.cursor {
  stroke: var(--ink-quiet);
}

.reading {
  padding-left: 46px;
  min-height: 1.5em;
  color: var(--ink-quiet);
}
</style>
