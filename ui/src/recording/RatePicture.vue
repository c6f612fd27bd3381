<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { onClock } from '../live/cues'

/** Heart rate over time, one recording or two; gaps and what was set aside are shaded. */
const props = withDefaults(
  defineProps<{
    traces: { name: string; bpm: number[] }[]
    gaps?: { fromSecond: number; toSecond: number }[]
    aside?: { fromSecond: number; toSecond: number; why: string }[]
    label: string
    high?: number
  }>(),
  { gaps: () => [], aside: () => [], high: 180 },
)
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box, { width: 700, height: 0 })
const wide = computed(() => Math.max(260, Math.round(width.value)))
const LEFT = 40
const FOOT = 24
const TOP = 8
const known = computed(() => props.traces.flatMap(({ bpm }) => bpm.filter((rate) => rate > 0)))
const lowest = computed(
  () => Math.floor((known.value.reduce((a, b) => Math.min(a, b), 240) - 4) / 20) * 20,
)
const highest = computed(
  () => Math.ceil((known.value.reduce((a, b) => Math.max(a, b), 0) + 4) / 20) * 20,
)
const seconds = computed(() => Math.max(60, ...props.traces.map(({ bpm }) => bpm.length)))
const x = (second: number) => LEFT + (second / seconds.value) * (wide.value - LEFT - 6)
const y = (bpm: number) =>
  TOP +
  ((highest.value - bpm) / Math.max(1, highest.value - lowest.value)) * (props.high - TOP - FOOT)

/** A point for every two pixels at most: the middle one of those that fall together. */
function path(bpm: number[]): string {
  const every = Math.max(1, Math.ceil(bpm.length / (wide.value / 2)))
  let drawing = false
  let drawn = ''
  for (let from = 0; from < bpm.length; from += every) {
    const here = bpm
      .slice(from, from + every)
      .filter((rate) => rate > 0)
      .sort((a, b) => a - b)
    const rate = here[(here.length - 1) >> 1]
    if (rate) drawn += `${drawing ? 'L' : 'M'}${x(from).toFixed(1)} ${y(rate).toFixed(1)}`
    drawing = rate !== undefined
  }
  return drawn
}
const rates = computed(() => {
  const all: number[] = []
  for (let rate = lowest.value; rate <= highest.value; rate += 20) all.push(rate)
  return all
})
const times = computed(() => {
  const by = [60, 300, 600, 900, 1800, 3600, 7200].find((each) => seconds.value / each <= 6) ?? 7200
  const all: number[] = []
  for (let second = 0; second <= seconds.value; second += by) all.push(second)
  return all
})
</script>

<template>
  <div ref="box" class="picture">
    <svg
      :viewBox="`0 0 ${wide} ${high}`"
      :width="wide"
      :height="high"
      role="img"
      :aria-label="label"
    >
      <g v-for="rate in rates" :key="rate">
        <line :x1="LEFT" :x2="wide" :y1="y(rate)" :y2="y(rate)" class="grid" />
        <text :x="LEFT - 6" :y="y(rate) + 4" text-anchor="end">{{ rate }}</text>
      </g>
      <text
        v-for="second in times"
        :key="second"
        :x="x(second)"
        :y="high - 6"
        :text-anchor="x(second) > wide - 24 ? 'end' : second ? 'middle' : 'start'"
      >
        {{ onClock(second) }}
      </text>
      <rect
        v-for="gap in gaps"
        :key="`gap${gap.fromSecond}`"
        class="gap"
        :x="x(gap.fromSecond)"
        :width="Math.max(2, x(gap.toSecond) - x(gap.fromSecond))"
        :y="TOP"
        :height="high - TOP - FOOT"
      >
        <title>No heart rate, {{ onClock(gap.toSecond - gap.fromSecond + 1) }}</title>
      </rect>
      <rect
        v-for="part in aside"
        :key="`aside${part.fromSecond}`"
        class="aside"
        :x="x(part.fromSecond)"
        :width="Math.max(2, x(part.toSecond) - x(part.fromSecond))"
        :y="TOP"
        :height="high - TOP - FOOT"
      >
        <title>Set aside: {{ part.why }}</title>
      </rect>
      <path
        v-for="(trace, at) in traces"
        :key="trace.name"
        :d="path(trace.bpm)"
        :class="['line', at ? 'second' : 'first']"
      />
    </svg>
  </div>
</template>

<style scoped src="../shared/chart/picture.css"></style>

<style scoped>
.gap {
  fill: var(--ground-2);
}

.aside {
  fill: var(--ochre);
  opacity: 0.22;
}

.line {
  fill: none;
  stroke: var(--teal-deep);
  stroke-width: 1.8;
  stroke-linejoin: round;
}

.line.second {
  stroke: var(--wine);
  stroke-width: 1.5;
  stroke-dasharray: 5 3;
}
</style>
