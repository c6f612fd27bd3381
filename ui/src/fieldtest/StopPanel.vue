<script setup lang="ts">
import Button from 'primevue/button'

/** The stop signs, always in view: pressing one stops with it, the button stops at once. */
defineProps<{ signs: string[]; action: string; over: boolean }>()
const emit = defineEmits<{ stop: [why: string] }>()
</script>

<template>
  <section class="stop" aria-label="Stop signs">
    <Button
      class="now"
      label="■ Stop now"
      severity="danger"
      :disabled="over"
      @click="emit('stop', 'a stop sign')"
    />
    <ul>
      <li v-for="sign in signs" :key="sign">
        <button type="button" :disabled="over" @click="emit('stop', sign)">{{ sign }}</button>
      </li>
    </ul>
    <p class="small">{{ action }}</p>
  </section>
</template>

<style scoped>
.stop {
  border: 2.5px solid var(--wine);
  border-radius: var(--radius);
  background: var(--sheet);
  padding: 12px 14px;
  display: grid;
  gap: 8px;
  align-content: start;
}

.now.p-button {
  min-height: 60px;
  background: var(--wine);
  border-color: var(--wine);
  color: white;
  font-size: 1.25rem;
  font-weight: 750;
}

li {
  border-top: 1px solid var(--line);
}

li:first-child {
  border-top: 0;
}

li button {
  font: inherit;
  font-size: 0.92rem;
  line-height: 1.25;
  color: var(--ink);
  text-align: left;
  width: 100%;
  min-height: 38px;
  padding: 6px 2px;
  background: none;
  border: 0;
  cursor: pointer;
}

li button:hover:enabled {
  color: var(--wine);
  text-decoration: underline;
  text-underline-offset: 3px;
}

p {
  font-weight: 650;
}

@media (max-width: 820px) {
  .stop {
    position: sticky;
    bottom: 54px;
    z-index: 3;
    margin: 0 -14px -14px;
    border-radius: 0;
    border-width: 2.5px 0 0;
    gap: 6px;
    padding: 8px 14px;
  }

  .now.p-button {
    min-height: 52px;
  }

  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0 10px;
  }

  li {
    border: 0;
  }

  li button {
    font-size: 0.8rem;
    min-height: 24px;
    padding: 2px 0;
  }

  p {
    display: none;
  }
}
</style>
