<script setup lang="ts">
/** A number or a word that leads to its entry among the methods: formula, error, source. */
defineProps<{ to: string }>()
</script>

<template>
  <RouterLink class="method" :to="{ path: '/methods', hash: '#' + to }"><slot /></RouterLink>
</template>

<style scoped>
.method {
  color: inherit;
  text-decoration: underline dotted color-mix(in oklab, currentColor 55%, transparent);
  text-decoration-thickness: 1.5px;
  text-underline-offset: 4px;
}

.method:hover {
  text-decoration-style: solid;
}

@media print {
  .method {
    text-decoration: none;
  }
}
</style>
