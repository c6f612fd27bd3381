<script setup lang="ts">
import Button from 'primevue/button'
import { onScopeDispose, ref } from 'vue'
import { practiceAnswers } from '../api/korvel'
import { clock } from '../shared/clock'
import { beatSound } from '../shared/sound'
import type { TestRun } from './useTest'

/** Asking somebody who is not there: what they answer is entered like anything else. */
const props = defineProps<{ run: TestRun; heard: boolean }>()
const emit = defineEmits<{ cuff: [] }>()
const said = ref('')
const gauge = ref<number | null>(null)
const ask = () => practiceAnswers(props.run.sheet.value!.id)

async function askRpe() {
  said.value = `“${(await ask()).rpe20}”`
}
async function askSymptoms() {
  const { symptoms } = await ask()
  said.value = symptoms ? `“I have ${symptoms}.”` : '“I am fine.”'
  props.run.happen('symptoms', { yes: symptoms !== null, words: symptoms ?? '' })
}
async function count() {
  said.value = `${(await ask()).beats} beats in 15 s`
}

// The cuff: shown, or let down while the sounds come and go.
const FROM = 40
const FASTER = 8
const TICK = 50
let stop = () => {}
onScopeDispose(() => stop())
async function cuff() {
  emit('cuff')
  const { systolic, diastolic, beats } = await ask()
  if (!props.heard) {
    said.value = `The cuff shows ${systolic} over ${diastolic}`
    return
  }
  said.value = ''
  stop()
  const began = clock.now()
  const from = systolic + FROM
  let beat = 0
  stop = clock.every(TICK, () => {
    const passed = (clock.now() - began) / 1000
    const at = from - FASTER * passed
    gauge.value = Math.round(at / 2) * 2
    if (passed * beats * 4 > 60 * beat) {
      beat++
      if (at <= systolic && at >= diastolic) beatSound(80, 0)
    }
    if (at < diastolic - 20) {
      stop()
      gauge.value = null
      said.value = 'The cuff is down: enter what you heard'
    }
  })
}
defineExpose({ cuff })
</script>

<template>
  <section class="ask" aria-label="Ask">
    <Button label="“How hard is it?”" outlined @click="askRpe" />
    <Button label="“How are you?”" outlined @click="askSymptoms" />
    <Button label="Count 15 s" outlined @click="count" />
    <b v-if="gauge !== null" class="num gauge">{{ gauge }} mmHg</b>
    <span v-else role="status">{{ said }}</span>
  </section>
</template>

<style scoped>
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}

.gauge {
  font-size: 1.8rem;
}

span {
  font-size: 1.2rem;
}
</style>
