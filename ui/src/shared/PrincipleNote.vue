<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { loadMethods, theMethods } from './methods'

/** One of the principles, folded away beside what it is applied to. */
const props = defineProps<{
  of: 'warm-up' | 'specificity' | 'overload' | 'progression' | 'frequency'
}>()
onMounted(loadMethods)
const principle = computed(() =>
  theMethods.value?.principles.find((each) => each.id === `principle-${props.of}`),
)
</script>

<template>
  <details v-if="principle" class="principle">
    <summary>{{ principle.name }}</summary>
    <p>
      {{ principle.says }}
      <RouterLink :to="{ path: '/methods', hash: `#${principle.id}` }">{{
        principle.source
      }}</RouterLink>
    </p>
  </details>
</template>

<style scoped>
.principle {
  font-size: 0.86rem;
  color: var(--ink-quiet);
}

summary {
  cursor: pointer;
  min-height: 24px;
  color: var(--teal-deep);
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}

p {
  max-width: 62ch;
  margin-top: 3px;
}
</style>
