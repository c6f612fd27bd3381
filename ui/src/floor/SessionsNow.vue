<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { addToLive, liveNow, openLive, roomsNow, testsNow, today } from '../api/korvel'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { theStudio } from '../shared/studio'
import { MODES } from '../shared/words'

/** Sessions that are on, and who could begin one: checked in, and allowed to train. */
const on = useAnswer(liveNow)
const rooms = useAnswer(roomsNow)
const tests = useAnswer(testsNow)
const day = useAnswer(today)
onMounted(() => {
  void on.load()
  void rooms.load()
  void tests.load()
  void day.load()
})
const busy = computed(() => new Set(on.data.value?.map(({ clientId }) => clientId)))
const ready = computed(
  () =>
    day.data.value?.checked.filter(
      ({ leads, clientId }) => leads === 'session' && !busy.value.has(clientId),
    ) ?? [],
)

/** Who may be tested: a test needs a “go”. */
const testable = computed(
  () =>
    day.data.value?.checked.filter(
      ({ outcome, clientId }) =>
        outcome === 'go' && !tests.data.value?.some((each) => each.clientId === clientId),
    ) ?? [],
)

/** In the demo a session is seen at work by one press: a simulated client, ten times as fast. */
const router = useRouter()
const {
  save: simulate,
  saving,
  general,
} = useSave(
  async (clientId: string) => {
    const { sheet, state } = await openLive({
      clientId,
      planned: null,
      source: 'strap',
      simulated: 'none',
      speed: 10,
    })
    await addToLive(sheet.id, crypto.randomUUID(), { at: state.now, kind: 'begun' })
    return sheet.id
  },
  { saved: (session) => router.push(`/floor/sessions/${session}`) },
)
</script>

<template>
  <section v-if="rooms.data.value" class="sheet" aria-labelledby="rooms-title">
    <h2 id="rooms-title">A room</h2>
    <p>
      <RouterLink to="/floor/rooms/new">Open a room</RouterLink>
      <span class="quiet">: each with their own target, all by one clock</span>
    </p>
    <ul v-if="rooms.data.value.length">
      <li v-for="each in rooms.data.value" :key="each.id">
        <RouterLink :to="`/floor/rooms/${each.id}`"
          >Room with {{ each.people === 1 ? '1 person' : `${each.people} people` }}</RouterLink
        >
        <b class="now">on now</b>
      </li>
    </ul>
  </section>
  <section v-if="on.data.value && day.data.value" class="sheet" aria-labelledby="sessions-title">
    <h2 id="sessions-title">A session for one</h2>
    <ul v-if="on.data.value.length || ready.length">
      <li v-for="row in on.data.value" :key="row.id">
        <RouterLink :to="`/floor/sessions/${row.id}`">{{ row.clientName }}</RouterLink>
        <b class="now">on now</b>
        <span class="quiet">{{ MODES[row.mode].toLowerCase() }}</span>
      </li>
      <li v-for="row in ready" :key="row.clientId">
        <RouterLink :to="`/clients/${row.clientId}/session`">{{ row.name }}</RouterLink>
        <span class="quiet">{{ row.words.toLowerCase() }}, ready to start</span>
        <button
          v-if="theStudio?.demo"
          type="button"
          class="link"
          :disabled="saving"
          :aria-label="`Simulate a session of ${row.name}`"
          @click="simulate(row.clientId)"
        >
          Simulate
        </button>
      </li>
    </ul>
    <p v-if="general" class="fault" role="alert">{{ general }}</p>
    <p v-if="!on.data.value.length && !ready.length" class="quiet">
      Nobody is checked in yet: a session starts with a check-in.
      <RouterLink to="/today">To today</RouterLink>
    </p>
  </section>
  <section
    v-if="tests.data.value && (tests.data.value.length || testable.length)"
    class="sheet"
    aria-labelledby="tests-title"
  >
    <h2 id="tests-title">A test</h2>
    <ul>
      <li v-for="row in tests.data.value" :key="row.id">
        <RouterLink :to="`/floor/tests/${row.id}`">{{ row.clientName }}</RouterLink>
        <b class="now">on now</b>
        <span class="quiet">{{ row.name.toLowerCase() }}</span>
      </li>
      <li v-for="row in testable" :key="row.clientId">
        <RouterLink :to="`/clients/${row.clientId}/tests`">{{ row.name }}</RouterLink>
        <span class="quiet">choose a test</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 0 24px;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
  min-height: var(--touch);
  padding: 6px 0;
}

.now {
  color: var(--teal);
}
</style>
