<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, watch } from 'vue'
import { asProblem } from '../api/http'
import {
  calendarFile,
  calendarLinks,
  readBusy,
  removeBusy,
  revokeSubscription,
  subscribe,
} from '../api/korvel'
import PeoplePicker from '../shared/PeoplePicker.vue'
import TextField from '../shared/TextField.vue'
import { useAnswer } from '../shared/answer'
import { offerUndo, undone } from '../shared/undo'
import { day } from '../shared/words'
import { useSave } from '../shared/save'

/** Calendars out, as a file or an address; and in, so that busy times are respected. */
const props = defineProps<{ client: string; people: { id: string; name: string }[] }>()
const emit = defineEmits<{ read: [] }>()

const { data, load } = useAnswer(calendarLinks)
onMounted(load)
watch(undone, () => void load())
const whose = computed(
  () => props.people.find(({ id }) => id === props.client)?.name ?? 'the whole studio',
)

/** Those of the client in view, and what holds for everyone. */
const here = <T extends { clientId: string | null }>(all: T[] | undefined) =>
  (all ?? []).filter(({ clientId }) => !props.client || !clientId || clientId === props.client)
const subscriptions = computed(() => here(data.value?.subscriptions))
const busy = computed(() => here(data.value?.busy))

/** Korvel answers this computer alone: nothing else reaches an address of it. */
const onlyHere = ['localhost', '127.0.0.1', '[::1]'].includes(window.location.hostname)
const members = ref<string[]>([])
const classFile = computed(() => calendarFile('', members.value))

const name = ref('')
const made = ref<{ name: string; address: string } | null>(null)
const {
  save: make,
  messages,
  general,
} = useSave(() => subscribe(name.value, props.client || null), {
  saved({ subscription, path }) {
    made.value = { name: subscription.name, address: window.location.origin + path }
    copied.value = false
    name.value = ''
    return load()
  },
})
const copied = ref(false)
async function copy() {
  try {
    await navigator.clipboard.writeText(made.value!.address)
    copied.value = true
  } catch {
    // Where the clipboard is kept shut, the address can be marked and copied by hand.
    copied.value = false
  }
}
async function revoke(id: string, of: string) {
  const left = await revokeSubscription(id, true)
  offerUndo(`The address for ${of} is revoked.`, async () => {
    await revokeSubscription(id, false)
  })
  data.value = left
}

const file = ref<HTMLInputElement | null>(null)
const fault = ref('')
const reading = ref(false)
async function read() {
  const chosen = file.value?.files?.[0]
  if (!chosen || reading.value) return
  reading.value = true
  fault.value = ''
  try {
    data.value = await readBusy(chosen, props.client)
    emit('read')
  } catch (thrown) {
    const problem = asProblem(thrown)
    const first = problem.errors[0]
    fault.value = first
      ? `${chosen.name} ${first.message}. Accepted: ${first.accepted}.`
      : `${chosen.name}: ${problem.message}`
  } finally {
    reading.value = false
    file.value!.value = ''
  }
}
async function remove(id: string, of: string) {
  const left = await removeBusy(id, true)
  offerUndo(`${of} no longer counts.`, async () => {
    await removeBusy(id, false)
  })
  data.value = left
  emit('read')
}
</script>

<template>
  <section class="sheet stack" aria-labelledby="links-title">
    <h2 id="links-title">Calendars out and in: {{ whose }}</h2>
    <div class="columns">
      <div class="stack">
        <h3>Out</h3>
        <p class="small">
          For any calendar program.
          <a :href="calendarFile(client)" download>Calendar file (.ics)</a>: importing it again
          updates what moved and duplicates nothing.
        </p>
        <details v-if="!client && people.length">
          <summary>A file for a class</summary>
          <PeoplePicker v-model="members" :people="people" />
          <p v-if="members.length">
            <a :href="classFile" download
              >Calendar file of <span class="num">{{ members.length }}</span></a
            >
          </p>
        </details>
        <form novalidate aria-label="Create an address" @submit.prevent="make">
          <TextField
            v-model="name"
            :label="
              onlyHere ? 'An address for a calendar on this computer' : 'An address to subscribe to'
            "
            name="subscription"
            hint="for which program, for example “my calendar”"
            :message="messages.name"
          />
          <Button type="submit" label="Create the address" outlined />
        </form>
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
        <div v-if="made" class="made" role="status">
          <p>
            For {{ made.name }}. <b>Shown only once</b>: anyone who has it can read these sessions
            until it is revoked.
          </p>
          <code>{{ made.address }}</code>
          <p v-if="onlyHere">
            Only programs on this computer can reach it. For a phone or another computer, use the
            calendar file.
          </p>
          <Button :label="copied ? 'Copied' : 'Copy'" size="small" outlined @click="copy" />
        </div>
        <ul v-if="subscriptions.length">
          <li v-for="each in subscriptions" :key="each.id">
            <span
              ><b>{{ each.name }}</b
              >, {{ each.clientName ?? 'everyone' }}, since {{ day(each.createdAt) }}</span
            >
            <button type="button" class="link small" @click="revoke(each.id, each.name)">
              Revoke
            </button>
          </li>
        </ul>
      </div>
      <div class="stack">
        <h3>In</h3>
        <p class="small">
          A roster or another calendar: when {{ client ? 'they are' : 'everyone is' }} busy,
          sessions are planned around it. Only the times are kept, not what they are for.
        </p>
        <label class="file"
          >Read a calendar file (.ics)
          <input
            ref="file"
            type="file"
            name="busy"
            accept=".ics,text/calendar"
            :disabled="reading"
            @change="read"
          />
        </label>
        <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
        <ul v-if="busy.length">
          <li v-for="each in busy" :key="each.id">
            <span
              ><b>{{ each.name }}</b
              >, {{ each.clientName ?? 'the studio' }}:
              <span class="num">{{ each.times }}</span> busy times</span
            >
            <button type="button" class="link small" @click="remove(each.id, each.name)">
              Remove
            </button>
          </li>
        </ul>
      </div>
    </div>
  </section>
</template>

<style scoped>
.columns {
  gap: 18px 32px;
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: flex-end;
}

form > :first-child {
  flex: 1 1 14rem;
}

form :deep(input) {
  width: 100%;
}

.made {
  display: grid;
  gap: 8px;
  justify-items: start;
  background: var(--teal-wash);
  border-radius: 8px;
  padding: 12px 14px;
}

code {
  font-family: var(--mono);
  font-size: 0.84rem;
  overflow-wrap: anywhere;
  user-select: all;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
  justify-content: space-between;
  border-top: 1px solid var(--line);
  padding: 6px 0;
}

summary {
  cursor: pointer;
  min-height: var(--touch);
  display: flex;
  align-items: center;
  color: var(--teal-deep);
  text-decoration: underline;
  text-underline-offset: 3px;
}

.file {
  display: grid;
  gap: 6px;
  font-size: 0.92rem;
}

.file input {
  font: inherit;
  min-height: var(--touch);
  max-width: 100%;
}
</style>
