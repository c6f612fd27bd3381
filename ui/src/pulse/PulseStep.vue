<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { readings, type Reading, type Span } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ProblemNote from '../shared/ProblemNote.vue'
import WhatMoves from '../shared/WhatMoves.vue'
import { useAnswer } from '../shared/answer'
import PulseBench from './PulseBench.vue'
import RestingRecord from './RestingRecord.vue'
import WorkingValue from './WorkingValue.vue'

/** Take a resting pulse, see what it is worth, keep it; and what the working value stands on. */
const { id, overview, refresh } = useClient()
const record = useAnswer(readings)
watch(id, record.load, { immediate: true })
const closed = computed(() => overview.value?.client.archived ?? true)

/** The span before a value moved it; none where nothing has moved since the page was opened. */
const before = ref<Span | null>(null)
watch(id, () => (before.value = null))
const span = computed(() => overview.value?.span ?? null)
const moved = computed(() => before.value && span.value?.restingBpm !== before.value.restingBpm)
async function reread() {
  const was = span.value
  await Promise.all([record.load(id.value), refresh()])
  before.value ??= was
}
const bench = ref<InstanceType<typeof PulseBench> | null>(null)
function correct(reading: Reading) {
  bench.value?.correct(reading)
  bench.value?.$el.scrollIntoView({ block: 'nearest' })
}
</script>

<template>
  <ProblemNote
    v-if="record.problem.value"
    :problem="record.problem.value"
    @retry="record.load(id)"
  />
  <div v-else-if="record.data.value && overview" class="pulse">
    <PulseBench
      ref="bench"
      :client="id"
      :record="record.data.value"
      :closed="closed"
      @changed="reread"
    />
    <WorkingValue :record="record.data.value" :age="overview.client.age" />
    <section
      v-if="moved && before && span"
      class="sheet stack record"
      aria-labelledby="moved-title"
    >
      <h2 id="moved-title">
        What the new resting value changes
        <span class="quiet">{{
          overview.prescription ? '· the prescription does not change by itself' : ''
        }}</span>
      </h2>
      <WhatMoves
        :before="before"
        :after="span"
        :aim="overview.aim"
        :cap-bpm="overview.capBpm"
        :labels="['Before', 'Now']"
      />
      <p v-if="overview.prescription">
        <RouterLink :to="`/clients/${id}/prescription`">Review the prescription</RouterLink>
      </p>
    </section>
    <RestingRecord
      v-if="record.data.value.readings.length"
      class="record"
      :record="record.data.value"
      :closed="closed"
      @correct="correct"
    />
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.pulse {
  display: grid;
  grid-template-columns: minmax(0, 2.15fr) minmax(290px, 1fr);
  gap: 16px;
  align-items: start;
}

.record {
  grid-column: 1 / -1;
}

@media (max-width: 1060px) {
  .pulse {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
