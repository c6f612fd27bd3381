<script setup lang="ts">
import { clock } from '../shared/units'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, nextTick, onMounted, reactive, ref, watch } from 'vue'
import { type FieldFault } from '../api/http'
import { keepLogs, toLog, withdraw, type OpenSession, type SessionLog } from '../api/korvel'
import LevelStrokes from '../shared/LevelStrokes.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import LoggedSession from './LoggedSession.vue'
import TickList from '../shared/TickList.vue'
import { useDraft } from '../shared/draft'
import { useAnswer } from '../shared/answer'
import { undone } from '../shared/undo'
import { effort, figureSpan, MODES, options, VOICES, weekday } from '../shared/words'
import { freshLog, NO_VOICE, requestOf, type LogDraft } from './logDraft'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'

/** What is to be logged: a line each, kept with Enter; a class at once, with its exceptions. */
const { data, problem, load } = useAnswer(toLog)
onMounted(load)
watch(undone, () => void load())

const key = (session: OpenSession) => `${session.clientId} ${session.number}`
const of = (session: OpenSession) => ({ ...session })
/** What has been typed stays when the list is fetched anew. */
const drafts = reactive<Record<string, LogDraft>>({})
const ticked = ref<string[]>([])
const opened = ref<string | null>(null)
const faults = ref<Record<string, FieldFault[]>>({})
watch(data, (list) => {
  for (const session of list?.sessions ?? []) drafts[key(session)] ??= freshLog(of(session))
  const left = new Set(list?.sessions.map(key))
  for (const gone of Object.keys(drafts).filter((each) => !left.has(each))) delete drafts[gone]
  ticked.value = ticked.value.filter((each) => left.has(each))
})
const kept = useDraft(
  () => 'log',
  () =>
    Object.fromEntries(
      (data.value?.sessions ?? [])
        .map((session) => [key(session), drafts[key(session)], freshLog(of(session))] as const)
        .filter(([, typed, fresh]) => typed && JSON.stringify(typed) !== JSON.stringify(fresh))
        .map(([name, typed]) => [name, typed]),
    ),
  (typed) => Object.assign(drafts, typed),
)
watch(data, (now, before) => now && !before && kept.begin(), { flush: 'post' })
const draft = (session: OpenSession) => drafts[key(session)]!

const days = computed(() => {
  const byDay = new Map<string, OpenSession[]>()
  for (const session of data.value?.sessions ?? []) {
    byDay.set(session.on, [...(byDay.get(session.on) ?? []), session])
  }
  return [...byDay].map(([on, sessions]) => ({ on, sessions }))
})
const lines = computed(() => days.value.flatMap(({ sessions }) => sessions))
const isTicked = (session: OpenSession) => ticked.value.includes(key(session))
function tick(session: OpenSession, on: boolean) {
  ticked.value = on
    ? [...ticked.value, key(session)]
    : ticked.value.filter((each) => each !== key(session))
}
const allTicked = (sessions: OpenSession[]) => sessions.every(isTicked)
function tickDay(sessions: OpenSession[]) {
  const on = !allTicked(sessions)
  for (const session of sessions) if (isTicked(session) !== on) tick(session, on)
}

/** The one outcome of a class, laid over every line that is ticked; exceptions are typed after it. */
const all = reactive({ done: true, rpe: '', voice: NO_VOICE as LogDraft['voice'] })
function layOver() {
  for (const session of lines.value.filter(isTicked)) {
    const mine = draft(session)
    mine.done = all.done
    if (all.rpe.trim()) mine.rpe = all.rpe
    if (all.voice !== NO_VOICE) mine.voice = all.voice
  }
}

const {
  save,
  saving: keeping,
  general,
} = useSave(
  (sessions: OpenSession[]) => {
    faults.value = {}
    return keepLogs(sessions.map((session) => requestOf(of(session), draft(session))))
  },
  {
    undo: ({ logs }) => ({
      said: words(logs),
      async back() {
        for (const log of logs) await withdraw(log.clientId, 'session-logs', log.id)
      },
    }),
    async saved(_, sessions) {
      opened.value = null
      const at = lines.value.indexOf(sessions.at(-1)!)
      const next = lines.value.slice(at + 1).find((each) => !sessions.includes(each))
      await load()
      if (next) await focus(next)
    },
    async wrong(problem, sessions) {
      for (const fault of problem.errors) {
        const [, place, field] = /^(?:logs\[(\d+)\]\.)?(.*)$/.exec(fault.field)!
        const session = sessions[Number(place ?? 0)]!
        ;(faults.value[key(session)] ??= []).push({ ...fault, field: field! })
      }
      if (problem.findings.length) {
        general.value = problem.findings.map(({ message }) => message).join(' ')
      }
      const first = sessions.find((session) => faults.value[key(session)])
      if (first) await focus(first, faults.value[key(first)]![0]!.field)
    },
  },
)
const keep = async (sessions: OpenSession[]) => sessions.length > 0 && save(sessions)
const words = (logs: SessionLog[]) =>
  logs.length === 1
    ? `${logs[0]!.clientName}: ${logs[0]!.words}.`
    : `${logs.length} sessions are logged.`
/** The figures of a line, in the order in which they are typed. */
const FIGURES = { minutes: 'min', bpm: 'pulse', rpe: 'RPE' } as const
const FIELDS: Record<string, string> = {
  rpe: 'The RPE',
  bpm: 'The pulse',
  minutes: 'The minutes',
  note: 'The note',
  on: 'The day',
}
const said = (session: OpenSession, field: string) =>
  faults.value[key(session)]?.find((fault) => fault.field === field)

const list = ref<HTMLElement | null>(null)
async function focus(session: OpenSession, field = 'rpe') {
  await nextTick()
  const line = list.value?.querySelector<HTMLElement>(`[data-line="${key(session)}"]`)
  const found =
    line?.querySelector<HTMLElement>(`[name="${field}"]`) ?? line?.querySelector('button')
  found?.focus()
  if (found instanceof HTMLInputElement) found.select()
}
function onKey(event: KeyboardEvent, session: OpenSession) {
  const by = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  const field = event.target as HTMLInputElement
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
    void keep(lines.value.filter(isTicked))
  } else if (event.key === 'Enter' && field.tagName !== 'BUTTON') {
    void keep([session])
  } else if (by && field.tagName !== 'SELECT') {
    const to = lines.value[lines.value.indexOf(session) + by]
    if (to) void focus(to, field.name || 'rpe')
  } else if (event.key === 'n' && field.name === 'done') {
    draft(session).done = false
  } else if (event.key === 'd' && field.name === 'done') {
    draft(session).done = true
  } else {
    return
  }
  event.preventDefault()
}
// Whoever comes to log begins to type.
watch(
  () => data.value !== null,
  async () => {
    if (lines.value[0]) await focus(lines.value[0])
  },
)
const signs = computed(
  () => data.value?.warnings.map(({ id, words }) => ({ id, name: words })) ?? [],
)
const symptom = (draft: LogDraft) =>
  draft.warnings.some((each) => data.value?.warnings.find(({ id }) => id === each)?.symptom)

useShortcuts({
  list: [
    ['Enter', 'in a line: save it, and on to the next one'],
    ['Tab', 'to the next figure'],
    ['↑ ↓', 'the line before, the line after'],
    ['n', 'on “done”: it was not done'],
    ['Ctrl Enter', 'save all that are ticked'],
  ],
})
</script>

<template>
  <div class="stack">
    <header>
      <h1>Log</h1>
      <p class="quiet">What was done, and how it felt. Enter saves a line and goes to the next.</p>
      <RouterLink to="/calendar">Calendar</RouterLink>
    </header>
    <ProblemNote v-if="problem && !data" :problem="problem" @retry="load" />
    <template v-else-if="data">
      <section v-if="!lines.length" class="sheet stack empty">
        <h2>Nothing to log</h2>
        <p>
          Every session of the last two weeks is logged. Sessions appear here on the day; a session
          that was not planned is logged with its client, under Sessions.
        </p>
        <p><RouterLink to="/clients">To the clients</RouterLink></p>
      </section>
      <section v-else ref="list" class="sheet stack" aria-label="To log">
        <div class="class" role="group" aria-label="Log a whole class">
          <b>{{ ticked.length ? `${ticked.length} ticked` : 'Log a whole class' }}</b>
          <template v-if="ticked.length">
            <span class="outcome">
              <button type="button" :aria-pressed="all.done" @click="all.done = true">done</button>
              <button type="button" :aria-pressed="!all.done" @click="all.done = false">
                not done
              </button>
            </span>
            <label v-if="all.done"
              >RPE
              <InputText v-model="all.rpe" class="num" name="all-rpe" inputmode="numeric" />
            </label>
            <label v-if="all.done"
              >voice
              <select v-model="all.voice" name="all-voice">
                <option :value="NO_VOICE">as each</option>
                <option v-for="each in options(VOICES)" :key="each.value" :value="each.value">
                  {{ each.name }}
                </option>
              </select>
            </label>
            <Button label="Apply to selected" outlined size="small" @click="layOver" />
            <Button
              :label="`Save the ${ticked.length}`"
              size="small"
              :loading="keeping"
              @click="keep(lines.filter(isTicked))"
            />
          </template>
          <span v-else class="quiet small"
            >Tick who was there: one outcome for all, then the exceptions line by line.</span
          >
        </div>
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
        <p class="heads small quiet" aria-hidden="true">
          <span class="figures"
            ><span>min</span><span>pulse</span><span>RPE</span><span class="wide">voice</span></span
          >
        </p>
        <div v-for="day in days" :key="day.on" class="day">
          <h2>
            {{ weekday(day.on) }}
            <span v-if="day.on === data.today" class="quiet">today</span>
            <button
              v-if="day.sessions.length > 1"
              type="button"
              class="link small"
              @click="tickDay(day.sessions)"
            >
              {{ allTicked(day.sessions) ? 'Untick' : 'Tick' }} all {{ day.sessions.length }}
            </button>
          </h2>
          <div
            v-for="session in day.sessions"
            :key="key(session)"
            class="line"
            role="group"
            :aria-label="`${session.name}, ${weekday(session.on)}`"
            :data-line="key(session)"
            @keydown="onKey($event, session)"
          >
            <input
              type="checkbox"
              :aria-label="`${session.name} in the class`"
              :checked="isTicked(session)"
              @change="tick(session, ($event.target as HTMLInputElement).checked)"
            />
            <div class="who">
              <RouterLink :to="`/clients/${session.clientId}/sessions`">{{
                session.name
              }}</RouterLink>
              <p class="small quiet">
                <LevelStrokes :level="session.aim.level" />
                {{ clock(session.time) }} {{ MODES[session.mode] }},
                <span class="num">{{ session.minutes }}</span> min<template
                  v-if="session.aim.lowBpm && session.aim.highBpm"
                  >,
                  <span class="num">{{ figureSpan(session.aim.lowBpm, session.aim.highBpm) }}</span>
                  bpm</template
                >, RPE <span class="num">{{ effort(session.aim.rpe20, 6) }}</span>
              </p>
            </div>
            <button
              type="button"
              name="done"
              class="outcome-of"
              :class="{ not: !draft(session).done }"
              :aria-label="`${session.name}: ${draft(session).done ? 'done' : 'not done'}`"
              @click="draft(session).done = !draft(session).done"
            >
              {{ draft(session).done ? '✓ done' : '– not done' }}
            </button>
            <div class="figures" :class="{ off: !draft(session).done }">
              <label v-for="(word, field) in FIGURES" :key="field"
                ><span class="word">{{ word }}</span>
                <InputText
                  v-model="draft(session)[field]"
                  class="num"
                  :name="field"
                  inputmode="numeric"
                  :disabled="!draft(session).done"
                  :invalid="!!said(session, field)"
                />
              </label>
              <label
                ><span class="word">voice</span>
                <select
                  v-model="draft(session).voice"
                  name="voice"
                  :disabled="!draft(session).done"
                >
                  <option :value="NO_VOICE">–</option>
                  <option v-for="each in options(VOICES)" :key="each.value" :value="each.value">
                    {{ each.name }}
                  </option>
                </select>
              </label>
            </div>
            <button
              type="button"
              class="link small more"
              :aria-label="`Warning or note of ${session.name}`"
              :aria-expanded="opened === key(session)"
              @click="opened = opened === key(session) ? null : key(session)"
            >
              {{ draft(session).warnings.length ? '■ Warning' : 'More' }}
            </button>
            <Button
              label="Save"
              size="small"
              outlined
              :aria-label="`Save the log of ${session.name}`"
              @click="keep([session])"
            />
            <ul v-if="faults[key(session)]" class="faults fault" role="alert">
              <li v-for="fault in faults[key(session)]" :key="fault.field">
                {{ FIELDS[fault.field] ?? fault.field }} {{ fault.message }}. Accepted:
                {{ fault.accepted }}.
              </li>
            </ul>
            <div v-if="opened === key(session)" class="besides">
              <div v-if="draft(session).done && draft(session).bpm.trim()" class="kind">
                The pulse is
                <select v-model="draft(session).rateKind" name="rateKind" aria-label="The pulse is">
                  <option value="counted">counted</option>
                  <option value="average">an average</option>
                </select>
              </div>
              <label class="note"
                >Note
                <InputText v-model="draft(session).note" name="note" />
              </label>
              <div class="signs">
                <TickList v-model="draft(session).warnings" :options="signs" />
              </div>
              <p v-if="symptom(draft(session))" class="fault">
                A stop sign is a symptom: what was issued is suspended until a doctor has cleared
                it.
              </p>
            </div>
          </div>
        </div>
      </section>
      <section v-if="data.latest.length" class="sheet stack" aria-labelledby="logged-title">
        <h2 id="logged-title">Logged lately</h2>
        <ul class="latest">
          <li v-for="log in data.latest" :key="log.id">
            <LoggedSession :log="log" :signs="data.warnings" @changed="load()">
              <span class="quiet on">{{ weekday(log.on) }}</span>
              <RouterLink :to="`/clients/${log.clientId}/sessions`" class="whose">{{
                log.clientName
              }}</RouterLink>
              <span>{{ log.words }}</span>
              <span class="quiet">{{ log.note }}</span>
            </LoggedSession>
          </li>
        </ul>
      </section>
    </template>
    <p v-else class="quiet" role="status">Loading…</p>
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}

header a {
  margin-left: auto;
}

.class {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  background: var(--ground-2);
  border-radius: 8px;
  padding: 8px 14px;
  min-height: 58px;
  position: sticky;
  top: 0;
  z-index: 3;
}

label {
  font-size: 0.86rem;
  color: var(--ink-quiet);
  display: inline-flex;
  gap: 6px;
  align-items: center;
}

label :deep(input) {
  width: 4.1rem;
}

.outcome {
  display: inline-flex;
}

.outcome button,
.outcome-of {
  font: inherit;
  min-height: var(--touch);
  border: 1px solid var(--line);
  background: var(--sheet);
  color: var(--ink);
  padding: 0 12px;
  cursor: pointer;
  border-radius: 6px;
  white-space: nowrap;
}

.outcome button[aria-pressed='true'],
.outcome-of {
  background: var(--teal-wash);
  border-color: var(--teal);
  color: var(--teal-deep);
  font-weight: 650;
}

.outcome-of.not {
  background: var(--ground-2);
  border-color: var(--ink-quiet);
  color: var(--ink);
}

.day h2 {
  display: flex;
  gap: 12px;
  align-items: baseline;
  padding: 6px 0 2px;
}

.line {
  display: grid;
  grid-template-columns: 1.6rem minmax(13rem, 1fr) 6.6rem auto auto auto;
  gap: 6px 12px;
  align-items: center;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}

.heads {
  display: flex;
  justify-content: flex-end;
  padding-right: 9.6rem;
  margin-bottom: -34px;
}

.heads span span {
  width: 4.1rem;
}

.heads .wide {
  width: 7rem;
}

@media (min-width: 1161px) {
  .line .word {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}

.figures label {
  position: relative;
}

.figures select {
  width: 7rem;
}

.line > .more {
  width: 4.6rem;
}

.line:focus-within {
  background: var(--teal-wash);
  box-shadow: 0 0 0 6px var(--teal-wash);
  border-radius: 2px;
}

.line > input[type='checkbox'] {
  width: 22px;
  height: 22px;
}

.who a {
  font-weight: 680;
  color: var(--ink);
  text-decoration: none;
}

.who a:hover {
  text-decoration: underline;
}

.figures {
  display: flex;
  gap: 10px;
}

.figures.off {
  opacity: 0.35;
}

.faults,
.besides {
  grid-column: 2 / -1;
}

.besides {
  display: grid;
  gap: 6px;
  padding-bottom: 8px;
}

.note :deep(input) {
  width: min(34rem, 60vw);
}

.signs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
  gap: 0 16px;
}

.latest .on {
  min-width: 6rem;
}

.latest .whose {
  min-width: 11rem;
}

.latest li {
  padding: 3px 0;
  border-top: 1px solid var(--line);
}

.latest li:first-child {
  border-top: 0;
}

.empty {
  max-width: 620px;
}

@media (max-width: 1160px) {
  .heads {
    display: none;
  }

  .line > .more {
    width: auto;
  }

  .line {
    grid-template-columns: 1.6rem minmax(0, 1fr) auto;
  }

  .figures {
    grid-column: 2 / -1;
  }

  .line > .more {
    grid-column: 2;
    justify-self: start;
  }

  .figures {
    flex-wrap: wrap;
  }
}

@media (max-width: 640px) {
  .class {
    position: static;
  }

  .figures label {
    flex-direction: column;
    align-items: flex-start;
    gap: 1px;
  }

  .figures {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr)) minmax(5.6rem, 1.2fr);
    gap: 8px;
  }

  .figures :deep(input),
  .figures select {
    width: 100%;
  }
}
</style>
