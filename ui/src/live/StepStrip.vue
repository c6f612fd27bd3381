<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import type { Forecast, LiveLeg, LiveSheet } from '../api/korvel'
import { line, ribbon } from '../forecast/drawing'

/**
 * The whole session: its steps as they came and are to come, its forecast, and the heart rate over
 * it.
 */
const props = defineProps<{
  sheet: LiveSheet
  legs: LiveLeg[]
  begunAt: string | null
  trace: number[]
  /** Seconds since it began. */
  now: number
  /** Null where no rate leads. */
  forecast: Forecast | null
}>()

const LEAST = 96
const LABEL = 18
const box = ref<HTMLElement | null>(null)
const canvas = ref<HTMLCanvasElement | null>(null)
const { width, height } = useElementSize(box, { width: 900, height: LEAST })
const tall = computed(() => Math.max(LEAST, Math.floor(height.value)))

interface Part {
  row: number
  from: number
  to: number
  done: boolean
}
const secondsOf = (iso: string) =>
  (new Date(iso).getTime() - new Date(props.begunAt!).getTime()) / 1000

/** What has come as it was, and after it what is still to come, as long as it is meant to last. */
const parts = computed<Part[]>(() => {
  const came = props.begunAt
    ? props.legs.map((leg) => {
        const from = secondsOf(leg.from)
        const to = leg.until
          ? secondsOf(leg.until)
          : Math.max(props.now, from) + (leg.clockFrom ? 0 : leg.seconds)
        return { row: leg.row, from, to: Math.max(to, leg.ended ? to : props.now), done: leg.ended }
      })
    : []
  let at = came.at(-1)?.to ?? 0
  const next = came.length ? came.at(-1)!.row + 1 : 0
  const toCome = props.sheet.steps.length - next
  const waits = (props.forecast?.steps ?? []).slice(-toCome).map((step) => step.waitsSeconds)
  return [
    ...came,
    ...props.sheet.steps.slice(next).map((step, n) => {
      const from = at
      at += step.seconds + (waits.length === toCome ? waits[n]! : 0)
      return { row: next + n, from, to: at, done: false }
    }),
  ]
})
const end = computed(() =>
  Math.max(60, parts.value.at(-1)?.to ?? 60, props.forecast?.seconds ?? 0, props.now),
)
const x = (seconds: number) => (seconds / end.value) * width.value
const low = computed(() => props.sheet.zones?.restingBpm ?? 50)
const high = computed(() => props.sheet.zones?.maximumBpm ?? 190)
const y = (bpm: number) =>
  tall.value - 3 - ((bpm - low.value) / (high.value - low.value)) * (tall.value - LABEL - 6)

const share = (percent: number) => low.value + (percent / 100) * (high.value - low.value)

function draw() {
  const pen = canvas.value?.getContext('2d')
  if (!pen || !box.value) return
  const ratio = devicePixelRatio || 1
  canvas.value!.width = width.value * ratio
  canvas.value!.height = tall.value * ratio
  pen.scale(ratio, ratio)
  const style = getComputedStyle(box.value)
  const colour = (name: string) => style.getPropertyValue(name)
  for (const part of parts.value) {
    const step = props.sheet.steps[part.row]!
    if (step.lowPercent === null || step.highPercent === null) continue
    // Where no rate leads it is drawn as hard as it is to be.
    const top = y(step.highBpm ?? share(step.highPercent))
    const bottom = y(step.lowBpm ?? share(step.lowPercent))
    pen.fillStyle = colour(step.work ? '--band-3' : '--band-1')
    pen.globalAlpha = part.done ? 0.35 : 0.55
    pen.fillRect(
      x(part.from),
      top,
      Math.max(1, x(part.to) - x(part.from) - 1),
      Math.max(3, bottom - top),
    )
  }
  if (props.forecast) {
    const scales = { x, y }
    pen.globalAlpha = 0.22
    pen.fillStyle = colour('--teal')
    pen.fill(new Path2D(ribbon(props.forecast, scales)))
    pen.globalAlpha = 1
    pen.strokeStyle = colour('--teal')
    pen.lineWidth = 1.5
    pen.setLineDash([5, 4])
    pen.stroke(new Path2D(line(props.forecast, scales)))
    pen.setLineDash([])
  }
  pen.globalAlpha = 1
  pen.strokeStyle = colour('--ink')
  pen.lineWidth = 2
  pen.lineJoin = 'round'
  pen.beginPath()
  // A point for each pixel at most: a long session has more seconds than the strip is wide.
  const each = Math.max(1, Math.floor(end.value / Math.max(1, width.value)))
  let drawing = false
  for (let second = 1; second <= props.trace.length; second += each) {
    const bpm = props.trace[second - 1]!
    if (bpm && drawing) pen.lineTo(x(second), y(bpm))
    else if (bpm) pen.moveTo(x(second), y(bpm))
    drawing = bpm > 0
  }
  pen.stroke()
}
onMounted(draw)
watch([() => props.trace, () => props.forecast, parts, width, height, () => props.now], draw, {
  flush: 'post',
})
const wide = (part: Part) => x(part.to) - x(part.from) > 46
</script>

<template>
  <div ref="box" class="strip">
    <canvas ref="canvas" :style="{ width: `${width}px`, height: `${tall}px` }" aria-hidden="true" />
    <i class="here" :style="{ left: `${x(now)}px` }" />
    <ol>
      <li
        v-for="(part, at) in parts"
        :key="at"
        :class="{ done: part.done }"
        :style="{
          left: `${x(part.from)}px`,
          width: `${Math.max(0, x(part.to) - x(part.from) - 1)}px`,
        }"
      >
        <span :class="{ 'visually-hidden': !wide(part) }">{{ sheet.steps[part.row]!.name }}</span>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.strip {
  position: relative;
  flex: 1 1 96px;
  min-height: 96px;
  max-height: 240px;
  border-top: 1px solid var(--line);
  overflow: hidden;
}

canvas {
  position: absolute;
  inset: 0;
}

ol {
  position: absolute;
  inset: 0;
  margin: 0;
  padding: 0;
}

li {
  position: absolute;
  top: 0;
  bottom: 0;
  list-style: none;
  border-left: 1px solid var(--line);
  padding-left: 5px;
  font-size: 0.82rem;
  color: var(--ink);
  overflow: hidden;
  white-space: nowrap;
}

li.done {
  color: var(--ink-quiet);
}

.here {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--teal);
}
</style>
