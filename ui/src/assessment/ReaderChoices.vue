<script setup lang="ts">
import type { TestStart } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import SelectField from '../shared/SelectField.vue'
import TickField from '../shared/TickField.vue'
import { READERS, type Choices } from './choices'

/** What reads the rate, and who stays. */
defineProps<{ start: TestStart; messages: Record<string, string> }>()
const chosen = defineModel<Choices>({ required: true })
const speeds = (all: number[]) =>
  all.map((value) => ({ value, name: value === 1 ? 'As it is' : `${value}×` }))
</script>

<template>
  <ChoiceField
    v-model="chosen.reader"
    label="The heart rate by"
    :options="READERS"
    :message="messages.source"
  />
  <div v-if="chosen.reader === 'simulated'" class="pair">
    <SelectField
      v-model="chosen.fault"
      label="The strap"
      :options="start.faults.map((each) => ({ value: each.id, name: each.name }))"
    />
    <ChoiceField
      v-model="chosen.speed"
      label="Its time goes"
      :options="speeds(start.speeds)"
      :message="messages.speed"
    />
  </div>
  <TickField
    v-model="chosen.present"
    label="Somebody stays present the whole time; a phone and the emergency plan are at hand"
    name="present"
  />
  <p v-if="messages.present" class="fault" role="alert">{{ messages.present }}</p>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px 24px;
}
</style>
