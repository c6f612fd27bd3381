<script setup lang="ts">
import Select from 'primevue/select'
import ChoiceField from '../shared/ChoiceField.vue'
import Field from '../shared/Field.vue'
import TextField from '../shared/TextField.vue'
import { MADE_UP } from './useForecastSide'

/** What is foreseen: an outline, for somebody, as of a day. */
defineProps<{
  title: string
  outlines: { value: string; name: string }[]
  people: { value: string; name: string }[]
  messages: Record<string, string>
  today: string
}>()
const outline = defineModel<string>('outline', { required: true })
const who = defineModel<string>('who', { required: true })
const rest = defineModel<string>('rest', { required: true })
const max = defineModel<string>('max', { required: true })
const trained = defineModel<string>('trained', { required: true })
const on = defineModel<string>('on', { required: true })
const TRAINED = [
  { value: 'no', name: 'Not regularly active' },
  { value: 'yes', name: 'Regularly active' },
]
</script>

<template>
  <fieldset class="side">
    <legend>{{ title }}</legend>
    <Field v-slot="field" label="Outline">
      <Select
        v-model="outline"
        :label-id="field.id"
        :options="outlines"
        option-label="name"
        option-value="value"
        filter
        :aria-label="`Outline, ${title}`"
      />
    </Field>
    <Field v-slot="field" label="For">
      <Select
        v-model="who"
        :label-id="field.id"
        :options="people"
        option-label="name"
        option-value="value"
        filter
        :aria-label="`For, ${title}`"
      />
    </Field>
    <template v-if="who === MADE_UP">
      <div class="pair">
        <TextField
          v-model="rest"
          label="Resting"
          name="rest"
          number
          hint="bpm"
          :message="messages.restingBpm"
        />
        <TextField
          v-model="max"
          label="Maximum"
          name="max"
          number
          hint="bpm"
          :message="messages.maximumBpm"
        />
      </div>
      <ChoiceField v-model="trained" label="They are" :options="TRAINED" />
    </template>
    <TextField
      v-else
      v-model="on"
      type="date"
      label="As of"
      name="on"
      :hint="`today where it is empty; up to ${today}`"
      :message="messages.on"
    />
  </fieldset>
</template>

<style scoped>
.side {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 12px;
  align-content: start;
  min-width: 0;
}

legend {
  font-weight: 700;
  padding: 0 0 8px;
}

.side :deep(.p-select) {
  width: 100%;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
</style>
