<script setup lang="ts">
import { clock } from '../shared/units'
import Button from 'primevue/button'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { calendar, clientNames, type CalendarSession } from '../api/korvel'
import Choices from '../shared/Choices.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SelectField from '../shared/SelectField.vue'
import { useAnswer } from '../shared/answer'
import { useNarrow } from '../shared/narrow'
import { theStudio } from '../shared/studio'
import { undone } from '../shared/undo'
import { daysLater, MODES, month, SESSION_STATES, weekday } from '../shared/words'
import CalendarLinks from './CalendarLinks.vue'
import SessionCard from './SessionCard.vue'
import { daysOf, turned, type View } from './days'
import { useShortcuts } from '../shared/shortcuts'

/** Days of the studio or of one client: what is planned, what was done, when who is busy. */
const route = useRoute()
const router = useRouter()
const EVERYONE = 'everyone'

const VIEWS: { value: View; name: string }[] = [
  { value: 'month', name: 'Month' },
  { value: 'week', name: 'Week' },
  { value: 'day', name: 'Day' },
]
const asked = (name: string) => {
  const value = route.query[name]
  return typeof value === 'string' ? value : ''
}
const view = computed<View>(() =>
  VIEWS.some(({ value }) => value === asked('view')) ? (asked('view') as View) : 'month',
)
const today = computed(() => theStudio.value?.today ?? '')
const day = computed(() =>
  /^\d{4}-\d{2}-\d{2}$/.test(asked('day')) && !Number.isNaN(Date.parse(asked('day')))
    ? asked('day')
    : today.value,
)
const client = computed(() => asked('client'))
function go(to: { view?: View; day?: string; client?: string }) {
  const query = { view: view.value, day: day.value, client: client.value, ...to }
  void router.push({
    path: '/calendar',
    query: Object.fromEntries(Object.entries(query).filter(([, value]) => value)),
  })
}

/** How many of a day the month shows by name. */
const IN_A_CELL = 3
const { data, problem, load } = useAnswer(calendar)
const people = useAnswer(clientNames)
const shown = computed(() => (day.value ? daysOf(view.value, day.value) : []))
const fetchShown = async () => {
  const most = view.value === 'month' ? `${IN_A_CELL}` : ''
  if (shown.value.length) await load(shown.value[0]!, shown.value.at(-1)!, client.value, most)
  // The days first: who there is to choose from can wait.
  if (!people.data.value) void people.load()
}
watch([shown, client, undone], fetchShown, { immediate: true })
const opened = watch(data, async () => {
  opened()
  // Where the days are one long list.
  if (narrow.value && !asked('day')) await showToday()
})

const byDay = computed(() => {
  const all = new Map<string, CalendarSession[]>()
  for (const session of data.value?.sessions ?? []) {
    const here = all.get(session.date)
    if (here) here.push(session)
    else all.set(session.date, [session])
  }
  return all
})
const of = (date: string) => byDay.value.get(date) ?? []
const counted = computed(() => new Map(data.value?.days.map((each) => [each.date, each])))
const count = (date: string) => counted.value.get(date)?.sessions ?? 0
/** What stands in a cell: most of it is told as a number. */
const inCell = (date: string) =>
  count(date) > IN_A_CELL ? of(date).slice(0, IN_A_CELL - 1) : of(date)
const busyOn = (date: string) =>
  (data.value?.busy ?? []).filter(
    ({ from, to }) => from < `${daysLater(date, 1)}T00:00` && to > `${date}T00:00`,
  )
const busyWords = (date: string) =>
  busyOn(date)
    .map(({ from, to, clientId }) => {
      const begin = from.slice(0, 10) < date ? '00:00' : from.slice(11, 16)
      const end = to.slice(0, 10) > date ? '24:00' : to.slice(11, 16)
      const whose = people.data.value?.clients.find(({ id }) => id === clientId)?.name ?? 'studio'
      return `${begin === '00:00' && end === '24:00' ? 'all day' : `${clock(begin)}–${clock(end)}`}, ${whose}`
    })
    .join('; ')
const spoken = (date: string) => {
  const sessions = count(date)
  return `${weekday(date)}: ${sessions === 1 ? 'one session' : `${sessions} sessions`}${
    busyOn(date).length ? `, busy ${busyWords(date)}` : ''
  }`
}
const words = (session: CalendarSession) =>
  [
    session.state === 'not-done' ? 'not done' : `${session.minutes} min`,
    view.value === 'month' ? '' : MODES[session.mode],
    view.value === 'day' && session.state === 'done' ? session.words : '',
  ]
    .filter(Boolean)
    .join(', ')
const first = (name: string) => name.split(' ')[0]!
const key = (session: CalendarSession, at: number) =>
  `${session.clientId} ${session.number ?? `besides ${at}`}`

const selected = ref<string | null>(null)
watch([shown, client], () => (selected.value = null))
const card = ref<{ $el: HTMLElement } | null>(null)
/** What is picked is shown below the days: it is brought into view, and goes on there. */
async function select(session: string | null) {
  selected.value = session
  if (!session) return
  await nextTick()
  const shown = card.value?.$el
  shown?.scrollIntoView({ block: 'nearest' })
  shown?.focus({ preventScroll: true })
}
/** Back to the session it was opened from. */
async function close() {
  const from = grid.value?.querySelector<HTMLElement>('.session.on')
  selected.value = null
  await nextTick()
  from?.focus()
}
const inHand = computed(
  () =>
    [...byDay.value.values()]
      .flatMap((sessions) => sessions.map((session, at) => ({ session, key: key(session, at) })))
      .find((each) => each.key === selected.value)?.session ?? null,
)

const title = computed(() => {
  if (!day.value) return ''
  if (view.value === 'month') return month(day.value)
  if (view.value === 'day') return weekday(day.value)
  return `${weekday(shown.value[0]!)} to ${weekday(shown.value.at(-1)!)}`
})
const inMonth = (date: string) =>
  view.value !== 'month' || date.slice(0, 7) === day.value.slice(0, 7)

const grid = ref<HTMLElement | null>(null)
const narrow = useNarrow()
async function focusDay(to: string) {
  if (!shown.value.includes(to)) {
    go({ day: to })
    await nextTick()
  }
  await nextTick()
  grid.value?.querySelector<HTMLElement>(`[data-date="${to}"] .date`)?.focus()
}
/** Brings today into view: at once where the calendar is opened on it, and whenever it is asked for. */
async function showToday() {
  await nextTick()
  grid.value
    ?.querySelector('li.today')
    ?.scrollIntoView({ block: narrow.value ? 'start' : 'nearest' })
}
async function toToday() {
  go({ day: today.value })
  await nextTick()
  await fetchShown()
  await showToday()
}
function onDayKey(event: KeyboardEvent, date: string) {
  const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[event.key]
  if (!by || event.ctrlKey || event.metaKey || event.altKey) return
  event.preventDefault()
  void focusDay(daysLater(date, by))
}
useShortcuts({
  list: [
    ['← → ↑ ↓', 'on a day: to another day'],
    ['Page ↑ ↓', 'the month, week or day before, after'],
    ['m w d', 'month, week, day'],
    ['t', 'to today'],
    ['Enter', 'on a day: open it'],
  ],
  act: {
    m: () => go({ view: 'month' }),
    w: () => go({ view: 'week' }),
    d: () => go({ view: 'day' }),
    t: toToday,
    PageUp: () => go({ day: turned(view.value, day.value, -1) }),
    PageDown: () => go({ day: turned(view.value, day.value, 1) }),
  },
})

const choices = computed(() => [
  { value: EVERYONE, name: 'Everyone' },
  ...(people.data.value?.clients.map(({ id, name }) => ({ value: id, name })) ?? []),
])
const inView = computed(() => data.value?.days.filter((each) => inMonth(each.date)) ?? [])
const planned = computed(() => inView.value.reduce((sum, { sessions }) => sum + sessions, 0))
const done = computed(() => inView.value.reduce((sum, each) => sum + each.done, 0))
</script>

<template>
  <div class="stack">
    <header>
      <h1>Calendar</h1>
      <div class="turn">
        <Button
          label="‹"
          outlined
          :aria-label="`The ${view} before`"
          @click="go({ day: turned(view, day, -1) })"
        />
        <h2 aria-live="polite">{{ title }}</h2>
        <Button
          label="›"
          outlined
          :aria-label="`The ${view} after`"
          @click="go({ day: turned(view, day, 1) })"
        />
        <Button label="Today" text @click="toToday" />
      </div>
      <RouterLink to="/log"><kbd aria-hidden="true">l</kbd> Log</RouterLink>
    </header>
    <div class="head">
      <Choices
        :model-value="view"
        :options="VIEWS"
        aria-label="View"
        @update:model-value="(to: View) => go({ view: to })"
      />
      <SelectField
        :model-value="client || EVERYONE"
        label="Whose"
        :options="choices"
        @update:model-value="(to: string) => go({ client: to === EVERYONE ? '' : to })"
      />
      <p v-if="data" class="quiet small count">
        <span class="num">{{ planned }}</span> {{ planned === 1 ? 'session' : 'sessions' }},
        <span class="num">{{ done }}</span> done
      </p>
    </div>
    <ProblemNote v-if="problem && !data" :problem="problem" @retry="fetchShown" />
    <template v-else-if="data">
      <ol ref="grid" class="grid" :class="view" :aria-label="title">
        <li
          v-for="date in shown"
          :key="date"
          :data-date="date"
          :class="{ today: date === today, other: !inMonth(date), none: !count(date) }"
        >
          <component
            :is="view === 'day' ? 'span' : 'button'"
            class="date"
            :type="view === 'day' ? undefined : 'button'"
            :aria-label="view === 'day' ? undefined : spoken(date)"
            @click="view === 'day' || go({ view: 'day', day: date })"
            @keydown="onDayKey($event, date)"
          >
            <template v-if="view === 'month'"
              ><span class="weekday">{{ weekday(date).split(' ')[0]!.replace(',', '') }}</span>
              <span class="num">{{ Number(date.slice(8)) }}</span></template
            >
            <template v-else>{{ view === 'day' ? '' : weekday(date) }}</template>
          </component>
          <p v-if="busyOn(date).length" class="busy" :title="`Busy: ${busyWords(date)}`">
            <template v-if="view === 'month'">busy</template>
            <template v-else>Busy {{ busyWords(date) }}</template>
          </p>
          <button
            v-for="(session, at) in view === 'month' ? inCell(date) : of(date)"
            :key="key(session, at)"
            type="button"
            class="session"
            :class="[session.state, { on: selected === key(session, at) }]"
            :aria-pressed="selected === key(session, at)"
            :aria-label="`${session.name}, ${MODES[session.mode]}, ${session.minutes} minutes, ${SESSION_STATES[session.state].name}`"
            @click="select(selected === key(session, at) ? null : key(session, at))"
          >
            <span class="level" :style="{ background: `var(--band-${session.level})` }" />
            <span class="mark" aria-hidden="true">{{ SESSION_STATES[session.state].mark }}</span>
            <span v-if="session.time" class="num">{{ clock(session.time) }}</span>
            <b v-if="!client">{{ view === 'month' ? first(session.name) : session.name }}</b>
            <span class="what">{{ words(session) }}</span>
          </button>
          <button
            v-if="view === 'month' && count(date) > IN_A_CELL"
            type="button"
            class="link small more"
            @click="go({ view: 'day', day: date })"
          >
            {{ count(date) - IN_A_CELL + 1 }} more
          </button>
          <p v-if="view === 'day' && !of(date).length" class="quiet">
            Nothing planned, nothing done.
          </p>
        </li>
      </ol>
      <SessionCard
        v-if="inHand"
        ref="card"
        :key="selected!"
        :session="inHand"
        :today="data.today"
        @changed="fetchShown"
        @close="close"
      />
      <p v-if="!data.days.length && view === 'month'" class="quiet">
        Nothing in {{ month(day) }}. Sessions appear here when a programme is planned, under
        <RouterLink to="/clients">a client’s</RouterLink> Sessions.
      </p>
      <ul class="key small quiet" aria-label="What the symbols mean">
        <li v-for="state in SESSION_STATES" :key="state.name">
          <span aria-hidden="true">{{ state.mark }}</span> {{ state.name }}
        </li>
      </ul>
    </template>
    <p v-else class="quiet" role="status">Loading…</p>
    <CalendarLinks :client="client" :people="people.data.value?.clients ?? []" @read="fetchShown" />
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  align-items: center;
}

header > a {
  margin-left: auto;
}

header kbd {
  font-family: var(--mono);
  border: 1px solid var(--line);
  border-radius: 5px;
  padding: 1px 7px;
  background: var(--ground-2);
}

.turn {
  display: flex;
  gap: 10px;
  align-items: center;
}

.turn h2 {
  font-size: 1.15rem;
  min-width: 9.5rem;
  text-align: center;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 22px;
  align-items: flex-end;
}

.count {
  margin-left: auto;
}

.grid {
  display: grid;
  gap: 0;
  border: 1px solid var(--line);
  border-radius: 9px;
  background: var(--sheet);
  overflow: hidden;
}

.grid.month,
.grid.week {
  grid-template-columns: repeat(7, minmax(0, 1fr));
}

.grid > li {
  border-right: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
  padding: 4px 5px 6px;
  display: grid;
  align-content: start;
  gap: 2px;
  min-height: 112px;
  min-width: 0;
}

.grid > li:nth-child(7n) {
  border-right: 0;
}

.grid.week > li {
  min-height: 220px;
}

.grid.day > li {
  padding: 14px 16px;
  gap: 6px;
}

.other {
  background: var(--ground-2);
}

.today {
  box-shadow: inset 0 3px 0 var(--teal);
}

.date {
  font: inherit;
  font-size: 0.86rem;
  color: var(--ink-quiet);
  background: none;
  border: 0;
  padding: 3px 4px;
  text-align: left;
  cursor: pointer;
  border-radius: 5px;
  display: flex;
  justify-content: space-between;
}

.today .date {
  color: var(--teal-deep);
  font-weight: 700;
}

.day .date {
  display: none;
}

.busy {
  font-size: 0.78rem;
  color: var(--ink-quiet);
  padding: 1px 5px;
  forced-color-adjust: none;
  background: repeating-linear-gradient(
    135deg,
    var(--ground-2) 0 5px,
    color-mix(in oklab, var(--line) 55%, var(--ground-2)) 5px 10px
  );
  border-radius: 4px;
  overflow: hidden;
  text-overflow: ellipsis;
}

.session {
  font: inherit;
  font-size: 0.84rem;
  line-height: 1.2;
  text-align: left;
  display: flex;
  gap: 5px;
  align-items: baseline;
  border: 0;
  background: none;
  border-radius: 5px;
  padding: 3px 4px 3px 0;
  min-height: 26px;
  cursor: pointer;
  color: var(--ink);
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
}

.session:hover,
.session.on {
  background: var(--teal-wash);
}

.session.on {
  box-shadow: inset 0 0 0 2px var(--teal);
}

.session .level {
  flex: none;
  align-self: stretch;
  width: 5px;
  border-radius: 3px;
}

.session b {
  font-weight: 650;
  overflow: hidden;
  text-overflow: ellipsis;
}

.session .what {
  color: var(--ink-quiet);
}

.session .mark {
  width: 0.9em;
  text-align: center;
  flex: none;
}

.session.done .mark {
  color: var(--teal-deep);
  font-weight: 800;
}

.session.open .mark,
.session.rests .mark {
  font-weight: 800;
}

.session.rests .mark {
  color: var(--wine);
}

.session.skipped {
  text-decoration: line-through;
}

.week .session {
  display: grid;
  grid-template-columns: 5px 0.9em minmax(0, 1fr);
  column-gap: 5px;
  white-space: normal;
  min-height: var(--touch);
}

.week .session > :not(.level, .mark) {
  grid-column: 3;
}

.week .session .level {
  grid-row: 1 / span 3;
}

.day .session {
  min-height: var(--touch);
  font-size: 1rem;
  align-items: center;
  white-space: normal;
}

.more {
  justify-self: start;
  min-height: 24px;
}

.key {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

.weekday {
  font-size: 0.8rem;
}

@media (max-width: 760px) {
  /* The days are a long list here: what turns them stays at hand. */
  header {
    position: sticky;
    top: 0;
    z-index: 3;
    background: var(--paper);
    padding: 4px 0;
  }

  .grid > li {
    scroll-margin-top: 104px;
  }

  .grid.month,
  .grid.week {
    grid-template-columns: minmax(0, 1fr);
  }

  .grid > li,
  .grid.week > li {
    min-height: 0;
    border-right: 0;
    grid-template-columns: 5.6rem minmax(0, 1fr);
    align-items: center;
  }

  .grid > li > :not(.date) {
    grid-column: 2;
  }

  .grid.day > li {
    grid-template-columns: minmax(0, 1fr);
  }

  .grid.day > li > :not(.date) {
    grid-column: 1;
  }

  .grid.month > li.other,
  .grid.month > li.none:not(.today) {
    display: none;
  }

  .session,
  .date,
  .more {
    min-height: var(--touch);
    align-items: center;
  }

  .date {
    justify-content: flex-start;
    gap: 6px;
  }

  .count {
    margin-left: 0;
  }
}
</style>
