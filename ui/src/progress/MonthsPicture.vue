<script setup lang="ts">
import { computed } from 'vue'
import type { Months } from '../api/korvel'
import { useNarrow } from '../shared/narrow'
import { monthName, VOICES } from '../shared/words'
import ValueAxis from '../shared/chart/ValueAxis.vue'
import { scale, steps } from '../shared/chart/scale'

/** A column for each month: its minutes by level; below it how much was easy, and what was done. */
const props = defineProps<{ months: Months['months'] }>()
const narrow = useNarrow()
const width = computed(() => (narrow.value ? 350 : 1000))
const HEIGHT = 236
const FOOT = 62
const LEFT = 44
const TOP = 10
const sum = (minutes: number[]) => minutes.reduce((all, each) => all + each, 0)
const most = computed(() => Math.max(60, ...props.months.map(({ minutes }) => sum(minutes))))
const y = computed(() => scale(0, most.value, HEIGHT - FOOT, TOP))
const RIGHT = 12
const step = computed(() => (width.value - LEFT - RIGHT) / props.months.length)
/** A word for every month where there is room, else for every so many. */
const every = computed(() => Math.max(1, Math.ceil((narrow.value ? 64 : 54) / step.value)))
const columns = computed(() =>
  props.months.map((month, at) => {
    let from = 0
    return {
      ...month,
      x: LEFT + at * step.value,
      worded: (props.months.length - 1 - at) % every.value === 0,
      parts: month.minutes.flatMap((minutes, level) => {
        const start = from
        from += minutes
        return minutes ? [{ level: level + 1, from: start, to: from }] : []
      }),
    }
  }),
)
const lines = computed(() => {
  const by =
    most.value > 1200
      ? 600
      : most.value > 480
        ? 240
        : most.value > 180
          ? 120
          : most.value > 90
            ? 60
            : 30
  return steps(by, most.value, by)
})
const names = Object.values(VOICES).map((voice) => voice.slice(2))
const spoken = (month: Months['months'][number]) =>
  `${monthName(month.month)}: ${sum(month.minutes)} minutes` +
  month.minutes.map((each, at) => (each ? `, ${each} at ${names[at]}` : '')).join('') +
  (month.easyPercent === null ? '' : `, ${month.easyPercent} percent easy`) +
  `, ${month.done} of ${month.planned} sessions`
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${HEIGHT}`" role="group" aria-label="Minutes of each month">
    <ValueAxis :marks="lines" :y="y" :left="LEFT" :right="width" />
    <line class="base" :x1="LEFT" :x2="width" :y1="y(0)" :y2="y(0)" />
    <g v-for="month in columns" :key="month.month" role="img" :aria-label="spoken(month)">
      <title>{{ spoken(month) }}</title>
      <rect :x="month.x" :y="TOP" :width="step" :height="HEIGHT - TOP" fill="transparent" />
      <rect
        v-for="part in month.parts"
        :key="part.level"
        class="part"
        :x="month.x + step * 0.16"
        :width="step * 0.68"
        :y="y(part.to)"
        :height="y(part.from) - y(part.to)"
        :style="{ fill: `var(--band-${part.level})` }"
      />
      <template v-if="month.worded">
        <text :x="month.x + step / 2" :y="HEIGHT - 44" text-anchor="middle">
          {{ monthName(month.month) }}
        </text>
        <text
          v-if="month.easyPercent !== null"
          :x="month.x + step / 2"
          :y="HEIGHT - 25"
          text-anchor="middle"
          class="num"
        >
          {{ month.easyPercent }} %
        </text>
        <text
          v-if="month.planned"
          :x="month.x + step / 2"
          :y="HEIGHT - 6"
          text-anchor="middle"
          class="num"
        >
          {{ month.done }}/{{ month.planned }}
        </text>
      </template>
    </g>
    <text :x="0" :y="HEIGHT - 25">easy</text>
    <text :x="0" :y="HEIGHT - 6">done</text>
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

.base {
  stroke: var(--ink-quiet);
}

.part {
  stroke: var(--sheet);
  stroke-width: 1;
}
</style>
