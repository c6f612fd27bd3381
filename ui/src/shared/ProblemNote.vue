<script setup lang="ts">
import Button from 'primevue/button'
import type { Problem } from '../api/http'
import Findings from './Findings.vue'

/** What could not be fetched or done, and a way on. */
defineProps<{ problem: Problem }>()
defineEmits<{ retry: [] }>()
</script>

<template>
  <section class="sheet problem" role="alert">
    <h2>{{ problem.status === 404 ? 'There is nothing here' : 'That did not work' }}</h2>
    <p>{{ problem.message }}</p>
    <Findings :findings="problem.findings" />
    <div class="ways">
      <Button v-if="problem.status !== 404" label="Try again" outlined @click="$emit('retry')" />
      <RouterLink to="/clients">All clients</RouterLink>
    </div>
  </section>
</template>

<style scoped>
.problem {
  display: grid;
  gap: 10px;
  max-width: 640px;
  border-left: 4px solid var(--fault);
}
</style>
