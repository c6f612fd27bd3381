<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, shallowRef, watch } from 'vue'
import { type Finding } from '../api/http'
import {
  changeSession,
  outlines,
  previewProgramme,
  programmeSheet,
  saveProgramme,
  sessionLogs,
  takeBackProgramme,
  withdraw,
  type PlanRequest,
  type Programme,
  type SessionChange,
  type SessionLog,
  type Typed,
} from '../api/korvel'
import { useClient } from '../clients/useClient'
import { DAYS } from '../screening/intake'
import LoggedSession from '../session/LoggedSession.vue'
import LogForm from '../session/LogForm.vue'
import WeekStep from '../session/WeekStep.vue'
import Findings from '../shared/Findings.vue'
import PrincipleNote from '../shared/PrincipleNote.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useFieldMessages } from '../shared/fields'
import { useAnswer, useAnswerTo } from '../shared/answer'
import { theStudio } from '../shared/studio'
import { offerUndo, undone } from '../shared/undo'
import { day, daysLater, figureSpan, MODES, weekday } from '../shared/words'
import PlanForm from './PlanForm.vue'
import SessionPanel from './SessionPanel.vue'
import WeekBoard from './WeekBoard.vue'
import WeeksPicture from './WeeksPicture.vue'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'
import ConflictNote from '../shared/ConflictNote.vue'

/** Weeks of training: laid out by the rules, then changed session by session while they look on. */
const { id, refresh } = useClient()
const { data, problem, load } = useAnswer(programmeSheet)
const library = useAnswer(outlines)
const logs = useAnswer(sessionLogs)
const board = ref<{ focusSelected: () => Promise<void> } | null>(null)
watch(
  [id, undone],
  async () => {
    // What is withdrawn moves the session, and the focus goes with it.
    const onBoard = document.activeElement?.classList.contains('session')
    await Promise.all([load(id.value), logs.load(id.value)])
    if (onBoard) await board.value?.focusSelected()
  },
  { immediate: true },
)
void library.load()

const planning = ref(false)
const saved = computed(() => data.value?.programme ?? null)
const laying = computed(() => !!data.value?.proposal && (planning.value || !saved.value))

const form = useFieldMessages()
const { messages, general } = form
const request = ref<Typed<PlanRequest> | null>(null)
const { answer: preview } = useAnswerTo(
  () => (laying.value && request.value ? { client: id.value, plan: request.value } : null),
  ({ client, plan }) => previewProgramme(client, plan),
  { form },
)
/** What is shown: the plan being made, or the one that is saved. */
const shown = computed(() => (planning.value || !saved.value ? preview.value : saved.value))

const week = ref(1)
const session = ref<number | null>(null)
/** The week today lies in, when a kept programme is opened. */
watch(saved, (programme, before) => {
  if (!programme || before) return
  const today = theStudio.value?.today ?? ''
  const now = programme.weeks.filter((each) => each.startsOn <= today).at(-1)
  week.value = now?.number ?? 1
})
watch(shown, (programme) => {
  if (programme) week.value = Math.min(week.value, programme.weeks.length)
})
const weekNow = computed(() => shown.value?.weeks[week.value - 1])
const inHand = computed(() =>
  saved.value && !laying.value
    ? (saved.value.sessions.find((each) => each.number === session.value) ?? null)
    : null,
)
// Another week in view: its first session is in hand.
watch([week, saved, laying], () => {
  if (!saved.value || laying.value) return
  const start = saved.value.weeks[week.value - 1]!.startsOn
  const end = daysLater(start, 6)
  const here = saved.value.sessions.filter(({ date }) => date >= start && date <= end)
  if (!here.some(({ number }) => number === session.value)) {
    session.value = here[0]?.number ?? null
  }
})

/** Every rule that is broken, week by week. */
const brokenRules = computed(() =>
  (shown.value?.weeks ?? []).flatMap((each) =>
    each.findings
      .filter((finding) => finding.severity !== 'info')
      .map((finding) => ({ week: each.number, finding })),
  ),
)
const key = (rule: { week: number; finding: Finding }) => `${rule.week} ${rule.finding.message}`

/** What was tried on a version that somebody else had changed meanwhile. */
interface Missed {
  words: string
  again: () => Promise<unknown>
}
const missed = shallowRef<Missed | null>(null)

const sessionOf = (programme: Programme, number: number) =>
  programme.sessions.find((each) => each.number === number)!
function words(number: number, to: SessionChange): string {
  const of = weekday(sessionOf(saved.value!, number).date)
  if ('date' in to) return `${of} is moved to ${weekday(to.date)}.`
  if ('skipped' in to) return to.skipped ? `${of} is skipped.` : `${of} is included again.`
  if ('mode' in to) return `${of}: ${MODES[to.mode]}.`
  return to.outline === null ? `${of} has the usual outline again.` : `${of} has another outline.`
}

/** What takes a version back to the one before it. */
function backTo(before: Programme, after: Programme) {
  const whose = id.value
  return () => takeBackProgramme(whose, after.version!, before.version!)
}
/** What somebody else has saved is read; what was tried is offered again. */
async function missing(words: string, again: () => Promise<unknown>) {
  await load(id.value)
  missed.value = { words, again }
  return missed.value
}
interface Changed {
  before: Programme
  after: Programme
  said: string
  /** The rules that were broken before. */
  known: Set<string>
}
/** The focus goes along with a session that was moved on the board, and else stays where it is. */
const { save: change, refused: fault } = useSave<
  [number: number, to: SessionChange, onBoard: boolean],
  Changed,
  Missed
>(
  async (number, to) => {
    const before = saved.value!
    const said = words(number, to)
    const known = new Set(brokenRules.value.map(key))
    return {
      before,
      said,
      known,
      after: await changeSession(id.value, before.version!, number, to),
    }
  },
  {
    form,
    undo: ({ said, before, after }) => ({ said, back: backTo(before, after) }),
    async saved({ said, known, before, after }, number, _, onBoard) {
      data.value = { ...data.value!, programme: after }
      week.value = weekOf(after, number)
      session.value = number
      const answered = brokenRules.value.filter((rule) => !known.has(key(rule)))
      if (answered[0]) {
        const undo = backTo(before, after)
        offerUndo(`${said} ${answered[0].finding.message}`, async () => void (await undo()))
      }
      if (onBoard) await board.value?.focusSelected()
      await refresh()
    },
    conflict: (number, to, onBoard) =>
      missing(words(number, to), (): Promise<unknown> => change(number, to, onBoard)),
  },
)
const weekOf = (programme: Programme, number: number) => {
  const { date } = sessionOf(programme, number)
  return programme.weeks.filter((each) => each.startsOn <= date).at(-1)?.number ?? 1
}
async function doMineToo() {
  const again = missed.value!.again
  missed.value = null
  await again()
}

const { save: keep, saving } = useSave(
  async (plan: Typed<PlanRequest>) => {
    const before = saved.value
    return { before, after: await saveProgramme(id.value, before?.version ?? 0, plan) }
  },
  {
    form,
    undo: ({ before, after }) =>
      before && { said: 'The programme is rebuilt.', back: backTo(before, after) },
    async saved({ after }) {
      data.value = { ...data.value!, programme: after }
      planning.value = false
      missed.value = null
      week.value = 1
      await refresh()
    },
    conflict(plan) {
      planning.value = false
      return missing('The programme in the form.', (): Promise<unknown> => {
        planning.value = true
        return keep(plan)
      })
    },
    wrong: ({ findings }) => (fault.value = findings),
  },
)

/** What was logged of the session in hand, and what can be logged. */
const logOf = (number: number | null) =>
  logs.data.value?.logs.find((log) => log.number === number && number !== null)
const logged = computed(() => (inHand.value ? logOf(inHand.value.number) : undefined))
const signs = computed(() => logs.data.value?.warnings ?? [])
/** A form is open: for the session in hand, or for one that was not planned. */
const logging = ref<'hand' | 'besides' | null>(null)
watch([session, week], () => (logging.value = null))
const handOf = computed(() => ({
  clientId: id.value,
  number: inHand.value?.number ?? null,
  on: inHand.value?.date ?? '',
  minutes: Math.floor((saved.value?.outlines[inHand.value?.outline ?? 0]?.workSeconds ?? 0) / 60),
}))
const today = computed(() => theStudio.value?.today ?? '')
const besides = computed(() => ({
  clientId: id.value,
  number: null,
  on: today.value,
  minutes: weekNow.value?.minutesASession ?? 0,
}))
const unplanned = computed(
  () => logs.data.value?.logs.filter(({ number }) => number === null) ?? [],
)
async function afterLog(log: SessionLog) {
  offerUndo(
    `${weekday(log.on)}: ${log.words}.`,
    async () => void (await withdraw(log.clientId, 'session-logs', log.id)),
  )
  logging.value = null
  await readAnew()
}
const readAnew = () => Promise.all([load(id.value), logs.load(id.value), refresh()])
async function decided(after: Programme, words: string) {
  const before = saved.value!.version!
  const whose = id.value
  offerUndo(words, async () => void (await takeBackProgramme(whose, after.version!, before)))
  data.value = { ...data.value!, programme: after, review: null }
  week.value = Math.min(after.weeks.length, (after.decisions.at(-1)?.week ?? 1) || 1)
  await refresh()
}
const decidedNow = computed(() =>
  saved.value?.decisions.filter((each) => each.week === week.value).at(-1),
)
const TAKEN = { accepted: 'Accepted', changed: 'Changed', refused: 'Refused' }

const outOf = computed(() => Object.keys(messages.value).length > 0)

useShortcuts({
  list: [
    ['← →', 'on the weeks: the week before, the week after'],
    ['← →', 'on a session: the one before, the one after'],
    ['Alt ← →', 'on a session: a day earlier, a day later'],
    ['Delete', 'on a session: skip it, or include it again'],
  ],
})
</script>

<template>
  <ProblemNote v-if="problem && !data" :problem="problem" @retry="load(id)" />
  <div v-else-if="data" class="stack">
    <section v-if="data.why.length" class="sheet stack" aria-label="Why nothing is planned">
      <h2>{{ saved ? 'The programme is paused' : 'Nothing to plan yet' }}</h2>
      <Findings :findings="data.why" />
      <div>
        <RouterLink :to="`/clients/${id}/prescription`">To the prescription</RouterLink>
      </div>
    </section>

    <ConflictNote
      v-if="missed"
      title="Somebody else changed this programme meanwhile"
      mine="Apply my change as well"
      theirs="Keep theirs"
      @mine="doMineToo"
      @theirs="missed = null"
    >
      <p>
        Nothing is lost: theirs is below. Yours was: <b>{{ missed.words }}</b>
      </p>
    </ConflictNote>

    <WeekStep
      v-if="data.review && saved && !laying && !data.why.length"
      :key="`${data.review.week} ${saved.version}`"
      :client-id="id"
      :version="saved.version!"
      :review="data.review"
      @decided="decided"
      @stale="load(id)"
    />

    <form
      v-if="laying"
      class="sheet stack"
      novalidate
      aria-label="Plan a programme"
      @submit.prevent="request && keep(request)"
    >
      <h2>{{ saved ? 'Rebuild the programme' : 'Plan a programme' }}</h2>
      <PlanForm :proposal="data.proposal!" :messages="messages" @changed="request = $event" />
      <p v-if="data.busyDays.length" class="small">
        Days avoided because a calendar shows them mostly busy:
        {{ data.busyDays.map((each) => DAYS[each]).join(', ') }}.
      </p>
      <Findings :findings="fault" />
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
      <div class="ways">
        <Button
          type="submit"
          :label="saved ? 'Replace the current programme' : 'Save the programme'"
          :disabled="outOf || !preview"
          :loading="saving"
        />
        <Button v-if="saved" label="Keep the current one" text @click="planning = false" />
        <p v-if="outOf" class="fault" role="status">Correct the highlighted field first.</p>
      </div>
    </form>

    <template v-if="shown">
      <section
        class="sheet stack"
        :class="{ behind: laying && outOf }"
        aria-labelledby="weeks-title"
      >
        <div class="heading">
          <h2 id="weeks-title">
            {{ laying ? 'Preview' : 'Programme' }}:
            <span class="num">{{ shown.plan.weeks }}</span> weeks, {{ day(shown.plan.startsOn) }} to
            {{ day(shown.plan.endsOn) }}
          </h2>
          <p v-if="!laying" class="ways">
            <RouterLink :to="`/clients/${id}/hand-out`">Hand-out</RouterLink>
            <RouterLink :to="`/calendar?client=${id}`">Calendar</RouterLink>
            <RouterLink :to="`/clients/${id}/session`">On the clock</RouterLink>
            <RouterLink :to="`/clients/${id}/recordings`">Recordings</RouterLink>
            <Button
              v-if="data.proposal"
              label="Rebuild"
              outlined
              size="small"
              @click="planning = true"
            />
          </p>
        </div>
        <Findings
          v-if="!laying"
          :findings="
            shown.findings.filter((each) => !data!.why.some((why) => why.code === each.code))
          "
        />
        <WeeksPicture v-model:week="week" :programme="shown" />
        <ul v-if="brokenRules.length" class="rules" aria-live="polite" aria-label="Rules broken">
          <li v-for="rule in brokenRules" :key="key(rule)">
            <button type="button" class="link" @click="week = rule.week">
              Week {{ rule.week }}
            </button>
            <Findings :findings="[rule.finding]" />
          </li>
        </ul>
        <p
          v-else-if="!shown.findings.some(({ severity }) => severity === 'block')"
          class="quiet small"
          role="status"
        >
          Every week meets the guidelines.
        </p>
      </section>

      <section v-if="weekNow" class="sheet stack" aria-labelledby="week-title">
        <h2 id="week-title">
          Week <span class="num">{{ weekNow.number }}</span>, from {{ day(weekNow.startsOn) }}:
          <span class="num">{{ figureSpan(weekNow.lowPercent, weekNow.highPercent) }}</span> % of
          reserve, <span class="num">{{ weekNow.minutesASession }}</span> min ×
          <span class="num">{{ weekNow.days }}</span>
        </h2>
        <Findings
          :findings="[
            weekNow.because,
            ...weekNow.findings.filter((finding) => finding.severity === 'info'),
          ]"
        />
        <Findings v-if="decidedNow?.changed && !laying" :findings="[decidedNow.changed]" />
        <details v-if="decidedNow && !laying" class="decision">
          <summary>
            {{ TAKEN[decidedNow.taken] }} on {{ day(decidedNow.decidedAt) }}: proposed was “{{
              decidedNow.proposal
            }}”
          </summary>
          <p v-if="decidedNow.reason">Reason: {{ decidedNow.reason }}</p>
          <Findings :findings="decidedNow.because" />
        </details>
        <p class="small">
          <span class="num">{{ weekNow.moderateEquivalentMinutes }}</span> moderate-equivalent min
          of <span class="num">{{ shown.markMinutes }}</span><template v-if="shown.upperMinutes"
            >–<span class="num">{{ shown.upperMinutes }}</span></template
          >; <span class="num">{{ weekNow.easyPercent }}</span> % below vigorous<template
            v-if="weekNow.limitMinutes"
            >; at most <span class="num">{{ weekNow.limitMinutes }}</span> min of work</template
          >.
        </p>
        <template v-if="!laying">
          <WeekBoard
            ref="board"
            v-model:session="session"
            :programme="shown"
            :week="week"
            :logs="logs.data.value?.logs ?? []"
            @move="(number, date) => change(number, { date }, true)"
            @skip="(number, skipped) => change(number, { skipped }, true)"
          />
          <Findings :findings="fault" />
          <p v-if="general" class="fault" role="alert">{{ general }}</p>
          <LoggedSession
            v-if="logged && !inHand?.skipped"
            :key="logged.id"
            :log="logged"
            :signs="signs"
            @changed="readAnew"
          >
            <p>
              <b>{{ logged.done ? '✓ Done' : '– Not done' }}</b>, {{ weekday(logged.on) }}:
              {{ logged.words }}<template v-if="logged.note">; {{ logged.note }}</template>
            </p>
          </LoggedSession>
          <div v-else-if="inHand && !inHand.skipped && !logging && inHand.date <= today">
            <Button label="Log this session" @click="logging = 'hand'" />
          </div>
          <LogForm
            v-if="inHand && !logged && logging === 'hand'"
            :key="inHand.number"
            :of="handOf"
            :signs="signs"
            @kept="afterLog"
            @close="logging = null"
          />
          <SessionPanel
            v-if="inHand && !logged"
            :programme="shown"
            :session="inHand"
            :library="library.data.value?.outlines ?? []"
            :messages="messages"
            @change="change(inHand.number, $event, false)"
          />
          <PrincipleNote of="frequency" />
        </template>
      </section>
    </template>

    <section
      v-if="signs.length && (saved || unplanned.length) && !laying"
      class="sheet stack"
      aria-labelledby="besides-title"
    >
      <div class="heading">
        <h2 id="besides-title">Unplanned sessions</h2>
        <Button
          v-if="logging !== 'besides'"
          label="Log one that was not planned"
          outlined
          size="small"
          @click="logging = 'besides'"
        />
      </div>
      <LogForm
        v-if="logging === 'besides'"
        :of="besides"
        :signs="signs"
        @kept="afterLog"
        @close="logging = null"
      />
      <ul v-if="unplanned.length" class="besides">
        <li v-for="log in unplanned" :key="log.id">
          <LoggedSession :log="log" :signs="signs" @changed="readAnew">
            <span class="quiet">{{ weekday(log.on) }}</span>
            <span>{{ MODES[log.mode] }}, {{ log.words }}</span>
          </LoggedSession>
        </li>
      </ul>
      <p v-else-if="logging !== 'besides'" class="quiet small">
        None. Unplanned sessions count towards the minutes of their week.
      </p>
    </section>
    <p v-if="theStudio" class="quiet small">{{ theStudio.notice }}</p>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.rules li {
  display: grid;
  grid-template-columns: 5.4rem minmax(0, 1fr);
  gap: 8px;
  align-items: baseline;
  padding: 3px 0;
}

.logged {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}

.decision summary {
  cursor: pointer;
  min-height: 32px;
}

.behind {
  opacity: 0.5;
}

@media (max-width: 640px) {
  .rules li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
