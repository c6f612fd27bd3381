<script setup lang="ts">
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { asProblem } from '../api/http'
import {
  beginClass,
  checkInClass,
  classCount,
  enterCount,
  withdraw,
  type ClassPerson,
} from '../api/korvel'
import CountClock from '../pulse/CountClock.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { clock } from '../shared/clock'
import { typed } from '../shared/fields'
import { useAnswer } from '../shared/answer'
import { offerUndo } from '../shared/undo'
import { POSTURES } from '../shared/words'
import ClassResult from './ClassResult.vue'
import RunningTime from './RunningTime.vue'
import { CALL_MARKS } from './calls'
import { useRoomLine, type RoomMessage } from './roomClock'
import { useShortcuts } from '../shared/shortcuts'

/** One clock for the room, then each one's number and Enter; and whom to talk to. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const room = useAnswer(classCount)

/** What stands in each person's field, and what of it is saved. */
interface Entry {
  text: string
  kept: string
  message: string
  latest: number
}
const entries = reactive<Record<string, Entry>>({})
const people = ref<ClassPerson[]>([])
const showsResult = ref(false)
/** Who was passed over with Enter: not asked for again. */
const passedOver = new Set<string>()
/** When the first number was entered. */
const countedAt = ref<string | null>(null)

watch(
  () => props.id,
  async (id) => {
    showsResult.value = false
    passedOver.clear()
    people.value = []
    await room.load(id)
    people.value = room.data.value?.people ?? []
    countedAt.value = room.data.value?.countedAt ?? null
    for (const person of people.value) {
      const beats = person.first ? String(person.first.beats) : ''
      entries[person.id] = { text: beats, kept: beats, message: '', latest: 0 }
    }
    if (people.value.length && people.value.every((each) => each.first)) showsResult.value = true
  },
  { immediate: true },
)

const notBack = computed(() => people.value.some((each) => each.call?.id === 'again'))
const before = computed(() => room.data.value?.moment === 'before')
const counted = computed(() => people.value.filter((each) => each.first).length)

function put(person: ClassPerson) {
  people.value = people.value.map((each) => (each.id === person.id ? person : each))
}
/** Sends a number; typing goes on meanwhile. The answer to the latest one stands. */
async function commit(id: string) {
  const entry = entries[id]!
  const text = entry.text.trim()
  if (text === entry.kept && !entry.message) return
  const mine = ++entry.latest
  countedAt.value ??= new Date(clock.wall()).toISOString()
  entry.kept = text
  entry.message = ''
  try {
    const row = await enterCount(props.id, id, 'count', typed(text))
    if (mine === entry.latest) put(row)
  } catch (thrown) {
    if (mine !== entry.latest) return
    const problem = asProblem(thrown)
    const fault = problem.errors[0]
    entry.message = fault ? `Accepted: ${fault.accepted}` : problem.message
    if (showsResult.value) {
      showsResult.value = false
      await nextTick()
      focus(id)
    }
  }
}

const fields = new Map<string, HTMLInputElement>()
function field(id: string, element: unknown) {
  if (element instanceof HTMLInputElement) fields.set(id, element)
  else fields.delete(id)
}
function focus(id: string | undefined) {
  const input = id === undefined ? undefined : fields.get(id)
  input?.focus()
  input?.select()
}
const isOpen = (person: ClassPerson) => {
  const entry = entries[person.id]!
  return entry.message !== '' || (entry.text.trim() === '' && !passedOver.has(person.id))
}
/** On to the next one without a number; past the last, to the list. */
async function next(from: string) {
  const at = people.value.findIndex((each) => each.id === from)
  await nextTick()
  const later = people.value.slice(at + 1).find(isOpen)
  if (later) return focus(later.id)
  const missed = people.value.find(isOpen)
  if (missed) return focus(missed.id)
  void toResult()
}
function onKey(event: KeyboardEvent, id: string) {
  const at = people.value.findIndex((each) => each.id === id)
  if (event.key === 'Enter') {
    event.preventDefault()
    if (entries[id]!.text.trim() === '') passedOver.add(id)
    else passedOver.delete(id)
    void commit(id)
    void next(id)
  } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    event.preventDefault()
    focus(people.value[at + (event.key === 'ArrowUp' ? -1 : 1)]?.id)
  }
}
const resultPart = ref<InstanceType<typeof ClassResult> | null>(null)
async function toResult() {
  showsResult.value = true
  await nextTick()
  resultPart.value?.focus()
}
async function toNumbers() {
  showsResult.value = false
  await nextTick()
  focus((people.value.find(isOpen) ?? people.value.at(-1))?.id)
}
async function onDone() {
  await nextTick()
  focus((people.value.find(isOpen) ?? people.value[0])?.id)
}

// The clock on the wall runs along.
let running: RoomMessage | null = null
const say = useRoomLine((message) => {
  if (message.kind === 'hello' && running) say(running)
})
function started() {
  showsResult.value = false
  running = { kind: 'start', seconds: room.data.value!.windowSeconds, at: clock.wall() }
  say(running)
}
function stopped() {
  running = null
  say({ kind: 'stop' })
}

async function recount(person: string, beats: number | string | null) {
  put(await enterCount(props.id, person, 'recount', beats))
}

const problem = ref('')
const busy = ref(false)
async function act(work: () => Promise<void>) {
  if (busy.value) return
  busy.value = true
  problem.value = ''
  try {
    await work()
  } catch (thrown) {
    problem.value = asProblem(thrown).message
  } finally {
    busy.value = false
  }
}
const checkedIn = ref('')
async function reread() {
  await room.load(props.id)
  people.value = room.data.value?.people ?? people.value
}
const checkIn = (leaveOut: string[]) =>
  act(async () => {
    const { made } = await checkInClass(props.id, leaveOut)
    const said = `${made.length} checked in.`
    offerUndo(said, async () => {
      for (const each of made) await withdraw(each.clientId, 'checkins', each.checkInId)
      checkedIn.value = ''
      await reread()
    })
    await reread()
    checkedIn.value = said
  })
const again = (who: string[]) =>
  act(async () => {
    const round = await beginClass({
      moment: 'after',
      windowSeconds: room.data.value!.windowSeconds,
      posture: room.data.value!.posture,
      settled: false,
      people: who,
      minutesAfter: null,
      follows: props.id,
    })
    await router.push(`/floor/classes/${round.id}`)
  })

const half = computed(() => Math.ceil(people.value.length / 2))
const title = computed(() =>
  before.value ? 'Class count, before the session' : 'Class count, after the session',
)

useShortcuts({
  list: [
    ['0–9 Enter', 'a number: saved, and on to the next person'],
    ['↑ ↓', 'to the person before, the person after'],
    ['Enter', 'on an empty field: skip it'],
  ],
})
</script>

<template>
  <div class="stack">
    <header>
      <h1>{{ title }}</h1>
      <p v-if="room.data.value" class="quiet">
        {{ people.length }} here, {{ counted }} counted ·
        {{ room.data.value.windowSeconds }} s<template v-if="before"
          >, {{ POSTURES[room.data.value.posture].toLowerCase()
          }}{{ room.data.value.settled ? ', settled' : ', not settled yet' }}</template
        >
        · <RouterLink to="/floor">Another class</RouterLink>
      </p>
    </header>
    <ProblemNote v-if="room.problem.value" :problem="room.problem.value" @retry="room.load(id)" />
    <div v-else-if="room.data.value" class="columns">
      <ClassResult
        v-if="showsResult"
        ref="resultPart"
        :people="people"
        :before="before"
        :recount-seconds="room.data.value.recountSeconds"
        :again-in-minutes="room.data.value.againInMinutes"
        :recount="recount"
        :busy="busy"
        :checked-in="checkedIn"
        @numbers="toNumbers"
        @check-in="checkIn"
        @again="again"
      />
      <section v-else class="sheet" aria-labelledby="numbers-title">
        <div class="top">
          <h2 id="numbers-title">Beats in {{ room.data.value.windowSeconds }} s</h2>
          <p class="quiet small">
            <span class="for-keys">Number, Enter, next. <kbd>↑</kbd> to correct one.</span>
          </p>
          <button v-if="counted" type="button" class="link" @click="toResult">To the list</button>
        </div>
        <ol class="people" :class="{ two: people.length > 8 }" :style="{ '--rows': half }">
          <li
            v-for="person in people"
            :key="person.id"
            :class="{ fault: entries[person.id]!.message }"
          >
            <label :for="`n-${person.id}`">
              {{ person.name }}
              <span v-if="entries[person.id]!.message" class="message" role="alert">{{
                entries[person.id]!.message
              }}</span>
              <span v-else class="quiet small"
                ><template v-if="person.usualBpm !== null"
                  >{{ before ? 'usual' : 'at rest' }}
                  <span class="num">{{ person.usualBpm }}</span></template
                ><template v-else>no usual value</template></span
              >
            </label>
            <input
              :id="`n-${person.id}`"
              :ref="(element) => field(person.id, element)"
              v-model="entries[person.id]!.text"
              class="num"
              inputmode="numeric"
              enterkeyhint="next"
              autocomplete="off"
              :aria-invalid="entries[person.id]!.message !== ''"
              @keydown="onKey($event, person.id)"
              @blur="commit(person.id)"
            />
            <output class="num" :class="person.call?.id">
              <template v-if="person.first && person.call && !entries[person.id]!.message">
                {{ person.first.bpm }}
                <span class="mark" :title="person.call.words">{{
                  CALL_MARKS[person.call.id] ?? ''
                }}</span>
                <span class="visually-hidden">{{ person.call.words }}</span>
              </template>
            </output>
          </li>
        </ol>
      </section>
      <aside class="sheet stack">
        <div v-if="room.data.value.stoppedAt" class="times">
          <RunningTime :from="room.data.value.stoppedAt" label="since they stopped" />
          <RunningTime
            v-if="countedAt && notBack"
            :from="countedAt"
            :minutes="room.data.value.againInMinutes"
            label="until the next count"
          />
        </div>
        <CountClock
          :seconds="room.data.value.windowSeconds"
          @started="started"
          @stopped="stopped"
          @done="onDone"
        />
        <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
        <a href="/floor/clock" target="_blank" class="small wall">Wall clock in its own window</a>
      </aside>
    </div>
    <p v-else class="quiet" role="status">Loading…</p>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1fr) 264px;
}

.times {
  display: flex;
  justify-content: space-around;
  gap: 12px;
}

aside {
  position: sticky;
  top: 16px;
}

.wall {
  text-align: center;
}

.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
}

.top .link {
  margin-left: auto;
}

kbd {
  font-family: var(--mono);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 0 6px;
}

.people {
  display: grid;
  gap: 0 28px;
  margin-top: 8px;
}

.people.two {
  grid-template-rows: repeat(var(--rows), auto);
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
}

.people li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 4.4rem 4.4rem;
  gap: 10px;
  align-items: center;
  min-height: 52px;
  border-top: 1px solid var(--line);
}

label {
  display: grid;
  line-height: 1.25;
  padding: 4px 0;
  font-weight: 600;
}

label .quiet {
  font-weight: 400;
}

.message {
  color: var(--fault);
  font-size: 0.82rem;
}

input {
  width: 100%;
  min-height: var(--touch);
  font-size: 1.25rem;
  font-weight: 700;
  text-align: center;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--ink-quiet);
  border-radius: 6px;
}

.fault input {
  border: 2px solid var(--fault);
}

output {
  font-weight: 700;
  white-space: nowrap;
  text-align: right;
}

.mark {
  display: inline-block;
  width: 1.2em;
  text-align: center;
  color: var(--teal);
}

.count-again .mark,
.light-only .mark,
.again .mark,
.unknown .mark {
  color: var(--ochre-deep);
}

.not-today .mark,
.ease-next .mark {
  color: var(--fault);
}

.problem {
  color: var(--fault);
  font-weight: 600;
}

@media (max-width: 900px) {
  aside {
    position: static;
    order: -1;
  }

  .people.two {
    grid-template-rows: none;
    grid-auto-flow: row;
    grid-auto-columns: auto;
  }
}
</style>
