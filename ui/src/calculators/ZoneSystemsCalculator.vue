<script setup lang="ts">
import { computed } from 'vue'
import { schoolsOf } from '../api/korvel'
import ZoneSystemsSheet from '../zone/ZoneSystemsSheet.vue'
import { typed } from '../shared/fields'
import { useAddress } from './calculators'
import CalculatorSheet from './CalculatorSheet.vue'
import SpanFields from './SpanFields.vue'
import ThresholdFields from './ThresholdFields.vue'
import { useAnswerTo } from '../shared/answer'

/** Every zone system of zones on one span. */
const form = useAddress({ rest: '64', max: '176', cap: '', lower: '', upper: '' }, {})
const request = computed(() => ({
  restingBpm: typed(form.rest),
  maximumBpm: typed(form.max),
  capBpm: typed(form.cap),
  restingStandardErrorBpm: null,
  maximumStandardErrorBpm: null,
  rpeFamily: null,
  lowerThresholdBpm: typed(form.lower),
  upperThresholdBpm: typed(form.upper),
}))
const { answer, behind, refused, messages, general } = useAnswerTo(() => request.value, schoolsOf)
</script>

<template>
  <div class="stack">
    <CalculatorSheet label="A span" :behind="behind" :general="general" :refused="refused">
      <template #form>
        <SpanFields
          v-model:rest="form.rest"
          v-model:max="form.max"
          v-model:cap="form.cap"
          :messages="messages"
        />
      </template>
      <template #answer>
        <ThresholdFields
          v-model:lower="form.lower"
          v-model:upper="form.upper"
          :messages="messages"
        />
      </template>
    </CalculatorSheet>
    <ZoneSystemsSheet v-if="answer" :schools="answer" />
  </div>
</template>
