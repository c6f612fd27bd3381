<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { beginClass, classStart } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import PeoplePicker from '../shared/PeoplePicker.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import TextField from '../shared/TextField.vue'
import { typed } from '../shared/fields'
import { useAnswer } from '../shared/answer'
import { countWindows, day, options, POSTURES } from '../shared/words'
import { ROOM_WINDOWS } from './roomClock'
import SessionsNow from './SessionsNow.vue'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'

/** Who is here, and how the room counts: then one clock for everyone. */
const router = useRouter()
const start = useAnswer(classStart)
const present = ref<string[]>([])
onMounted(async () => {
  await start.load()
  present.value = [...(start.data.value?.last?.members ?? [])]
})

const MOMENTS = [
  { value: 'before', name: 'Before the session' },
  { value: 'after', name: 'After it' },
]
const WINDOWS = countWindows(ROOM_WINDOWS)
const STILL = [
  { value: true, name: '5 min or more' },
  { value: false, name: 'Less' },
]
const form = reactive({
  moment: 'before',
  windowSeconds: 15,
  posture: 'seated',
  settled: true,
  minutesAfter: '0',
})

const people = computed(() => start.data.value?.people ?? [])
const {
  save: begin,
  saving: beginning,
  messages,
  general,
} = useSave(
  () => {
    const after = form.moment === 'after'
    return beginClass({
      moment: form.moment,
      windowSeconds: form.windowSeconds,
      posture: form.posture,
      settled: after ? false : form.settled,
      people: present.value,
      minutesAfter: after ? typed(form.minutesAfter) : null,
      follows: null,
    })
  },
  { saved: ({ id }) => router.push(`/floor/classes/${id}`) },
)
const last = computed(() => start.data.value?.last ?? null)
const many = (count: number) => (count === 1 ? '1 person' : `${count} people`)

useShortcuts({
  list: [
    ['Enter', 'in the search: add the one found, or take them out'],
    ['Tab', 'to “Begin”'],
  ],
})
</script>

<template>
  <div class="stack">
    <header>
      <h1>Floor</h1>
      <p class="quiet">
        What happens on the clock: a session for one, or a class that counts together.
      </p>
    </header>
    <ProblemNote v-if="start.problem.value" :problem="start.problem.value" @retry="start.load()" />
    <section v-else-if="start.data.value && people.length === 0" class="sheet first">
      <h2>Nobody to count yet</h2>
      <p>Add your clients first; then tick here who is in the room.</p>
      <Button label="Add the first client" @click="router.push('/clients/new')" />
    </section>
    <SessionsNow v-if="people.length" />
    <form
      v-if="start.data.value && people.length"
      class="columns"
      novalidate
      @submit.prevent="begin"
    >
      <section class="sheet stack" aria-labelledby="here-title">
        <div class="top">
          <h2 id="here-title">Who is here</h2>
          <p class="quiet small">
            <template v-if="last"
              >Ticked: the class of {{ day(last.startedAt) }}.
              <RouterLink :to="`/floor/classes/${last.id}`">Open its count</RouterLink></template
            >
            <template v-else>Tick who is here; the class is remembered for next time.</template>
          </p>
        </div>
        <PeoplePicker v-model="present" :people="people" />
      </section>
      <aside class="sheet stack how">
        <ChoiceField v-model="form.moment" label="When" :options="MOMENTS" />
        <ChoiceField
          v-model="form.windowSeconds"
          label="Count for"
          :options="WINDOWS"
          :message="messages.windowSeconds"
        />
        <template v-if="form.moment === 'before'">
          <ChoiceField v-model="form.posture" label="The class is" :options="options(POSTURES)" />
          <ChoiceField v-model="form.settled" label="Rested for" :options="STILL" />
        </template>
        <TextField
          v-else
          v-model="form.minutesAfter"
          label="Minutes since they stopped"
          name="minutesAfter"
          number
          hint="0 when they stop now."
          :message="messages.minutesAfter"
        />
        <p v-if="general || messages.people" class="fault" role="alert">
          {{ general || messages.people }}
        </p>
        <Button
          type="submit"
          :label="present.length ? `Begin with ${many(present.length)}` : 'Nobody is ticked'"
          :disabled="present.length === 0"
          :loading="beginning"
          size="large"
        />
        <p class="quiet small">
          Everyone finds their own pulse, or a partner’s, and counts while the clock runs.
        </p>
        <RouterLink
          v-if="present.length"
          :to="{ path: '/cards', query: { client: present } }"
          class="small"
          >Cards for {{ many(present.length) }}, to cut out</RouterLink
        >
        <a href="/floor/clock" target="_blank" class="small">Wall clock in its own window</a>
      </aside>
    </form>
    <p v-else-if="!start.data.value && !start.problem.value" class="quiet" role="status">
      Loading…
    </p>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1fr) 330px;
}

.first {
  display: grid;
  gap: 12px;
  justify-items: start;
}

.top {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 20px;
}

.how {
  position: sticky;
  top: 16px;
}

@media (max-width: 900px) {
  .how {
    position: static;
  }
}
</style>
