<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, onMounted, onScopeDispose, ref } from 'vue'
import type { Lane, LiveEvent, RoomPerson } from '../api/korvel'
import { VOICE } from '../live/cues'
import { clock } from '../shared/clock'
import { useShortcuts } from '../shared/shortcuts'
import PassageText from '../talk/PassageText.vue'
import { lettersOf, typedAnswer, type Asked } from './letters'

/** Something asked of the whole room: the answers go in as they are called out. */
const props = defineProps<{
  asked: Asked
  people: RoomPerson[]
  lanes: Map<string, Lane>
  /** The time of the room. */
  now: number
  happen: (session: string, what: Omit<LiveEvent, 'at'>) => string
}>()
const emit = defineEmits<{ close: []; undo: [session: string] }>()

const TITLES: Record<Asked, string> = {
  talk: 'Talk check',
  rpe: 'RPE of the room (6–20)',
  count: 'Everyone counts for 15 s',
}
const SECONDS = 15
/** When the passage was begun: the rate is taken from before it. */
const begun = new Date(Math.floor(props.now)).toISOString()
/** What was answered, in the order in which it came. */
const answers = ref(new Map<string, number>())
const order = ref<string[]>([])
const typed = ref('')
const here = computed(() =>
  props.people.filter(({ session }) =>
    ['running', 'paused', 'complete'].includes(props.lanes.get(session)?.phase ?? ''),
  ),
)
const missing = computed(() => here.value.filter(({ session }) => !answers.value.has(session)))

function enter(session: string, value: number) {
  answers.value.set(session, value)
  order.value.push(session)
  if (props.asked === 'talk') props.happen(session, { kind: 'rated', voice: value, from: begun })
  else if (props.asked === 'rpe') props.happen(session, { kind: 'rated', rpe20: value })
  else props.happen(session, { kind: 'counted', beats: value, windowSeconds: SECONDS })
}
function undo() {
  const last = order.value.pop()
  if (!last) return
  answers.value.delete(last)
  emit('undo', last)
}

/** The count of 15 s: nothing else is timed. */
const left = ref<number | null>(null)
let until = 0
const stop = clock.every(200, () => {
  if (left.value === null) return
  left.value = Math.max(0, Math.ceil((until - clock.now()) / 1000))
})
onScopeDispose(stop)
function count() {
  until = clock.now() + 1000 * SECONDS
  left.value = SECONDS
}

function press(key: string) {
  const { typed: rest, entry } = typedAnswer(props.asked, props.people.length, typed.value, key)
  typed.value = rest
  const person = props.people.find(({ place }) => place === entry?.place)
  if (entry && person && here.value.includes(person)) enter(person.session, entry.value)
}
const box = ref<HTMLElement | null>(null)
onMounted(() => nextTick(() => box.value?.focus()))
useShortcuts({
  list: [
    ['letter, number', 'an answer, as it is called out'],
    ['Ctrl+z', 'undo the last answer'],
    ['Esc', 'back to the board'],
  ],
  act: (key) => {
    if (key === 'Escape') return () => emit('close')
    if (key === 'Ctrl+z') return undo
    return /^[a-z0-9]$|^(Enter|Backspace)$/.test(key) ? () => press(key) : undefined
  },
})
const own = ref(new Map<string, string>())
function enterOwn(session: string) {
  const value = Number(own.value.get(session))
  if (value > 0) enter(session, value)
  own.value.delete(session)
}
</script>

<template>
  <section ref="box" class="ask" tabindex="-1" :aria-label="TITLES[asked]">
    <header>
      <div>
        <h2>{{ TITLES[asked] }}</h2>
        <p class="quiet">
          <template v-if="asked === 'talk'"
            >Keep the pace and say this aloud together, then call out: 1 could sing, 2 whole
            sentences, 3 phrases, 4 a word or two, 5 not at all.</template
          ><template v-else-if="asked === 'rpe'"
            >How hard is it now? 6 is nothing, 13 somewhat hard, 20 all there is.</template
          ><template v-else
            >Find your pulse. Start the 15 s, then call out the beats; a count that agrees with a
            strap confirms it.</template
          >
        </p>
      </div>
      <p v-if="typed" class="typed num" aria-live="polite">{{ typed }}</p>
      <Button
        v-if="asked === 'count'"
        :label="left === null ? 'Start 15 s' : left ? `${left} s` : 'Again'"
        size="large"
        @click="count"
      />
      <Button v-if="order.length" label="Undo" text @click="undo" />
      <Button label="Done" size="large" @click="emit('close')" />
    </header>
    <PassageText v-if="asked === 'talk'" large />
    <p role="status" class="quiet">
      {{ answers.size }} of {{ here.length }} answered<template
        v-if="missing.length && missing.length <= 6"
      >
        · still to ask: {{ missing.map(({ name }) => name).join(', ') }}</template
      >
    </p>
    <ol>
      <li
        v-for="person in here"
        :key="person.session"
        :class="{ done: answers.has(person.session) }"
      >
        <kbd>{{ lettersOf(person.place, people.length) }}</kbd>
        <span class="name">{{ person.name }}</span>
        <div v-if="asked === 'talk'" role="group" :aria-label="`Voice of ${person.name}`">
          <button
            v-for="(word, at) in VOICE"
            :key="word"
            type="button"
            :aria-pressed="answers.get(person.session) === at + 1"
            @click="enter(person.session, at + 1)"
          >
            {{ word }}
          </button>
        </div>
        <form v-else @submit.prevent="enterOwn(person.session)">
          <input
            :value="own.get(person.session) ?? answers.get(person.session) ?? ''"
            class="floor-field"
            inputmode="numeric"
            autocomplete="off"
            :aria-label="`${asked === 'rpe' ? 'RPE' : 'Beats'} of ${person.name}`"
            @input="(event) => own.set(person.session, (event.target as HTMLInputElement).value)"
            @change="enterOwn(person.session)"
          />
        </form>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.ask {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: center;
}

header > div {
  flex: 1 1 320px;
}

.typed {
  font-size: 2.2rem;
  font-weight: 750;
  min-width: 3ch;
}

ol {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 500px), 1fr));
  gap: 2px 24px;
  overflow: auto;
}

li {
  display: grid;
  grid-template-columns: 1.9em minmax(0, 1fr) minmax(0, 300px);
  gap: 10px;
  align-items: center;
  min-height: 56px;
  border-top: 1px solid var(--line);
}

li.done .name {
  color: var(--ink-quiet);
}

kbd {
  font-family: inherit;
  border: 1px solid var(--line);
  border-radius: 4px;
  text-align: center;
}

.name {
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}

li [role='group'] {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: 4px;
}

li button {
  font: inherit;
  font-size: 0.9rem;
  min-height: 48px;
  padding: 0;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 6px;
}

li button[aria-pressed='true'] {
  background: var(--teal);
  color: var(--paper);
  font-weight: 750;
}

@media (max-width: 600px) {
  li {
    grid-template-columns: 1.9em minmax(0, 1fr);
    padding: 6px 0;
  }

  li > :last-child {
    grid-column: 1 / -1;
  }
}
</style>
