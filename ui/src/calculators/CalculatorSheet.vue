<script setup lang="ts">
import type { Finding } from '../api/http'
import Findings from '../shared/Findings.vue'

/** How every calculator is laid out: what is entered beside what comes of it, or above it. */
defineProps<{
  label: string
  /** Whether what is shown is older than what is typed. */
  behind: boolean
  general: string
  refused: Finding[]
  /** Whether the answer needs the whole width, and the form lies above it. */
  wide?: boolean
}>()
</script>

<template>
  <div class="calculator" :class="{ wide }">
    <form class="sheet form" novalidate :aria-label="label" @submit.prevent>
      <slot name="form" />
    </form>
    <div class="stack">
      <section class="sheet answer" aria-live="polite" aria-label="Result">
        <p v-if="general && !refused.length" class="general" role="alert">{{ general }}</p>
        <Findings :findings="refused" />
        <div class="figures" :class="{ behind }"><slot name="answer" /></div>
      </section>
      <slot />
    </div>
  </div>
</template>

<style scoped>
.calculator {
  display: grid;
  grid-template-columns: minmax(260px, 360px) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}

.form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}

.wide {
  grid-template-columns: minmax(0, 1fr);
}

.wide .form {
  grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
  gap: 14px 22px;
}

.form :deep(.pair) {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
}

.form :deep(input:not([type='checkbox'])) {
  width: 100%;
}

.answer,
.figures {
  display: grid;
  gap: 14px;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
}

.behind {
  opacity: 0.45;
}

.figures :deep(.big) {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: baseline;
}

.figures :deep(.big b) {
  font-size: 3.4rem;
  line-height: 1.05;
  font-weight: 750;
  color: var(--teal-deep);
}

.figures :deep(.counts) {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 30px;
}

.figures :deep(.counts div) {
  display: flex;
  flex-direction: column-reverse;
}

.figures :deep(.counts dt) {
  font-size: 0.82rem;
  color: var(--ink-quiet);
}

.figures :deep(.counts dd) {
  font-size: 1.5rem;
  font-weight: 650;
  line-height: 1.2;
}

.general {
  color: var(--fault);
  font-weight: 600;
}

@media (max-width: 860px) {
  .calculator {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
