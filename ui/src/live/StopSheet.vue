<script setup lang="ts">
import { nextTick, onMounted, ref } from 'vue'
import type { LiveSheet } from '../api/korvel'

/** Stopped: which sign was it? The work is over already; the sign is what is kept. */
defineProps<{ signs: LiveSheet['stopSigns']; also: string[]; action: string }>()
const emit = defineEmits<{ sign: [sign: string]; undo: [] }>()
const first = ref<HTMLElement | null>(null)
onMounted(() => nextTick(() => first.value?.querySelector('button')?.focus()))
</script>

<template>
  <section class="stop" aria-labelledby="stop-title" @keydown.esc.stop="emit('undo')">
    <header>
      <h2 id="stop-title"><span aria-hidden="true">■</span> Stopped. What is it?</h2>
      <button type="button" class="link" @click="emit('undo')">
        Undo: nothing is wrong, go on
      </button>
    </header>
    <p>{{ action }}</p>
    <ul ref="first">
      <li v-for="{ sign, words } in signs" :key="sign">
        <button type="button" @click="emit('sign', sign)">{{ words }}</button>
      </li>
    </ul>
    <p v-if="also.length" class="small">For this client also: {{ also.join('; ') }}.</p>
  </section>
</template>

<style scoped>
.stop {
  border: 3px solid var(--wine);
  border-radius: var(--radius);
  background: var(--sheet);
  padding: 16px 20px;
  display: grid;
  gap: 12px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  justify-content: space-between;
  align-items: center;
}

h2 {
  font-size: 1.6rem;
}

h2 span {
  color: var(--wine);
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 8px;
}

li button {
  width: 100%;
  min-height: 60px;
  padding: 8px 14px;
  font: inherit;
  text-align: left;
  line-height: 1.25;
  color: var(--ink);
  background: var(--paper);
  border: 1.5px solid var(--wine);
  border-radius: var(--radius);
}

.link {
  min-height: 56px;
}
</style>
