<script setup lang="ts">
import { computed } from 'vue'
import type { PracticeLevel, PracticeTry } from '../api/korvel'
import { useNarrow } from '../shared/narrow'
import ValueAxis from '../shared/chart/ValueAxis.vue'
import { scale } from '../shared/chart/scale'

/** The latest tries: how far each was off, and how much of it the window alone explains. */
const props = defineProps<{ tries: PracticeTry[]; levels: PracticeLevel[] }>()

const HEIGHT = 160
const LEFT = 34
const FOOT = 24
const MIDDLE = (HEIGHT - FOOT) / 2

const narrow = useNarrow()
const width = computed(() => (narrow.value ? 330 : 640))
/** On a phone the latest ones alone are wide enough to be told apart. */
const shown = computed(() => props.tries.slice(narrow.value ? -16 : 0))

/** The scale holds the largest error, and 8 bpm at least. */
const most = computed(() => Math.max(8, ...shown.value.map((each) => Math.abs(each.errorBpm))))
const y = computed(() => scale(-most.value, most.value, 2 * MIDDLE - 8, 8))
const step = computed(() =>
  Math.min(30, (width.value - LEFT - 12) / Math.max(1, shown.value.length)),
)
const dots = computed(() =>
  shown.value.map((each, at) => ({
    ...each,
    x: LEFT + 10 + at * step.value,
    number: props.levels.find((level) => level.id === each.level)?.number ?? 0,
  })),
)
/** Where a level begins along the tries. */
const turns = computed(() =>
  dots.value.filter((dot, at) => at === 0 || dots.value[at - 1]!.number !== dot.number),
)
const marks = computed(() => {
  const by = most.value > 24 ? 20 : most.value > 12 ? 10 : 5
  return [-by, 0, by]
})
const signed = (bpm: number) => (bpm > 0 ? `+${bpm}` : bpm < 0 ? `−${-bpm}` : '0')
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${width} ${HEIGHT}`" role="img" :aria-label="`${tries.length} tries`">
      <ValueAxis :marks="marks" :y="y" :left="LEFT" :right="width - 4" :words="signed" />
      <g v-for="(turn, at) in turns" :key="turn.id">
        <line
          :x1="turn.x - step / 2"
          :x2="turn.x - step / 2"
          y1="4"
          :y2="HEIGHT - FOOT"
          class="turn"
        />
        <text :x="turn.x - step / 2 + 4" :y="HEIGHT - 8">
          {{ at === 0 ? 'level ' : '' }}{{ turn.number }}
        </text>
      </g>
      <g v-for="dot in dots" :key="dot.id" :class="{ right: dot.right }">
        <title>
          {{ dot.bpm }} for {{ dot.pulseBpm }}: {{ signed(dot.errorBpm) }}, of it the window
          {{ signed(dot.windowErrorBpm) }}
        </title>
        <line :x1="dot.x" :x2="dot.x" :y1="y(0)" :y2="y(dot.windowErrorBpm)" class="window" />
        <line
          :x1="dot.x"
          :x2="dot.x"
          :y1="y(dot.windowErrorBpm)"
          :y2="y(dot.errorBpm)"
          class="own"
        />
        <circle :cx="dot.x" :cy="y(dot.errorBpm)" r="4" />
      </g>
    </svg>
    <figcaption class="quiet small">
      <span><i class="win" /> the window alone</span>
      <span><i class="you" /> you</span>
      <span><i class="dot" /> within a beat</span>
    </figcaption>
  </figure>
</template>

<style scoped>
svg {
  width: 100%;
  display: block;
}

line {
  stroke: var(--line);
}

.turn {
  stroke-dasharray: 2 4;
}

.window {
  stroke: var(--band-2);
  stroke-width: 6;
}

.own {
  stroke: var(--ink-quiet);
  stroke-width: 2;
}

circle {
  fill: var(--sheet);
  stroke: var(--ochre-deep);
  stroke-width: 2;
}

.right circle {
  fill: var(--teal);
  stroke: var(--teal-deep);
}

text {
  font-family: var(--mono);
  font-size: 12px;
  fill: var(--ink-quiet);
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}

figcaption span {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}

.win {
  width: 6px;
  height: 13px;
  forced-color-adjust: none;
  background: var(--band-2);
}

.you {
  width: 2px;
  height: 13px;
  forced-color-adjust: none;
  background: var(--ink-quiet);
}

.dot {
  width: 9px;
  height: 9px;
  border-radius: 50%;
  forced-color-adjust: none;
  background: var(--teal);
}
</style>
