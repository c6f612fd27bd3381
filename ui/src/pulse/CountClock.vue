<script setup lang="ts">
import Button from 'primevue/button'
import { computed, watch } from 'vue'
import SoundSwitch from '../shared/SoundSwitch.vue'
import ClockFace from './ClockFace.vue'
import { COUNT_IN, useCount } from './useCount'
import { useShortcuts } from '../shared/shortcuts'

/** The clock of a count: counted in, count the beats, and it says when to stop. */
const props = defineProps<{ seconds: number }>()
const emit = defineEmits<{ done: []; started: []; opened: []; stopped: [] }>()

const count = useCount(() => props.seconds, {
  started: () => emit('started'),
  opened: () => emit('opened'),
  done: () => emit('done'),
  stopped: () => emit('stopped'),
})
const { phase, left, elapsed } = count
watch(() => props.seconds, count.reset)
defineExpose({ reset: count.reset, start: count.start })

const LABEL = { ready: 'Start', lead: 'Stop', running: 'Stop', done: 'Count again' }
const share = computed(() =>
  phase.value === 'lead' ? (COUNT_IN - left.value) / COUNT_IN : elapsed.value / props.seconds,
)
const SPOKEN = { ready: '', lead: 'Get ready.', running: 'Count.', done: 'Time. Enter the beats.' }

useShortcuts({
  list: [['Space or Enter', 'on the clock: start or stop the count']],
})
</script>

<template>
  <div class="clock">
    <ClockFace :phase="phase" :share="share" :shown="left" />
    <p class="visually-hidden" role="status">{{ SPOKEN[phase] }}</p>
    <Button
      :label="LABEL[phase]"
      :outlined="phase !== 'ready'"
      size="large"
      class="go"
      data-clock
      @click="count.toggle"
    />
    <SoundSwitch />
  </div>
</template>

<style scoped>
.clock {
  display: grid;
  justify-items: center;
  gap: 8px;
}

.go {
  min-width: 200px;
  margin-top: 4px;
}
</style>
