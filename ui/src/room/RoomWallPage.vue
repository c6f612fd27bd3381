<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, toRef } from 'vue'
import ProblemNote from '../shared/ProblemNote.vue'
import LaneRow from './LaneRow.vue'
import RoomTimeBar from './RoomTimeBar.vue'
import { doing } from './doing'
import { layoutFor } from './layout'
import { useRoom } from './useRoom'
import { useScreenAwake } from '../live/floorScreen'

/** The room for its wall: large, dark, by nickname where wanted, and nothing about health. */
const props = defineProps<{ room: string }>()
const { sheet, lanes, time, problem, connected, now, load } = useRoom(toRef(props, 'room'))
useScreenAwake()

const people = computed(() => sheet.value?.people ?? [])
const roomStep = computed(() => {
  const row = time.value?.leg?.row
  return row === undefined ? null : (sheet.value?.steps[row]?.name ?? null)
})
const area = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(area, { width: 1200, height: 640 })
const layout = computed(() => layoutFor(people.value.length, width.value, height.value))
const laneHeight = computed(() => height.value / layout.value.rows)
const fill = computed(() => ({
  gridTemplateRows: `repeat(${layout.value.rows}, minmax(30px, ${Math.min(130, laneHeight.value)}px))`,
  gridTemplateColumns: `repeat(${layout.value.columns}, minmax(0, 1fr))`,
  '--lane-font': `${Math.min(1.9, Math.max(0.9, laneHeight.value / 38)).toFixed(2)}rem`,
}))
</script>

<template>
  <main id="content" class="floor-page wall dark-ground" tabindex="-1">
    <h1 class="visually-hidden">The room</h1>
    <ProblemNote v-if="problem" :problem="problem" @retry="load" />
    <template v-else-if="sheet && time">
      <RoomTimeBar :sheet="sheet" :time="time" :now="now" :doing="doing(people, lanes)" large />
      <p v-if="!connected" role="status">Waiting for Korvel: these are the last known.</p>
      <div ref="area" class="area">
        <div class="lanes" role="list" :style="fill">
          <LaneRow
            v-for="each in people"
            :key="each.session"
            :person="each"
            :lanes="lanes"
            letters=""
            :room-step="roomStep"
            :levels="sheet.levels"
            wall
          />
        </div>
      </div>
    </template>
    <p v-else role="status">Loading…</p>
  </main>
</template>

<style scoped>
.wall {
  height: 100vh;
  padding: 20px 32px;
  gap: 18px;
}

.area {
  flex: 1;
  min-height: 0;
  overflow: hidden;
}

.lanes {
  display: grid;
  grid-auto-flow: column;
  column-gap: 36px;
}
</style>
