<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, onScopeDispose, reactive, ref, shallowRef, watch } from 'vue'
import {
  addToLive,
  liveRecovery,
  roomRecovery,
  type LiveEvent,
  type RecoveryPosture,
  type RecoverySet,
} from '../api/korvel'
import { countWords } from './countDown'
import { LiveClock } from '../live/liveClock'
import { onClock } from '../live/cues'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SelectField from '../shared/SelectField.vue'
import { useAnswer } from '../shared/answer'
import { clock } from '../shared/clock'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'
import FallLines from './FallLines.vue'
import RecoveryTable from './RecoveryTable.vue'
import { floorLight } from '../live/floorScreen'

/** Efforts end, and hearts come down: side by side, set by set, of one or of several. */
const props = defineProps<{ room?: string; session?: string }>()
const ways = reactive({ first: 'moving' as RecoveryPosture, second: 'lying' as RecoveryPosture })
const two = computed(() => (ways.first === ways.second ? null : { ...ways }))
const { data, problem, load } = useAnswer(() =>
  props.room ? roomRecovery(props.room, two.value) : liveRecovery(props.session!, two.value),
)
const time = new LiveClock(() => data.value?.speed ?? 1)
const now = ref(0)
watch(data, (fresh) => fresh && time.learn(fresh.now))
watch(two, () => void load())
onMounted(load)

/** Asked anew each second while somebody recovers, and now and then else. */
let asked = 0
onScopeDispose(
  clock.every(250, () => {
    now.value = time.now()
    const wait = data.value?.sets.some(({ on }) => on) ? 1000 : 5000
    if (clock.now() - asked < wait) return
    asked = clock.now()
    void load()
  }),
)

const postures = computed(
  () => new Map<string, string>(data.value?.postures.map(({ posture, name }) => [posture, name])),
)
const options = computed(
  () => data.value?.postures.map(({ posture, name }) => ({ value: posture, name })) ?? [],
)
const posture = ref<RecoveryPosture>('moving')
const chosen = shallowRef<string[] | null>(null)
const people = computed(() => data.value?.people ?? [])
const who = computed(() =>
  people.value.filter(({ session }) => !chosen.value || chosen.value.includes(session)),
)
function toggle(session: string) {
  const all = who.value.map((each) => each.session)
  chosen.value = all.includes(session) ? all.filter((one) => one !== session) : [...all, session]
}

const { save: happen, general } = useSave(
  async (sessions: string[], what: Omit<LiveEvent, 'at'>, at?: string) => {
    const moment = at ?? new Date(Math.floor(time.now())).toISOString()
    for (const session of sessions) {
      await addToLive(session, crypto.randomUUID(), { ...what, at: moment })
    }
  },
  { saved: () => load() },
)
const sessions = (on: boolean) =>
  who.value.filter((each) => each.on === on).map(({ session }) => session)
const endNow = () => happen(sessions(false), { kind: 'effort-ended', posture: posture.value })
const nextSet = () => happen(sessions(true), { kind: 'effort-resumed' })
/** It had ended a little sooner. */
async function sooner(set: RecoverySet) {
  const at = new Date(new Date(set.endedAt).getTime() - 5000).toISOString()
  await happen([set.session], { kind: 'withdrawn', of: set.event })
  await happen([set.session], { kind: 'effort-ended', posture: set.posture }, at)
}

const on = computed(() => data.value?.sets.filter((set) => set.on) ?? [])
async function undoEnds() {
  for (const { session, event } of on.value) {
    await happen([session], { kind: 'withdrawn', of: event })
  }
}
const since = computed(() =>
  on.value.length
    ? Math.max(
        0,
        (now.value - Math.max(...on.value.map(({ endedAt }) => +new Date(endedAt)))) / 1000,
      )
    : null,
)
/** Whose lines are drawn: those of the people chosen, the one that is on last. */
const shown = computed(() => {
  const here = new Set(who.value.map(({ session }) => session))
  const all = (data.value?.sets ?? []).filter(
    ({ session }) => !people.value.length || here.has(session),
  )
  return [...all].sort(
    (a, b) => Number(a.on) - Number(b.on) || +new Date(a.endedAt) - +new Date(b.endedAt),
  )
})
const notes = computed(() => {
  const last = shown.value.at(-1)
  return last?.answer?.findings ?? []
})
const mayBeSooner = computed(() =>
  shown.value.find(
    (set) => set.on && set.answer?.findings.some(({ code }) => code === 'higher-before'),
  ),
)

/** Without a strap: counts at once, after 60 and after 120 s. */
const counting = computed(() => on.value.filter((set) => !byStrap(set.session)))
const byStrap = (session: string) =>
  people.value.find((each) => each.session === session)?.byStrap ?? true
const beats = reactive(new Map<string, string>())
async function enterCount(set: RecoverySet) {
  const value = Number(beats.get(set.session))
  if (!value) return
  if (await happen([set.session], { kind: 'counted', beats: value, windowSeconds: 15 })) {
    beats.delete(set.session)
  }
}
const due = computed(() =>
  since.value === null
    ? ''
    : countWords(since.value, data.value!.countedAt, data.value!.enteredWithin),
)

useShortcuts({
  list: [
    ['Space', 'the effort ends now; the next set'],
    ['u', 'undo the last end'],
  ],
  act: {
    ' ': () => (on.value.length ? nextSet() : endNow()),
    u: undoEnds,
  },
})
</script>

<template>
  <main id="content" class="floor-page" :class="{ 'dark-ground': !floorLight }" tabindex="-1">
    <ProblemNote v-if="problem && !data" :problem="problem" @retry="load()" />
    <template v-else-if="data">
      <header>
        <h1>Recovery</h1>
        <p v-if="since !== null" class="since num" role="timer">{{ onClock(since) }}</p>
        <nav>
          <RouterLink v-if="room" class="floor-link" :to="`/floor/rooms/${room}`"
            >To the board</RouterLink
          >
          <RouterLink v-else class="floor-link" :to="`/floor/sessions/${session}`"
            >To the session</RouterLink
          >
          <button type="button" class="floor-link" @click="floorLight = !floorLight">
            {{ floorLight ? 'Dark' : 'Light' }}
          </button>
        </nav>
      </header>
      <section v-if="people.length" class="controls">
        <ChoiceField v-if="!on.length" v-model="posture" label="They recover" :options="options" />
        <div v-if="people.length > 1" role="group" aria-label="Who" class="who">
          <button
            v-for="each in people"
            :key="each.session"
            type="button"
            role="checkbox"
            :aria-checked="who.includes(each)"
            @click="toggle(each.session)"
          >
            {{ each.name }}
          </button>
        </div>
        <div class="deeds">
          <Button
            v-if="sessions(false).length"
            :label="sessions(true).length ? 'Ends now: the others' : 'Effort ends now'"
            size="large"
            :outlined="sessions(true).length > 0"
            @click="endNow"
          />
          <Button v-if="sessions(true).length" label="Next set" size="large" @click="nextSet" />
          <Button
            v-if="mayBeSooner"
            label="It ended 5 s sooner"
            outlined
            @click="sooner(mayBeSooner)"
          />
          <Button v-if="on.length" label="Undo the end" text @click="undoEnds" />
        </div>
      </section>
      <p v-else class="quiet">
        Nobody is in a session here now; these are the sets that were done.
      </p>
      <p v-if="general" class="floor-note" role="alert">{{ general }}</p>

      <section v-if="counting.length" class="counts" aria-label="Counts">
        <p>
          <b>{{ due }}</b>
        </p>
        <form v-for="set in counting" :key="set.session" @submit.prevent="enterCount(set)">
          <label
            >{{ set.name }}
            <input
              :value="beats.get(set.session) ?? ''"
              class="floor-field"
              inputmode="numeric"
              autocomplete="off"
              :aria-label="`Beats in 15 s of ${set.name}`"
              @input="(event) => beats.set(set.session, (event.target as HTMLInputElement).value)"
            />
          </label>
          <Button type="submit" label="Enter" outlined />
        </form>
      </section>

      <template v-if="shown.length">
        <FallLines :sets="shown" />
        <Findings v-if="notes.length" :findings="notes" />
        <RecoveryTable :sets="shown" :names="people.length > 1 || !!room" :postures="postures" />
        <section class="ways" aria-labelledby="ways">
          <h2 id="ways">Two ways side by side</h2>
          <div class="choose">
            <SelectField v-model="ways.first" label="One way" :options="options" />
            <SelectField v-model="ways.second" label="The other" :options="options" />
          </div>
          <template v-if="data.ways">
            <p v-if="data.ways.more60 === null" class="quiet">
              Nobody has done both yet: end an effort each way.
            </p>
            <p v-else class="apart">
              <b class="num"
                >{{ Math.abs(data.ways.more60) }} bpm
                {{ data.ways.more60 >= 0 ? 'further' : 'less' }} in 60 s</b
              >
              {{ data.ways.second.name.toLowerCase() }} ({{ data.ways.second.drop60 }}) than
              {{ data.ways.first.name.toLowerCase() }} ({{ data.ways.first.drop60 }})<template
                v-if="data.ways.more120 !== null"
                >; in 120 s {{ Math.abs(data.ways.more120) }}
                {{ data.ways.more120 >= 0 ? 'further' : 'less' }}</template
              >. {{ data.ways.first.sets }} and {{ data.ways.second.sets }} sets<template
                v-if="data.ways.source === 'count'"
              >
                counted by hand</template
              >.
            </p>
            <Findings v-if="data.ways.findings.length" :findings="data.ways.findings" />
          </template>
          <p v-else class="quiet">Choose two different ways.</p>
        </section>
      </template>
      <p v-else class="quiet first">
        No recovery yet. Press “Effort ends now” at the moment the work stops: the lines begin
        there.
      </p>
    </template>
    <p v-else class="quiet" role="status">Loading…</p>
  </main>
</template>

<style scoped>
header,
.controls,
.deeds,
.who,
.choose,
.counts,
.counts form,
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}

nav {
  margin-left: auto;
}

.controls,
.choose {
  align-items: end;
}

.since {
  font-size: 2.6rem;
  font-weight: 750;
  line-height: 1;
}

.who button {
  font: inherit;
  min-height: 56px;
  padding: 0 14px;
  color: var(--ink);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}

.who button[aria-checked='true'] {
  border-color: var(--teal);
  background: var(--teal-wash);
}

.counts label {
  display: flex;
  gap: 8px;
  align-items: center;
}

.ways {
  display: grid;
  gap: 10px;
}

.choose > * {
  width: 220px;
}

.apart b {
  font-size: 1.3rem;
}
</style>
