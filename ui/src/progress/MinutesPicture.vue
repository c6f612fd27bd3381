<script setup lang="ts">
import { computed } from 'vue'
import type { Progress } from '../api/korvel'
import { useNarrow } from '../shared/narrow'
import { day, VOICES } from '../shared/words'
import ValueAxis from '../shared/chart/ValueAxis.vue'
import { scale, steps } from '../shared/chart/scale'

/** A column for each week: its minutes by level, against the minutes that are prescribed. */
const props = defineProps<{ weeks: Progress['weeks']; goal: number | null; today: string }>()
const narrow = useNarrow()
const width = computed(() => (narrow.value ? 350 : 1000))
const HEIGHT = 210
const FOOT = 40
const LEFT = 40
const TOP = 14

const most = computed(() =>
  Math.max(30, props.goal ?? 0, ...props.weeks.map(({ allMinutes }) => allMinutes)),
)
const y = computed(() => scale(0, most.value, HEIGHT - FOOT, TOP))
const step = computed(() => (width.value - LEFT) / props.weeks.length)
const columns = computed(() =>
  props.weeks.map((week, at) => {
    let sum = 0
    return {
      ...week,
      x: LEFT + at * step.value,
      parts: week.minutes.flatMap((minutes, level) => {
        const from = sum
        sum += minutes
        return minutes ? [{ level: level + 1, from, to: sum, minutes }] : []
      }),
    }
  }),
)
const lines = computed(() => {
  const by = most.value > 240 ? 120 : most.value > 120 ? 60 : 30
  return steps(by, most.value, by)
})
const names = Object.values(VOICES).map((voice) => voice.slice(2))
const spoken = (week: Progress['weeks'][number]) =>
  `Week from ${day(week.startsOn)}: ${week.allMinutes} minutes` +
  week.minutes.map((each, at) => (each ? `, ${each} at ${names[at]}` : '')).join('') +
  `, ${week.done} of ${week.planned} sessions`
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${HEIGHT}`" role="group" aria-label="Minutes of each week">
    <ValueAxis :marks="lines" :y="y" :left="LEFT" :right="width" />
    <line class="base" :x1="LEFT" :x2="width" :y1="y(0)" :y2="y(0)" />
    <g v-for="(week, at) in columns" :key="week.startsOn" role="img" :aria-label="spoken(week)">
      <title>{{ spoken(week) }}</title>
      <rect :x="week.x" :y="TOP" :width="step" :height="HEIGHT - TOP" fill="transparent" />
      <rect
        v-for="part in week.parts"
        :key="part.level"
        :x="week.x + step * 0.16"
        :width="step * 0.68"
        :y="y(part.to)"
        :height="y(part.from) - y(part.to)"
        :style="{ fill: `var(--band-${part.level})` }"
        class="part"
      />
      <text
        v-if="!narrow || at % 3 === 2"
        :x="week.x + step / 2"
        :y="HEIGHT - 22"
        text-anchor="middle"
      >
        {{ day(week.startsOn) }}
      </text>
      <text
        v-if="week.planned && !narrow"
        :x="week.x + step / 2"
        :y="HEIGHT - 5"
        text-anchor="middle"
        class="quiet num"
      >
        {{ week.done }}/{{ week.planned }}
      </text>
    </g>
    <g v-if="goal">
      <line class="goal" :x1="LEFT" :x2="width" :y1="y(goal)" :y2="y(goal)" />
      <text :x="width" :y="y(goal) - 5" text-anchor="end" class="goal-word">
        {{ goal }} min prescribed
      </text>
    </g>
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

.goal {
  stroke: var(--teal-deep);
  stroke-width: 2;
  stroke-dasharray: 6 5;
}

.goal-word {
  fill: var(--teal-deep);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}
</style>
