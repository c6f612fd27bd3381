<script setup lang="ts">
import { computed } from 'vue'
import Choices from '../shared/Choices.vue'
import { usePassages } from './passages'

/** The passage that is said aloud, large enough to be read while moving. */
defineProps<{ large?: boolean }>()
const { all, chosen } = usePassages()
const options = computed(
  () => all.value?.passages.map(({ id, name }) => ({ value: id, name })) ?? [],
)
const text = computed(() => all.value?.passages.find(({ id }) => id === chosen.value)?.text ?? '')
</script>

<template>
  <figure :class="{ large }">
    <blockquote>{{ text }}</blockquote>
    <!-- What is to be done with it stands nearer than which one it is. -->
    <slot />
    <figcaption>
      <Choices v-model="chosen" :options="options" aria-label="Passage" />
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  gap: 10px;
}

blockquote {
  margin: 0;
  padding: 12px 16px;
  border-left: 4px solid var(--teal);
  background: var(--ground-2);
  font-size: 1.15rem;
  line-height: 1.5;
}

.large blockquote {
  font-size: 1.5rem;
}

@media (max-width: 600px) {
  .large blockquote {
    font-size: 1.15rem;
    padding: 8px 12px;
  }
}
</style>
