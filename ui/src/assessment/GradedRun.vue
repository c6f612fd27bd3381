<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
import type { TestEvent } from '../api/korvel'
import { onClock } from '../live/cues'
import Findings from '../shared/Findings.vue'
import { typed } from '../shared/fields'
import { toThePage } from '../shared/keepFocus'
import { useShortcuts } from '../shared/shortcuts'
import EndsNow from './EndsNow.vue'
import EndWork from './EndWork.vue'
import EntriesList from './EntriesList.vue'
import NextPrompts from './NextPrompts.vue'
import PracticeAsk from './PracticeAsk.vue'
import SheetTable from './SheetTable.vue'
import TestTrace from './TestTrace.vue'
import { pressure } from './prompts'
import type { TestRun } from './useTest'

/** The sheet of a graded test: the row being measured is large, what was entered stays above. */
const props = defineProps<{ run: TestRun; rate: number | null }>()
const sheet = computed(() => props.run.sheet.value!)
const state = computed(() => props.run.state.value!)
const graded = computed(() => state.value.graded!)
const phase = computed(() => graded.value.phase)
const { happen, now, until } = props.run

const stage = computed(() => graded.value.stages.at(-1))
const POSTURES = [
  { value: 'lying', name: 'Lying' },
  { value: 'seated', name: 'Seated' },
  { value: 'standing', name: 'Standing' },
] as const
const postureName = computed(
  () => POSTURES.find(({ value }) => value === graded.value.posture)?.name ?? '',
)
/** What is going on, and how long it goes on or has lasted. */
const place = computed(() => {
  if (phase.value === 'baseline') {
    const at = graded.value.postureAt
    return {
      name: postureName.value || 'Before the work',
      work: 'baseline',
      time: at ? onClock(-until(at)!) : '–',
      of: at ? 'so far' : 'not begun',
    }
  }
  if (phase.value === 'work') {
    const left = until(state.value.until)
    return {
      name: `Stage ${stage.value?.number ?? ''}`,
      work: stage.value?.words ?? '',
      time: left === null ? '–' : onClock(left),
      of: 'left of the stage',
    }
  }
  const over = until(state.value.workEndedAt)
  return {
    name: 'Recovery',
    work: state.value.endedBecause ?? '',
    time: over === null ? '–' : onClock(-over),
    of: 'since the end',
  }
})

// What is entered: each on its own, the next one due is where the hand already is.
const bpm = ref('')
const pressed = ref('')
const rpe = ref('')
const wrong = ref('')
const cuffAt = ref<string | null>(null)
const fields = {
  rate: useTemplateRef<HTMLInputElement>('rateField'),
  pressure: useTemplateRef<HTMLInputElement>('pressureField'),
  rpe: useTemplateRef<HTMLInputElement>('rpeField'),
}
function focus(name: keyof typeof fields) {
  void nextTick(() => fields[name].value?.focus())
}
function enterRate() {
  const value = typed(bpm.value)
  if (value === null) return focus('pressure')
  happen('read-off', { bpm: value })
  bpm.value = ''
  focus('pressure')
}
function startCuff() {
  cuffAt.value = props.run.moment()
  happen('cuff-started')
  focus('pressure')
}
function enterPressure() {
  if (!pressed.value.trim()) return focus('rpe')
  const found = pressure(pressed.value)
  wrong.value = found ? '' : 'Write a pressure as 140/80.'
  if (!found) return
  happen('pressure', { ...found, cuffAt: cuffAt.value })
  cuffAt.value = null
  pressed.value = ''
  focus('rpe')
}
function enterRpe() {
  const value = typed(rpe.value)
  if (value !== null) happen('rated', { rpe20: value })
  rpe.value = ''
  toThePage()
}
function count() {
  const value = typed(bpm.value)
  if (value === null) return
  happen('counted', { beats: value, windowSeconds: 15 })
  bpm.value = ''
}

const asking = useTemplateRef<InstanceType<typeof PracticeAsk>>('asking')
/** In practice the cuff answers by itself. */
const cuff = () => (asking.value ? void asking.value.cuff() : startCuff())

const posture = (value: NonNullable<TestEvent['posture']>) => happen('posture', { posture: value })
const leavingOut = ref(false)
const because = ref('')
function leaveOut() {
  happen('left-out', { words: because.value })
  leavingOut.value = false
}
const mayBegin = computed(
  () => phase.value === 'baseline' && graded.value.notBegunBecause.length === 0,
)
const begin = () => mayBegin.value && happen('begun')
/** Asked one at a time, the first one first. */
const unasked = computed(() =>
  graded.value.stages.filter(({ asksHow, walked }) => asksHow && walked === null).slice(0, 1),
)
const ending = ref(false)
function end(reason: NonNullable<TestEvent['reason']>) {
  ending.value = false
  happen('ended', { reason })
}
/** Why it ends now: by the first of the rules that say so. */
const endsBy = computed(() => (state.value.ends[0]?.code === 'end-target' ? 'target' : 'rule'))
const told = ref(false)
const mayClose = computed(
  () =>
    phase.value === 'recovery' &&
    graded.value.notClosedBecause === null &&
    (!graded.value.clinicianFirst || told.value),
)
const close = () => mayClose.value && happen('closed', { yes: told.value })
const cancel = () => happen('closed')

useShortcuts({
  list: [
    ['r', 'enter a rate; c, as beats of 15 s'],
    ['k', 'the cuff is started'],
    ['p', 'enter a pressure: 140/80'],
    ['e', 'enter an RPE'],
    ['Enter', 'save the figure, on to the next'],
    ['b', 'begin stage 1'],
    ['l s', 'lying, standing'],
    ['n y', 'no symptoms, symptoms'],
    ['d', 'end the work'],
  ],
  act: (key) =>
    ({
      r: () => focus('rate'),
      k: cuff,
      p: () => focus('pressure'),
      e: () => focus('rpe'),
      b: begin,
      l: phase.value === 'work' ? undefined : () => posture('lying'),
      s: phase.value === 'work' ? undefined : () => posture('standing'),
      n: () => happen('symptoms', { yes: false }),
      y: () => happen('symptoms', { yes: true }),
      d: phase.value === 'work' ? () => (ending.value = true) : undefined,
    })[key],
})
const otherwise = computed(() =>
  phase.value === 'work' ? 'Nothing due: watch them, and talk' : 'Nothing due',
)
</script>

<template>
  <div class="graded">
    <EndsNow v-if="state.ends.length && phase === 'work'" :ends="state.ends" @end="end(endsBy)" />
    <section v-else-if="state.waits.length" class="wait" role="alert">
      <p v-for="each in state.waits" :key="each.code">
        <b>{{ each.message }}</b> {{ each.because }}
      </p>
    </section>

    <EndWork v-if="ending" :exhaustion="sheet.exhaustion" @end="end" @cancel="ending = false" />

    <section class="now" aria-label="Now">
      <div class="figure">
        <b class="num" :class="{ none: rate === null }">{{ rate ?? '–' }}</b>
        <span
          >bpm<template v-if="sheet.targetBpm"> · ends at {{ sheet.targetBpm }}</template></span
        >
      </div>
      <div class="place">
        <b>{{ place.name }}</b>
        <span>{{ place.work }}</span>
      </div>
      <div class="figure right">
        <b class="num">{{ place.time }}</b>
        <span>{{ place.of }}</span>
      </div>
    </section>

    <section class="entry" aria-label="Enter">
      <NextPrompts :prompts="state.prompts" :now="now" :otherwise="otherwise" />
      <div class="fields">
        <form novalidate @submit.prevent="enterRate">
          <label>
            Rate
            <input
              ref="rateField"
              v-model="bpm"
              class="floor-field"
              inputmode="numeric"
              autocomplete="off"
              name="bpm"
              @keydown.c.prevent="count"
            />
          </label>
        </form>
        <form novalidate class="wide" @submit.prevent="enterPressure">
          <label>
            Pressure
            <input
              ref="pressureField"
              v-model="pressed"
              class="floor-field"
              autocomplete="off"
              name="pressure"
              placeholder="140/80"
            />
          </label>
          <Button
            type="button"
            :label="cuffAt ? 'Cuff running' : 'Start cuff'"
            :outlined="!cuffAt"
            @click="cuff"
          />
        </form>
        <form novalidate @submit.prevent="enterRpe">
          <label>
            RPE
            <input
              ref="rpeField"
              v-model="rpe"
              class="floor-field"
              inputmode="numeric"
              autocomplete="off"
              name="rpe20"
            />
          </label>
        </form>
      </div>
      <p v-if="wrong" class="fault" role="alert">{{ wrong }}</p>
    </section>

    <PracticeAsk
      v-if="sheet.heard !== null"
      ref="asking"
      :run="run"
      :heard="sheet.heard"
      @cuff="startCuff"
    />
    <div class="acts">
      <template v-if="phase === 'baseline'">
        <Button
          v-for="{ value, name } in POSTURES"
          :key="value"
          :label="name"
          :outlined="graded.posture !== value"
          @click="posture(value)"
        />
        <Button
          v-if="graded.posture && graded.posture !== 'standing' && !leavingOut"
          label="Standing cannot be taken"
          text
          @click="leavingOut = true"
        />
        <form v-if="leavingOut" class="because" novalidate @submit.prevent="leaveOut">
          <label
            >Because
            <input v-model="because" class="floor-field" name="because" autocomplete="off" />
          </label>
          <Button type="submit" label="Skip standing" outlined />
        </form>
        <Button
          v-if="graded.posture === 'standing'"
          label="Light-headed"
          outlined
          @click="happen('symptoms', { yes: true })"
        />
        <Button label="Begin stage 1" class="main" :disabled="!mayBegin" @click="begin" />
        <Button label="Cancel the test" text @click="cancel" />
      </template>
      <template v-else-if="phase === 'work'">
        <template v-for="each in unasked" :key="each.number">
          <Button
            :label="`Stage ${each.number}: walked`"
            outlined
            @click="happen('walked', { stage: each.number, yes: true })"
          />
          <Button
            :label="`Stage ${each.number}: run`"
            outlined
            @click="happen('walked', { stage: each.number, yes: false })"
          />
        </template>
        <Button
          v-if="sheet.mode === 'run'"
          :label="graded.railHeld ? 'Rail was held' : 'Holds the rail'"
          :outlined="!graded.railHeld"
          @click="happen('rail-held', { yes: !graded.railHeld })"
        />
        <Button label="Symptoms" outlined @click="happen('symptoms', { yes: true })" />
        <Button
          v-if="!state.ends.length"
          label="End the work"
          class="main"
          @click="ending = true"
        />
      </template>
      <template v-else>
        <Button
          v-for="{ value, name } in POSTURES"
          :key="value"
          :label="name"
          :outlined="graded.posture !== value"
          @click="posture(value)"
        />
        <Button label="No symptoms" outlined @click="happen('symptoms', { yes: false })" />
        <Button label="Symptoms" outlined @click="happen('symptoms', { yes: true })" />
        <label v-if="graded.clinicianFirst" class="told">
          <input v-model="told" type="checkbox" name="told" /> A clinician was told
        </label>
        <Button label="Close the sheet" class="main" :disabled="!mayClose" @click="close" />
        <span v-if="graded.notClosedBecause" class="quiet">{{ graded.notClosedBecause }}</span>
      </template>
    </div>
    <Findings v-if="phase === 'baseline'" :findings="sheet.aim" />
    <Findings
      v-if="phase === 'baseline' && graded.posture && graded.notBegunBecause.length"
      :findings="graded.notBegunBecause"
    />

    <div class="below">
      <SheetTable :graded="graded" />
      <div class="beside">
        <TestTrace :bpm="run.trace.value" :target="sheet.targetBpm" :cap="sheet.capBpm" />
        <EntriesList :run="run" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.graded {
  display: grid;
  gap: 12px;
}

.wait {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 18px;
  border-radius: var(--radius);
  border: 2px solid var(--ochre);
}

.wait b {
  font-size: 1.2rem;
}

.now {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 20px;
  align-items: center;
}

.figure b {
  display: block;
  font-size: clamp(3.4rem, 6.6vw, 5.4rem);
  line-height: 0.95;
  letter-spacing: -0.05em;
}

.figure .none {
  color: var(--ink-quiet);
}

.figure span,
.place span {
  color: var(--ink-quiet);
}

.right {
  text-align: right;
}

.place {
  display: grid;
  justify-items: center;
  text-align: center;
}

.place b {
  font-size: clamp(1.6rem, 3vw, 2.4rem);
  line-height: 1.1;
}

.entry {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.5fr);
  gap: 10px 24px;
  align-items: end;
  padding: 10px 16px;
  background: var(--ground-2);
  border-radius: var(--radius);
}

.fields {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 2.2fr) minmax(0, 1fr);
  gap: 12px;
}

.fields form {
  display: flex;
  gap: 8px;
  align-items: end;
}

.fields label {
  display: grid;
  gap: 2px;
  flex: 1;
  min-width: 0;
  font-weight: 650;
}

.fields input {
  width: 100%;
  font-size: 1.5rem;
}

.fields :deep(.p-button) {
  flex: none;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: center;
}

.acts .main {
  margin-left: auto;
}

.because {
  display: flex;
  gap: 8px;
  align-items: end;
}

.because label {
  display: grid;
}

.told {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 56px;
}

.told input {
  width: 24px;
  height: 24px;
}

.below {
  display: grid;
  grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 10px 28px;
  align-items: start;
}

@media (max-width: 900px) {
  .below,
  .entry {
    grid-template-columns: minmax(0, 1fr);
  }

  .now {
    grid-template-columns: 1fr 1fr;
    gap: 4px 12px;
  }

  .place {
    grid-column: 1 / -1;
    grid-row: 2;
    justify-items: start;
    text-align: left;
  }
}

@media (max-width: 520px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }

  .fields .wide {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
