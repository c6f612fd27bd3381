<script setup lang="ts">
import { computed } from 'vue'
import type { Layout } from './layout'

/** A range of rates across every row. */
const props = defineProps<{ layout: Layout; mark: { lowBpm: number; highBpm: number } }>()
/** On a phone names stand between the rows, and it is drawn in each. */
const marked = computed(() =>
  props.layout.narrow ? props.layout.bars : [{ top: 2, tall: props.layout.bottom + 2 }],
)
</script>

<template>
  <g class="mark">
    <template v-for="row in marked" :key="row.top">
      <rect
        :x="layout.x(mark.lowBpm)"
        :y="row.top"
        :width="Math.max(1, layout.x(mark.highBpm) - layout.x(mark.lowBpm))"
        :height="row.tall"
      />
      <line
        v-for="edge in [mark.lowBpm, mark.highBpm]"
        :key="edge"
        :x1="layout.x(edge)"
        :x2="layout.x(edge)"
        :y1="row.top"
        :y2="row.top + row.tall"
      />
    </template>
  </g>
</template>

<style scoped>
rect {
  fill: var(--teal);
  fill-opacity: 0.09;
}

line {
  stroke: var(--teal);
  stroke-width: 1.6;
}
</style>
