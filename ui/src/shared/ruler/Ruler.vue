<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useId, watch } from 'vue'
import { useShortcuts } from '../shortcuts'
import { bracketOn } from './bracket'
import { useLayout, type RulerProps } from './layout'
import { callsOf, fullReading, inWords, saidAt, stackInWords } from './reading'
import RulerAxis from './RulerAxis.vue'
import RulerBar from './RulerBar.vue'
import RulerBracket from './RulerBracket.vue'
import RulerCalls from './RulerCalls.vue'
import RulerCursor from './RulerCursor.vue'
import RulerHandles from './RulerHandles.vue'
import RulerMark from './RulerMark.vue'
import RulerPointer from './RulerPointer.vue'
import RulerReading from './RulerReading.vue'

/**
 * The ruler: from rest to maximum, bands with edges as soft as they are uncertain, a target above,
 * a cap or ceiling hatched, and a cursor that reads one point in every language. Several rows are
 * stacked on one axis and read by one cursor: an axis of rates, or of percent of reserve, on which
 * everyone's rest and everyone's maximum lie one under the other. Rows of one span may have their
 * name on one side and what they call the rate at the cursor on the other.
 */
const props = withDefaults(defineProps<RulerProps>(), {
  wall: false,
  compact: false,
  byReserve: false,
  beside: false,
  mark: null,
  bracket: null,
  pointer: undefined,
})
/** Nothing is asked of a ruler that shows what is now. */
const showsNow = computed(() => props.pointer !== undefined)
const cursor = defineModel<number>('cursor')
const emit = defineEmits<{ bracket: [edge: 'low' | 'high', percent: number] }>()

const id = useId()
const box = ref<HTMLElement | null>(null)
const svg = ref<SVGSVGElement | null>(null)
const { width: room } = useElementSize(box, { width: 900, height: 0 })
const width = computed(() => Math.max(280, Math.round(room.value)))
const layout = useLayout(props, id, width)

const first = computed(() => props.rows[0]!.zones)
const percents = computed(() =>
  layout.stacked || (first.value.basis !== 'reserve' && !props.beside) ? [] : first.value.marks,
)
const lowest = computed(() =>
  props.byReserve ? 0 : Math.min(...props.rows.map((row) => row.zones.restingBpm)),
)
const highest = computed(() =>
  props.byReserve ? 100 : Math.max(...props.rows.map((row) => row.zones.maximumBpm)),
)

/** Where the cursor is on the axis: a rate, or a percent of reserve. */
const at = computed(() =>
  Math.min(highest.value, Math.max(lowest.value, cursor.value ?? lowest.value)),
)
const full = computed(() => fullReading(first.value, at.value))
const said = computed(() => saidAt(props.rows, at.value, props.byReserve))
const bandName = computed(() => said.value[0]!.at?.name ?? 'outside its span')
const calls = computed(() => (props.beside ? callsOf(said.value, layout.narrow) : []))
const spoken = computed(() => {
  if (layout.stacked) return stackInWords(said.value, at.value, props.byReserve)
  const beside = said.value.map(({ label, at: here }) => `; ${label}, ${here?.name ?? 'nothing'}`)
  return inWords(full.value, bandName.value) + (props.beside ? beside.join('') : '')
})

function moveTo(to: number) {
  cursor.value = Math.min(highest.value, Math.max(lowest.value, Math.round(to)))
}

watch(
  () => [lowest.value, highest.value],
  () => {
    const target = props.mark ?? props.rows.find((row) => row.target)?.target
    moveTo(
      cursor.value ??
        (props.byReserve
          ? 60
          : target
            ? (target.lowBpm + target.highBpm) / 2
            : (first.value.restingBpm + first.value.maximumBpm) / 2),
    )
  },
  { immediate: true },
)

/** The next lower edge of any band of any row, upwards or downwards. */
function nextEdge(from: number, up: boolean): number {
  const edges = props.rows.flatMap((row) =>
    row.zones.bands.map((band) => (props.byReserve ? band.low : band.lowBpm)),
  )
  const beyond = edges.filter((edge) => (up ? edge > from : edge < from))
  if (!beyond.length) return up ? highest.value : lowest.value
  return up ? Math.min(...beyond) : Math.max(...beyond)
}

const STEPS: Record<string, (from: number, far: boolean) => number> = {
  ArrowRight: (from, far) => (far ? nextEdge(from, true) : from + 1),
  ArrowUp: (from) => from + 1,
  ArrowLeft: (from, far) => (far ? nextEdge(from, false) : from - 1),
  ArrowDown: (from) => from - 1,
  PageUp: (from) => from + 10,
  PageDown: (from) => from - 10,
  Home: () => lowest.value,
  End: () => highest.value,
}
function onKey(event: KeyboardEvent) {
  const step = STEPS[event.key]
  if (!step || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  moveTo(step(at.value, event.shiftKey))
}

/** How far along the axis a point of the screen lies, of two that lie on it. */
function shareAt(clientX: number, from: number, to: number) {
  return (clientX - svg.value!.getBoundingClientRect().left - from) / (to - from)
}
function pointTo(event: PointerEvent) {
  const [from, to] = layout.range
  moveTo(from + shareAt(event.clientX, layout.x(from), layout.x(to)) * (to - from))
}
function onPointerDown(event: PointerEvent) {
  svg.value!.setPointerCapture(event.pointerId)
  pointTo(event)
}
function onPointerMove(event: PointerEvent) {
  if (event.buttons & 1) pointTo(event)
}

const bracketed = computed(() => {
  const row = layout.rows[0]
  return props.bracket && row ? bracketOn(row, props.bracket) : null
})
function percentAt(clientX: number) {
  const { x, zones } = layout.rows[0]!
  return 100 * shareAt(clientX, x(zones.restingBpm), x(zones.maximumBpm))
}

useShortcuts({
  list: [
    ['← →', 'on the ruler: move the cursor by 1 bpm'],
    ['Shift ← →', 'to the next edge of a zone'],
    ['Page ↑ ↓', 'by 10 bpm'],
    ['Home End', 'to rest, to maximum'],
  ],
})
</script>

<template>
  <div
    ref="box"
    class="ruler"
    :class="{ wall, 'dark-ground': wall, compact, beside, wide: byReserve }"
  >
    <svg
      ref="svg"
      :width="width"
      :height="layout.height"
      :viewBox="`0 0 ${width} ${layout.height}`"
      :style="{ fontSize: `${layout.size.text}px` }"
      :role="showsNow ? 'img' : 'slider'"
      :tabindex="showsNow ? undefined : 0"
      :aria-label="
        showsNow
          ? `Ruler from rest to maximum, ${pointer === null ? 'no rate' : `now at ${pointer}`}`
          : byReserve
            ? 'Rulers laid out by percent of reserve'
            : layout.stacked || beside
              ? 'Rulers on one axis, from rest to maximum'
              : 'Ruler from rest to maximum'
      "
      v-bind="
        showsNow
          ? {}
          : {
              'aria-valuemin': lowest,
              'aria-valuemax': highest,
              'aria-valuenow': at,
              'aria-valuetext': spoken,
            }
      "
      @keydown="showsNow || onKey($event)"
      @pointerdown="showsNow || onPointerDown($event)"
      @pointermove="showsNow || onPointerMove($event)"
    >
      <!-- What does not move with the cursor is not drawn again when it moves. -->
      <defs v-memo="[layout.rows]">
        <template v-for="row in layout.rows" :key="row.key">
          <linearGradient
            v-for="piece in row.pieces"
            :id="piece.url"
            :key="piece.id"
            x1="0"
            x2="1"
            y1="0"
            y2="0"
          >
            <stop
              v-for="(stop, n) in piece.offsets"
              :key="n"
              :offset="stop.offset"
              :style="{ stopColor: stop.colour, stopOpacity: stop.opacity }"
            />
          </linearGradient>
        </template>
        <pattern
          :id="`${id}-hatch`"
          :width="7 * layout.size.by"
          :height="7 * layout.size.by"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect
            :width="2.4 * layout.size.by"
            :height="7 * layout.size.by"
            fill="var(--sheet)"
            fill-opacity="0.7"
          />
        </pattern>
      </defs>

      <RulerBar
        v-for="row in layout.rows"
        :key="row.key"
        v-memo="[row, layout.narrow, !!bracket]"
        v-bind="{ row, layout, compact, byReserve, beside }"
        :hatch="`${id}-hatch`"
        :bracketed="!!bracket"
        class="row"
      />
      <RulerBracket v-if="bracketed" :bracket="bracketed" :layout="layout" />
      <RulerAxis :layout="layout" :by-reserve="byReserve" :percents="percents" />
      <RulerMark v-if="mark" :layout="layout" :mark="mark" />
      <RulerCalls v-if="beside" :layout="layout" :calls="calls" />
      <RulerPointer v-if="showsNow" :layout="layout" :at="pointer ?? null" />
      <RulerCursor v-else :layout="layout" :at="at" />
    </svg>
    <RulerHandles
      v-if="bracketed"
      :bracket="bracketed"
      :percent-at="percentAt"
      @moved="(edge, percent) => emit('bracket', edge, percent)"
    />
    <RulerReading
      v-if="!showsNow"
      v-bind="{ at, full, said, byReserve, compact, wall }"
      :name="bandName"
      :together="layout.stacked"
    />
  </div>
</template>

<style scoped>
.ruler {
  position: relative;
  min-width: 0;
  overflow: hidden;
  print-color-adjust: exact;
  -webkit-print-color-adjust: exact;
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

.wall {
  background: var(--paper);
  color: var(--ink);
}
</style>
