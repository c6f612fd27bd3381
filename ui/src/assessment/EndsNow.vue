<script setup lang="ts">
import Button from 'primevue/button'
import type { Finding } from '../api/http'

/** A rule says that the work ends: which, why, and the one thing to do. */
defineProps<{ ends: Finding[] }>()
defineEmits<{ end: [] }>()
</script>

<template>
  <section v-if="ends[0]" class="end" role="alert">
    <p>
      <span aria-hidden="true">■</span> <b>{{ ends[0].message }}</b> {{ ends[0].because }}
    </p>
    <Button label="End the work" size="large" @click="$emit('end')" />
  </section>
</template>

<style scoped>
.end {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 18px;
  border-radius: var(--radius);
  color: oklch(99% 0.005 85);
  background: oklch(45% 0.14 20);
}

b {
  font-size: 1.5rem;
}

.end :deep(.p-button) {
  background: oklch(99% 0.005 85);
  border-color: oklch(99% 0.005 85);
  color: oklch(38% 0.14 20);
}
</style>
