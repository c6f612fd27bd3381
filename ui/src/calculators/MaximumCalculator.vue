<script setup lang="ts">
import { computed } from 'vue'
import { maximumOf, maximumWorking, type Mode } from '../api/korvel'
import EstimateTable from '../maximum/EstimateTable.vue'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import ShowWorking from '../shared/ShowWorking.vue'
import MethodLink from '../shared/MethodLink.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import { typed } from '../shared/fields'
import { ACTIVITIES, MODES, options, SEXES } from '../shared/words'
import { useAddress } from './calculators'
import CalculatorSheet from './CalculatorSheet.vue'
import { useAnswerTo } from '../shared/answer'

/** The maximum by every equation, for an age. */
const form = useAddress(
  { age: '45', rest: '64' },
  {
    sex: 'not-given',
    activity: 'some',
    mode: 'run',
    beta: '',
    heart: '',
    failure: '',
    method: '',
  },
)
const TICKS = [
  { key: 'beta', name: 'On a beta-blocker' },
  { key: 'heart', name: 'A heart condition' },
  { key: 'failure', name: 'Heart failure' },
] as const

const request = computed(() => ({
  age: typed(form.age),
  sex: form.sex,
  restingBpm: typed(form.rest),
  activity: form.activity,
  betaBlocker: form.beta === 'yes',
  heartCondition: form.heart === 'yes',
  heartFailure: form.failure === 'yes',
  mode: form.mode,
}))
const { answer, behind, refused, messages, general } = useAnswerTo(() => request.value, maximumOf)

/** The equation whose sum is shown: the one asked for, else the one by rule. */
const shown = computed(() => form.method || answer.value?.recommended || 'tanaka-208')
const inUse = computed(() =>
  answer.value?.estimates.find((row) => row.method === answer.value?.inUse),
)
const shownName = computed(
  () => answer.value?.estimates.find((row) => row.method === shown.value)?.name ?? '',
)
</script>

<template>
  <div class="stack">
    <CalculatorSheet label="Whose maximum" :behind="behind" :general="general" :refused="refused">
      <template #form>
        <div class="pair">
          <TextField v-model="form.age" label="Age" name="age" number :message="messages.age" />
          <TextField
            v-model="form.rest"
            label="Resting"
            name="rest"
            number
            hint="bpm, optional"
            :message="messages.restingBpm"
          />
        </div>
        <ChoiceField
          v-model="form.sex"
          label="Sex"
          :options="options(SEXES)"
          :message="messages.sex"
        />
        <ChoiceField
          v-model="form.activity"
          label="Activity level"
          :options="options(ACTIVITIES)"
          :message="messages.activity"
        />
        <SelectField
          v-model="form.mode"
          label="Activity"
          :options="options<string>(MODES)"
          :message="messages.mode"
        />
        <div>
          <TickField
            v-for="tick in TICKS"
            :key="tick.key"
            :model-value="form[tick.key] === 'yes'"
            :label="tick.name"
            :name="tick.key"
            @update:model-value="form[tick.key] = $event ? 'yes' : ''"
          />
        </div>
      </template>
      <template #answer>
        <template v-if="answer">
          <p v-if="inUse" class="big">
            <span class="quiet">about</span> <b class="num">{{ inUse.bpm }}</b> bpm
            <MethodLink :to="inUse.method" class="num quiet"
              >± {{ inUse.standardErrorBpm }}</MethodLink
            >
            <span class="quiet">{{ MODES[form.mode as Mode]?.toLowerCase() }}</span>
          </p>
          <p v-else class="none">None by rule.</p>
          <p v-if="answer.spread" class="quiet">
            The equations that apply say
            <span class="num">{{ answer.spread.lowestBpm }}</span> to
            <span class="num">{{ answer.spread.highestBpm }}</span>.
          </p>
          <Findings :findings="answer.findings" />
        </template>
      </template>
    </CalculatorSheet>
    <EstimateTable
      v-if="answer"
      :maximum="answer"
      :working="(method) => ({ query: { ...form, method } })"
    />
    <ShowWorking
      :title="`${shownName || 'The equation'}: the working`"
      :of="[request, shown]"
      :ask="(figures) => maximumWorking(request, shown, figures)"
    />
  </div>
</template>

<style scoped>
.none {
  font-size: 1.6rem;
  font-weight: 700;
}
</style>
