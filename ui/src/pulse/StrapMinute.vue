<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onBeforeUnmount, ref } from 'vue'
import { judgeStrapSample, type StrapSample } from '../api/korvel'
import { asProblem } from '../api/http'
import { clock } from '../shared/clock'
import { CLOCK_SOUNDS } from '../shared/sound'
import { canReachStraps, toldRate, useStrap, WITHOUT_BLUETOOTH } from '../live/useStrap'
import ClockFace from './ClockFace.vue'

/** A minute at rest by strap: connected, sampled, and its mean handed on. */
const emit = defineEmits<{ sampled: [sample: StrapSample] }>()

const SECONDS = 60
/** The last packet of a minute may come a little late. */
const GRACE = 1
let at: number[] = []
let packets: string[] = []
const rate = ref<number | null>(null)
const began = ref<number | null>(null)
const elapsed = ref(0)
const sample = ref<StrapSample | null>(null)
const problem = ref('')
const sampling = computed(() => began.value !== null)

const strap = useStrap((packet) => {
  rate.value = toldRate(packet)
  if (began.value === null) return
  at.push(Math.floor(clock.wall()))
  packets.push(packet)
})

function start() {
  at = []
  packets = []
  sample.value = null
  problem.value = ''
  began.value = clock.now()
  elapsed.value = 0
}
async function finish() {
  began.value = null
  CLOCK_SOUNDS.end()
  try {
    sample.value = await judgeStrapSample(at, packets)
    emit('sampled', sample.value)
  } catch (thrown) {
    const failed = asProblem(thrown)
    const fault = failed.errors[0]
    problem.value = fault
      ? `The strap’s packets ${fault.message}. Accepted: ${fault.accepted}.`
      : failed.message
  }
}
const stopTicking = clock.every(200, () => {
  if (began.value === null) return
  elapsed.value = (clock.now() - began.value) / 1000
  if (elapsed.value >= SECONDS + GRACE) void finish()
})
onBeforeUnmount(stopTicking)
const left = computed(() => Math.max(0, Math.ceil(SECONDS - elapsed.value)))
</script>

<template>
  <div class="minute">
    <template v-if="strap.state.value === 'on' || strap.state.value === 'lost'">
      <ClockFace
        :phase="sampling ? 'running' : 'done'"
        :share="sampling ? Math.min(1, elapsed / SECONDS) : 1"
        :shown="sampling ? String(left) : String(rate ?? '–')"
        :says="sampling ? 's left: no talk, no moving' : 'bpm now'"
      />
      <Button
        v-if="!sampling"
        :label="sample ? 'Sample again' : 'Take a minute'"
        size="large"
        :disabled="strap.state.value === 'lost'"
        @click="start"
      />
      <p class="quiet small">
        {{ strap.name.value
        }}<template v-if="strap.battery.value !== null"
          >, battery {{ strap.battery.value }} %</template
        ><template v-if="strap.state.value === 'lost'">: lost, connecting again…</template>
      </p>
      <p v-if="sample" role="status">
        Mean of <span class="num">{{ sample.beats }}</span> beats;
        <span class="num">{{ sample.setAsidePercent }} %</span> set aside.
      </p>
    </template>
    <template v-else>
      <Button
        label="Connect a strap"
        :loading="strap.state.value === 'connecting'"
        :disabled="!canReachStraps()"
        @click="strap.connect()"
      />
      <p class="quiet small">
        Or read the rate off a device once it has been steady for a minute, and enter it.
      </p>
    </template>
    <p v-if="problem || strap.trouble.value || !canReachStraps()" class="small" role="status">
      {{ problem || strap.trouble.value || WITHOUT_BLUETOOTH }}
    </p>
  </div>
</template>

<style scoped>
.minute {
  display: grid;
  justify-items: center;
  text-align: center;
  gap: 10px;
}
</style>
