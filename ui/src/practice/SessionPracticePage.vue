<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref, shallowRef, watch } from 'vue'
import {
  outlines,
  practiceTroubles,
  practiseSession,
  type NamedOutline,
  type PracticeTrouble,
} from '../api/korvel'
import SpanFields from '../calculators/SpanFields.vue'
import ForecastPicture from '../forecast/ForecastPicture.vue'
import ForeseenAndWas from '../forecast/ForeseenAndWas.vue'
import { CUES, onClock, VOICE } from '../live/cues'
import { TRAINED } from '../forecast/trained'
import LiveFigures from '../live/LiveFigures.vue'
import { draftOf, requestOf } from '../outline/outlineDraft'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import SelectField from '../shared/SelectField.vue'
import TickField from '../shared/TickField.vue'
import { useAnswerTo } from '../shared/answer'
import { typed } from '../shared/fields'
import { useShortcuts } from '../shared/shortcuts'
import { SPEED, usePlayed } from './usePlayed'

/** An outline tried on somebody made up, a minute a second: nothing of it is kept. */
const library = shallowRef<NamedOutline[]>([])
const troubles = shallowRef<{ value: PracticeTrouble; name: string }[]>([])
onMounted(async () => {
  const [made, known] = await Promise.all([outlines(), practiceTroubles()])
  library.value = made.outlines
  troubles.value = known.troubles.map(({ trouble, name }) => ({ value: trouble, name }))
})
const form = reactive({
  outline: 'two-and-two',
  rest: '64',
  max: '176',
  trained: false,
  medicine: false,
  trouble: 'none' as PracticeTrouble,
})
const names = computed(() => library.value.map(({ id, name }) => ({ value: id, name })))
const chosen = computed(() => library.value.find(({ id }) => id === form.outline))
const { answer, behind, refused, messages, general } = useAnswerTo(
  () =>
    chosen.value
      ? {
          outline: requestOf(draftOf(chosen.value.outline)),
          who: {
            restingBpm: typed(form.rest),
            maximumBpm: typed(form.max),
            trained: form.trained,
            medicine: form.medicine,
            trouble: form.trouble,
            seed: null,
          },
        }
      : null,
  ({ who, outline }) => practiseSession(who, outline),
)

const { at, playing, over, play, pause, rewind } = usePlayed(() => answer.value?.bpm.length ?? 0)
watch(answer, rewind)
const toggle = () => (playing.value ? pause() : play())
useShortcuts({
  list: [
    ['Space', 'play, pause'],
    ['r', 'from the start'],
  ],
  act: { ' ': toggle, r: rewind },
})

const rate = computed(() => (at.value ? answer.value?.bpm[at.value - 1] || null : null))
const step = computed(
  () =>
    answer.value?.steps.find(({ toSecond }) => at.value < toSecond) ??
    answer.value?.steps.at(-1) ??
    null,
)
const waiting = computed(() => step.value !== null && at.value < step.value.clockSecond)
/** A cue stands for a minute, as one is not said again sooner. */
const cue = computed(() => {
  const given = answer.value?.cues.filter(({ second }) => second <= at.value).at(-1)
  return given && at.value - given.second < 60
    ? { kind: given.cue, ...CUES[given.cue], because: given.because }
    : null
})
const why = ref(false)
const said = computed(() => answer.value?.said.filter(({ second }) => second <= at.value).at(-1))
</script>

<template>
  <div class="stack">
    <p class="small"><RouterLink to="/practice">Practice</RouterLink> › a whole session</p>
    <h1>A session to try</h1>
    <div class="columns">
      <form class="sheet stack" novalidate aria-label="Who does what" @submit.prevent="play">
        <SelectField v-model="form.outline" label="Outline" :options="names" />
        <SpanFields v-model:rest="form.rest" v-model:max="form.max" :messages="messages" />
        <ChoiceField v-model="form.trained" label="They are" :options="TRAINED" />
        <TickField
          v-model="form.medicine"
          name="medicine"
          label="On rate-lowering medication: the heart stays 30 bpm under that maximum"
        />
        <SelectField v-model="form.trouble" label="The strap" :options="troubles" />
        <div class="ways">
          <Button
            type="button"
            :label="playing ? 'Pause' : over ? 'Play again' : at ? 'Go on' : `Play at ${SPEED}×`"
            :disabled="!answer || behind"
            @click="toggle"
          />
          <Button type="button" label="From the start" outlined :disabled="!at" @click="rewind" />
        </div>
        <p v-if="general && !refused.length" class="fault" role="alert">{{ general }}</p>
        <Findings :findings="refused" />
      </form>

      <section class="sheet stack" aria-label="The session">
        <template v-if="answer && step">
          <LiveFigures
            :rate="rate"
            note=""
            :cue="cue"
            :otherwise="
              at === 0 ? 'Ready' : over ? 'Done' : waiting ? 'Up to the target' : step.name
            "
            :time="onClock(waiting ? step.clockSecond - at : step.toSecond - at)"
            :of="waiting ? 'until its timer starts' : `left: ${step.name.toLowerCase()}`"
            by-rate
            class="figures"
            @why="why = !why"
          />
          <p v-if="why && cue" class="small">{{ cue.because.message }} {{ cue.because.because }}</p>
          <p class="said">
            <template v-if="step.lowBpm !== null"
              >Target <b class="num">{{ step.lowBpm }}–{{ step.highBpm }}</b> bpm ·
            </template>
            <template v-if="said"
              >They say
              <b
                >RPE <span class="num">{{ said.rpe20 }}</span></b
              >, {{ VOICE[said.voice - 1] }}</template
            >
            <template v-else>Nothing said yet</template>
          </p>
          <ForeseenAndWas
            v-if="over"
            :ahead="{ forecast: answer.came, review: answer.review }"
            :trace="answer.bpm"
          />
          <ForecastPicture
            v-else
            :forecast="answer.came"
            :record="answer.bpm"
            :until="at"
            :tall="260"
            label="The session, and its forecast"
          />
        </template>
        <p v-else-if="!refused.length && !general" class="quiet" role="status">Loading…</p>
        <p v-else class="quiet">Nothing to play: see what is asked for.</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(17rem, 22rem) minmax(0, 1fr);
  gap: 18px;
  align-items: start;
}

.columns :deep(.pair) {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.figures :deep(b) {
  font-size: clamp(2rem, 4.4vw, 3.6rem);
}

.said {
  font-size: 1.08rem;
  min-height: 1.6em;
}

.columns :deep(.p-select) {
  width: 100%;
}

@media (max-width: 820px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
