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
const from = computed(() => Math.min(...props.points.map(({ on }) => time(on))))
const to = computed(() => Math.max(...props.points.map(({ on }) => time(on))))
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
    <circle
      v-for="(point, at) in points"
      :key="at"
      :cx="x(time(point.on))"
      :cy="y(point.value)"
      r="4.2"
    >
      <title>{{ point.value }} {{ unit }}, {{ day(point.on) }}</title>
    </circle>
    <text :x="LEFT" :y="height - 4">{{ day(first.on) }}</text>
    <text :x="width" :y="height - 4" text-anchor="end">{{ day(last.on) }}</text>
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

circle {
  fill: var(--ink);
}
</style>
