<script setup lang="ts">
import Button from 'primevue/button'
import { reactive, ref } from 'vue'
import { asProblem } from '../api/http'
import { addClearance, takeBackClearance, type Clearance } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import TextField from '../shared/TextField.vue'
import { useFieldMessages } from '../shared/fields'
import { theStudio } from '../shared/studio'
import { offerUndo } from '../shared/undo'
import { ALLOWS, day, options } from '../shared/words'

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
const { messages, general, clear, show } = useFieldMessages()
const saving = ref(false)

function start() {
  Object.assign(entry, {
    issuer: props.clearances[0]?.issuer ?? '',
    issuedOn: theStudio.value?.today ?? '',
    allows: 'light-to-moderate',
    until: '',
    note: '',
  })
  clear()
  adding.value = true
}

async function save() {
  if (saving.value) return
  saving.value = true
  clear()
  try {
    const kept = await addClearance(props.id, {
      ...entry,
      issuedOn: entry.issuedOn || null,
      until: entry.until || null,
    })
    adding.value = false
    await props.changed()
    offerUndo(`The clearance by ${kept.issuer} is on record.`, async () => {
      await takeBackClearance(props.id, kept.id)
      await props.changed()
    })
  } catch (thrown) {
    show(asProblem(thrown))
  } finally {
    saving.value = false
  }
}

async function takeBack(clearance: Clearance) {
  try {
    await takeBackClearance(props.id, clearance.id)
    await props.changed()
    offerUndo(`The clearance by ${clearance.issuer} is taken back.`, async () => {
      const { issuer, issuedOn, allows, until, note } = clearance
      await addClearance(props.id, { issuer, issuedOn, allows, until, note })
      await props.changed()
    })
  } catch (thrown) {
    show(asProblem(thrown))
  }
}
</script>

<template>
  <section class="stack" aria-labelledby="clearances-title">
    <h2 id="clearances-title">Clearances</h2>
    <ul v-if="clearances.length">
      <li v-for="each in clearances" :key="each.id" :class="{ over: !each.inForce }">
        <p>
          <b>{{ each.allowsWords }}</b>
          <template v-if="each.inForce"> until {{ day(each.until, theStudio?.today) }}</template>
          <template v-else>, lapsed {{ day(each.until, theStudio?.today) }}</template>
        </p>
        <p class="quiet small">
          {{ each.issuer }}, {{ day(each.issuedOn, theStudio?.today)
          }}<template v-if="each.note"> · {{ each.note }}</template>
        </p>
        <button
          v-if="!closed"
          type="button"
          class="link small"
          :aria-label="`Take back the clearance by ${each.issuer}`"
          @click="takeBack(each)"
        >
          Take back
        </button>
      </li>
    </ul>
    <p v-else class="quiet">None on record.</p>

    <form v-if="adding" novalidate aria-label="Add a clearance" @submit.prevent="save">
      <TextField v-model="entry.issuer" label="Given by" name="issuer" :message="messages.issuer" />
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
        label="What else it says"
        name="clearanceNote"
        hint="May stay empty. A rate it names goes under written limits."
        :message="messages.note"
      />
      <div class="ways">
        <Button type="submit" label="Put on record" :loading="saving" />
        <button type="button" class="link" @click="adding = false">Leave it</button>
      </div>
    </form>
    <div v-else-if="!closed">
      <Button label="Add a clearance" :outlined="!needed" @click="start" />
    </div>
    <p v-if="general" class="fault" role="alert">{{ general }}</p>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}

li:first-child {
  border-top: 0;
}

li button {
  grid-column: 2;
  grid-row: 1 / span 2;
  align-self: center;
  min-height: 36px;
}

li p:first-child::first-letter {
  text-transform: uppercase;
}

li.over b {
  color: var(--wine);
}

form {
  display: grid;
  gap: 12px;
}

.two {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 12px;
}

.ways {
  display: flex;
  gap: 16px;
  align-items: center;
}

.fault {
  color: var(--wine);
  font-weight: 600;
}
</style>
