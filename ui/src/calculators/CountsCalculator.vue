<script setup lang="ts">
import { computed } from 'vue'
import { countsOf, countsWorking } from '../api/korvel'
import CsvLink from '../shared/CsvLink.vue'
import ShowWorking from '../shared/ShowWorking.vue'
import MethodLink from '../shared/MethodLink.vue'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import { typed } from '../shared/fields'
import { span } from '../shared/words'
import { useAddress } from './calculators'
import CalculatorSheet from './CalculatorSheet.vue'
import { useAnswerTo } from '../shared/answer'

/** A range of rates as beats to count, since nobody multiplies while running. */
const form = useAddress({ low: '109', high: '131' }, { capped: '' })
const request = computed(() => ({
  lowBpm: typed(form.low),
  highBpm: typed(form.high),
  capped: form.capped === 'yes',
}))
const { answer, behind, refused, messages, general } = useAnswerTo(() => request.value, countsOf)
</script>

<template>
  <CalculatorSheet label="A range of rates" :behind="behind" :general="general" :refused="refused">
    <template #form>
      <div class="pair">
        <TextField
          v-model="form.low"
          label="From"
          name="low"
          number
          hint="bpm"
          :message="messages.lowBpm"
        />
        <TextField
          v-model="form.high"
          label="To"
          name="high"
          number
          hint="bpm"
          :message="messages.highBpm"
        />
      </div>
      <TickField
        :model-value="form.capped === 'yes'"
        label="The upper end is a clinician's cap"
        name="capped"
        @update:model-value="form.capped = $event ? 'yes' : ''"
      />
      <p class="quiet small">
        Under a cap the upper count is rounded down, so that no count allows what the cap forbids.
      </p>
    </template>
    <template #answer>
      <table v-if="answer">
        <thead>
          <tr>
            <th scope="col">count for</th>
            <th scope="col"><MethodLink to="count-card">beats</MethodLink></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(pair, seconds) in answer.counts" :key="seconds">
            <th scope="row" class="num">{{ seconds }} s</th>
            <td class="num">{{ span(pair) }}</td>
          </tr>
        </tbody>
      </table>
      <CsvLink v-if="answer" name="count card" class="csv" />
    </template>
    <ShowWorking
      title="The counts: the working"
      :of="request"
      :ask="(figures) => countsWorking(request, figures)"
    />
  </CalculatorSheet>
</template>

<style scoped>
table {
  max-width: 460px;
}

th,
td {
  padding: 8px 16px 8px 0;
  border-top: 1px solid var(--line);
}

thead th {
  border-top: 0;
}

tbody th {
  font-size: 1.2rem;
  font-weight: 500;
}

td {
  font-size: 2rem;
  font-weight: 700;
  line-height: 1.2;
}
</style>
