<script setup lang="ts">
import type { Layout } from './layout'

/** The one point that is read on every row. */
defineProps<{ layout: Layout; at: number }>()
</script>

<template>
  <g class="cursor">
    <line
      :x1="layout.x(at)"
      :x2="layout.x(at)"
      :y1="layout.size.head - 6 * layout.size.by"
      :y2="layout.bottom + 6 * layout.size.by"
    />
    <circle :cx="layout.x(at)" :cy="layout.bottom" :r="8 * layout.size.by" />
  </g>
</template>

<style scoped>
line {
  stroke: var(--ink);
  stroke-width: 1.8;
}

circle {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2.6;
}

@media print {
  .cursor {
    display: none;
  }
}
</style>
