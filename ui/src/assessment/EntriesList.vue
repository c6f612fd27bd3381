<script setup lang="ts">
import { computed } from 'vue'
import type { TestRun } from './useTest'

/** What was entered last; any of it can be undone. */
const props = defineProps<{ run: TestRun }>()
const shown = computed(() => props.run.entries.value.slice(0, 4))
/** By the clock on the wall: entries of two people are told apart by it. */
const time = (iso: string) => new Date(iso).toLocaleTimeString('en-GB')
</script>

<template>
  <section v-if="shown.length" aria-labelledby="entries-title">
    <h2 id="entries-title">Entered last</h2>
    <ul>
      <li v-for="each in shown" :key="each.id">
        <span class="num quiet">{{ time(each.at) }}</span>
        <span>{{ each.words }}</span>
        <button
          type="button"
          class="floor-link"
          :aria-label="`Undo: ${each.words}`"
          @click="run.happen('withdrawn', { of: each.id })"
        >
          Undo
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1rem;
}

li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--line);
}
</style>
