<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { clock } from '../shared/clock'

/** The clock of a count: start, count the beats, and it says when to stop. */
const props = defineProps<{ seconds: number }>()
const emit = defineEmits<{ done: []; started: [] }>()

const state = ref<'ready' | 'running' | 'done'>('ready')
const elapsed = ref(0)
let stopTicking: (() => void) | undefined

function reset() {
  stopTicking?.()
  stopTicking = undefined
  state.value = 'ready'
  elapsed.value = 0
}

function toggle() {
  if (state.value === 'running') {
    reset()
    return
  }
  reset()
  state.value = 'running'
  emit('started')
  const from = clock.now()
  stopTicking = clock.every(50, () => {
    elapsed.value = Math.min(props.seconds, (clock.now() - from) / 1000)
    if (elapsed.value >= props.seconds) {
      stopTicking?.()
      state.value = 'done'
      emit('done')
    }
  })
}

watch(() => props.seconds, reset)
onBeforeUnmount(() => stopTicking?.())
defineExpose({ reset })

const left = computed(() => Math.ceil(props.seconds - elapsed.value))
const R = 84
const ROUND = 2 * Math.PI * R
const LABEL = { ready: 'Start', running: 'Stop', done: 'Count again' }
const SAYS = {
  ready: 'seconds',
  running: 'count the beats',
  done: 'time: enter the beats',
}
</script>

<template>
  <div class="clock" :class="state">
    <div class="face" role="timer">
      <svg viewBox="0 0 200 200" aria-hidden="true">
        <circle cx="100" cy="100" :r="R" class="track" />
        <circle
          cx="100"
          cy="100"
          :r="R"
          class="sweep"
          :stroke-dasharray="ROUND"
          :stroke-dashoffset="ROUND * (1 - elapsed / seconds)"
          transform="rotate(-90 100 100)"
        />
        <line
          v-for="n in 12"
          :key="n"
          x1="100"
          x2="100"
          y1="3"
          y2="8"
          :transform="`rotate(${30 * n} 100 100)`"
        />
      </svg>
      <p class="left">
        <b class="num">{{ left }}</b>
        <span>{{ SAYS[state] }}</span>
      </p>
    </div>
    <p class="visually-hidden" role="status">
      {{ state === 'done' ? 'Time. Enter the beats.' : '' }}
    </p>
    <Button
      :label="LABEL[state]"
      :outlined="state !== 'ready'"
      size="large"
      class="go"
      data-clock
      @click="toggle"
    />
  </div>
</template>

<style scoped>
.clock {
  display: grid;
  justify-items: center;
  gap: 12px;
}

.face {
  position: relative;
  width: 200px;
  height: 200px;
}

circle {
  fill: none;
  stroke-width: 13;
}

.track {
  stroke: var(--ground-2);
}

.sweep {
  stroke: var(--teal);
}

.done .sweep {
  stroke: var(--ochre);
}

svg line {
  stroke: var(--ink-quiet);
  stroke-width: 1.5;
}

.left {
  position: absolute;
  inset: 0;
  display: grid;
  align-content: center;
  justify-items: center;
}

.left b {
  font-size: 4rem;
  line-height: 1;
  font-weight: 700;
}

.left span {
  font-size: 0.84rem;
  color: var(--ink-quiet);
}

.go {
  min-width: 200px;
}
</style>
