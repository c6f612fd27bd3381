<script setup lang="ts">
import { useWithoutKeys } from '../shared/narrow'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { nextTick, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { clients, type ClientRow } from '../api/korvel'
import { undone, undoOffer } from '../shared/undo'
import CsvLink from '../shared/CsvLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { nextWords } from '../shared/words'
import { onSpanAxis, SPAN_AXIS } from './spanAxis'
import SpanBar from './SpanBar.vue'
import { useShortcuts } from '../shared/shortcuts'
import PlotMarks from '../shared/chart/PlotMarks.vue'

/** Find a client by typing; each row says who, from where to where, what to watch and what is next. */
const route = useRoute()
const router = useRouter()
const q = ref(String(route.query.q ?? ''))
const archived = ref(route.query.archived === 'yes')
const { data, problem, load } = useAnswer(clients)
let looking: Promise<unknown> = Promise.resolve()
const look = () => (looking = load(q.value, archived.value))

onMounted(look)
watch([q, archived], () => {
  void router.replace({
    query: { ...(q.value && { q: q.value }), ...(archived.value && { archived: 'yes' }) },
  })
  void look()
})
// Whoever was just archived or brought back is seen to go or come.
watch([undoOffer, undone], look)

const rows = ref<HTMLElement | null>(null)
function links() {
  return [...(rows.value?.querySelectorAll<HTMLElement>('a.name') ?? [])]
}
async function fromSearch(event: KeyboardEvent) {
  if (event.key !== 'ArrowDown' && event.key !== 'Enter') return
  event.preventDefault()
  // Whoever types faster than the answer comes gets what they typed, not what stood there before.
  await looking
  await nextTick()
  const first = links()[0]
  if (event.key === 'Enter') first?.click()
  else first?.focus()
}
function inRows(event: KeyboardEvent) {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  const all = links()
  const at = all.indexOf(document.activeElement as HTMLElement)
  if (!by || at < 0) return
  event.preventDefault()
  if (at + by < 0) document.querySelector<HTMLInputElement>('[data-find]')?.focus()
  else all[at + by]?.focus()
}

/** Whoever has no pulse yet is opened at what is next. */
function opens({ id, restingBpm, next }: ClientRow) {
  const begun = restingBpm !== null || !next
  return `/clients/${id}${begun ? '' : `/${next.step}`}`
}

const withoutKeys = useWithoutKeys()

const table = () => [
  ['Client', 'Age', 'Note', 'Resting, bpm', 'Maximum, bpm', 'Next', 'Watch'],
  ...(data.value?.clients ?? []).map((client) => [
    client.name,
    client.age,
    client.note,
    client.restingBpm,
    client.ratesUsed ? client.maximumBpm : null,
    client.next ? nextWords(client.next) : 'Up to date',
    client.watch.map((each) => each.words).join('; '),
  ]),
]

useShortcuts({
  list: [
    ['↓ ↑', 'from the search to a client and on'],
    ['Enter', 'open the client'],
    ['n', 'add a new client'],
  ],
  act: { n: () => router.push('/clients/new') },
})
</script>

<template>
  <div class="stack">
    <header>
      <h1>{{ archived ? 'Archived clients' : 'Clients' }}</h1>
      <InputText
        v-model="q"
        data-find
        type="search"
        :placeholder="withoutKeys ? 'Find by name' : 'Find by name   /'"
        aria-label="Find a client by name"
        autocomplete="off"
        @keydown="fromSearch"
      />
      <RouterLink to="/compare" class="compare">Compare</RouterLink>
      <RouterLink to="/cards" class="compare">Cards</RouterLink>
      <RouterLink to="/clients/list" class="compare">Add several</RouterLink>
      <Button label="Add client" @click="router.push('/clients/new')" />
    </header>

    <ProblemNote v-if="problem" :problem="problem" @retry="look" />

    <section v-else-if="data && data.total === 0 && !archived" class="sheet first-day">
      <h2>Getting started</h2>
      <p>
        No clients yet. Add your first client, go through the screening, count a resting pulse, and
        Korvel works out the maximum, the zones and where to start.
      </p>
      <div class="ways">
        <Button label="Add the first client" @click="router.push('/clients/new')" />
        <RouterLink to="/clients/list">Add several from a list</RouterLink>
        <RouterLink to="/calculators/target">Try the calculators</RouterLink>
      </div>
    </section>

    <p v-else-if="data && data.clients.length === 0 && q" class="sheet" role="status">
      No name contains “{{ q }}”.
      <button type="button" class="link" @click="q = ''">
        Show all {{ archived ? data.archivedTotal : data.total }}
      </button>
    </p>
    <p v-else-if="data && data.clients.length === 0" class="sheet" role="status">
      Nobody is archived.
    </p>

    <div v-else-if="data" ref="rows" class="sheet rows" @keydown="inRows">
      <p class="visually-hidden" role="status">{{ data.clients.length }} of {{ data.total }}</p>
      <div class="row head" aria-hidden="true">
        <span>Client</span>
        <span class="scale"><PlotMarks :marks="SPAN_AXIS.marks" :at="onSpanAxis" head /></span>
        <span>Next, and what to watch</span>
      </div>
      <ul>
        <li v-for="client in data.clients" :key="client.id" class="row">
          <div>
            <RouterLink :to="opens(client)" class="name">{{ client.name }}</RouterLink>
            <span class="num age">{{ client.age }}</span>
            <p class="quiet small note">{{ client.note }}</p>
          </div>
          <SpanBar
            :resting="client.restingBpm"
            :maximum="client.ratesUsed ? client.maximumBpm : null"
          />
          <div class="next">
            <RouterLink
              v-if="client.next"
              :to="`/clients/${client.id}/${client.next.step}`"
              class="state"
              :class="client.next.state"
              >{{ nextWords(client.next) }}</RouterLink
            >
            <span v-else class="state done">Up to date</span>
            <span v-if="client.watch[0]" class="watch" :title="client.watch[0].because">{{
              client.watch[0].words
            }}</span>
          </div>
        </li>
      </ul>
    </div>
    <p v-else class="quiet" role="status">Loading…</p>
    <p v-if="archived || data?.archivedTotal || data?.clients.length" class="away">
      <CsvLink v-if="data?.clients.length" name="clients" :rows="table" />
      <button
        v-if="archived || data?.archivedTotal"
        type="button"
        class="link"
        @click="archived = !archived"
      >
        {{ archived ? 'Back to the clients' : `Archived: ${data?.archivedTotal}` }}
      </button>
    </p>
  </div>
</template>

<style scoped>
header {
  display: flex;
  gap: 14px;
  align-items: center;
}

header h1 {
  margin-right: auto;
}

header input {
  width: min(320px, 40vw);
}

.rows {
  padding: 6px 20px 10px;
}

.row {
  display: grid;
  grid-template-columns: minmax(210px, 1.1fr) minmax(200px, 1fr) minmax(220px, 1fr);
  gap: 24px;
  align-items: center;
  padding: 8px 0;
  min-height: 58px;
  border-top: 1px solid var(--line);
}

.row.head {
  border-top: 0;
  min-height: 0;
  padding: 8px 0;
  font-size: 0.8rem;
  color: var(--ink-quiet);
}

.scale {
  position: relative;
  height: 1.2em;
}

.name {
  font-weight: 680;
  color: var(--ink);
  text-decoration: none;
  padding: 4px 0;
}

.name:hover {
  text-decoration: underline;
}

.age {
  margin-left: 10px;
  color: var(--ink-quiet);
}

.note {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.next {
  display: grid;
  gap: 1px;
  font-size: 0.92rem;
}

.state.done {
  color: var(--ink-quiet);
}

.state.due {
  font-weight: 650;
  color: var(--teal-deep);
}

.state.blocked {
  font-weight: 650;
  color: var(--wine);
}

.watch {
  color: var(--ochre-deep);
  font-size: 0.88rem;
}

.away {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}

.first-day {
  display: grid;
  gap: 12px;
  max-width: 560px;
  justify-items: start;
  padding: 28px;
}

@media (max-width: 860px) {
  header {
    flex-wrap: wrap;
  }

  header input {
    order: 3;
    width: 100%;
  }

  .row {
    grid-template-columns: minmax(0, 1fr);
    gap: 6px;
    padding: 12px 0;
  }

  .row.head {
    display: none;
  }

  li.row:first-child {
    border-top: 0;
  }
}
</style>
