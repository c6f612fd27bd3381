<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useId, watch } from 'vue'
import type { Zones } from '../api/korvel'
import { domain, stops, tens } from './rulerDrawing'
import { effort } from './words'

/**
 * The ruler: from rest to maximum, bands with edges as soft as they are uncertain, a target above,
 * a ceiling hatched, and a cursor that reads one point in every language.
 */
const props = withDefaults(
  defineProps<{
    zones: Zones
    target?: { lowBpm: number; highBpm: number } | null
    ceilingBpm?: number | null
    ceilingWords?: string
  }>(),
  { target: null, ceilingBpm: null, ceilingWords: 'not allowed yet' },
)
const cursor = defineModel<number>('cursor')

const id = useId()
const box = ref<HTMLElement | null>(null)
const svg = ref<SVGSVGElement | null>(null)
const width = ref(900)
let observer: ResizeObserver | undefined
onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    if (entry) width.value = Math.max(280, Math.round(entry.contentRect.width))
  })
  if (box.value) observer.observe(box.value)
})
onBeforeUnmount(() => observer?.disconnect())

const MARGIN = 8
const BAR_TOP = 46
const BAR = 50
const HEIGHT = 148

const range = computed(() => domain(props.zones))
const x = (bpm: number) => {
  const [from, to] = range.value
  return MARGIN + ((bpm - from) / (to - from)) * (width.value - 2 * MARGIN)
}

const colours = computed(() => {
  const [from, to] = range.value
  return stops(props.zones).map((stop) => ({
    ...stop,
    offset: Math.min(1, Math.max(0, (stop.bpm - from) / (to - from))),
  }))
})

/** A band's word where there is room for it, else its number of strokes. */
const labels = computed(() =>
  props.zones.bands
    .filter((band) => !band.belowResting)
    .map((band) => {
      const left = x(Math.max(band.lowBpm, props.zones.restingBpm))
      const right = x(Math.min(band.highBpm + 1, props.zones.maximumBpm))
      const room = right - left
      return {
        ...band,
        middle: (left + right) / 2,
        word: room > band.name.length * 8.5 + 8 ? band.name : '',
        strokes: room > band.level * 6 + 4,
      }
    }),
)

const axis = computed(() => {
  const [from, to] = range.value
  const every = width.value < 560 ? 20 : 10
  return tens(from, to).map((bpm) => ({ bpm, word: bpm % every === 0 }))
})

const percents = computed(() => {
  if (props.zones.basis !== 'reserve') return []
  return [0, 20, 40, 60, 75, 90, 100]
    .filter((percent) => width.value >= 560 || [0, 40, 60, 100].includes(percent))
    .map((percent) => ({
      percent,
      bpm: props.zones.restingBpm + (percent / 100) * props.zones.reserveBpm,
    }))
})

const at = computed(() => {
  const readings = props.zones.readings
  const bpm = cursor.value ?? props.zones.restingBpm
  return readings[Math.min(readings.length - 1, Math.max(0, bpm - props.zones.restingBpm))]!
})
const level = computed(() => props.zones.levels[at.value.level - 1]!)
const bandName = computed(
  () => props.zones.bands.find((band) => band.id === at.value.band)?.name ?? 'outside its bands',
)

function moveTo(bpm: number) {
  cursor.value = Math.min(props.zones.maximumBpm, Math.max(props.zones.restingBpm, Math.round(bpm)))
}

watch(
  () => [props.zones.restingBpm, props.zones.maximumBpm],
  () => moveTo(cursor.value ?? props.zones.restingBpm + 0.45 * props.zones.reserveBpm),
  { immediate: true },
)

const STEPS: Record<string, (bpm: number) => number> = {
  ArrowRight: (bpm) => bpm + 1,
  ArrowUp: (bpm) => bpm + 1,
  ArrowLeft: (bpm) => bpm - 1,
  ArrowDown: (bpm) => bpm - 1,
  PageUp: (bpm) => bpm + 10,
  PageDown: (bpm) => bpm - 10,
  Home: () => props.zones.restingBpm,
  End: () => props.zones.maximumBpm,
}
function onKey(event: KeyboardEvent) {
  const step = STEPS[event.key]
  if (!step || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  moveTo(step(at.value.bpm))
}

function pointTo(event: PointerEvent) {
  const left = svg.value!.getBoundingClientRect().left
  const [from, to] = range.value
  moveTo(from + ((event.clientX - left - MARGIN) / (width.value - 2 * MARGIN)) * (to - from))
}
function onPointerDown(event: PointerEvent) {
  svg.value!.setPointerCapture(event.pointerId)
  pointTo(event)
}
function onPointerMove(event: PointerEvent) {
  if (event.buttons & 1) pointTo(event)
}

const spoken = computed(
  () =>
    `${at.value.bpm} beats per minute, ${at.value.reservePercent} percent of reserve, ` +
    `${at.value.maximumPercent} percent of maximum, ${bandName.value}, ${level.value.voice}, ` +
    `effort ${effort(level.value.rpe20, 6)} of 20, ${at.value.counts['10']} beats in 10 seconds, ` +
    `${at.value.counts['15']} in 15 seconds`,
)
</script>

<template>
  <div ref="box" class="ruler">
    <svg
      ref="svg"
      :width="width"
      :height="HEIGHT"
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      role="slider"
      tabindex="0"
      aria-label="Ruler from rest to maximum"
      :aria-valuemin="zones.restingBpm"
      :aria-valuemax="zones.maximumBpm"
      :aria-valuenow="at.bpm"
      :aria-valuetext="spoken"
      @keydown="onKey"
      @pointerdown="onPointerDown"
      @pointermove="onPointerMove"
    >
      <defs>
        <linearGradient :id="`${id}-run`" x1="0" x2="1" y1="0" y2="0">
          <stop
            v-for="stop in colours"
            :key="stop.bpm"
            :offset="stop.offset"
            :style="{ stopColor: stop.colour, stopOpacity: stop.opacity }"
          />
        </linearGradient>
        <pattern
          :id="`${id}-hatch`"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="2.2" height="7" fill="var(--sheet)" fill-opacity="0.55" />
        </pattern>
      </defs>

      <text :x="x(zones.restingBpm)" :y="BAR_TOP - 8" class="end">
        {{ zones.restingSigmaBpm > 0 ? `rest ${zones.restingBpm}` : '' }}
      </text>
      <text :x="x(zones.maximumBpm)" :y="BAR_TOP - 8" class="end" text-anchor="end">
        {{ width < 560 ? 'max' : 'maximum' }} about {{ zones.maximumBpm }}
      </text>

      <rect
        :x="MARGIN"
        :y="BAR_TOP"
        :width="width - 2 * MARGIN"
        :height="BAR"
        rx="3"
        :fill="`url(#${id}-run)`"
      />
      <g v-if="ceilingBpm !== null && ceilingBpm < zones.maximumBpm" class="ceiling">
        <rect
          :x="x(ceilingBpm)"
          :y="BAR_TOP"
          :width="width - MARGIN - x(ceilingBpm)"
          :height="BAR"
          :fill="`url(#${id}-hatch)`"
        />
        <line :x1="x(ceilingBpm)" :x2="x(ceilingBpm)" :y1="BAR_TOP - 5" :y2="BAR_TOP + BAR + 5" />
        <text v-if="width >= 560" :x="x(ceilingBpm) + 8" :y="BAR_TOP - 26" class="ceiling-word">
          above {{ ceilingBpm }} {{ ceilingWords }}
        </text>
      </g>

      <g v-for="band in labels" :key="band.id" :fill="`var(--on-band-${band.level})`">
        <text v-if="band.word" :x="band.middle" :y="BAR_TOP + 22" class="word" text-anchor="middle">
          {{ band.word }}
        </text>
        <template v-if="band.strokes">
          <rect
            v-for="n in band.level"
            :key="n"
            :x="band.middle - band.level * 3 + (n - 1) * 6 + 1.5"
            :y="BAR_TOP + (band.word ? 31 : 19)"
            width="3"
            height="11"
            rx="1"
          />
        </template>
      </g>

      <g v-if="target" class="target">
        <path :d="`M${x(target.lowBpm)} ${BAR_TOP - 4}v-8H${x(target.highBpm)}v8`" fill="none" />
        <text
          :x="(x(target.lowBpm) + x(target.highBpm)) / 2"
          :y="BAR_TOP - 18"
          text-anchor="middle"
        >
          target {{ target.lowBpm }}–{{ target.highBpm }}
        </text>
      </g>

      <g class="axis">
        <template v-for="tick in axis" :key="tick.bpm">
          <line
            :x1="x(tick.bpm)"
            :x2="x(tick.bpm)"
            :y1="BAR_TOP + BAR + 4"
            :y2="BAR_TOP + BAR + 11"
          />
          <text v-if="tick.word" :x="x(tick.bpm)" :y="BAR_TOP + BAR + 25" text-anchor="middle">
            {{ tick.bpm }}
          </text>
        </template>
        <text
          v-for="mark in percents"
          :key="mark.percent"
          :x="x(mark.bpm)"
          :y="BAR_TOP + BAR + 45"
          class="percent"
          :text-anchor="mark.percent === 0 ? 'start' : 'middle'"
        >
          {{ mark.percent }}%
        </text>
      </g>

      <g class="cursor">
        <line :x1="x(at.bpm)" :x2="x(at.bpm)" :y1="BAR_TOP - 6" :y2="BAR_TOP + BAR + 6" />
        <circle :cx="x(at.bpm)" :cy="BAR_TOP + BAR" r="8" />
      </g>
    </svg>

    <dl class="reading" aria-hidden="true">
      <div class="bpm">
        <dt>bpm</dt>
        <dd class="num">{{ at.bpm }}</dd>
      </div>
      <div>
        <dt>of reserve</dt>
        <dd class="num">{{ at.reservePercent.toFixed(1) }} %</dd>
      </div>
      <div>
        <dt>of maximum</dt>
        <dd class="num">{{ at.maximumPercent.toFixed(1) }} %</dd>
      </div>
      <div>
        <dt>beats in 10 · 15 s</dt>
        <dd class="num">{{ at.counts['10'] }} · {{ at.counts['15'] }}</dd>
      </div>
      <div>
        <dt>effort of 20 · of 10</dt>
        <dd class="num">{{ effort(level.rpe20, 6) }} · {{ effort(level.rpe10, 0) }}</dd>
      </div>
      <div class="voice">
        <dt>{{ bandName }}</dt>
        <dd>{{ level.voice }}</dd>
      </div>
    </dl>
  </div>
</template>

<style scoped>
.ruler {
  min-width: 0;
  overflow: hidden;
}

svg {
  display: block;
  touch-action: pan-y;
  cursor: ew-resize;
  user-select: none;
}

svg:focus-visible {
  outline-offset: -3px;
}

text {
  font-family: var(--text);
  font-size: 13px;
  fill: var(--ink-quiet);
}

.word {
  font-size: 15px;
  font-weight: 700;
  fill: inherit;
}

.axis text {
  font-family: var(--mono);
  font-size: 12.5px;
}

.axis line {
  stroke: var(--ink);
  stroke-width: 1.4;
}

.axis .percent {
  font-size: 12px;
}

.target path {
  stroke: var(--teal);
  stroke-width: 2.6;
}

.target text {
  fill: var(--teal-deep);
  font-weight: 700;
  font-size: 14px;
}

.ceiling line {
  stroke: var(--ink);
  stroke-width: 2.4;
}

.ceiling-word {
  font-weight: 600;
}

.cursor line {
  stroke: var(--ink);
  stroke-width: 1.8;
}

.cursor circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2.6;
}

.reading {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding-top: 10px;
}

.reading div {
  display: flex;
  flex-direction: column-reverse;
}

dt {
  font-size: 0.8rem;
  color: var(--ink-quiet);
}

dd {
  font-size: 1.15rem;
  line-height: 1.2;
  white-space: nowrap;
}

.bpm {
  min-width: 4.4rem;
}

.bpm dd {
  font-family: var(--text);
  font-size: 2.4rem;
  font-weight: 700;
  line-height: 1;
}

.voice {
  min-width: 14rem;
}

.voice dd {
  font-size: 1.02rem;
  white-space: normal;
}

@media (max-width: 640px) {
  .reading {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 14px;
  }

  .voice {
    grid-column: 1 / -1;
    min-width: 0;
  }
}
</style>
