<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, ref } from 'vue'
import { correctLog, keepLogs, type SessionLog, type StopSign } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import TickList from '../shared/TickList.vue'
import { MODES, options, VOICES } from '../shared/words'
import { AS_PLANNED, draftOf, freshLog, NO_VOICE, requestOf, type LogOf } from './logDraft'
import { useSave } from '../shared/save'

/** One session as it was done: logged, or a log corrected. */
const props = defineProps<{
  of: LogOf
  /** A log that is corrected. */
  instead?: SessionLog | undefined
  signs: StopSign[]
}>()
const emit = defineEmits<{ kept: [log: SessionLog]; close: [] }>()

const draft = ref(props.instead ? draftOf(props.instead) : freshLog(props.of))
const effort = ref<{ focus: () => void } | null>(null)
onMounted(() => effort.value?.focus())

const {
  save: keep,
  saving: keeping,
  messages,
  general,
} = useSave(
  async () => {
    const request = requestOf(props.of, draft.value)
    return props.instead
      ? correctLog(props.of.clientId, props.instead.id, request)
      : (await keepLogs([request])).logs[0]!
  },
  { saved: (log) => emit('kept', log) },
)
const voices = [{ value: NO_VOICE, name: 'not tried' }, ...options(VOICES)]
const signOptions = props.signs.map(({ id, words }) => ({ id, name: words }))
</script>

<template>
  <form class="stack log" novalidate aria-label="Log of the session" @submit.prevent="keep">
    <div class="fields">
      <ChoiceField
        v-model="draft.done"
        label="It was"
        :options="[
          { value: true, name: 'Done' },
          { value: false, name: 'Not done' },
        ]"
      />
      <TextField v-model="draft.on" label="Day" name="on" type="date" :message="messages.on" />
      <SelectField
        v-if="of.number === null"
        v-model="draft.mode"
        label="Activity"
        :options="[{ value: AS_PLANNED, name: 'As prescribed' }, ...options(MODES)]"
      />
      <template v-if="draft.done">
        <TextField
          ref="effort"
          v-model="draft.rpe"
          label="RPE"
          name="rpe"
          number
          hint="6–20"
          :message="messages.rpe"
        />
        <TextField
          v-model="draft.minutes"
          label="Minutes of work"
          name="minutes"
          number
          :message="messages.minutes"
        />
        <TextField
          v-model="draft.bpm"
          label="Heart rate"
          name="bpm"
          number
          hint="bpm"
          :message="messages.bpm"
        />
        <ChoiceField
          v-model="draft.rateKind"
          label="Measured as"
          :options="[
            { value: 'counted', name: 'Counted' },
            { value: 'average', name: 'Average' },
          ]"
        />
        <SelectField v-model="draft.voice" label="Voice" :options="voices" />
      </template>
      <TextField v-model="draft.note" label="Note" name="note" :message="messages.note" />
    </div>
    <details :open="draft.warnings.length > 0">
      <summary>Any warning?</summary>
      <div class="signs">
        <TickList v-model="draft.warnings" :options="signOptions" />
      </div>
    </details>
    <p
      v-if="draft.warnings.some((each) => signs.find(({ id }) => id === each)?.symptom)"
      class="fault"
    >
      A stop sign is a symptom: what was issued is suspended until a doctor has cleared it.
    </p>
    <p v-if="general || messages.number" class="fault" role="alert">
      {{ general || messages.number }}
    </p>
    <div class="ways">
      <Button type="submit" :label="instead ? 'Save changes' : 'Save the log'" :loading="keeping" />
      <Button label="Close" text @click="emit('close')" />
    </div>
  </form>
</template>

<style scoped>
.log {
  border: 1px solid var(--teal);
  border-radius: 8px;
  padding: 14px 16px;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11.5rem, 1fr));
  gap: 12px 14px;
  align-items: start;
}

.fields :deep(input) {
  width: 100%;
}

.signs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(16rem, 1fr));
  gap: 0 16px;
}

summary {
  cursor: pointer;
  min-height: var(--touch);
  display: flex;
  align-items: center;
  color: var(--teal-deep);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
