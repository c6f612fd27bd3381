<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import ClockFace from '../pulse/ClockFace.vue'
import { COUNT_IN, useCount } from '../pulse/useCount'
import SoundSwitch from '../shared/SoundSwitch.vue'
import { clock } from '../shared/clock'
import { ROOM_WINDOWS, useRoomLine } from './roomClock'
import { useShortcuts } from '../shared/shortcuts'

/** The clock of the room on a wall screen: it runs with the class count, or by itself. */
const router = useRouter()
const seconds = ref(15)
const count = useCount(() => seconds.value)
const { phase, left, elapsed, busy } = count
const share = computed(() =>
  phase.value === 'lead' ? (COUNT_IN - left.value) / COUNT_IN : elapsed.value / seconds.value,
)
const say = useRoomLine((message) => {
  if (message.kind === 'start') {
    seconds.value = message.seconds
    count.start(Math.max(0, clock.wall() - message.at))
  } else if (message.kind === 'stop') count.stop()
})
onMounted(() => say({ kind: 'hello' }))

function choose(window: number) {
  count.reset()
  seconds.value = window
}
useShortcuts({
  list: [
    ['Space', 'start or stop'],
    ['Esc', 'back to the floor'],
  ],
  act: { ' ': count.toggle, Escape: () => router.push('/floor') },
})
</script>

<template>
  <main id="content" class="wall-page dark-ground" tabindex="-1">
    <h1 class="visually-hidden">Clock for the room</h1>
    <ClockFace
      :phase="phase"
      :share="share"
      :shown="left"
      :says="phase === 'done' ? 'stop: remember your number' : undefined"
      large
    />
    <footer>
      <div v-if="!busy" class="windows" role="group" aria-label="Count for">
        <button
          v-for="window in ROOM_WINDOWS"
          :key="window"
          type="button"
          :aria-pressed="window === seconds"
          @click="choose(window)"
        >
          {{ window }} s
        </button>
      </div>
      <button type="button" class="go" @click="count.toggle">{{ busy ? 'Stop' : 'Start' }}</button>
      <SoundSwitch />
      <RouterLink to="/floor">Floor</RouterLink>
    </footer>
  </main>
</template>

<style scoped>
.wall-page {
  min-height: 100vh;
  background: var(--paper);
  color: var(--ink);
  display: grid;
  grid-template-rows: 1fr auto;
  justify-items: center;
  align-items: center;
  gap: 12px;
  padding: 16px;
  max-width: none;
}

footer {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
  justify-content: center;
  opacity: 0.9;
}

.windows {
  display: flex;
  gap: 6px;
}

.windows button,
.go {
  font: inherit;
  font-weight: 650;
  min-height: var(--touch);
  padding: 0 16px;
  color: var(--ink);
  background: var(--ground-2);
  border: 1px solid var(--line);
  border-radius: 6px;
  cursor: pointer;
}

.windows button[aria-pressed='true'],
.go {
  forced-color-adjust: none;
  background: var(--teal);
  border-color: var(--teal);
  color: var(--paper);
}
</style>
