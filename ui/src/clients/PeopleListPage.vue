<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, nextTick, onMounted, reactive, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { FieldFault } from '../api/http'
import {
  addPeople,
  archiveClient,
  readPeople,
  type ClientDetails,
  type DateOrder,
  type ListedPerson,
} from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import Field from '../shared/Field.vue'
import { useAnswerTo } from '../shared/answer'
import { useFieldMessages } from '../shared/fields'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'
import { capital, options, SEXES } from '../shared/words'

/** Several people at once, from a spreadsheet or a CSV file: shown first, then added whole. */
const router = useRouter()
const text = ref('')
const order = ref<DateOrder | null>(null)
const form = useFieldMessages()
const { messages, general } = form
const { answer: list } = useAnswerTo(
  () => (text.value.trim() ? { text: text.value, order: order.value } : null),
  ({ text, order }) => readPeople(text, order),
  { form, stands: false },
)

/** A person of the list as they are to be added. */
interface Entry {
  line: number
  wanted: boolean
  already: boolean
  name: string
  birthDate: string
  sex: ClientDetails['sex']
  note: string
  faults: FieldFault[]
}
const entryOf = (person: ListedPerson): Entry => ({
  line: person.line,
  wanted: !person.already,
  already: person.already,
  name: person.name,
  birthDate: person.birthDate ?? '',
  sex: person.sex,
  note: person.note,
  faults: person.faults,
})
const entries = ref<Entry[]>([])
watch(list, (now) => (entries.value = (now?.people ?? []).map((each) => reactive(entryOf(each)))))
const wanted = computed(() => entries.value.filter((each) => each.wanted))
const faultOf = (entry: Entry, field: string) => entry.faults.find((each) => each.field === field)
/** What is corrected loses its message. */
function corrected(entry: Entry, field: string) {
  entry.faults = entry.faults.filter((each) => each.field !== field)
}
const FIELDS = { name: 'Name', birthDate: 'Birth date', note: 'Note' } as const

const asked = useTemplateRef('asked')
const { save, saving } = useSave(
  () =>
    addPeople(
      wanted.value.map(({ name, birthDate, sex, note }) => ({
        name,
        birthDate: birthDate || null,
        sex,
        note,
      })),
    ),
  {
    form,
    undo: ({ clients }) => ({
      said: `${clients.length === 1 ? clients[0]!.name : `${clients.length} clients`} added.`,
      back: () => Promise.all(clients.map(({ id, version }) => archiveClient(id, version, true))),
    }),
    saved: () => router.push('/clients'),
    async wrong(problem) {
      for (const fault of problem.errors) {
        const [, at, field] = /^clients\[(\d+)\]\.(.*)$/.exec(fault.field) ?? []
        const entry = wanted.value[Number(at)]
        if (!entry || !field) continue
        corrected(entry, field)
        entry.faults = [...entry.faults, { ...fault, field }]
      }
      await nextTick()
      asked.value?.querySelector<HTMLElement>('.faulty')?.focus()
    },
  },
)

const area = useTemplateRef('area')
onMounted(() => area.value?.focus())
const picker = ref<HTMLInputElement | null>(null)
async function take(file: File | undefined) {
  if (file) text.value = await file.text()
}
async function picked(event: Event) {
  const input = event.target as HTMLInputElement
  await take(input.files?.[0])
  input.value = ''
}

useShortcuts({
  list: [['Ctrl Enter', 'add those that are ticked']],
  act: { 'Ctrl+enter': () => wanted.value.length > 0 && save() },
  inFields: true,
})
</script>

<template>
  <div class="stack" @dragover.prevent @drop.prevent="take($event.dataTransfer?.files[0])">
    <h1>Add several clients</h1>
    <section class="sheet stack">
      <Field
        v-slot="field"
        label="The list"
        hint="One person a line: name and birth date; sex and a note if you like. With a line of headings or without."
        :message="messages.text"
      >
        <textarea
          :id="field.id"
          ref="area"
          v-model="text"
          name="list"
          rows="6"
          :placeholder="'Wren Adeyemi, 12 Mar 1961, f, ticket office\nEelis Tamm, 5 Oct 1990, m'"
          :class="{ faulty: field.invalid }"
          :aria-invalid="field.invalid"
          :aria-describedby="field.describedBy"
        />
      </Field>
      <div class="ways">
        <Button label="From a CSV file" outlined @click="picker?.click()" />
        <input
          ref="picker"
          type="file"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          class="visually-hidden"
          tabindex="-1"
          aria-label="CSV file"
          @change="picked"
        />
        <RouterLink to="/clients">Back without adding</RouterLink>
      </div>
      <ChoiceField
        v-if="list?.datesUnclear || order"
        v-model="order"
        label="How are dates like 3/4/1980 written here?"
        :options="[
          { value: 'day-first', name: 'Day first: 3 April' },
          { value: 'month-first', name: 'Month first: 4 March' },
        ]"
      />
    </section>
    <section v-if="entries.length" ref="asked" class="sheet stack" aria-labelledby="read-title">
      <div class="heading">
        <h2 id="read-title">
          {{ entries.length === 1 ? '1 person' : `${entries.length} people` }}
        </h2>
        <Button
          :label="wanted.length === 1 ? 'Add 1 client' : `Add ${wanted.length} clients`"
          :disabled="!wanted.length || list?.datesUnclear"
          :loading="saving"
          @click="save()"
        />
      </div>
      <p v-if="list?.datesUnclear" class="fault" role="status">
        First choose how the dates are written.
      </p>
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
      <ul class="people">
        <li v-for="entry in entries" :key="entry.line" :class="{ off: !entry.wanted }">
          <input
            v-model="entry.wanted"
            type="checkbox"
            :aria-label="`Add ${entry.name || `line ${entry.line}`}`"
          />
          <label v-for="(word, field) in FIELDS" :key="field" :class="field">
            <span class="small quiet">{{ word }}</span>
            <InputText
              v-model="entry[field]"
              :type="field === 'birthDate' ? 'date' : 'text'"
              :class="{ faulty: faultOf(entry, field) }"
              :invalid="!!faultOf(entry, field)"
              :aria-invalid="!!faultOf(entry, field)"
              @input="corrected(entry, field)"
            />
          </label>
          <label class="sex">
            <span class="small quiet">Sex</span>
            <select v-model="entry.sex">
              <option v-for="each in options(SEXES)" :key="each.value" :value="each.value">
                {{ each.name }}
              </option>
            </select>
          </label>
          <p v-if="entry.already" class="small quiet said">
            Already a client, or above in the list: tick to add all the same.
          </p>
          <p v-if="entry.wanted && entry.faults.length" class="fault small said" role="alert">
            <template v-for="fault in entry.faults" :key="fault.field">
              {{ FIELDS[fault.field as keyof typeof FIELDS] ?? capital(fault.field) }}
              {{ fault.message }}. Accepted: {{ fault.accepted }}.
            </template>
          </p>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
textarea {
  font-family: var(--mono);
  font-size: 0.92rem;
  width: 100%;
}

textarea.faulty {
  border-color: var(--fault);
}

.people li {
  display: grid;
  grid-template-columns: 24px minmax(10rem, 1.4fr) 10.5rem 9rem minmax(8rem, 1.4fr);
  gap: 2px 12px;
  align-items: end;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}

.people input[type='checkbox'] {
  width: 22px;
  height: 22px;
  align-self: end;
  margin-bottom: 11px;
}

.people label {
  display: grid;
  gap: 2px;
}

.people label :is(input, select) {
  width: 100%;
  min-width: 0;
  min-height: var(--touch);
}

.note {
  order: 1;
}

.said {
  order: 2;
  grid-column: 2 / -1;
}

.off label {
  opacity: 0.55;
}

@media (max-width: 760px) {
  .people li {
    grid-template-columns: 24px repeat(2, minmax(0, 1fr));
  }

  .people .name,
  .people .note {
    grid-column: 2 / -1;
  }

  .people .birthDate {
    grid-column: 2;
  }
}
</style>
