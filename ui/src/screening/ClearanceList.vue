<script setup lang="ts">
import Button from 'primevue/button'
import { nextTick, reactive, ref } from 'vue'
import { addClearance, type Clearance } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import TextField from '../shared/TextField.vue'
import { useFieldMessages } from '../shared/fields'
import { onHash } from '../shared/hash'
import { useRecords } from '../shared/records'
import { theStudio } from '../shared/studio'
import { ALLOWS, day, options } from '../shared/words'
import { useSave } from '../shared/save'

/** A clinician's word, on record until its day; another one is added here. */
const props = defineProps<{
  id: string
  clearances: Clearance[]
  closed: boolean
  needed: boolean
  /** Called after every change; an undo may come when this list has long gone from the page. */
  changed: () => Promise<void>
}>()

const adding = ref(false)
const entry = reactive({
  issuer: '',
  issuedOn: '',
  allows: 'light-to-moderate',
  until: '',
  note: '',
})
const form = useFieldMessages()
const { messages, general, clear } = form
const records = useRecords('clearances', () => props.id, props.changed, form.show)
const firstField = ref<InstanceType<typeof TextField> | null>(null)
const heading = ref<HTMLElement | null>(null)

async function start() {
  Object.assign(entry, {
    issuer: props.clearances[0]?.issuer ?? '',
    issuedOn: theStudio.value?.today ?? '',
    allows: 'light-to-moderate',
    until: '',
    note: '',
  })
  clear()
  adding.value = true
  await nextTick()
  firstField.value?.focus()
}
async function leave() {
  adding.value = false
  await nextTick()
  heading.value?.focus()
}

// Whoever comes from a place that misses one wants to put it on record.
onHash((part) => part === 'clearances' && !props.closed && start())

const { save, saving } = useSave(
  () =>
    addClearance(props.id, {
      ...entry,
      issuedOn: entry.issuedOn || null,
      until: entry.until || null,
    }),
  {
    form,
    async saved({ id, issuer }) {
      await records.kept(`The clearance by ${issuer} is saved.`, id)
      await leave()
    },
  },
)
const takeBack = (clearance: Clearance) =>
  records.takeBack(`The clearance by ${clearance.issuer} is deleted.`, clearance.id)
</script>

<template>
  <section class="stack" aria-labelledby="clearances-title">
    <h2 id="clearances-title" ref="heading" tabindex="-1">Clearances</h2>
    <ul v-if="clearances.length">
      <li v-for="each in clearances" :key="each.id" :class="{ over: !each.inForce }">
        <p>
          <b>{{ each.allowsWords }}</b>
          <template v-if="each.inForce"> until {{ day(each.until) }}</template>
          <template v-else>, lapsed {{ day(each.until) }}</template>
        </p>
        <p class="quiet small">
          {{ each.issuer }}, {{ day(each.issuedOn)
          }}<template v-if="each.note"> · {{ each.note }}</template>
        </p>
        <button
          v-if="!closed"
          type="button"
          class="link small"
          :aria-label="`Delete the clearance by ${each.issuer}`"
          @click="takeBack(each)"
        >
          Delete
        </button>
      </li>
    </ul>
    <p v-else class="quiet">None on record.</p>

    <form v-if="adding" novalidate aria-label="Add a clearance" @submit.prevent="save">
      <TextField
        ref="firstField"
        v-model="entry.issuer"
        label="Given by"
        name="issuer"
        :message="messages.issuer"
      />
      <ChoiceField
        v-model="entry.allows"
        label="It allows"
        :options="options(ALLOWS)"
        :message="messages.allows"
      />
      <div class="two">
        <TextField
          v-model="entry.issuedOn"
          label="On"
          name="issuedOn"
          type="date"
          :message="messages.issuedOn"
        />
        <TextField
          v-model="entry.until"
          label="Until"
          name="until"
          type="date"
          hint="empty: a year"
          :message="messages.until"
        />
      </div>
      <TextField
        v-model="entry.note"
        label="Remarks"
        name="clearanceNote"
        hint="Optional. A rate it names goes under written limits."
        :message="messages.note"
      />
      <div class="ways">
        <Button type="submit" label="Save" :loading="saving" />
        <button type="button" class="link" @click="leave">Cancel</button>
      </div>
    </form>
    <div v-else-if="!closed">
      <Button label="Add a clearance" :outlined="!needed" @click="start" />
    </div>
    <p v-if="general" class="fault" role="alert">{{ general }}</p>
  </section>
</template>

<style scoped src="./records.css"></style>

<style scoped>
li p:first-child::first-letter {
  text-transform: uppercase;
}

li.over b {
  color: var(--fault);
}
</style>
