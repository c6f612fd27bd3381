<script setup lang="ts">
import { computed } from 'vue'
import type { Layout } from './layout'

/** Where somebody's rate is now: seen from across a hall. */
const props = defineProps<{ layout: Layout; at: number | null }>()
const x = computed(() => {
  const [from, to] = props.layout.range
  return props.at === null ? null : props.layout.x(Math.min(to, Math.max(from, props.at)))
})
</script>

<template>
  <g v-if="x !== null" class="pointer" :transform="`translate(${x} 0)`">
    <line :y1="layout.size.head - 4" :y2="layout.bottom + 4" />
    <path :d="`M0 ${layout.bottom - 3}l11 19h-22z`" />
  </g>
</template>

<style scoped>
.pointer {
  transition: transform 0.8s linear;
}

line {
  stroke: var(--ink);
  stroke-width: 3.5;
}

path {
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 2;
}

@media (prefers-reduced-motion: reduce) {
  .pointer {
    transition: none;
  }
}
</style>
