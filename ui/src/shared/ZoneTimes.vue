<script setup lang="ts">
import { computed } from 'vue'
import LevelStrokes from './LevelStrokes.vue'

/** Time in each zone: its name and level, a bar by its share, and how long it was. */
const props = defineProps<{
  zones: { id: string; name: string; level: number; seconds: number }[]
  /** How a time is written. */
  words: (seconds: number) => string
}>()
const whole = computed(() =>
  Math.max(
    1,
    props.zones.reduce((sum, { seconds }) => sum + seconds, 0),
  ),
)
</script>

<template>
  <ul class="zones">
    <li v-for="zone in zones" :key="zone.id">
      <span><LevelStrokes :level="zone.level" /> {{ zone.name }}</span>
      <i
        :style="{
          width: `${(100 * zone.seconds) / whole}%`,
          background: `var(--band-${zone.level})`,
        }"
      />
      <span class="num time">{{ words(zone.seconds) }}</span>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(7.5rem, 9.5rem) minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  padding: 4px 0;
}

i {
  height: 18px;
  min-width: 1px;
  border-radius: 3px;
  forced-color-adjust: none;
}

.time {
  min-width: 4rem;
  text-align: right;
  white-space: nowrap;
}
</style>
