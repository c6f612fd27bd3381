<script setup lang="ts">
import { computed } from 'vue'
import type { Reading } from '../api/korvel'
import { day } from '../shared/words'

/** The last year of readings of one posture and source, as dots; those the value stands on are full. */
const props = defineProps<{
  readings: Reading[]
  basis: string[]
  today: string
}>()
const WIDTH = 420
const LEFT = 44
const HEIGHT = 130
const YEAR = 365 * 864e5

const now = computed(() => new Date(props.today + 'T23:59:59').getTime())
const span = computed(() => {
  const all = props.readings.map((reading) => reading.bpm)
  return [Math.min(...all) - 6, Math.max(...all) + 6] as const
})
const y = (bpm: number) =>
  8 + (1 - (bpm - span.value[0]) / (span.value[1] - span.value[0])) * (HEIGHT - 38)
const dots = computed(() =>
  props.readings
    .map((reading) => ({
      ...reading,
      x:
        LEFT + (1 - (now.value - new Date(reading.takenAt).getTime()) / YEAR) * (WIDTH - LEFT - 10),
      y: y(reading.bpm),
      full: props.basis.includes(reading.id),
    }))
    .filter((dot) => dot.x >= LEFT),
)
const lines = computed(() => {
  const [low, high] = span.value
  const step = high - low > 40 ? 20 : 10
  const first = Math.ceil(low / step) * step
  return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, i) => first + i * step)
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    role="img"
    :aria-label="`Resting readings over a year, ${readings.length} of them`"
  >
    <g v-for="line in lines" :key="line">
      <line :x1="LEFT" :x2="WIDTH - 6" :y1="y(line)" :y2="y(line)" class="grid" />
      <text :x="LEFT - 8" :y="y(line) + 5" text-anchor="end">{{ line }}</text>
    </g>
    <circle
      v-for="dot in dots"
      :key="dot.id"
      :cx="dot.x"
      :cy="dot.y"
      :r="dot.full ? 5 : 3.6"
      :class="{ full: dot.full, poor: dot.grade === 'poor' }"
    >
      <title>{{ dot.bpm }} bpm, {{ day(dot.takenAt) }}</title>
    </circle>
    <text :x="LEFT" :y="HEIGHT - 4">a year ago</text>
    <text :x="WIDTH - 6" :y="HEIGHT - 4" text-anchor="end">today</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  display: block;
}

.grid {
  stroke: var(--line);
}

text {
  font-family: var(--mono);
  font-size: 15px;
  fill: var(--ink-quiet);
}

circle {
  fill: var(--band-2);
  stroke: var(--ink-quiet);
  stroke-width: 1;
}

circle.full {
  fill: var(--teal);
  stroke: var(--teal-deep);
}

circle.poor {
  fill: none;
}
</style>
