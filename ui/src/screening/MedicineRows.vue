<script setup lang="ts">
import Button from 'primevue/button'
import { nextTick, ref } from 'vue'
import type { Questions } from '../api/korvel'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import type { MedicineEntry } from './intake'

/** The medicines, a row each; a common generic name finds its class. */
const props = defineProps<{
  options: Questions['medicines']
  messages: Record<string, string>
}>()
const rows = defineModel<MedicineEntry[]>({ required: true })

const classes = props.options.map(({ id, name }) => ({ value: id, name }))
const names = props.options.flatMap((each) => each.genericNames).sort()
const meaning = (id: string) => props.options.find((each) => each.id === id)?.meaning ?? ''

function typedName(row: MedicineEntry, name: string) {
  row.name = name
  const typed = name.trim().toLowerCase()
  const found = props.options.find((each) => each.genericNames.includes(typed))
  if (found) row.medicineClass = found.id
}

const root = ref<HTMLElement | null>(null)
async function add() {
  rows.value.push({ medicineClass: 'other', name: '', dose: '', since: '' })
  await nextTick()
  root.value?.querySelector<HTMLInputElement>('li:last-child input')?.focus()
}
</script>

<template>
  <div ref="root" class="stack">
    <datalist id="generic-names">
      <option v-for="name in names" :key="name" :value="name" />
    </datalist>
    <ul v-if="rows.length" class="stack">
      <li v-for="(row, at) in rows" :key="at">
        <TextField
          :model-value="row.name"
          label="Name on the packet"
          :name="`medicine-${at}`"
          list="generic-names"
          :message="messages[`medicines[${at}].name`]"
          @update:model-value="typedName(row, $event)"
        />
        <SelectField
          v-model="row.medicineClass"
          label="Class"
          :options="classes"
          :hint="meaning(row.medicineClass)"
        />
        <TextField
          v-model="row.dose"
          label="Dose"
          :name="`dose-${at}`"
          :message="messages[`medicines[${at}].dose`]"
        />
        <TextField
          v-model="row.since"
          label="On this dose since"
          :name="`since-${at}`"
          type="date"
          hint="if they know"
          :message="messages[`medicines[${at}].since`]"
        />
        <Button
          label="Take off"
          outlined
          severity="secondary"
          class="off"
          :aria-label="`Take off ${row.name || 'this medicine'}`"
          @click="rows.splice(at, 1)"
        />
      </li>
    </ul>
    <p v-if="messages.medicines" class="fault" role="alert">{{ messages.medicines }}</p>
    <div><Button label="Add a medicine" outlined @click="add" /></div>
  </div>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 14px;
  align-items: start;
  border-bottom: 1px solid var(--line);
  padding-bottom: 12px;
}

.off {
  justify-self: start;
}

.fault {
  color: var(--wine);
  font-weight: 600;
}

@media (max-width: 480px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
