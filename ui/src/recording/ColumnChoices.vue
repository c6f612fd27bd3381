<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref } from 'vue'
import type { CsvColumns, RecordingQuestion, RecordingSaid } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'

/** What a file does not say by itself: its columns, the order of its dates, when it began. */
const props = defineProps<{
  csv: CsvColumns
  asked: RecordingQuestion[]
  /** When the file was written: a recording ends about then. */
  writtenAt: Date
}>()
const emit = defineEmits<{ said: [said: RecordingSaid] }>()

const form = reactive({
  rate: props.csv.rate,
  time: props.csv.time,
  date: props.csv.date,
  steps: props.csv.steps,
  order: props.csv.order,
})
const local = (moment: Date) =>
  new Date(+moment - moment.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
const AN_HOUR = 3_600_000
const startedAt = ref(local(new Date(+props.writtenAt - AN_HOUR)))
const columns = computed(() =>
  props.csv.names.map((name, value) => ({
    value,
    name: props.csv.firstRow[value] ? `${name}: ${props.csv.firstRow[value]}` : name,
  })),
)
const orNone = computed(() => [{ value: -1, name: 'None' }, ...columns.value])
const orders = [
  { value: 'day-first', name: 'Day first' },
  { value: 'month-first', name: 'Month first' },
]
const needsStart = computed(() => props.asked.includes('started-at'))
const ready = computed(
  () =>
    form.rate >= 0 &&
    form.time >= 0 &&
    (!props.asked.includes('date-order') || form.order !== null),
)
const send = () =>
  emit('said', {
    csv: { ...form },
    startedAt: needsStart.value ? new Date(startedAt.value).toISOString() : null,
  })
</script>

<template>
  <form class="stack" novalidate @submit.prevent="send">
    <div class="columns">
      <SelectField v-model="form.rate" label="Heart rate is in" :options="orNone" />
      <SelectField v-model="form.time" label="Time is in" :options="orNone" />
      <SelectField v-model="form.date" label="Day, if apart" :options="orNone" />
      <SelectField v-model="form.steps" label="Step rate" :options="orNone" />
    </div>
    <ChoiceField
      v-if="asked.includes('date-order')"
      v-model="form.order"
      label="How are its dates written, such as 3/4?"
      :options="orders"
    />
    <TextField
      v-if="needsStart"
      v-model="startedAt"
      type="datetime-local"
      label="It began on"
      name="startedAt"
      hint="The file counts from its beginning only. Proposed: an hour before the file was written."
    />
    <div class="ways">
      <Button type="submit" label="Read it so" :disabled="!ready" />
      <span v-if="!ready" class="quiet">Choose what is asked for first.</span>
    </div>
  </form>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px 16px;
}
</style>
