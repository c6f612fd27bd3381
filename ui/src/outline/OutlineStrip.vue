<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { StepKind } from '../api/korvel'
import { figureSpan, minutes } from '../shared/words'
import type { Place } from './outlineDraft'

/** A step as it is drawn. */
interface DrawnStep {
  kind: StepKind
  name: string
  seconds: number
  lowPercent: number | null
  highPercent: number | null
  aim?: { level: number; lowBpm: number | null; highBpm: number | null } | null
}

/**
 * A session as a strip of blocks: as long as they last, as tall as they are hard. Where it is
 * edited, the right edge of a block is dragged for its length and the top for its intensity.
 */
const props = withDefaults(
  defineProps<{
    blocks: { times: number; apart: boolean; steps: DrawnStep[] }[]
    editable?: boolean
    /** Steps at which a rule is broken. */
    broken?: Place[]
  }>(),
  { editable: false, broken: () => [] },
)
const selected = defineModel<Place | null>('selected', { default: null })
const emit = defineEmits<{
  stretch: [place: Place, seconds: number]
  harder: [place: Place, by: number]
  reorder: [place: Place, by: -1 | 1]
  remove: [place: Place]
  grabbed: []
}>()

const strip = ref<HTMLElement | null>(null)
const places = computed(() =>
  props.blocks.flatMap((block, at) => block.steps.map((_, step) => ({ block: at, step }))),
)
const same = (one: Place | null, other: Place) =>
  one?.block === other.block && one.step === other.step
const isBroken = (place: Place) => props.broken.some((each) => same(each, place))

/** Taller where it is harder; what has no intensity is a low step. */
const height = (step: DrawnStep) => (step.highPercent === null ? 34 : 34 + step.highPercent * 0.95)

function spoken(step: DrawnStep, times: number, place: Place): string {
  return [
    `${step.name}, ${minutes(step.seconds)} min`,
    times > 1 ? `${times} times` : '',
    step.lowPercent === null
      ? ''
      : `${figureSpan(step.lowPercent, step.highPercent!)} percent of reserve`,
    step.aim?.lowBpm ? `${step.aim.lowBpm} to ${step.aim.highBpm} bpm` : '',
    isBroken(place) ? 'breaks a rule' : '',
  ]
    .filter(Boolean)
    .join(', ')
}

async function focusOn(place: Place) {
  selected.value = place
  await nextTick()
  strip.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus()
}

function onKey(event: KeyboardEvent, place: Place, step: DrawnStep) {
  const at = places.value.findIndex((each) => same(each, place))
  const sideways = { ArrowLeft: -1, ArrowRight: 1 }[event.key] as -1 | 1 | undefined
  if (event.ctrlKey || event.metaKey) return
  if (sideways && event.altKey && props.editable) {
    emit('reorder', place, sideways)
    void nextTick(() => strip.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus())
  } else if (sideways) {
    const to = places.value[at + sideways]
    if (to) void focusOn(to)
  } else if (!props.editable) {
    return
  } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    emit('harder', place, event.key === 'ArrowUp' ? 5 : -5)
  } else if (event.key === '+' || event.key === '-') {
    emit('grabbed')
    const grain = step.kind === 'burst' ? 5 : step.seconds < 120 ? 30 : 60
    emit('stretch', place, step.seconds + (event.key === '+' ? grain : -grain))
  } else if (event.key === 'Delete') {
    emit('remove', place)
    void nextTick(() => strip.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus())
  } else {
    return
  }
  event.preventDefault()
}

/** A drag of an edge: along for the length, up for the intensity. */
interface Drag {
  place: Place
  way: 'along' | 'up'
  from: number
  seconds: number
  perPixel: number
  moved: number
}
let drag: Drag | null = null
function grab(event: PointerEvent, place: Place, way: Drag['way'], step: DrawnStep) {
  const handle = event.currentTarget as HTMLElement
  handle.setPointerCapture(event.pointerId)
  const wide = handle.parentElement!.getBoundingClientRect().width
  selected.value = place
  emit('grabbed')
  drag = {
    place,
    way,
    from: way === 'along' ? event.clientX : event.clientY,
    seconds: step.seconds,
    perPixel: Math.max(step.seconds, 30) / Math.max(30, wide),
    moved: 0,
  }
}
function pull(event: PointerEvent) {
  if (!drag || !(event.buttons & 1)) return
  if (drag.way === 'along') {
    emit('stretch', drag.place, drag.seconds + (event.clientX - drag.from) * drag.perPixel)
  } else {
    const by = Math.round((drag.from - event.clientY) / 0.95 / 5) * 5
    if (by !== drag.moved) emit('harder', drag.place, by - drag.moved)
    drag.moved = by
  }
}
</script>

<template>
  <div class="scroll">
    <ol ref="strip" class="strip" aria-label="The session, step by step">
      <li
        v-for="(block, at) in blocks"
        :key="at"
        :class="{ round: block.times > 1 }"
        :style="{
          flexGrow: Math.max(
            60,
            block.times * block.steps.reduce((sum, each) => sum + each.seconds, 0),
          ),
          minWidth: `${block.steps.reduce((sum, each) => sum + (each.highPercent === null ? 44 : 60), 0)}px`,
        }"
      >
        <span v-if="block.times > 1" class="times num"
          >{{ block.times }} ×<template v-if="block.apart"> through the day</template></span
        >
        <div class="steps">
          <div
            v-for="(step, n) in block.steps"
            :key="n"
            class="cell"
            :class="{ ranged: step.highPercent !== null }"
            :style="{ flexGrow: Math.max(10, step.seconds), height: `${height(step)}px` }"
          >
            <button
              type="button"
              class="step"
              :class="{
                on: same(selected, { block: at, step: n }),
                broken: isBroken({ block: at, step: n }),
              }"
              :style="
                step.aim
                  ? {
                      background: `var(--band-${step.aim.level})`,
                      color: `var(--on-band-${step.aim.level})`,
                    }
                  : {}
              "
              :tabindex="same(selected ?? { block: 0, step: 0 }, { block: at, step: n }) ? 0 : -1"
              :aria-pressed="same(selected, { block: at, step: n })"
              :aria-label="spoken(step, block.times, { block: at, step: n })"
              @click="selected = { block: at, step: n }"
              @keydown="onKey($event, { block: at, step: n }, step)"
            >
              <b class="num">{{ minutes(step.seconds) }}</b>
              <span v-if="step.aim?.lowBpm" class="num bpm"
                >{{ step.aim.lowBpm }}–{{ step.aim.highBpm }}</span
              >
              <span v-else-if="step.highPercent !== null" class="num bpm"
                >{{ figureSpan(step.lowPercent!, step.highPercent) }} %</span
              >
            </button>
            <template v-if="editable">
              <i
                class="edge along"
                aria-hidden="true"
                @pointerdown="grab($event, { block: at, step: n }, 'along', step)"
                @pointermove="pull"
                @pointerup="drag = null"
              />
              <i
                v-if="step.highPercent !== null"
                class="edge up"
                aria-hidden="true"
                @pointerdown="grab($event, { block: at, step: n }, 'up', step)"
                @pointermove="pull"
                @pointerup="drag = null"
              />
            </template>
          </div>
        </div>
        <span class="name">{{ block.steps.map((step) => step.name).join(', ') }}</span>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.scroll {
  padding: 4px;
  margin: -4px;
}

.strip {
  display: flex;
  gap: 3px;
  align-items: flex-end;
}

li {
  flex: 1 1 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 3px;
}

.times {
  font-size: 0.82rem;
  font-weight: 650;
  border-bottom: 2px solid var(--ink-quiet);
  white-space: nowrap;
}

.steps {
  display: flex;
  gap: 2px;
  align-items: flex-end;
}

.cell {
  position: relative;
  flex: 1 1 0;
  min-width: 44px;
}

.cell.ranged {
  min-width: 58px;
}

.step {
  font: inherit;
  width: 100%;
  height: 100%;
  display: grid;
  align-content: end;
  justify-items: start;
  border: 0;
  border-radius: 5px;
  padding: 4px 6px;
  background: var(--ground-2);
  color: var(--ink);
  cursor: pointer;
  overflow: hidden;
  line-height: 1.2;
}

.step.on {
  box-shadow:
    inset 0 0 0 2px var(--sheet),
    0 0 0 2px var(--teal);
}

.step.broken {
  border-top: 5px solid var(--fault);
}

.bpm {
  font-size: 0.74rem;
  letter-spacing: -0.02em;
  white-space: nowrap;
}

.name {
  font-size: 0.78rem;
  color: var(--ink-quiet);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}

.edge {
  position: absolute;
  touch-action: none;
}

.along {
  right: -6px;
  top: 10px;
  bottom: 0;
  width: 12px;
  cursor: ew-resize;
}

.up {
  left: 8px;
  right: 8px;
  top: -6px;
  height: 14px;
  cursor: ns-resize;
}

.edge:hover {
  forced-color-adjust: none;
  background: color-mix(in oklab, var(--teal) 45%, transparent);
  border-radius: 6px;
}
</style>
