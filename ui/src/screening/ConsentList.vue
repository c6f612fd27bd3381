<script setup lang="ts">
import Button from 'primevue/button'
import { nextTick, reactive, ref } from 'vue'
import { addConsent, type Consent } from '../api/korvel'
import TextField from '../shared/TextField.vue'
import { useFieldMessages } from '../shared/fields'
import { onHash } from '../shared/hash'
import { useRecords } from '../shared/records'
import { theStudio } from '../shared/studio'
import { day } from '../shared/words'
import { useSave } from '../shared/save'

/** Whether a parent or guardian agrees: who said so, and when. */
const props = defineProps<{
  id: string
  consents: Consent[]
  closed: boolean
  /** Called after every change; an undo may come when this list has long gone from the page. */
  changed: () => Promise<void>
}>()

const adding = ref(false)
const entry = reactive({ givenBy: '', givenOn: '', note: '' })
const form = useFieldMessages()
const { messages, general, clear } = form
const records = useRecords('consents', () => props.id, props.changed, form.show)
const first = ref<InstanceType<typeof TextField> | null>(null)
const heading = ref<HTMLElement | null>(null)

async function start() {
  Object.assign(entry, { givenBy: '', givenOn: theStudio.value?.today ?? '', note: '' })
  clear()
  adding.value = true
  await nextTick()
  first.value?.focus()
}
async function leave() {
  adding.value = false
  await nextTick()
  heading.value?.focus()
}

const { save, saving } = useSave(
  () => addConsent(props.id, { ...entry, givenOn: entry.givenOn || null }),
  {
    form,
    async saved({ id, givenBy }) {
      await records.kept(`The consent of ${givenBy} is saved.`, id)
      await leave()
    },
  },
)
const takeBack = (consent: Consent) =>
  records.takeBack(`The consent of ${consent.givenBy} is deleted.`, consent.id)

// Whoever comes from a place that misses it wants to put it on record.
onHash((part) => part === 'consent' && !props.consents.length && !props.closed && start())
</script>

<template>
  <section id="consent" class="stack" aria-labelledby="consent-title">
    <h2 id="consent-title" ref="heading" tabindex="-1">Consent of a parent or guardian</h2>
    <ul v-if="consents.length">
      <li v-for="each in consents" :key="each.id">
        <p>
          <b>{{ each.givenBy }}</b>
        </p>
        <p class="quiet small">
          {{ day(each.givenOn) }}<template v-if="each.note"> · {{ each.note }}</template>
        </p>
        <button
          v-if="!closed"
          type="button"
          class="link small"
          :aria-label="`Delete the consent of ${each.givenBy}`"
          @click="takeBack(each)"
        >
          Delete
        </button>
      </li>
    </ul>
    <p v-else class="quiet">Not on record. Nobody under 18 starts without it.</p>

    <form v-if="adding" novalidate aria-label="Consent" @submit.prevent="save">
      <div class="two">
        <TextField
          ref="first"
          v-model="entry.givenBy"
          label="Who agrees"
          name="givenBy"
          hint="name, and whether parent or guardian"
          :message="messages.givenBy"
        />
        <TextField
          v-model="entry.givenOn"
          label="On"
          name="givenOn"
          type="date"
          :message="messages.givenOn"
        />
      </div>
      <TextField
        v-model="entry.note"
        label="How"
        name="consentNote"
        hint="Optional: on paper, by telephone …"
        :message="messages.note"
      />
      <div class="ways">
        <Button type="submit" label="Save" :loading="saving" />
        <button type="button" class="link" @click="leave">Cancel</button>
      </div>
    </form>
    <div v-else-if="!closed">
      <Button label="Record consent" :outlined="consents.length > 0" @click="start" />
    </div>
    <p v-if="general" class="fault" role="alert">{{ general }}</p>
  </section>
</template>

<style scoped src="./records.css"></style>
