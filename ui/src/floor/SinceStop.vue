<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { clock } from '../shared/clock'

/** How long ago the work ended. */
const props = defineProps<{ from: string }>()
const now = ref(clock.wall())
onBeforeUnmount(clock.every(500, () => (now.value = clock.wall())))
const shown = computed(() => {
  const seconds = Math.max(0, Math.floor((now.value - new Date(props.from).getTime()) / 1000))
  const minutes = Math.floor(seconds / 60)
  return minutes < 60
    ? `${minutes}:${String(seconds % 60).padStart(2, '0')}`
    : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
})
</script>

<template>
  <p class="since">
    <b class="num">{{ shown }}</b>
    <span class="quiet small">since they stopped</span>
  </p>
</template>

<style scoped>
.since {
  display: grid;
  justify-items: center;
}

b {
  font-size: 1.7rem;
  line-height: 1.1;
}
</style>
