<script setup lang="ts">
import type { Bracket, Handle } from './bracket'

/** The ends of the bracket: dragged, and moved by keys. */
const props = defineProps<{
  bracket: Bracket
  /** The percent of reserve that lies at a point of the screen. */
  percentAt: (clientX: number) => number
}>()
const emit = defineEmits<{ moved: [edge: 'low' | 'high', percent: number] }>()

function setEdge(handle: Handle, percent: number) {
  const within = Math.min(handle.most, Math.max(handle.least, Math.round(percent)))
  if (within !== handle.percent) emit('moved', handle.edge, within)
}
const EDGE_STEPS: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 5,
  PageDown: -5,
}
function onEdgeKey(event: KeyboardEvent, handle: Handle) {
  const by = EDGE_STEPS[event.key]
  if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  setEdge(handle, handle.percent + (event.shiftKey ? 5 * Math.sign(by) : by))
}
function grab(event: PointerEvent) {
  if (event.currentTarget instanceof Element) event.currentTarget.setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent, handle: Handle) {
  if (event.buttons & 1) setEdge(handle, props.percentAt(event.clientX))
}
</script>

<template>
  <span
    v-for="handle in bracket.edges"
    :key="handle.edge"
    role="slider"
    tabindex="0"
    class="handle"
    :style="{
      left: `${handle.x - handle.left}px`,
      width: `${handle.left + handle.right}px`,
      top: `${bracket.top - 28}px`,
      '--grip': `${handle.left}px`,
    }"
    :aria-label="`${handle.name} of the target`"
    :aria-valuemin="handle.least"
    :aria-valuemax="handle.most"
    :aria-valuenow="handle.percent"
    :aria-valuetext="`${handle.percent} percent of reserve`"
    @keydown="onEdgeKey($event, handle)"
    @pointerdown="grab"
    @pointermove="drag($event, handle)"
  />
</template>

<style scoped>
.handle {
  position: absolute;
  height: 44px;
  cursor: ew-resize;
  touch-action: none;
}

.handle::after {
  content: '';
  position: absolute;
  left: calc(var(--grip) - 8px);
  top: 13px;
  width: 16px;
  height: 16px;
  border-radius: 50%;
  background: var(--sheet);
  border: 3px solid var(--teal);
}

.handle:hover::after,
.handle:focus-visible::after {
  forced-color-adjust: none;
  background: var(--teal);
  border-color: var(--ink);
}
</style>
