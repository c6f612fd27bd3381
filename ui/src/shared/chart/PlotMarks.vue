<script setup lang="ts">
/** The marks of an axis that rows share: figures over the first, a hairline through each. */
withDefaults(
  defineProps<{
    marks: number[]
    /** How far along the axis a value lies, in percent. */
    at: (value: number) => number
    /** Over the rows: figures instead of lines. */
    head?: boolean
    words?: (value: number) => string
  }>(),
  { head: false, words: String },
)
</script>

<template>
  <i
    v-for="mark in marks"
    :key="mark"
    :class="head ? 'figure' : 'line'"
    :style="{ left: `${at(mark)}%` }"
    >{{ head ? words(mark) : '' }}</i
  >
</template>

<style scoped>
i {
  position: absolute;
  font-style: normal;
}

.figure {
  transform: translateX(-50%);
  font-family: var(--mono);
  white-space: nowrap;
}

.line {
  top: -8px;
  bottom: -8px;
  border-left: 1px solid color-mix(in oklab, var(--line) 70%, transparent);
}
</style>
