<script setup lang="ts">
/** A level of effort as one to five strokes, so that colour is never the only carrier. */
defineProps<{ level: number }>()
</script>

<template>
  <span class="strokes" role="img" :aria-label="`level ${level} of 5`">
    <i
      v-for="n in 5"
      :key="n"
      :style="n <= level ? { background: `var(--band-${level})` } : {}"
      :class="{ on: n <= level }"
    />
  </span>
</template>

<style scoped>
.strokes {
  display: inline-flex;
  gap: 2px;
  vertical-align: middle;
}

i {
  width: 5px;
  height: 18px;
  border-radius: 1.5px;
  border: 1px solid var(--line);
}

i.on {
  border-color: color-mix(in oklab, var(--ink) 35%, transparent);
}
</style>
