<script setup lang="ts">
/** The axis of values on the left of a picture: a line across it for each figure. */
withDefaults(
  defineProps<{
    marks: number[]
    /** Where a value lies. */
    y: (value: number) => number
    left: number
    right: number
    words?: (value: number) => string
  }>(),
  { words: String },
)
</script>

<template>
  <g>
    <template v-for="mark in marks" :key="mark">
      <line :x1="left" :x2="right" :y1="y(mark)" :y2="y(mark)" :class="{ zero: mark === 0 }" />
      <text :x="left - 6" :y="y(mark) + 4.5" text-anchor="end">{{ words(mark) }}</text>
    </template>
  </g>
</template>

<style scoped>
line {
  stroke: var(--line);
}

.zero {
  stroke: var(--ink-quiet);
}

text {
  font-family: var(--mono);
  font-size: 13px;
  fill: var(--ink-quiet);
}
</style>
