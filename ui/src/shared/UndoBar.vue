<script setup lang="ts">
import { closeUndo, undoLast, undoOffer } from './undo'
</script>

<template>
  <div class="bar no-print" role="status">
    <p v-if="undoOffer">
      <span>{{ undoOffer.text }}</span>
      <button v-if="undoOffer.undo" type="button" @click="undoLast">Undo</button>
      <button type="button" class="close" aria-label="Close" @click="closeUndo">✕</button>
    </p>
  </div>
</template>

<style scoped>
/* What lies under the words can be pressed through them. */
.bar {
  pointer-events: none;
  position: fixed;
  left: 50%;
  bottom: 18px;
  transform: translateX(-50%);
  z-index: 20;
  width: max-content;
  max-width: calc(100vw - 24px);
}

p {
  display: flex;
  gap: 6px;
  align-items: center;
  background: var(--ink);
  color: var(--paper);
  border-radius: 10px;
  padding: 4px 6px 4px 18px;
}

button {
  pointer-events: auto;
  font: inherit;
  font-weight: 700;
  min-height: var(--touch);
  min-width: var(--touch);
  padding: 4px 12px;
  color: oklch(86% 0.09 195);
  background: none;
  border: 0;
  border-radius: 6px;
  cursor: pointer;
}

.close {
  color: var(--paper);
  font-weight: 400;
}
</style>
