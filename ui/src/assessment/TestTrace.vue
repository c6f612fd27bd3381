<script setup lang="ts">
import { computed } from 'vue'

/** The rate since the test was opened, with where it should end. */
const props = defineProps<{ bpm: number[]; target: number | null; cap: number | null }>()
const WIDTH = 560
const HEIGHT = 150
const STEP = 20
const known = computed(() => props.bpm.filter((rate) => rate > 0))
const low = computed(() => {
  const least = Math.min(60, ...known.value)
  return Math.floor(least / STEP) * STEP
})
const high = computed(() => {
  const most = Math.max(120, props.target ?? 0, props.cap ?? 0, ...known.value)
  return Math.ceil((most + 1) / STEP) * STEP
})
const y = (bpm: number) => HEIGHT - ((bpm - low.value) / (high.value - low.value)) * HEIGHT
const seconds = computed(() => Math.max(300, props.bpm.length))
/** Each stretch without a gap is a line of its own; a long test is thinned. */
const lines = computed(() => {
  const every = Math.max(1, Math.floor(props.bpm.length / 900))
  const found: string[][] = [[]]
  props.bpm.forEach((rate, second) => {
    if (second % every) return
    if (rate > 0) {
      found.at(-1)!.push(`${((second / seconds.value) * WIDTH).toFixed(1)},${y(rate).toFixed(1)}`)
    } else if (found.at(-1)!.length) found.push([])
  })
  return found.filter((points) => points.length > 1).map((points) => points.join(' '))
})
const marks = computed(() => {
  const rates: number[] = []
  for (let rate = low.value + STEP; rate < high.value; rate += STEP) rates.push(rate)
  return rates
})
const aim = computed(() => props.target ?? props.cap)
</script>

<template>
  <figure v-if="known.length > 1" class="trace">
    <svg
      :viewBox="`-46 -8 ${WIDTH + 56} ${HEIGHT + 16}`"
      role="img"
      aria-label="Heart rate since the test was opened"
    >
      <g v-for="rate in marks" :key="rate">
        <line x1="0" :x2="WIDTH" :y1="y(rate)" :y2="y(rate)" class="grid" />
        <text x="-8" :y="y(rate) + 4" text-anchor="end">{{ rate }}</text>
      </g>
      <line v-if="aim" x1="0" :x2="WIDTH" :y1="y(aim)" :y2="y(aim)" class="aim" />
      <polyline v-for="points in lines" :key="points.length" :points="points" />
    </svg>
  </figure>
</template>

<style scoped>
.trace {
  margin: 0;
}

svg {
  display: block;
  width: 100%;
  max-height: 170px;
}

.grid {
  stroke: var(--line);
}

.aim {
  stroke: var(--wine);
  stroke-width: 2;
  stroke-dasharray: 8 6;
}

polyline {
  fill: none;
  stroke: var(--teal);
  stroke-width: 2.5;
}

text {
  font-size: 13px;
  fill: var(--ink-quiet);
}
</style>
