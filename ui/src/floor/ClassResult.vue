<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import Button from 'primevue/button'
import { computed, reactive, ref } from 'vue'
import { asProblem } from '../api/http'
import type { ClassPerson } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import { typed } from '../shared/fields'
import { CALL_MARKS } from './calls'
import { useShortcuts } from '../shared/shortcuts'

/** What a class count came to: the few to talk to first, then the rest. */
const props = defineProps<{
  people: ClassPerson[]
  before: boolean
  recountSeconds: number
  againInMinutes: number
  recount: (person: string, beats: number | string | null) => Promise<void>
  busy: boolean
  /** What the room's check-in came to. */
  checkedIn: string
}>()
const emit = defineEmits<{
  numbers: []
  checkIn: [leaveOut: string[]]
  again: [people: string[]]
}>()

const latest = (person: ClassPerson) => (person.again ?? person.first)?.bpm ?? 0
/** The weightiest first, and of equals the highest. */
const inOrder = (all: ClassPerson[]) =>
  [...all].sort((a, b) => (a.call?.rank ?? 0) - (b.call?.rank ?? 0) || latest(b) - latest(a))
const talk = computed(() => inOrder(props.people.filter((each) => each.call?.talk)))
const fine = computed(() =>
  props.people.filter((each) => each.call && !each.call.talk).sort((a, b) => latest(b) - latest(a)),
)
const uncounted = computed(() => props.people.filter((each) => !each.call))
const ready = computed(() => props.people.filter((each) => each.readyToCheckIn))
/** Who is not checked in with the room, though nothing speaks against it. */
const leftOut = ref<string[]>([])
const toCheckIn = computed(() => ready.value.filter((each) => !leftOut.value.includes(each.id)))
const page = (person: ClassPerson) => `/clients/${person.id}/${props.before ? 'check-in' : 'pulse'}`
/** Counted again in a posture other than the usual one, it would tell no more. */
const canRecount = (person: ClassPerson) =>
  person.again !== null ||
  (person.call?.id === 'count-again' &&
    !person.call.findings.some((finding) => finding.code === 'usual-posture-first'))
function leaveOut(person: ClassPerson, out: boolean) {
  leftOut.value = leftOut.value.filter((each) => each !== person.id)
  if (out) leftOut.value.push(person.id)
}
const notBack = computed(() =>
  props.before
    ? []
    : talk.value.filter((each) => each.call!.id === 'again' || each.call!.id === 'ease-next'),
)

/** Second counts as they are typed. */
const typing = reactive<Record<string, string>>({})
const messages = reactive<Record<string, string>>({})
async function keep(person: ClassPerson) {
  const text = (typing[person.id] ?? '').trim()
  if (!text) return
  try {
    await props.recount(person.id, typed(text))
    messages[person.id] = ''
    typing[person.id] = ''
  } catch (thrown) {
    const problem = asProblem(thrown)
    messages[person.id] = problem.errors[0]
      ? `Accepted: ${problem.errors[0].accepted}`
      : problem.message
  }
}

const heading = ref<HTMLElement | null>(null)
defineExpose({ focus: () => heading.value?.focus() })

useShortcuts({
  list: [['Esc', 'back to the numbers']],
  act: { Escape: () => emit('numbers') },
  inFields: true,
})

const title = computed(() =>
  talk.value.length === 0
    ? props.before
      ? 'Nobody to talk to first'
      : 'Everyone is back to rest'
    : props.before
      ? `Talk to ${talk.value.length === 1 ? 'this one' : `these ${talk.value.length}`} first`
      : `${talk.value.length} to check`,
)
const names = (all: ClassPerson[]) => all.map((each) => each.name.split(' ')[0]).join(', ')

const table = () => [
  ['Name', props.before ? 'Usual, bpm' : 'Rest, bpm', 'Beats', 'bpm', 'Counted again, bpm', 'Call'],
  ...props.people.map((person) => [
    person.name,
    person.usualBpm,
    person.first?.beats,
    person.first?.bpm,
    person.again?.bpm,
    person.call?.words ?? 'not counted',
  ]),
]
</script>

<template>
  <section class="sheet stack" aria-labelledby="result-title">
    <div class="top">
      <h2 id="result-title" ref="heading" tabindex="-1">{{ title }}</h2>
      <CsvLink name="class count" :rows="table" />
      <button type="button" class="link" @click="emit('numbers')">
        Back to the numbers <kbd>Esc</kbd>
      </button>
    </div>
    <ul v-if="talk.length" class="talk">
      <li v-for="person in talk" :key="person.id" :class="person.call!.id">
        <div class="who">
          <span class="mark" aria-hidden="true">{{ CALL_MARKS[person.call!.id] }}</span>
          <div>
            <RouterLink :to="page(person)">{{ person.name }}</RouterLink>
            <span class="visually-hidden">{{ person.call!.words }}</span>
          </div>
          <p class="num bpm">
            {{ latest(person) }}
            <span class="quiet small">{{
              person.usualBpm === null
                ? 'no usual value'
                : `${before ? 'usual' : 'rest'} ${person.usualBpm}`
            }}</span>
          </p>
        </div>
        <div v-if="canRecount(person)" class="recount">
          <label :for="`again-${person.id}`">Counted for {{ recountSeconds }} s</label>
          <input
            :id="`again-${person.id}`"
            v-model="typing[person.id]"
            class="num"
            inputmode="numeric"
            autocomplete="off"
            :placeholder="person.again ? String(person.again.beats) : ''"
            @keydown.enter.prevent="keep(person)"
            @blur="keep(person)"
          />
          <span v-if="messages[person.id]" class="message" role="alert">{{
            messages[person.id]
          }}</span>
        </div>
        <Findings :findings="person.call!.findings" />
      </li>
    </ul>
    <div v-if="notBack.length" class="next">
      <p>
        Count {{ notBack.length === 1 ? names(notBack) : `these ${notBack.length}` }} again in
        {{ againInMinutes }} minutes. Everyone else may go.
      </p>
      <Button
        :label="notBack.length === 1 ? 'Count again' : `Count these ${notBack.length} again`"
        :loading="busy"
        @click="
          emit(
            'again',
            notBack.map((each) => each.id),
          )
        "
      />
    </div>
    <div v-if="fine.length">
      <h3>{{ before ? 'Good to go' : 'Back to rest' }} · {{ fine.length }}</h3>
      <ul class="fine">
        <li v-for="person in fine" :key="person.id">
          <input
            v-if="person.readyToCheckIn"
            type="checkbox"
            :checked="!leftOut.includes(person.id)"
            :aria-label="`Check in ${person.name} with the room`"
            @change="leaveOut(person, !($event.target as HTMLInputElement).checked)"
          />
          <span v-else class="mark" aria-hidden="true">{{ CALL_MARKS[person.call!.id] }}</span>
          <RouterLink :to="page(person)" class="name">{{ person.name }}</RouterLink>
          <span class="num">{{ latest(person) }}</span>
          <span v-if="before && person.checkedIn" class="in small">checked in</span>
          <RouterLink v-else-if="person.alsoAsked.length" :to="page(person)" class="asks"
            >{{ person.alsoAsked.join(', ') }}?</RouterLink
          >
          <span v-else class="quiet small">{{
            person.usualBpm === null
              ? 'no usual value'
              : `${before ? 'usual' : 'rest'} ${person.usualBpm}`
          }}</span>
        </li>
      </ul>
    </div>
    <p v-if="checkedIn" class="done" role="status">{{ checkedIn }}</p>
    <div v-if="before && ready.length" class="next">
      <p>
        Ask the room: is anyone ill or short of sleep, is anything new or worse than usual, has any
        medication changed? Untick anyone who says yes; they get their own check-in.
      </p>
      <Button
        :label="`All well: check in ${toCheckIn.length === 1 ? 'one' : `these ${toCheckIn.length}`}`"
        :loading="busy"
        :disabled="!toCheckIn.length"
        @click="emit('checkIn', leftOut)"
      />
    </div>
    <p v-if="uncounted.length" class="quiet">
      Not counted: {{ uncounted.map((each) => each.name).join(', ') }}.
    </p>
  </section>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 18px;
  align-items: baseline;
}

h2:focus {
  outline: none;
}

kbd {
  font-family: var(--mono);
  font-size: 0.82rem;
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 0 6px;
}

.talk {
  display: grid;
  gap: 10px;
}

.talk li {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  border-left: 5px solid var(--ochre);
  background: var(--ochre-wash);
  border-radius: 0 var(--radius) var(--radius) 0;
  padding: 10px 14px;
}

.talk li.not-today,
.talk li.ease-next {
  border-color: var(--fault);
  background: var(--wine-wash);
}

.who {
  display: grid;
  grid-template-columns: 1.4rem minmax(0, 1fr) auto;
  gap: 10px;
  align-items: baseline;
}

.who a {
  font-weight: 700;
  font-size: 1.08rem;
}

.bpm {
  font-size: 1.5rem;
  font-weight: 700;
  text-align: right;
}

.bpm span {
  display: block;
  font-weight: 400;
}

.recount {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding-left: 2.4rem;
}

.recount label {
  font-weight: 650;
  font-size: 0.92rem;
}

.recount input {
  width: 5rem;
  min-height: var(--touch);
  font-size: 1.15rem;
  text-align: center;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--ink-quiet);
  border-radius: 6px;
}

.message {
  color: var(--fault);
  font-weight: 600;
  font-size: 0.88rem;
}

.fine {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 0 28px;
  margin-top: 6px;
}

.fine li {
  display: grid;
  grid-template-columns: 1.5rem minmax(0, 1fr) 2.2rem 7.6rem;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
  border-top: 1px solid var(--line);
}

.fine .mark {
  color: var(--teal);
}

.fine input {
  width: 22px;
  height: 22px;
}

.fine .name {
  font-weight: 600;
  min-height: var(--touch);
  display: flex;
  align-items: center;
}

.asks {
  font-weight: 650;
  font-size: 0.86rem;
  color: var(--ochre-deep);
}

.in {
  color: var(--teal-deep);
  font-weight: 650;
}

.next {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: center;
  justify-content: space-between;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}

.next p {
  flex: 1 1 20rem;
}

.done {
  font-weight: 650;
  color: var(--teal-deep);
}

@media (max-width: 560px) {
  .fine {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
