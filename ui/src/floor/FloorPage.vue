<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { asProblem } from '../api/http'
import { beginClass, classStart } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import TextField from '../shared/TextField.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { useLoad } from '../shared/load'
import { theStudio } from '../shared/studio'
import { countWindows, day, options, POSTURES } from '../shared/words'
import { ROOM_WINDOWS } from './roomClock'

/** Who is here, and how the room counts: then one clock for everyone. */
const router = useRouter()
const start = useLoad(classStart)
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

const search = ref('')
const fold = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
const people = computed(() => start.data.value?.people ?? [])
const found = computed(() => {
  const words = fold(search.value).split(/\s+/).filter(Boolean)
  return people.value.filter((each) => words.every((word) => fold(each.name).includes(word)))
})
/** Those present come first in their order, so that the list reads like the class. */
const isHere = (id: string) => present.value.includes(id)
function toggle(id: string) {
  present.value = isHere(id) ? present.value.filter((each) => each !== id) : [...present.value, id]
}
function toggleFound() {
  const first = found.value[0]
  if (!search.value.trim() || !first) return
  toggle(first.id)
  search.value = ''
}

const { messages, general, clear, show } = useFieldMessages()
const beginning = ref(false)
async function begin() {
  if (beginning.value) return
  beginning.value = true
  clear()
  try {
    const after = form.moment === 'after'
    const room = await beginClass({
      moment: form.moment,
      windowSeconds: form.windowSeconds,
      posture: form.posture,
      settled: after ? false : form.settled,
      people: present.value,
      minutesAfter: after ? typed(form.minutesAfter) : null,
      follows: null,
    })
    await router.push(`/floor/classes/${room.id}`)
  } catch (thrown) {
    show(asProblem(thrown))
  } finally {
    beginning.value = false
  }
}
const last = computed(() => start.data.value?.last ?? null)
const many = (count: number) => (count === 1 ? '1 person' : `${count} people`)
</script>

<template>
  <div class="stack">
    <header>
      <h1>Floor</h1>
      <p class="quiet">A class counts together: one clock for the room, then each one’s number.</p>
    </header>
    <ProblemNote v-if="start.problem.value" :problem="start.problem.value" @retry="start.load()" />
    <section v-else-if="start.data.value && people.length === 0" class="sheet first">
      <h2>Nobody to count yet</h2>
      <p>Add your clients first; then tick here who is in the room.</p>
      <Button label="Add the first client" @click="router.push('/clients/new')" />
    </section>
    <form v-else-if="start.data.value" class="columns" novalidate @submit.prevent="begin">
      <section class="sheet stack" aria-labelledby="here-title">
        <div class="top">
          <h2 id="here-title">Who is here</h2>
          <p class="quiet small">
            <template v-if="last"
              >Ticked: the class of {{ day(last.startedAt, theStudio?.today) }}.
              <RouterLink :to="`/floor/classes/${last.id}`">Open its count</RouterLink></template
            >
            <template v-else>Tick them; the class is remembered for the next time.</template>
          </p>
        </div>
        <div class="find">
          <TextField
            v-model="search"
            label="Find by name"
            name="search"
            @keydown.enter.prevent="toggleFound"
          />
          <button type="button" class="link" @click="present = []">Untick all</button>
        </div>
        <ul class="people">
          <li v-for="(each, at) in found" :key="each.id">
            <button
              type="button"
              role="checkbox"
              :aria-checked="isHere(each.id)"
              :class="{ here: isHere(each.id), next: at === 0 && search.trim() !== '' }"
              @click="toggle(each.id)"
            >
              <span class="tick" aria-hidden="true">{{ isHere(each.id) ? '✓' : '' }}</span>
              {{ each.name }}
            </button>
          </li>
        </ul>
        <p v-if="found.length === 0" class="quiet">Nobody’s name holds “{{ search }}”.</p>
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
          <ChoiceField v-model="form.settled" label="Still for" :options="STILL" />
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
        <a href="/floor/clock" target="_blank" class="small"
          >Clock for the wall, in its own window</a
        >
      </aside>
    </form>
    <p v-else class="quiet" role="status">Fetching who there is…</p>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 16px;
  align-items: start;
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

.find {
  display: flex;
  gap: 16px;
  align-items: end;
}

.find > :first-child {
  flex: 1;
  max-width: 320px;
}

.find .link {
  min-height: var(--touch);
}

.people {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 6px 12px;
}

.people button {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 12px;
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 6px;
  cursor: pointer;
}

.people button.here {
  background: var(--teal-wash);
  border-color: var(--teal);
  font-weight: 650;
}

.people button.next {
  box-shadow: 0 0 0 2px var(--ochre);
}

.tick {
  width: 1.1em;
  color: var(--teal-deep);
  font-weight: 800;
}

.how {
  position: sticky;
  top: 16px;
}

.fault {
  color: var(--wine);
  font-weight: 600;
}

@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }

  .how {
    position: static;
  }
}
</style>
