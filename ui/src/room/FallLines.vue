<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { RecoverySet } from '../api/korvel'
import { onClock } from '../live/cues'

/**
 * Recoveries as falling lines on one axis of time, from the end of the effort; the one that is on
 * stands out, and each edge of a zone is a tick with its seconds.
 */
const props = defineProps<{ sets: RecoverySet[]; tall?: number }>()
const SECONDS = 180
const LEFT = 40
const RIGHT = 12
const BOTTOM = 26
const TOP = 14
const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box, { width: 900, height: 0 })
const wide = computed(() => Math.max(280, width.value))
const high = computed(() => props.tall ?? 320)

const rates = computed(() => props.sets.flatMap(({ line }) => line.filter(Boolean)))
const lowest = computed(() => Math.floor((Math.min(90, ...rates.value) - 5) / 10) * 10)
const highest = computed(() => Math.ceil((Math.max(120, ...rates.value) + 3) / 10) * 10)
const x = (second: number) => LEFT + (second / SECONDS) * (wide.value - LEFT - RIGHT)
const y = (bpm: number) =>
  TOP + ((highest.value - bpm) / (highest.value - lowest.value)) * (high.value - TOP - BOTTOM)

function path({ line }: RecoverySet): string {
  let drawing = false
  return line
    .map((bpm, second) => {
      const at = bpm ? `${drawing ? 'L' : 'M'}${x(second).toFixed(1)} ${y(bpm).toFixed(1)}` : ''
      drawing = bpm > 0
      return at
    })
    .join('')
}
const marks = computed(() => {
  const all: number[] = []
  for (let bpm = lowest.value; bpm <= highest.value; bpm += 20) all.push(bpm)
  return all
})
const DASHES: Record<RecoverySet['posture'], string> = {
  moving: 'none',
  standing: '2 5',
  seated: '8 5',
  lying: '14 5',
  'arms-up': '8 4 2 4',
}
/** The set that is looked at: the last one, whose edges are named. */
const last = computed(() => props.sets.at(-1))
const said = computed(() =>
  props.sets
    .map(({ name, number, answer }) =>
      answer
        ? `${name}, set ${number}: from ${answer.endBpm}${answer.drop60 === null ? '' : `, ${answer.drop60} down in 60 s`}`
        : `${name}, set ${number}: no rate at its end`,
    )
    .join('. '),
)
</script>

<template>
  <div ref="box" class="picture fall">
    <svg
      :viewBox="`0 0 ${wide} ${high}`"
      :width="wide"
      :height="high"
      role="img"
      :aria-label="said"
    >
      <g v-for="bpm in marks" :key="bpm">
        <line :x1="LEFT" :x2="wide - RIGHT" :y1="y(bpm)" :y2="y(bpm)" class="grid" />
        <text :x="LEFT - 6" :y="y(bpm) + 4" text-anchor="end">{{ bpm }}</text>
      </g>
      <g v-for="second in [0, 60, 120, 180]" :key="second">
        <line :x1="x(second)" :x2="x(second)" :y1="TOP" :y2="high - BOTTOM" class="grid" />
        <text
          :x="x(second)"
          :y="high - 8"
          :text-anchor="second === 0 ? 'start' : second === 180 ? 'end' : 'middle'"
        >
          {{ second === 0 ? 'end of effort' : onClock(second) }}
        </text>
      </g>
      <path
        v-for="set in sets"
        :key="`${set.session}-${set.number}`"
        :d="path(set)"
        class="line"
        :class="{ on: set.on, last: set === last }"
        :stroke-dasharray="DASHES[set.posture]"
      />
      <template v-if="last?.answer">
        <g v-for="edge in last.answer.bands" :key="edge.id">
          <template v-if="edge.seconds <= SECONDS">
            <line
              :x1="x(edge.seconds)"
              :x2="x(edge.seconds)"
              :y1="y(edge.bpm) - 9"
              :y2="y(edge.bpm) + 9"
              class="tick"
            />
            <text :x="x(edge.seconds) + 6" :y="y(edge.bpm) - 8" class="edge">
              under {{ edge.name }} {{ onClock(edge.seconds) }}
            </text>
          </template>
        </g>
      </template>
    </svg>
  </div>
</template>

<style scoped src="../shared/chart/picture.css"></style>

<style scoped>
.edge {
  fill: var(--ink);
}

.line {
  fill: none;
  stroke: var(--ink-quiet);
  stroke-width: 1.5;
  opacity: 0.7;
}

.line.last {
  stroke: var(--ink);
  stroke-width: 2.5;
  opacity: 1;
}

.line.on {
  stroke: var(--teal);
  stroke-width: 3.5;
  opacity: 1;
}

.tick {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
