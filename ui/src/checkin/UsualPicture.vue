<script setup lang="ts">
import { computed } from 'vue'
import type { CheckInSheet } from '../api/korvel'
import { day } from '../shared/words'
import { scale } from '../shared/chart/scale'

/** The last readings of that posture and source, the usual band around them, and the pulse now. */
const props = defineProps<{ sheet: CheckInSheet; now: number | null; today: string }>()

const WIDTH = 360
const HEIGHT = 138
const LEFT = 38
const RIGHT = 64

const usual = computed(() => props.sheet.usualBpm!)
const span = computed(() => {
  const far = props.sheet.notTodayFromBpm + 3
  const all = [...props.sheet.past.map((each) => each.bpm), props.now ?? usual.value]
  return [
    Math.min(usual.value - far, ...all.map((bpm) => bpm - 2)),
    Math.max(usual.value + far, ...all.map((bpm) => bpm + 2)),
  ] as const
})
const scaled = computed(() => scale(...span.value, HEIGHT - 20, 6))
const y = (bpm: number) => scaled.value(bpm)
const bands = computed(() => {
  const { lightFromBpm, notTodayFromBpm } = props.sheet
  return [
    {
      name: 'light',
      from: usual.value - notTodayFromBpm + 1,
      to: usual.value + notTodayFromBpm - 1,
    },
    { name: 'go', from: usual.value - lightFromBpm + 1, to: usual.value + lightFromBpm - 1 },
  ].map((band) => ({ ...band, top: y(band.to + 0.5), tall: y(band.from - 0.5) - y(band.to + 0.5) }))
})
const dots = computed(() =>
  props.sheet.past.map((each, at) => ({
    ...each,
    x: LEFT + ((at + 0.5) / props.sheet.past.length) * (WIDTH - LEFT - RIGHT),
    y: y(each.bpm),
  })),
)
const nowX = WIDTH - RIGHT + 16
const APART = 13
/** The usual value and the lines around it, as far as the figures do not run into each other. */
const marks = computed(() => {
  const { lightFromBpm, notTodayFromBpm } = props.sheet
  const around = [lightFromBpm, notTodayFromBpm].filter(
    (off, at, all) =>
      y(usual.value) - y(usual.value + off) >= APART &&
      (at === all.length - 1 || y(usual.value) - y(usual.value + all[at + 1]! - off) >= APART),
  )
  return [usual.value, ...around.flatMap((off) => [usual.value - off, usual.value + off])]
})
const spoken = computed(
  () =>
    `The last ${props.sheet.past.length} readings, usual ${usual.value}` +
    (props.now === null ? '' : `, now ${props.now}`),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="spoken">
    <rect
      v-for="band in bands"
      :key="band.name"
      :x="LEFT"
      :width="WIDTH - LEFT - 2"
      :y="band.top"
      :height="band.tall"
      :class="band.name"
    />
    <g v-for="mark in marks" :key="mark">
      <text :x="LEFT - 6" :y="y(mark) + 4" text-anchor="end" :class="{ usual: mark === usual }">
        {{ mark }}
      </text>
    </g>
    <line :x1="LEFT" :x2="WIDTH - 2" :y1="y(usual)" :y2="y(usual)" class="middle" />
    <circle v-for="(dot, at) in dots" :key="at" :cx="dot.x" :cy="dot.y" r="3.4" />
    <g v-if="now !== null" class="now">
      <path :d="`M${nowX - 7} ${y(now)} l7 -7 7 7 -7 7z`" />
      <text :x="nowX + 13" :y="y(now) + 5">{{ now }}</text>
    </g>
    <text v-if="dots.length" :x="LEFT" :y="HEIGHT - 4" class="day">
      {{ day(dots[0]!.on) }}
    </text>
    <text :x="nowX" :y="HEIGHT - 4" text-anchor="middle" class="day">now</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 460px;
}

rect.light {
  fill: var(--ochre-wash);
}

rect.go {
  fill: var(--teal-wash);
}

.middle {
  stroke: var(--teal);
  stroke-dasharray: 2 4;
}

circle {
  fill: var(--ink-quiet);
}

text {
  font-family: var(--mono);
  font-size: 11px;
  fill: var(--ink-quiet);
}

text.usual {
  font-weight: 700;
  fill: var(--ink);
}

.now path {
  fill: var(--ink);
}

.now text {
  font-size: 15px;
  font-weight: 700;
  fill: var(--ink);
}
</style>
