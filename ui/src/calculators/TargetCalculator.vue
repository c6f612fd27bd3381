<script setup lang="ts">
import { computed } from 'vue'
import { targetOf, targetWorking, zonesOf } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import ShowWorking from '../shared/ShowWorking.vue'
import MethodLink from '../shared/MethodLink.vue'
import Ruler from '../shared/ruler/Ruler.vue'
import TextField from '../shared/TextField.vue'
import { typed } from '../shared/fields'
import { BASES, span } from '../shared/words'
import { useAddress } from './calculators'
import CalculatorSheet from './CalculatorSheet.vue'
import SpanFields from './SpanFields.vue'
import ThresholdFields from './ThresholdFields.vue'
import { useAnswerTo } from '../shared/answer'

/** One range to work in: in bpm, in beats to count, on the ruler. */
const form = useAddress(
  { rest: '64', max: '176', low: '50', high: '70', cap: '', lower: '', upper: '' },
  { basis: 'reserve' },
)
const request = computed(() => ({
  restingBpm: typed(form.rest),
  maximumBpm: typed(form.max),
  basis: form.basis,
  low: typed(form.low),
  high: typed(form.high),
  capBpm: typed(form.cap),
  lowerThresholdBpm: typed(form.lower),
  upperThresholdBpm: typed(form.upper),
}))
const { answer, behind, refused, messages, general } = useAnswerTo(() => request.value, targetOf)
const zones = useAnswerTo(
  () => ({
    restingBpm: typed(form.rest),
    maximumBpm: typed(form.max),
    scheme: 'voice-ladder',
    capBpm: typed(form.cap),
  }),
  zonesOf,
)
const bases = (['reserve', 'maximum', 'resting', 'threshold'] as const).map((value) => ({
  value,
  name: BASES[value].name,
}))
const basis = computed(() => BASES[form.basis as keyof typeof BASES] ?? BASES.reserve)
</script>

<template>
  <CalculatorSheet label="A target" :behind="behind" :general="general" :refused="refused">
    <template #form>
      <SpanFields
        v-model:rest="form.rest"
        v-model:max="form.max"
        v-model:cap="form.cap"
        :messages="messages"
      />
      <ChoiceField
        v-model="form.basis"
        label="Counted in"
        :options="bases"
        :message="messages.basis"
      />
      <ThresholdFields
        v-if="form.basis === 'threshold'"
        v-model:lower="form.lower"
        v-model:upper="form.upper"
        :messages="messages"
      />
      <div class="pair">
        <TextField
          v-model="form.low"
          label="From"
          name="low"
          number
          :hint="basis.unit"
          :message="messages.low"
        />
        <TextField
          v-model="form.high"
          label="To"
          name="high"
          number
          :hint="basis.unit"
          :message="messages.high"
        />
      </div>
    </template>
    <template #answer>
      <template v-if="answer">
        <p class="big">
          <b class="num">{{ span([answer.lowBpm, answer.highBpm]) }}</b>
          <MethodLink :to="basis.method">bpm</MethodLink>
        </p>
        <dl class="counts">
          <div v-for="seconds in ['6', '10', '15', '30']" :key="seconds">
            <dt>
              <MethodLink to="count-card">beats in {{ seconds }} s</MethodLink>
            </dt>
            <dd class="num">{{ span(answer.counts[seconds]) }}</dd>
          </div>
        </dl>
        <Findings :findings="answer.findings" />
      </template>
    </template>
    <section v-if="zones.answer.value && answer" class="sheet" aria-label="The target on the ruler">
      <Ruler :rows="[{ zones: zones.answer.value, target: answer }]" />
    </section>
    <ShowWorking
      title="The target: the working"
      :of="request"
      :ask="(figures) => targetWorking(request, figures)"
    />
  </CalculatorSheet>
</template>
