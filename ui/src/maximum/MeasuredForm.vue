<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref } from 'vue'
import { asProblem } from '../api/http'
import {
  correctMeasured,
  keepMeasured,
  peakOf,
  previewMeasured,
  type MaximumKind,
  type MaximumSheet,
  type MeasuredMaximum,
} from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import Field from '../shared/Field.vue'
import Findings from '../shared/Findings.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import WhatMoves from '../shared/WhatMoves.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { GRADES, MAXIMUM_STATES, MODES, options } from '../shared/words'
import { useSave } from '../shared/save'
import { useAnswerTo } from '../shared/answer'

/** Measured maximum: how, when, and what it would change, before it is saved. */
const props = defineProps<{
  client: string
  sheet: MaximumSheet
  today: string
  /** The one that is corrected; none for a new one. */
  correcting: MeasuredMaximum | null
}>()
const emit = defineEmits<{ kept: [id: string, bpm: string]; leave: [] }>()

const from = props.correcting
const entry = reactive({
  kind: (from?.kind ?? 'peak') as MaximumKind,
  mode: from?.mode ?? props.sheet.mode,
  bpm: from ? String(from.bpm) : '',
  measuredOn: from?.measuredOn ?? props.today,
  grade: (from?.grade ?? 'good') as string,
  protocol: from?.protocol ?? '',
  note: from?.note ?? '',
})
const kind = computed(() => props.sheet.kinds.find((each) => each.kind === entry.kind)!)
const kinds = computed(() =>
  props.sheet.kinds.map((each) => ({ value: each.kind as string, name: each.name })),
)
const grades = Object.entries(GRADES).map(([value, name]) => ({ value, name }))

const request = computed(() => ({
  kind: entry.kind,
  mode: entry.mode,
  bpm: typed(entry.bpm),
  measuredOn: entry.measuredOn || null,
  grade: kind.value.graded ? entry.grade : null,
  protocol: kind.value.graded ? entry.protocol : '',
  note: entry.note,
}))

const form = useFieldMessages()
const { messages, general } = form
const { answer: preview } = useAnswerTo(
  () => (entry.bpm.trim() ? request.value : null),
  (value) => previewMeasured(props.client, value, from?.id),
  { form, stands: false },
)

const moves = computed(
  () =>
    preview.value?.before &&
    preview.value.after &&
    (preview.value.before.maximumBpm !== preview.value.after.maximumBpm ||
      preview.value.before.maximumStandardErrorBpm !== preview.value.after.maximumStandardErrorBpm),
)

// The peak of a recording is found by the server, and laid out in the form.
const recorded = ref<Awaited<ReturnType<typeof peakOf>> | null>(null)
const unread = ref('')
async function readFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  recorded.value = null
  unread.value = ''
  try {
    const peak = await peakOf(await file.text())
    recorded.value = peak
    if (peak.bpm !== null) entry.bpm = String(peak.bpm)
    entry.note ||= file.name.slice(0, 200)
  } catch (thrown) {
    const failure = asProblem(thrown)
    const fault = failure.errors[0]
    unread.value = fault
      ? `${file.name}: ${fault.message}. Accepted: ${fault.accepted}.`
      : failure.message
  }
  input.value = ''
}

const first = ref<InstanceType<typeof TextField> | null>(null)
const panel = ref<HTMLElement | null>(null)
onMounted(() => {
  panel.value?.scrollIntoView({ block: 'start' })
  first.value?.focus()
})
const { save: keep, saving } = useSave(
  () =>
    from
      ? correctMeasured(props.client, from.id, request.value)
      : keepMeasured(props.client, request.value),
  { form, saved: ({ id }) => emit('kept', id, entry.bpm), wrong: () => first.value?.focus() },
)
</script>

<template>
  <section
    ref="panel"
    class="sheet stack"
    :aria-label="from ? 'Edit a maximum' : 'A measured value'"
  >
    <h2>{{ from ? `Edit the ${from.bpm}` : 'Measured maximum' }}</h2>
    <form novalidate @submit.prevent="keep">
      <div class="fields">
        <TextField
          ref="first"
          v-model="entry.bpm"
          label="Highest rate"
          name="bpm"
          number
          hint="bpm"
          :message="messages.bpm"
        />
        <TextField
          v-model="entry.measuredOn"
          label="On"
          name="measuredOn"
          type="date"
          :message="messages.measuredOn"
        />
        <SelectField
          v-model="entry.mode"
          label="Activity"
          :options="options(MODES)"
          :message="messages.mode"
        />
      </div>
      <ChoiceField
        v-model="entry.kind"
        label="How it was measured"
        :options="kinds"
        :hint="kind.meaning"
        :message="messages.kind"
      />
      <div v-if="kind.graded" class="fields">
        <ChoiceField
          v-model="entry.grade"
          label="Grade"
          :options="grades"
          :hint="`Good: ${kind.whenGood}. Fair: one condition not met. Poor: several, or stopped early.`"
          :message="messages.grade"
        />
        <TextField
          v-model="entry.protocol"
          label="Which test"
          name="protocol"
          hint="Optional"
          :message="messages.protocol"
        />
      </div>
      <Field
        v-else
        v-slot="field"
        label="From a recording"
        hint="CSV: seconds,bpm or seconds,bpm,steps. Spikes are ignored; the peak goes into the field above."
        :message="unread || undefined"
      >
        <input
          :id="field.id"
          class="file"
          type="file"
          accept=".csv,text/csv"
          :aria-describedby="field.describedBy"
          @change="readFile"
        />
      </Field>
      <div v-if="recorded" class="stack" role="status">
        <p v-if="recorded.bpm !== null">
          <b class="num">{{ recorded.bpm }}</b> held at second
          <span class="num">{{ recorded.atSecond }}</span><template v-if="recorded.setAside.length"
            >; set aside:
            {{
              recorded.setAside
                .map((each) => `${each.fromSecond}–${each.toSecond} s, ${each.why}`)
                .join('; ')
            }}</template
          >.
        </p>
        <Findings :findings="recorded.findings" />
      </div>
      <TextField
        v-model="entry.note"
        label="Note"
        name="note"
        :hint="kind.graded ? 'Where, and who supervised' : 'Read from: watch, strap, count'"
        :message="messages.note"
      />
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
      <div v-if="preview" class="stack" role="status">
        <p>
          <b
            >{{ MAXIMUM_STATES[preview.judged.state].mark }}
            {{ MAXIMUM_STATES[preview.judged.state].name }},
            <span class="num">± {{ preview.judged.standardErrorBpm }}</span></b
          >
          {{ preview.judged.reason }}
          <template v-if="!moves">Nothing changes.</template>
          <template v-else
            >The prescription does not change; Korvel suggests reviewing it.</template
          >
        </p>
        <WhatMoves
          v-if="moves && preview.before && preview.after"
          :before="preview.before"
          :after="preview.after"
          :aim="preview.aim"
          :cap-bpm="sheet.capBpm"
          :labels="['Now', 'With it']"
        />
      </div>
      <div class="ways">
        <Button type="submit" label="Save" :loading="saving" />
        <Button label="Cancel" outlined @click="emit('leave')" />
      </div>
    </form>
  </section>
</template>

<style scoped>
section {
  border: 2px solid var(--teal);
}

form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 14px 20px;
}

.file {
  font: inherit;
  min-height: var(--touch);
  padding: 8px 0;
  max-width: 100%;
}
</style>
