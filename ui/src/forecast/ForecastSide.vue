<script setup lang="ts">
import SpanFields from '../calculators/SpanFields.vue'
import ChoiceField from '../shared/ChoiceField.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import { TRAINED } from './trained'
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
/** The address holds words. */
const ACTIVE = TRAINED.map(({ value, name }) => ({ value: value ? 'yes' : 'no', name }))
</script>

<template>
  <fieldset class="side">
    <legend>{{ title }}</legend>
    <SelectField
      v-model="outline"
      label="Outline"
      :spoken="`Outline, ${title}`"
      :options="outlines"
      filter
    />
    <SelectField v-model="who" label="For" :spoken="`For, ${title}`" :options="people" filter />
    <template v-if="who === MADE_UP">
      <SpanFields v-model:rest="rest" v-model:max="max" :messages="messages" />
      <ChoiceField v-model="trained" label="They are" :options="ACTIVE" />
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
</style>
