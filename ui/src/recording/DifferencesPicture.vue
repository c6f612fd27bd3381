<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'

/** Each common second as a dot: how far the second recording is off, over the rate of both. */
const props = defineProps<{
  points: number[][]
  mean: number
  low: number
  high: number
}>()
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box, { width: 560, height: 0 })
const wide = computed(() => Math.max(260, Math.round(width.value)))
const HIGH = 250
const LEFT = 44
const FOOT = 34
const rates = computed(() => props.points.map(([rate]) => rate!))
const from = computed(() => Math.floor(Math.min(...rates.value) / 20) * 20)
const to = computed(() => Math.max(from.value + 20, Math.ceil(Math.max(...rates.value) / 20) * 20))
const most = computed(() => {
  const far = Math.max(
    10,
    Math.abs(props.low),
    Math.abs(props.high),
    ...props.points.map(([, off]) => Math.abs(off!)),
  )
  return Math.ceil((far + 1) / 10) * 10
})
const x = (rate: number) =>
  LEFT + ((rate - from.value) / (to.value - from.value)) * (wide.value - LEFT - 8)
const y = (off: number) => 8 + ((most.value - off) / (2 * most.value)) * (HIGH - 8 - FOOT)
const marks = computed(() => [-most.value, -most.value / 2, 0, most.value / 2, most.value])
const across = computed(() => {
  const all: number[] = []
  for (let rate = from.value; rate <= to.value; rate += 20) all.push(rate)
  return all
})
/** Dots that fall together are one, the darker the more there are. */
const dots = computed(() => {
  const found = new Map<string, { rate: number; off: number; count: number }>()
  for (const [rate, off] of props.points) {
    const key = `${rate} ${off}`
    const known = found.get(key)
    if (known) known.count++
    else found.set(key, { rate: rate!, off: off!, count: 1 })
  }
  return [...found.values()]
})
const signed = (value: number) => (value > 0 ? '+' : value < 0 ? '−' : '') + Math.abs(value)
</script>

<template>
  <div ref="box" class="picture">
    <svg
      :viewBox="`0 0 ${wide} ${HIGH}`"
      :width="wide"
      :height="HIGH"
      role="img"
      :aria-label="`Differences over the rate: on average ${signed(mean)} bpm, limits ${signed(low)} to ${signed(high)}`"
    >
      <rect
        class="limits"
        :x="LEFT"
        :width="wide - LEFT - 8"
        :y="y(high)"
        :height="Math.max(1, y(low) - y(high))"
      />
      <g v-for="mark in marks" :key="mark">
        <line
          :x1="LEFT"
          :x2="wide - 8"
          :y1="y(mark)"
          :y2="y(mark)"
          :class="mark ? 'grid' : 'zero'"
        />
        <text :x="LEFT - 6" :y="y(mark) + 4" text-anchor="end">{{ signed(mark) }}</text>
      </g>
      <circle
        v-for="dot in dots"
        :key="`${dot.rate} ${dot.off}`"
        :cx="x(dot.rate)"
        :cy="y(dot.off)"
        r="2.6"
        :opacity="Math.min(1, 0.35 + dot.count * 0.12)"
      />
      <line class="mean" :x1="LEFT" :x2="wide - 8" :y1="y(mean)" :y2="y(mean)" />
      <text
        v-for="rate in across"
        :key="`at${rate}`"
        :x="x(rate)"
        :y="HIGH - 16"
        :text-anchor="rate === to ? 'end' : 'middle'"
      >
        {{ rate }}
      </text>
      <text :x="wide - 8" :y="HIGH - 2" text-anchor="end">bpm, mean of both</text>
    </svg>
  </div>
</template>

<style scoped src="../shared/chart/picture.css"></style>

<style scoped>
.limits {
  fill: var(--teal-wash);
}

.zero {
  stroke: var(--ink-quiet);
}

.mean {
  stroke: var(--teal-deep);
  stroke-width: 2.5;
}

circle {
  fill: var(--wine);
}
</style>
