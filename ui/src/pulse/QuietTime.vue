<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import ClockFace from './ClockFace.vue'

/** The quiet time of a resting protocol: how much is left, and a way to count now. */
const props = defineProps<{ seconds: number; wanted: number; over: boolean }>()
const emit = defineEmits<{ count: []; leave: [] }>()

const left = computed(() => Math.max(0, props.wanted * 60 - props.seconds))
const clock = computed(
  () => `${Math.floor(left.value / 60)}:${String(left.value % 60).padStart(2, '0')}`,
)
const minutes = computed(() => Math.floor(props.seconds / 60))
</script>

<template>
  <div class="quiet-time">
    <ClockFace
      :phase="over ? 'done' : 'running'"
      :share="Math.min(1, seconds / (wanted * 60))"
      :shown="clock"
      :says="over ? 'rested: find the pulse' : 'quiet: no talk, no phone'"
    />
    <p class="visually-hidden" role="status">
      {{ over ? 'Rest time is over. Find the pulse, then start the count.' : '' }}
    </p>
    <Button
      :label="over ? 'Start the count' : `Count now, after ${minutes} min`"
      :outlined="!over"
      size="large"
      @click="emit('count')"
    />
    <button type="button" class="link small" @click="emit('leave')">Leave the protocol</button>
  </div>
</template>

<style scoped>
.quiet-time {
  display: grid;
  justify-items: center;
  gap: 10px;
}

.link {
  min-height: 36px;
}
</style>
