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
p {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 6px;
  align-items: center;
  background: var(--ink);
  color: var(--paper);
  border-radius: 10px;
  padding: 8px 6px 4px 12px;
  font-size: 0.92rem;
}

span {
  flex: 1 1 100%;
  overflow-wrap: anywhere;
}

button {
  font: inherit;
  font-weight: 700;
  min-height: var(--touch);
  min-width: var(--touch);
  padding: 4px 12px 4px 0;
  color: oklch(86% 0.09 195);
  background: none;
  border: 0;
  border-radius: 6px;
  text-align: left;
  cursor: pointer;
}

.close {
  color: var(--paper);
  font-weight: 400;
  margin-left: auto;
  padding-right: 0;
  text-align: center;
}

/* Over a screen without a rail: what lies under the words can be pressed through them. */
.over {
  pointer-events: none;
  position: fixed;
  left: 50%;
  bottom: 18px;
  transform: translateX(-50%);
  z-index: 20;
  width: max-content;
  max-width: calc(100vw - 24px);
}

.over button {
  pointer-events: auto;
}

.over p {
  padding: 4px 6px 4px 18px;
}

.over span {
  flex: 0 1 auto;
}

@media (max-width: 860px) {
  p {
    flex-wrap: nowrap;
    margin-bottom: 4px;
    padding: 4px 6px 4px 14px;
  }

  span {
    flex: 1 1 auto;
  }

  button {
    padding: 4px 10px;
  }
}
</style>
