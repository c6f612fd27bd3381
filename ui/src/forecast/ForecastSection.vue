<script setup lang="ts">
import { ref } from 'vue'
import {
  clientForecast,
  outlineForecast,
  type Mode,
  type OutlineRequest,
  type Remedy,
  type Typed,
} from '../api/korvel'
import Choices from '../shared/Choices.vue'
import { useAnswerTo } from '../shared/answer'
import OutlineForecast from './OutlineForecast.vue'
import { TRAINED } from './trained'

/** The forecast of an outline while it is edited: for a client, or for nobody in percent. */
const props = withDefaults(
  defineProps<{
    /** Null for nobody in particular. */
    client: string | null
    whose: string
    mode?: Mode
    /** Null where there is nothing to ask yet. */
    outline: Typed<OutlineRequest> | null
    /** What stands before the length on the button of a suggestion. */
    does?: string
    /** Whether what is asked is older than what is typed. */
    behind?: boolean
  }>(),
  { mode: 'run', does: 'Make it', behind: false },
)
const emit = defineEmits<{ mend: [remedy: Remedy] }>()

/** Somebody whose rates stand for anybody's: what is shown of them is in percent of reserve. */
const ANYBODY = { restingBpm: 60, maximumBpm: 180 }
const trained = ref(false)
const ahead = useAnswerTo(
  () =>
    props.outline
      ? { who: props.client, mode: props.mode, trained: trained.value, outline: props.outline }
      : null,
  async ({ who, mode, trained: active, outline }) =>
    who === null
      ? { forecast: await outlineForecast({ ...ANYBODY, trained: active }, outline), because: '' }
      : clientForecast(who, mode, outline),
)
</script>

<template>
  <section class="stack" aria-labelledby="ahead-title">
    <div class="head">
      <h2 id="ahead-title">Heart rate forecast</h2>
      <Choices
        v-if="client === null"
        v-model="trained"
        aria-label="Drawn for somebody"
        :options="TRAINED"
      />
    </div>
    <OutlineForecast
      v-if="ahead.answer.value?.forecast"
      :forecast="ahead.answer.value.forecast"
      :whose="whose"
      :in-percent="client === null"
      :behind="behind || ahead.behind.value"
      :does="does"
      @mend="emit('mend', $event)"
    />
    <p v-else-if="ahead.answer.value" class="quiet">
      No forecast for {{ whose }}: {{ ahead.answer.value.because }}
    </p>
    <p v-else-if="ahead.messages.value.steps" class="quiet">
      No forecast: {{ ahead.messages.value.steps }}
    </p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 24px;
  justify-content: space-between;
  align-items: end;
}
</style>
