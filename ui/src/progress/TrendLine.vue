<script setup lang="ts">
import { computed } from 'vue'
import { useNarrow } from '../shared/narrow'
import { day } from '../shared/words'
import ValueAxis from '../shared/chart/ValueAxis.vue'
import { scale } from '../shared/chart/scale'

/** Values by day, as dots; the range that was asked for behind them. */
const props = defineProps<{
  points: { on: string; value: number }[]
  unit: string
  label: string
  /** What was asked for. */
  band?: [number, number]
  /** Half as high. */
  low?: boolean
  /** Days on which medication changed: what lies before is another series. */
  breaks?: string[]
  /** The axis from a day to another; else from the first value to the last. */
  between?: [string, string]
}>()
const narrow = useNarrow()
const width = computed(() => (narrow.value ? 340 : 520))
const LEFT = 36
const height = computed(() => (props.low ? 86 : 150))
const FOOT = 22

const span = computed(() => {
  const all = props.points.map(({ value }) => value)
  return [Math.min(...all) - 2, Math.max(...all) + 2] as const
})
const y = computed(() => scale(...span.value, height.value - FOOT, 6))
const time = (on: string) => Date.parse(on)
const from = computed(() =>
  props.between ? time(props.between[0]) : Math.min(...props.points.map(({ on }) => time(on))),
)
const to = computed(() =>
  props.between ? time(props.between[1]) : Math.max(...props.points.map(({ on }) => time(on))),
)
const within = computed(() =>
  (props.breaks ?? []).filter((on) => time(on) >= from.value && time(on) <= to.value),
)
const x = computed(() => scale(from.value, to.value, LEFT + 8, width.value - 12))
const ends = computed(() => [...new Set([Math.min(...values.value), Math.max(...values.value)])])
const values = computed(() => props.points.map(({ value }) => value))
const asked = computed(() => {
  if (!props.band) return null
  const top = y.value(Math.min(span.value[1], props.band[1] + 0.5))
  const bottom = y.value(Math.max(span.value[0], props.band[0] - 0.5))
  return bottom > top ? { top, height: bottom - top } : null
})
const first = computed(() => [...props.points].sort((a, b) => a.on.localeCompare(b.on))[0]!)
const last = computed(() => [...props.points].sort((a, b) => a.on.localeCompare(b.on)).at(-1)!)
</script>

<template>
  <svg
    :viewBox="`0 0 ${width} ${height}`"
    role="img"
    :aria-label="`${label}: from ${first.value} on ${day(first.on)} to ${last.value} on ${day(last.on)}`"
  >
    <rect
      v-if="asked"
      class="asked"
      :x="LEFT"
      :width="width - LEFT"
      :y="asked.top"
      :height="asked.height"
    />
    <ValueAxis :marks="ends" :y="y" :left="LEFT" :right="width" />
    <g v-for="on in within" :key="`break${on}`">
      <line class="break" :x1="x(time(on))" :x2="x(time(on))" y1="2" :y2="height - FOOT" />
      <text :x="x(time(on)) + 5" y="13">medication</text>
    </g>
    <circle
      v-for="(point, at) in points"
      :key="at"
      :cx="x(time(point.on))"
      :cy="y(point.value)"
      r="4.2"
    >
      <title>{{ point.value }} {{ unit }}, {{ day(point.on) }}</title>
    </circle>
    <text :x="LEFT" :y="height - 4">{{ day(between?.[0] ?? first.on) }}</text>
    <text :x="width" :y="height - 4" text-anchor="end">{{ day(between?.[1] ?? last.on) }}</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  display: block;
}

text {
  font-size: 13px;
  fill: var(--ink-quiet);
}

.asked {
  fill: var(--teal-wash);
}

.break {
  stroke: var(--ink-quiet);
  stroke-dasharray: 4 4;
}

circle {
  fill: var(--ink);
}
</style>
