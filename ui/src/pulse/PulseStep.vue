<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { readings, type Reading } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ProblemNote from '../shared/ProblemNote.vue'
import { useLoad } from '../shared/load'
import PulseBench from './PulseBench.vue'
import RestingRecord from './RestingRecord.vue'
import WorkingValue from './WorkingValue.vue'

/** Take a resting pulse, see what it is worth, keep it; and what the working value stands on. */
const { id, overview, refresh } = useClient()
const record = useLoad(readings)
watch(id, record.load, { immediate: true })
const closed = computed(() => overview.value?.client.archived ?? true)

const reread = () => Promise.all([record.load(id.value), refresh()])
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
    <RestingRecord
      v-if="record.data.value.readings.length"
      class="record"
      :record="record.data.value"
      :closed="closed"
      @correct="correct"
    />
  </div>
  <p v-else class="quiet" role="status">Fetching the readings…</p>
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
