<script setup lang="ts">
import Button from 'primevue/button'
import { nextTick, ref } from 'vue'
import type { Questions } from '../api/korvel'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import type { MedicineEntry } from './intake'

/**
 * The medicines, a row each. A common generic name finds its class; any other name asks for it, and
 * no class is kept from the name before.
 */
const props = defineProps<{
  options: Questions['medicines']
  conditions: Questions['conditions']
  messages: Record<string, string>
}>()
const rows = defineModel<MedicineEntry[]>({ required: true })

const classes = props.options.map(({ id, name }) => ({ value: id, name }))
const names = props.options.flatMap((each) => each.genericNames).sort()
const option = (id: string | null) => props.options.find((each) => each.id === id)

/** The option whose generic names a name is one of, with or without its salt. */
function named(name: string) {
  const typed = name.trim().toLowerCase()
  return props.options.find((each) =>
    each.genericNames.some((known) => typed === known || typed.startsWith(`${known} `)),
  )
}
function typedName(row: MedicineEntry, name: string) {
  if (name.trim() !== row.name.trim()) row.medicineClass = named(name)?.id ?? null
  row.name = name
}
function hint(row: MedicineEntry) {
  if (row.medicineClass) return option(row.medicineClass)?.meaning ?? ''
  return row.name.trim() ? 'Name not known: choose the class' : 'Choose the class, or type the name'
}
/** Where none was chosen, what to do is said in place of that it is missing. */
function classMessage(row: MedicineEntry, at: number) {
  const message = props.messages[`medicines[${at}].medicineClass`]
  return message && !row.medicineClass ? `${hint(row)}.` : message
}
/** The disease that counts as known where it is taken. */
function told(row: MedicineEntry) {
  const tells = option(row.medicineClass)?.tells
  return tells ? (props.conditions.find((each) => each.id === tells)?.name ?? '') : ''
}

const root = ref<HTMLElement | null>(null)
async function add() {
  rows.value.push({ medicineClass: null, name: '', dose: '', since: '' })
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
          label="Generic name"
          :name="`medicine-${at}`"
          list="generic-names"
          :message="messages[`medicines[${at}].name`]"
          @update:model-value="typedName(row, $event)"
        />
        <SelectField
          v-model="row.medicineClass"
          label="Class"
          :options="classes"
          :hint="hint(row)"
          :message="classMessage(row, at)"
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
        <p v-if="told(row)" class="told small">
          Counts as known: {{ told(row).toLowerCase() }}. Tick it among the known conditions too.
        </p>
        <Button
          label="Delete"
          outlined
          severity="secondary"
          class="off"
          :aria-label="`Delete ${row.name || 'this medication'}`"
          @click="rows.splice(at, 1)"
        />
      </li>
    </ul>
    <p v-if="messages.medicines" class="fault" role="alert">{{ messages.medicines }}</p>
    <div><Button label="Add a medication" outlined @click="add" /></div>
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

.told {
  grid-column: 1 / -1;
  color: var(--ochre-deep);
  font-weight: 650;
}

@media (max-width: 480px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
