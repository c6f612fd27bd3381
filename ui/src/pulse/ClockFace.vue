<script setup lang="ts">
import { computed } from 'vue'
import type { CountPhase } from './useCount'

/** The face of a clock: a ring that fills, and what is left of the time. */
const props = defineProps<{
  phase: CountPhase
  /** How much of the ring is full, 0 to 1. */
  share: number
  shown: string | number
  /** Instead of what a count says. */
  says?: string
  large?: boolean
}>()

const R = 84
const ROUND = 2 * Math.PI * R
const SAYS: Record<CountPhase, string> = {
  ready: 'seconds',
  lead: 'get ready',
  running: 'count the beats',
  done: 'time: enter the beats',
}
const offset = computed(() => ROUND * (1 - props.share))
</script>

<template>
  <div class="face" :class="[phase, { large }]" role="timer">
    <svg viewBox="0 0 200 200" aria-hidden="true">
      <circle cx="100" cy="100" :r="R" class="track" />
      <circle
        cx="100"
        cy="100"
        :r="R"
        class="sweep"
        :stroke-dasharray="ROUND"
        :stroke-dashoffset="offset"
        transform="rotate(-90 100 100)"
      />
      <line
        v-for="n in 12"
        :key="n"
        x1="100"
        x2="100"
        y1="3"
        y2="8"
        :transform="`rotate(${30 * n} 100 100)`"
      />
    </svg>
    <p class="left">
      <b class="num" :class="{ long: String(shown).length > 3 }">{{ shown }}</b>
      <span>{{ says ?? SAYS[phase] }}</span>
    </p>
  </div>
</template>

<style scoped>
.face {
  position: relative;
  width: 200px;
  height: 200px;
  container-type: inline-size;
}

.face.large {
  width: min(78vmin, 860px);
  height: min(78vmin, 860px);
}

circle {
  fill: none;
  stroke-width: 13;
}

.track {
  stroke: var(--ground-2);
}

.lead .track {
  stroke: var(--ochre-wash);
}

.sweep {
  stroke: var(--teal);
}

.lead .sweep,
.done .sweep {
  stroke: var(--ochre);
}

svg line {
  stroke: var(--ink-quiet);
  stroke-width: 1.5;
}

.left {
  position: absolute;
  inset: 0;
  display: grid;
  align-content: center;
  justify-items: center;
}

.left b {
  font-size: 32cqi;
  line-height: 1;
  font-weight: 700;
}

.left b.long {
  font-size: 24cqi;
}

.left span {
  font-size: max(0.84rem, 4.2cqi);
  color: var(--ink-quiet);
}

.lead .left b {
  color: var(--ochre-deep);
}
</style>
