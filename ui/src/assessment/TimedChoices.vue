<script setup lang="ts">
import type { TestOption, TestStart } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import TextField from '../shared/TextField.vue'
import { MODES, options } from '../shared/words'
import ReaderChoices from './ReaderChoices.vue'
import type { Choices } from './choices'

/** How a test with a clock and a few counts is done. */
defineProps<{ start: TestStart; option: TestOption; messages: Record<string, string> }>()
const chosen = defineModel<Choices>({ required: true })
const POSTURES = [
  { value: 'seated', name: 'Seated' },
  { value: 'standing', name: 'Standing' },
]
const PACES = [
  { value: true, name: 'Their own steady pace' },
  { value: false, name: 'Metronome' },
]
</script>

<template>
  <div v-if="option.kind === 'two-minute'" class="fields">
    <ChoiceField
      v-model="chosen.activity"
      label="Activity"
      :options="start.activities.map((each) => ({ value: each.id, name: each.name }))"
      :message="messages.activity"
    />
    <ChoiceField v-model="chosen.posture" label="Counted" :options="POSTURES" />
    <ChoiceField v-model="chosen.own" label="Pace" :options="PACES" />
    <TextField
      v-if="!chosen.own"
      v-model="chosen.metronome"
      label="Beats a minute"
      name="metronome"
      number
      :message="messages.metronome"
    />
  </div>
  <ChoiceField
    v-else-if="option.paces.length > 1"
    v-model="chosen.pace"
    label="Pace"
    :options="
      option.paces.map((value) => ({ value, name: `${value} a minute (metronome ${4 * value})` }))
    "
    :message="messages.pace"
  />
  <div v-else-if="option.kind === 'talk-steps'" class="fields">
    <ChoiceField
      v-model="chosen.mode"
      label="Activity"
      :options="options(MODES)"
      :message="messages.mode"
    />
    <TextField
      v-model="chosen.ladder"
      label="How each step is harder"
      name="ladder"
      hint="for example: 4 km/h, then 1 % steeper each step"
      :message="messages.ladder"
    />
  </div>
  <ReaderChoices v-model="chosen" :start="start" :messages="messages" />
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px 24px;
}
</style>
