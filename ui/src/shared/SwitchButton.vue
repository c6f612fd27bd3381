<script setup lang="ts">
/** A quiet switch with a small picture: on or off. */
defineProps<{ on: string; off: string }>()
const pressed = defineModel<boolean>({ required: true })
</script>

<template>
  <button type="button" class="switch" :aria-pressed="pressed" @click="pressed = !pressed">
    <svg viewBox="0 0 24 24" aria-hidden="true"><slot /></svg>
    {{ pressed ? on : off }}
  </button>
</template>

<style scoped>
.switch {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  font: inherit;
  font-size: 0.86rem;
  color: var(--ink-quiet);
  background: none;
  border: 0;
  border-radius: 6px;
  min-height: var(--touch);
  padding: 0 8px;
  cursor: pointer;
}

svg {
  width: 22px;
  height: 22px;
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.8;
  stroke-linecap: round;
  stroke-linejoin: round;
}

svg :slotted(.full) {
  fill: currentcolor;
}
</style>
