<script setup lang="ts">
import { computed } from 'vue'
import type { RoomSheet, RoomTime } from '../api/korvel'
import { onClock } from '../live/cues'

/** The one clock of the room: how long it has gone, what is done now, and what comes next. */
const props = defineProps<{
  sheet: RoomSheet
  time: RoomTime
  now: number
  /** Where each does their own session: how many are in which step. */
  doing?: string
  large?: boolean
}>()

const ms = (iso: string) => new Date(iso).getTime()
const since = computed(() => {
  const { begunAt, endedAt } = props.time
  if (!begunAt) return 0
  return Math.max(0, ((endedAt ? ms(endedAt) : props.now) - ms(begunAt)) / 1000)
})
const step = computed(() => {
  const row = props.time.leg?.row
  return row === undefined ? null : props.sheet.steps[row]!
})
const next = computed(() => {
  const row = props.time.leg?.row
  return row === undefined ? null : (props.sheet.steps[row + 1] ?? null)
})
const left = computed(() => {
  const leg = props.time.leg
  if (!leg) return ''
  const until = leg.until && !props.time.paused ? ms(leg.until) : null
  return onClock(until ? (until - props.now) / 1000 : leg.seconds - props.time.ranMillis / 1000)
})
</script>

<template>
  <div class="time" :class="{ large }">
    <p class="num whole" :class="{ alone: !step }">{{ onClock(since) }}</p>
    <div v-if="step" class="step">
      <p>
        <b>{{ step.name }}</b> <b class="num">{{ left }}</b>
      </p>
      <p class="quiet">
        <template v-if="next">then {{ next.name.toLowerCase() }}</template
        ><template v-else>the last step</template>
      </p>
    </div>
    <p v-else-if="!time.begunAt" class="quiet">Not begun</p>
    <p v-else-if="doing && !time.endedAt" class="quiet doing">{{ doing }}</p>
    <p v-else-if="!time.endedAt && sheet.steps.length" class="quiet">All steps are done</p>
    <b v-if="time.paused" class="paused">Paused</b>
  </div>
</template>

<style scoped>
.time {
  display: flex;
  gap: 4px 18px;
  align-items: center;
  line-height: 1.1;
}

.whole {
  font-size: 1.5rem;
  color: var(--ink-quiet);
}

.whole.alone {
  font-size: 2.2rem;
  color: var(--ink);
  font-weight: 750;
}

.step b {
  font-size: 1.6rem;
}

.doing {
  max-width: 15rem;
}

.paused {
  color: var(--ochre-deep);
  font-size: 1.4rem;
}

.large .step b,
.large .paused {
  font-size: clamp(2.4rem, 5.5vw, 5rem);
}

.large .whole {
  font-size: clamp(1.6rem, 3vw, 3rem);
}

.large .whole.alone {
  font-size: clamp(2.4rem, 5.5vw, 5rem);
}

.large .quiet {
  font-size: clamp(1.1rem, 2vw, 1.8rem);
}
</style>
