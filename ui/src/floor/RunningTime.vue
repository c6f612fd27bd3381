<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { clock } from '../shared/clock'
import { CLOCK_SOUNDS } from '../shared/sound'

/** How long ago something was; or, with `minutes`, how long until so many have gone by since. */
const props = defineProps<{ from: string; label: string; minutes?: number }>()

const now = ref(clock.wall())
onBeforeUnmount(clock.every(500, () => (now.value = clock.wall())))

const since = computed(() =>
  Math.max(0, Math.floor((now.value - new Date(props.from).getTime()) / 1000)),
)
const left = computed(() => Math.max(0, (props.minutes ?? 0) * 60 - since.value))
const over = computed(() => props.minutes !== undefined && left.value === 0)
watch(over, (now) => {
  if (now) CLOCK_SOUNDS.end()
})
const shown = computed(() => {
  if (over.value) return 'now'
  const seconds = props.minutes === undefined ? since.value : left.value
  const minutes = Math.floor(seconds / 60)
  return minutes < 60
    ? `${minutes}:${String(seconds % 60).padStart(2, '0')}`
    : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
})
</script>

<template>
  <p class="running" :class="{ over }">
    <b class="num">{{ shown }}</b>
    <span class="quiet small">{{ label }}</span>
  </p>
</template>

<style scoped>
.running {
  display: grid;
  justify-items: center;
}

b {
  font-size: 1.7rem;
  line-height: 1.1;
}

.over b {
  color: var(--ochre-deep);
}
</style>
