<script setup lang="ts">
import { computed } from 'vue'
import type { TestStart } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import ReaderChoices from './ReaderChoices.vue'
import type { Choices } from './choices'

/** How a graded test is done: protocol, where it ends, who supervises, and the one question. */
const props = defineProps<{
  start: TestStart
  needsOrder: boolean
  messages: Record<string, string>
}>()
const chosen = defineModel<Choices>({ required: true })
const protocol = computed(() =>
  props.start.protocols.find(({ id }) => id === chosen.value.protocol),
)
const targets = computed(
  () => props.start.targets.find(({ mode }) => mode === protocol.value?.mode)?.targets ?? [],
)
const OF = { reserve: '% of reserve', maximum: '% of maximum', rate: 'bpm' } as const
const aims = computed(() =>
  targets.value.length
    ? [
        ...targets.value.map(({ kind, value, bpm }) => ({
          value: `${kind} ${value}`,
          name: `${value} ${OF[kind]}: ${bpm}`,
        })),
        { value: 'rate', name: 'A set rate' },
        { value: 'exhaustion', name: 'As far as they can go' },
      ]
    : [
        { value: 'none', name: 'By RPE' },
        { value: 'exhaustion', name: 'As far as they can go' },
      ],
)
const POSTURES = [
  { value: 'lying', name: 'Lying' },
  { value: 'seated', name: 'Seated' },
  { value: 'moving', name: 'Walking on' },
]
</script>

<template>
  <div class="pair">
    <SelectField
      v-model="chosen.protocol"
      label="Protocol"
      :options="start.protocols.map((each) => ({ value: each.id, name: each.name }))"
    />
    <TextField
      v-model="chosen.supervisor"
      label="Supervised by"
      name="supervisor"
      hint="the qualified person, by name"
      :message="messages.supervisor"
    />
  </div>
  <p v-if="protocol" class="quiet small">
    {{ protocol.stages.length }} stages:
    {{
      protocol.stages
        .slice(0, 3)
        .map(({ words }) => words)
        .join('; ')
    }}
    …
    <template v-if="start.capBpm"> The written cap is {{ start.capBpm }} bpm.</template>
  </p>
  <p v-if="messages.protocol" class="fault" role="alert">{{ messages.protocol }}</p>
  <ChoiceField
    v-model="chosen.aim"
    label="It ends at"
    :options="aims"
    :message="messages.target ?? messages['target.value']"
  />
  <TextField
    v-if="chosen.aim === 'rate'"
    v-model="chosen.rate"
    label="The set rate"
    name="rate"
    number
    hint="bpm, never over a cap"
  />
  <ChoiceField v-model="chosen.recovery" label="They recover" :options="POSTURES" />
  <template v-if="needsOrder">
    <TickField
      v-model="chosen.ordered"
      label="A clinician has ordered this test in writing"
      name="ordered"
    />
    <div v-if="chosen.ordered" class="pair">
      <TextField
        v-model="chosen.issuer"
        label="Ordered by"
        name="issuer"
        :message="messages['order.issuer']"
      />
      <TextField
        v-model="chosen.issuedOn"
        label="On"
        name="issuedOn"
        type="date"
        :message="messages['order.issuedOn']"
      />
      <TextField
        v-model="chosen.rpeEnds"
        label="RPE that ends it"
        name="rpeEnds"
        number
        hint="if the order says one"
        :message="messages['order.rpeEnds']"
      />
    </div>
  </template>
  <fieldset>
    <legend>None of these today?</legend>
    <p>{{ start.exclusions.join('; ') }}.</p>
    <TickField
      v-model="chosen.noneOfThese"
      label="Asked: none of these. Any of them forbids the test"
      name="noneOfThese"
    />
    <p v-if="messages.noneOfThese" class="fault" role="alert">{{ messages.noneOfThese }}</p>
  </fieldset>
  <ReaderChoices v-model="chosen" :start="start" :messages="messages" />
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px 24px;
}
</style>
