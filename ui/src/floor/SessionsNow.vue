<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { addToLive, liveNow, openLive, today } from '../api/korvel'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { theStudio } from '../shared/studio'
import { MODES } from '../shared/words'

/** Sessions that are on, and who could begin one: checked in, and allowed to train. */
const on = useAnswer(liveNow)
const day = useAnswer(today)
onMounted(() => {
  void on.load()
  void day.load()
})
const busy = computed(() => new Set(on.data.value?.map(({ clientId }) => clientId)))
const ready = computed(
  () =>
    day.data.value?.checked.filter(
      ({ leads, clientId }) => leads === 'session' && !busy.value.has(clientId),
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
  align-items: center;
  min-height: var(--touch);
}

.now {
  color: var(--teal);
}
</style>
