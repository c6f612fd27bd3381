<script setup lang="ts">
import { computed } from 'vue'
import type { TestSheet } from '../api/korvel'

/** The beat of the metronome, seen: on a bench with what the feet do on it. */
const props = defineProps<{ beat: number; kind: TestSheet['kind'] }>()
const FEET = ['Up', 'Up', 'Down', 'Down']
const words = computed(() => (props.kind.endsWith('bench') ? FEET : ['1', '2', '3', '4']))
</script>

<template>
  <div class="beats" role="img" aria-label="The beat of the metronome">
    <span v-for="(word, at) in words" :key="at" :class="{ on: beat % 4 === at }">{{ word }}</span>
  </div>
</template>

<style scoped>
.beats {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px;
}

span {
  display: grid;
  place-items: center;
  min-height: 84px;
  font-size: 1.8rem;
  color: var(--ink-quiet);
  background: var(--ground-2);
  border-radius: var(--radius);
}

.on {
  color: var(--paper);
  background: var(--teal);
  font-weight: 750;
}
</style>
