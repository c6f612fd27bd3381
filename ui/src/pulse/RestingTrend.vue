<script setup lang="ts">
import { computed } from 'vue'
import type { Reading } from '../api/korvel'
import { useNarrow } from '../shared/narrow'
import { day, SOURCES } from '../shared/words'
import ValueAxis from '../shared/chart/ValueAxis.vue'
import { scale, steps } from '../shared/chart/scale'

/** A year of readings, by day and rate; those the working value stands on are full. */
const props = defineProps<{
  readings: Reading[]
  basis: string[]
  /** The usual range at this age, bpm. */
  usual: readonly [number, number]
  today: string
  /** Whether sources are mixed: then each has a shape of its own. */
  mixed?: boolean
}>()
const LEFT = 40
const TOP = 10
const HEIGHT = 236
const FOOT = 26
const YEAR = 365 * 864e5

const narrow = useNarrow()
const width = computed(() => (narrow.value ? 340 : 520))

const now = computed(() => new Date(props.today + 'T23:59:59Z').getTime())
const span = computed(() => {
  const all = props.readings.map((reading) => reading.bpm)
  return [Math.min(...all) - 6, Math.max(...all) + 6] as const
})
const y = computed(() => scale(...span.value, HEIGHT - FOOT, TOP))
const x = computed(() => scale(now.value - YEAR, now.value, LEFT, width.value - 10))
const dots = computed(() =>
  props.readings
    .map((reading) => ({
      ...reading,
      x: x.value(new Date(reading.takenAt).getTime()),
      y: y.value(reading.bpm),
      full: props.basis.includes(reading.id),
    }))
    .filter((dot) => dot.x >= LEFT),
)
const lines = computed(() => {
  const [low, high] = span.value
  return steps(low, high, high - low > 40 ? 20 : 10)
})
const usualBox = computed(() => {
  const top = Math.max(TOP, y.value(props.usual[1]))
  const bottom = Math.min(HEIGHT - FOOT, y.value(props.usual[0]))
  return bottom > top ? { y: top, height: bottom - top } : null
})

const SHAPES: Record<Reading['source'], string> = {
  count: 'M-4.5 0a4.5 4.5 0 1 0 9 0a4.5 4.5 0 1 0 -9 0z',
  tap: 'M0 -5.5L5.5 0L0 5.5L-5.5 0z',
  strap: 'M-4 -4H4V4H-4z',
  wrist: 'M0 -5.5L5 4H-5z',
  overnight: 'M0 5.5L5 -4H-5z',
}
const shape = (source: Reading['source']) => SHAPES[props.mixed ? source : 'count']
const sources = computed(() => [...new Set(dots.value.map((dot) => dot.source))])
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      role="img"
      :aria-label="`Resting readings over a year, ${dots.length} of them`"
    >
      <rect
        v-if="usualBox"
        class="usual"
        :x="LEFT"
        :width="width - LEFT - 6"
        :y="usualBox.y"
        :height="usualBox.height"
      />
      <ValueAxis :marks="lines" :y="y" :left="LEFT" :right="width - 6" />
      <path
        v-for="dot in dots"
        :key="dot.id"
        :d="shape(dot.source)"
        :transform="`translate(${dot.x} ${dot.y})`"
        :class="{ full: dot.full, poor: dot.grade === 'poor' }"
      >
        <title>{{ dot.bpm }} bpm, {{ day(dot.takenAt) }}</title>
      </path>
      <text :x="LEFT" :y="HEIGHT - 6">a year ago</text>
      <text :x="width - 6" :y="HEIGHT - 6" text-anchor="end">today</text>
    </svg>
    <figcaption class="quiet small">
      <span v-if="usualBox"><i class="box" /> usual at this age</span>
      <template v-if="mixed">
        <span v-for="source in sources" :key="source">
          <svg viewBox="-7 -7 14 14" class="key" aria-hidden="true">
            <path :d="SHAPES[source]" />
          </svg>
          {{ SOURCES[source].toLowerCase() }}
        </span>
      </template>
    </figcaption>
  </figure>
</template>

<style scoped>
svg {
  width: 100%;
  display: block;
}

.usual {
  fill: var(--teal-wash);
  opacity: 0.55;
}

text {
  font-family: var(--mono);
  font-size: 14px;
  fill: var(--ink-quiet);
}

path {
  fill: var(--band-2);
  stroke: var(--ink-quiet);
  stroke-width: 1;
}

path.full {
  fill: var(--teal);
  stroke: var(--teal-deep);
  stroke-width: 2.4;
}

path.poor {
  fill: none;
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}

figcaption span {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}

.box {
  width: 18px;
  height: 12px;
  background: var(--teal-wash);
  border: 1px solid var(--line);
}

.key {
  width: 14px;
  height: 14px;
}
</style>
