<script setup lang="ts">
import { computed, onMounted, watch } from 'vue'
import { useRouter } from 'vue-router'
import { today, type TodayRow } from '../api/korvel'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { undone } from '../shared/undo'
import { longWeekday, OUTCOMES } from '../shared/words'
import { useShortcuts } from '../shared/shortcuts'

/** Who is to be checked in, who must not train, who is due for what: a letter leads to each. */
const router = useRouter()
const { data, problem, load } = useAnswer(today)
onMounted(load)
watch(undone, () => void load())

const LEADS = {
  'check-in': 'check-in',
  session: 'session',
  screening: 'screening',
  pulse: 'pulse',
  maximum: 'maximum',
  'field-test': 'maximum/tests',
  talk: 'bands/talk',
  prescription: 'prescription',
  sessions: 'sessions',
}
const to = (row: { clientId: string; leads: TodayRow['leads'] }) =>
  `/clients/${row.clientId}/${LEADS[row.leads]}`

/** Letters that nothing else answers to. */
const LETTERS = 'abcdefghijkmnopqrstvwxyz'
interface Group {
  id: string
  title: string
  empty: string
  rows: (TodayRow & { letter: string })[]
}
const groups = computed<Group[]>(() => {
  if (!data.value) return []
  let at = 0
  const lettered = (rows: TodayRow[]) =>
    rows.map((row) => ({ ...row, letter: LETTERS[at++] ?? '' }))
  const { pending, checked, mustNot, due } = data.value
  return [
    {
      id: 'pending',
      title: 'To check in',
      empty: 'No more check-ins expected today.',
      rows: lettered(pending),
    },
    { id: 'checked', title: 'Checked in', empty: 'Nobody yet.', rows: lettered(checked) },
    { id: 'must-not', title: 'Must not train', empty: 'Nobody.', rows: lettered(mustNot) },
    { id: 'due', title: 'Due', empty: 'Nothing is due.', rows: lettered(due) },
  ]
})
/** Who comes on the left, who needs something first on the right. */
const columns = computed(() => [groups.value.slice(0, 2), groups.value.slice(2)])

useShortcuts({
  list: [['a b c …', 'the letter beside a name: open it']],
  act: (key) => {
    const row = groups.value.flatMap((group) => group.rows).find(({ letter }) => letter === key)
    return row && (() => router.push(to(row)))
  },
})

const title = computed(() => (data.value ? longWeekday(data.value.date) : ''))
</script>

<template>
  <div class="stack">
    <header>
      <h1>Today</h1>
      <p class="quiet">{{ title }}</p>
      <RouterLink v-if="data?.toLog" to="/log" class="to-log"
        ><kbd aria-hidden="true">l</kbd> <span class="num">{{ data.toLog }}</span>
        {{ data.toLog === 1 ? 'session' : 'sessions' }} to log</RouterLink
      >
      <RouterLink v-else-if="data?.clients" to="/log" class="to-log"
        ><kbd aria-hidden="true">l</kbd> Log</RouterLink
      >
    </header>
    <ProblemNote v-if="problem" :problem="problem" @retry="load" />
    <section v-else-if="data && data.clients === 0" class="sheet first-day">
      <h2>Getting started</h2>
      <p>
        No clients yet. Add your first client: Korvel asks who they are, whether they may exercise,
        and how hard, and says why.
      </p>
      <p class="ways">
        <RouterLink to="/clients/new">Add the first client</RouterLink>
        <RouterLink to="/clients/list">Add several from a list</RouterLink>
      </p>
    </section>
    <div v-else-if="data" class="columns">
      <div v-for="column in columns" :key="column[0]!.id" class="stack">
        <section
          v-for="group in column"
          :key="group.id"
          class="sheet"
          :class="group.id"
          :aria-labelledby="`group-${group.id}`"
        >
          <h2 :id="`group-${group.id}`">
            {{ group.title }} <span class="num quiet">{{ group.rows.length }}</span>
            <RouterLink v-if="group.id === 'pending'" to="/floor" class="together"
              >Count them together</RouterLink
            >
          </h2>
          <p v-if="!group.rows.length" class="quiet">{{ group.empty }}</p>
          <ul v-else>
            <li v-for="row in group.rows" :key="row.clientId + group.id">
              <kbd :class="{ none: !row.letter }" aria-hidden="true">{{ row.letter }}</kbd>
              <div>
                <RouterLink
                  :to="to(row)"
                  class="name"
                  :aria-keyshortcuts="row.letter || undefined"
                  >{{ row.name }}</RouterLink
                >
                <span class="num quiet age">{{ row.age }}</span>
                <p v-if="row.outcome" class="words" :class="row.outcome">
                  <span aria-hidden="true">{{ OUTCOMES[row.outcome].mark }}</span>
                  {{ row.because }}
                </p>
                <p v-else class="words" :title="row.because">{{ row.words }}</p>
                <p v-for="more in row.also" :key="more.words" class="words also">
                  <RouterLink
                    :to="to({ clientId: row.clientId, leads: more.leads })"
                    :title="more.because"
                    >{{ more.words }}</RouterLink
                  >
                </p>
              </div>
            </li>
          </ul>
        </section>
      </div>
    </div>
    <p v-else class="quiet" role="status">Loading…</p>
  </div>
</template>

<style scoped>
header {
  display: flex;
  gap: 14px;
  align-items: baseline;
}

header {
  flex-wrap: wrap;
}

.to-log {
  margin-left: auto;
}

.to-log kbd {
  padding: 1px 7px;
}

.also a {
  color: var(--ink-quiet);
  display: inline-block;
  padding: 2px 0;
}

.together {
  float: right;
  font-size: 0.88rem;
  font-weight: 400;
}

.pending {
  border-top: 4px solid var(--teal);
}

.must-not {
  border-top: 4px solid var(--wine);
}

.due {
  border-top: 4px solid var(--ochre);
}

.checked {
  border-top: 4px solid var(--line);
}

h2 {
  margin-bottom: 6px;
}

li {
  display: flex;
  gap: 10px;
  align-items: start;
  padding: 7px 0;
  min-height: var(--touch);
  border-top: 1px solid var(--line);
}

li:first-child {
  border-top: 0;
}

kbd {
  font-family: var(--mono);
  border: 1px solid var(--line);
  border-radius: 5px;
  text-align: center;
  padding: 2px 0;
  background: var(--ground-2);
  margin-top: 2px;
}

li kbd {
  flex: none;
  width: 1.9rem;
}

kbd.none {
  visibility: hidden;
}

li > div {
  flex: 1;
  min-width: 0;
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
}

.words {
  font-size: 0.92rem;
  color: var(--ink-quiet);
}

.must-not .words {
  color: var(--wine);
}

.words.count-again,
.words.light-only {
  color: var(--ochre-deep);
}

.first-day {
  display: grid;
  gap: 10px;
  max-width: 560px;
  padding: 28px;
}
</style>
