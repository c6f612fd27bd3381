<script setup lang="ts">
import type { components } from '../api/schema'
import MethodLink from './MethodLink.vue'

/** How a number was worked out, folded away: each step with its method. */
defineProps<{ lines: components['schemas']['LineView'][] }>()
</script>

<template>
  <details>
    <summary>Show the working</summary>
    <ul>
      <li v-for="line in lines" :key="line.label">
        <MethodLink :to="line.method">{{ line.label }}</MethodLink>
        <span class="num">{{ line.sum }} → {{ line.answer }} {{ line.unit }}</span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  color: var(--teal-deep);
  padding: 4px 0;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  justify-content: space-between;
  font-size: 0.92rem;
}
</style>
