<script setup lang="ts">
import Button from 'primevue/button'
import { nextTick, ref } from 'vue'
import type { Questions } from '../api/korvel'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import { theStudio } from '../shared/studio'
import type { LimitEntry } from './intake'

/** A clinician's written limits, a row each; they stand above every rule. */
const props = defineProps<{
  options: Questions['limits']
  conditions: Questions['conditions']
  messages: Record<string, string>
}>()
const rows = defineModel<LimitEntry[]>({ required: true })

const kinds = props.options.map(({ id, name }) => ({ value: id, name }))
const option = (id: string) => props.options.find((each) => each.id === id)
function hint(row: LimitEntry) {
  const found = option(row.kind)
  return found?.lessBpm ? `the cap lies ${found.lessBpm} bpm below` : (found?.accepted ?? '')
}

/** The disease that counts as known where there is such a limit. */
function told(row: LimitEntry) {
  const tells = option(row.kind)?.tells
  return tells ? (props.conditions.find((each) => each.id === tells)?.name ?? '') : ''
}
const lapsed = (row: LimitEntry) =>
  row.until !== '' && theStudio.value !== null && row.until < theStudio.value.today

const root = ref<HTMLElement | null>(null)
async function add() {
  rows.value.push({
    kind: 'cap',
    value: '',
    issuer: '',
    issuedOn: theStudio.value?.today ?? '',
    until: '',
  })
  await nextTick()
  root.value?.querySelector<HTMLInputElement>('li:last-child input')?.focus()
}
</script>

<template>
  <div ref="root" class="stack">
    <ul v-if="rows.length" class="stack">
      <li v-for="(row, at) in rows" :key="at">
        <SelectField v-model="row.kind" label="What is limited" :options="kinds" />
        <TextField
          v-if="option(row.kind)?.accepted"
          v-model="row.value"
          label="At"
          :name="`limit-${at}`"
          number
          :hint="hint(row)"
          :message="messages[`limits[${at}].value`]"
        />
        <span v-else />
        <TextField
          v-model="row.issuer"
          label="Written by"
          :name="`issuer-${at}`"
          :message="messages[`limits[${at}].issuer`]"
        />
        <TextField
          v-model="row.issuedOn"
          label="On"
          :name="`issued-${at}`"
          type="date"
          :message="messages[`limits[${at}].issuedOn`]"
        />
        <TextField
          v-model="row.until"
          label="Until"
          :name="`until-${at}`"
          type="date"
          hint="empty: until replaced"
          :message="messages[`limits[${at}].until`]"
        />
        <p v-if="lapsed(row)" class="told small">
          Expired, but still applies until it is renewed or its author lifts it.
        </p>
        <p v-if="told(row)" class="told small">
          Counts as known: {{ told(row).toLowerCase() }}. Tick it among the known conditions too.
        </p>
        <Button
          label="Delete"
          outlined
          severity="secondary"
          class="off"
          aria-label="Delete this limit"
          @click="rows.splice(at, 1)"
        />
      </li>
    </ul>
    <p v-if="messages.limits" class="fault" role="alert">{{ messages.limits }}</p>
    <div><Button label="Add a written limit" outlined @click="add" /></div>
  </div>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px 12px;
  align-items: start;
  border-bottom: 1px solid var(--line);
  padding-bottom: 12px;
}

.off {
  margin-top: 27px;
  justify-self: start;
}

.told {
  grid-column: 1 / -1;
  color: var(--ochre-deep);
  font-weight: 650;
}

@media (max-width: 560px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }

  .off {
    margin-top: 0;
  }
}
</style>
