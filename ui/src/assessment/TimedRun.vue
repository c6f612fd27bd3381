<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, useTemplateRef } from 'vue'
import type { TestEvent } from '../api/korvel'
import { onClock, RPE, VOICE } from '../live/cues'
import { typed } from '../shared/fields'
import { toThePage } from '../shared/keepFocus'
import { useShortcuts } from '../shared/shortcuts'
import PassageText from '../talk/PassageText.vue'
import EndsNow from './EndsNow.vue'
import EntriesList from './EntriesList.vue'
import NextPrompts from './NextPrompts.vue'
import TestTrace from './TestTrace.vue'
import { inTime } from './prompts'
import type { TestRun } from './useTest'

/** Two minutes, a bench, the mile or the steps of talk: the clock, the next thing, the figures. */
const props = defineProps<{ run: TestRun; rate: number | null }>()
const sheet = computed(() => props.run.sheet.value!)
const state = computed(() => props.run.state.value!)
const timed = computed(() => state.value.timed!)
const phase = computed(() => timed.value.phase)
const { happen, now, until } = props.run
const kind = computed(() => sheet.value.kind)
const steps = computed(() => kind.value === 'talk-steps')
const step = computed(() => timed.value.steps.at(-1))

const time = computed(() => {
  if (phase.value === 'ready') {
    return sheet.value.workSeconds ? onClock(sheet.value.workSeconds) : '0:00'
  }
  if (phase.value === 'work') {
    const left = until(state.value.until)
    return onClock(left ?? -until(state.value.begunAt)!)
  }
  return onClock(-(until(state.value.workEndedAt) ?? 0))
})
const of = computed(() => {
  if (phase.value === 'ready') return 'to come'
  if (phase.value === 'work') {
    return steps.value
      ? `left of step ${step.value?.number ?? 1}`
      : state.value.until
        ? 'left'
        : 'so far'
  }
  return 'since the end'
})

const windows = computed(() => (kind.value === 'low-bench' ? [60] : [15, 10, 30]))
const windowSeconds = ref(15)
const window = computed(() =>
  windows.value.includes(windowSeconds.value) || windowSeconds.value === 0
    ? windowSeconds.value
    : windows.value[0]!,
)
const number = ref('')
const field = useTemplateRef<HTMLInputElement>('numberField')
function enter() {
  const value = typed(number.value)
  if (value === null) return
  if (window.value) happen('counted', { beats: value, windowSeconds: window.value })
  else happen('read-off', { bpm: value })
  number.value = ''
  toThePage()
}
const repetitions = ref('')
function enterRepetitions() {
  const value = typed(repetitions.value)
  if (value !== null) happen('repeated', { repetitions: value })
  toThePage()
}
const passageDue = computed(() =>
  inTime(state.value.prompts, now.value).some(({ what, left }) => what === 'passage' && left < 20),
)
const begin = () => phase.value === 'ready' && happen('begun')
const end = (reason: NonNullable<TestEvent['reason']>) => happen('ended', { reason })
const close = () => (timed.value.complete || phase.value === 'ready') && happen('closed')

useShortcuts({
  list: [
    ['Space', 'start'],
    ['c', 'enter a count'],
    ['1 … 5', 'voice, in a talk-step test'],
    ['d', 'end the work: the mile is walked'],
    ['s', 'save the result'],
  ],
  act: (key) => {
    if (steps.value && phase.value !== 'ready' && /^[1-5]$/.test(key)) {
      return () => happen('spoken', { voice: Number(key) })
    }
    return {
      ' ': begin,
      c: () => field.value?.focus(),
      d: () => phase.value === 'work' && end(kind.value === 'mile' ? 'done' : 'client'),
      s: close,
    }[key]
  },
})
</script>

<template>
  <div class="timed">
    <EndsNow :ends="state.ends" @end="end('rule')" />

    <section class="now" aria-label="Now">
      <div class="figure">
        <b class="num" :class="{ none: rate === null }">{{ rate ?? '–' }}</b>
        <span>bpm</span>
      </div>
      <NextPrompts
        :prompts="state.prompts"
        :now="now"
        :otherwise="phase === 'work' ? 'Keep going, steady' : 'Nothing due'"
      />
      <div class="figure right">
        <b class="num">{{ time }}</b>
        <span>{{ of }}</span>
      </div>
    </section>

    <section v-if="steps && phase === 'work' && passageDue" class="passage">
      <PassageText />
    </section>
    <div v-if="steps && phase !== 'ready'" class="voices" role="group" aria-label="Voice">
      <button
        v-for="(word, at) in VOICE"
        :key="word"
        type="button"
        @click="happen('spoken', { voice: at + 1 })"
      >
        <span class="num">{{ at + 1 }}</span> {{ word }}
      </button>
    </div>

    <section class="entry" aria-label="Enter">
      <form class="count" novalidate @submit.prevent="enter">
        <label>
          {{ window ? `Beats in ${window} s` : 'Rate' }}
          <input
            ref="numberField"
            v-model="number"
            class="floor-field"
            inputmode="numeric"
            autocomplete="off"
            name="beats"
          />
        </label>
        <div role="group" aria-label="Counted for" class="windows">
          <button
            v-for="each in windows"
            :key="each"
            type="button"
            :aria-pressed="window === each"
            @click="windowSeconds = each"
          >
            {{ each }} s
          </button>
          <button type="button" :aria-pressed="window === 0" @click="windowSeconds = 0">bpm</button>
        </div>
        <Button type="submit" label="Enter" />
      </form>
      <form
        v-if="kind === 'two-minute' && phase !== 'ready'"
        class="count"
        novalidate
        @submit.prevent="enterRepetitions"
      >
        <label>
          Repetitions
          <input
            v-model="repetitions"
            class="floor-field"
            inputmode="numeric"
            autocomplete="off"
            name="repetitions"
          />
        </label>
        <Button type="submit" label="Enter" outlined />
      </form>
    </section>

    <div v-if="phase === 'after' && !steps" class="rpe" role="group" aria-label="RPE (6–20)">
      <span>RPE <small>6–20</small></span>
      <button
        v-for="value in RPE"
        :key="value"
        type="button"
        class="num"
        :aria-pressed="timed.rpe20 === value"
        @click="happen('rated', { rpe20: value })"
      >
        {{ value }}
      </button>
    </div>

    <div class="acts">
      <template v-if="phase === 'ready'">
        <Button label="Start" size="large" class="main" @click="begin" />
        <Button label="Cancel the test" text @click="close" />
      </template>
      <template v-else-if="phase === 'work'">
        <Button
          v-if="kind === 'mile'"
          label="The mile is walked"
          size="large"
          @click="end('done')"
        />
        <Button label="They stop early" outlined @click="end('client')" />
      </template>
      <template v-else>
        <template v-if="kind.endsWith('bench')">
          <Button
            label="Pace kept"
            :outlined="timed.paceKept !== true"
            @click="happen('pace-kept', { yes: true })"
          />
          <Button
            label="Not kept"
            :outlined="timed.paceKept !== false"
            @click="happen('pace-kept', { yes: false })"
          />
        </template>
        <Button label="Save the result" class="main" :disabled="!timed.complete" @click="close" />
      </template>
    </div>

    <div class="below">
      <table>
        <tbody v-if="steps">
          <tr v-for="each in timed.steps" :key="each.number">
            <th scope="row">Step {{ each.number }}</th>
            <td class="num">{{ each.bpm ?? '–' }}</td>
            <td>{{ each.voice ? VOICE[each.voice - 1] : '–' }}</td>
          </tr>
        </tbody>
        <tbody v-else>
          <tr v-for="each in timed.readings" :key="each.name">
            <th scope="row">{{ each.name }}</th>
            <td class="num">{{ each.bpm ?? '–' }}</td>
          </tr>
          <tr v-if="timed.repetitions !== null">
            <th scope="row">Repetitions</th>
            <td class="num">{{ timed.repetitions }}</td>
          </tr>
        </tbody>
      </table>
      <div>
        <TestTrace :bpm="run.trace.value" :target="null" :cap="sheet.capBpm" />
        <EntriesList :run="run" />
      </div>
    </div>
    <ol v-if="phase === 'ready'" class="how">
      <li v-for="each in sheet.steps" :key="each">{{ each }}</li>
    </ol>
  </div>
</template>

<style scoped>
.timed {
  display: grid;
  gap: 14px;
}

.now {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.6fr) minmax(0, 1fr);
  gap: 20px;
  align-items: center;
  min-height: 160px;
}

.figure b {
  display: block;
  font-size: clamp(4rem, 8vw, 6.8rem);
  line-height: 0.95;
  letter-spacing: -0.05em;
}

.figure .none {
  color: var(--ink-quiet);
}

.figure span {
  color: var(--ink-quiet);
}

.right {
  text-align: right;
}

.entry,
.count,
.acts,
.windows {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}

.entry {
  gap: 12px 40px;
}

.count label {
  display: grid;
  gap: 2px;
  font-weight: 650;
}

.count input {
  width: 8rem;
  font-size: 1.5rem;
}

.windows,
.rpe,
.voices {
  gap: 5px;
}

.rpe,
.voices {
  display: flex;
  align-items: center;
}

.windows button,
.rpe button,
.voices button {
  font: inherit;
  min-height: 56px;
  min-width: 56px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}

.rpe button,
.voices button {
  flex: 1 1 0;
  min-width: 0;
}

.voices .num {
  color: var(--ink-quiet);
  margin-right: 4px;
}

[aria-pressed='true'] {
  background: var(--teal) !important;
  color: var(--paper) !important;
}

.acts .main {
  margin-left: auto;
}

.acts .main:first-child {
  margin-left: 0;
}

.passage {
  font-size: 1.4rem;
}

.below {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr);
  gap: 12px 32px;
  align-items: start;
}

table {
  border-collapse: collapse;
  width: 100%;
}

th,
td {
  text-align: left;
  font-weight: 400;
  padding: 6px 12px 6px 0;
  border-top: 1px solid var(--line);
}

td.num {
  font-size: 1.2rem;
}

.how {
  list-style: decimal;
  padding-left: 1.4rem;
  color: var(--ink-quiet);
}

@media (max-width: 820px) {
  .now {
    grid-template-columns: 1fr 1fr;
  }

  .now > :nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 2;
  }

  .below {
    grid-template-columns: minmax(0, 1fr);
  }

  .rpe {
    display: grid;
    grid-template-columns: repeat(5, minmax(0, 1fr));
  }

  .rpe > span {
    grid-column: 1 / -1;
  }

  .voices {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
  }
}
</style>
