<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import Dialog from 'primevue/dialog'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { singleKeys } from './keys'
import { PLACES } from './places'

/** The keys of the present screen. */
const open = defineModel<boolean>({ required: true })
const route = useRoute()

const EVERYWHERE: [string, string][] = [
  ['/', 'find a client'],
  ['?', 'this list'],
  ['u', 'undo, while the bar below offers it'],
  ['l', 'log sessions'],
  ...PLACES.map(({ name }, at): [string, string] => [String(at + 1), `go to ${name}`]),
  ['Tab', 'next field or button'],
]
const STEPS: [string, string][] = [['[ ]', 'the step before, the step after']]
const RULER: [string, string][] = [
  ['← →', 'on the ruler: move the cursor by 1 bpm'],
  ['Shift ← →', 'to the next edge of a band'],
  ['Page ↑ ↓', 'by 10 bpm'],
  ['Home End', 'to rest, to maximum'],
]
const SUM: [string, string][] = [['Enter', 'in “Check my sum”: check the figures']]
const CLOCK: [string, string][] = [['Space or Enter', 'on the clock: start or stop the count']]
const TAPS: [string, string][] = [['Space', 'when tapping: once a beat']]
const BY_PAGE: Record<string, [string, string][]> = {
  clients: [
    ['↓ ↑', 'from the search to a client and on'],
    ['Enter', 'open the client'],
  ],
  today: [['a b c …', 'the letter beside a name: open it']],
  details: [['Enter', 'in a field: save the details']],
  screening: [
    ['Space', 'on an answer: tick it'],
    ['Enter', 'save this question and go on to the next'],
    ...STEPS,
  ],
  checkin: [
    ['Enter', 'in a field: keep the check-in, or go to the recount it asks for'],
    ['Space', 'on what was told: tick it'],
    ...CLOCK,
  ],
  pulse: [
    ...CLOCK,
    ...TAPS,
    ['0–9 Enter', 'after the count: enter the beats and keep'],
    ['Enter', 'on the taps: keep what they come to'],
    ...STEPS,
  ],
  floor: [
    ['Enter', 'in the search: add the one found, or take them out'],
    ['Tab', 'to “Begin”'],
  ],
  class: [
    ['0–9 Enter', 'a number: kept, and on to the next person'],
    ['↑ ↓', 'to the person before, the person after'],
    ['Enter', 'on an empty field: leave it out and go on'],
    ...CLOCK,
  ],
  roomClock: [
    ['Space', 'start or stop'],
    ['Esc', 'back to the floor'],
  ],
  practice: [...CLOCK, ['0–9 Enter', 'what you counted'], ['Enter', 'after it: the next pulse']],
  maximum: [...STEPS, ['Enter', 'in a field: keep the value, or use the equation'], ...RULER],
  tests: [['Space', 'on what is made sure of: tick it'], ['Enter', 'begin the warm-up'], ...STEPS],
  run: [
    ['s', 'stop'],
    ['b', 'begin the next bout'],
    ['r', 'to the reading; Enter notes it'],
    ['y n', 'the question about the last bout'],
    ['f', 'finish'],
  ],
  compare: [
    ['← →', 'on the ruler: move by 1 % of reserve'],
    ['Enter', 'in a field: keep the effort'],
  ],
  bands: [...RULER, ...STEPS],
  prescription: [
    ['← → Shift', 'on an end of the bracket: move that edge by 1 %, by 5 %'],
    ...RULER,
    ...STEPS,
    ['Enter', 'in a field: save'],
  ],
  sessions: [
    ['← →', 'on the weeks: the week before, the week after'],
    ['← →', 'on a session: the one before, the one after'],
    ['Alt ← →', 'on a session: a day earlier, a day later'],
    ['Delete', 'on a session: leave it out, or take it in again'],
    ...STEPS,
  ],
  log: [
    ['Enter', 'in a line: keep it, and on to the next one'],
    ['Tab', 'to the next figure'],
    ['↑ ↓', 'the line before, the line after'],
    ['n', 'on “done”: it was not done'],
    ['Ctrl Enter', 'keep all that are ticked'],
  ],
  calendar: [
    ['← → ↑ ↓', 'on a day: to another day'],
    ['Page ↑ ↓', 'the month, week or day before, after'],
    ['m w d', 'month, week, day'],
    ['t', 'to today'],
    ['Enter', 'on a day: open it'],
  ],
  progress: [...STEPS],
  outline: [
    ['← →', 'on the strip: the step before, the step after'],
    ['↑ ↓', 'harder or easier by 5 %'],
    ['+ −', 'longer or shorter'],
    ['Alt ← →', 'earlier or later in the session'],
    ['Delete', 'take the step away'],
    ['Ctrl Z', 'take the last change back'],
    ['Enter', 'in a field: keep the outline'],
  ],
  desk: [...STEPS, ...RULER, ...CLOCK, ...TAPS, ...SUM],
  wall: [['Esc', 'back to the desk'], ...RULER],
  card: [['Ctrl P', 'print the card']],
  cards: [
    ['Enter', 'in the search: tick the one found, or untick them'],
    ['Ctrl P', 'print the sheet'],
  ],
  studio: [['Enter', 'on a scheme: open it']],
  scheme: [['Enter', 'in a field: save the scheme'], ...RULER],
  methods: [['Esc', 'in the search: show everything again']],
}
const keys = computed(() => [...(BY_PAGE[String(route.meta.keys ?? '')] ?? []), ...EVERYWHERE])
</script>

<template>
  <Dialog v-model:visible="open" modal header="Keys on this screen" :style="{ width: '26rem' }">
    <dl>
      <template v-for="[key, what] in keys" :key="key + what">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <div class="single">
      <Checkbox v-model="singleKeys" binary input-id="single-keys" />
      <label for="single-keys">Single keys act outside of fields (? always does)</label>
    </div>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 9px 16px;
  align-items: center;
}

kbd {
  font-family: var(--mono);
  font-size: 0.86rem;
  border: 1px solid var(--line);
  border-radius: 5px;
  padding: 2px 7px;
  background: var(--ground-2);
  white-space: nowrap;
}

.single {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
  margin-top: 14px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
  font-size: 0.92rem;
}

.single label {
  flex: 1;
  padding: 8px 0;
}
</style>
