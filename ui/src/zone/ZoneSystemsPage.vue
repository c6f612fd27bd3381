<script setup lang="ts">
import Select from 'primevue/select'
import { ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { schools, type Mode } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { MODES, options, oneOf } from '../shared/words'
import ZoneSystemsSheet from './ZoneSystemsSheet.vue'

/** Every zone system of zones for one client, side by side. */
const { id, overview } = useClient()
const route = useRoute()
const mode = ref<Mode>(oneOf(MODES, route.query.mode) ?? 'run')
const { data, problem, load } = useAnswer(schools)
watch([id, () => overview.value?.client.version, mode], () => load(id.value, mode.value), {
  immediate: true,
})
const toPrescription = (low: number, high: number) => ({
  path: `/clients/${id.value}/prescription`,
  query: { low, high, mode: mode.value === 'run' ? undefined : mode.value },
})
</script>

<template>
  <div class="stack">
    <div class="top">
      <h2>Every zone system, side by side</h2>
      <RouterLink :to="`/clients/${id}/bands`" class="no-print">Back to the zones</RouterLink>
      <Select
        v-model="mode"
        class="no-print"
        :options="options(MODES)"
        option-label="name"
        option-value="value"
        aria-label="Activity"
      />
    </div>
    <section v-if="problem?.findings.length" class="sheet stack none">
      <h2>No zones by rate in any zone system</h2>
      <Findings :findings="problem.findings" />
      <p>{{ problem.findings[0]!.because }}</p>
    </section>
    <ProblemNote v-else-if="problem" :problem="problem" @retry="load(id, mode)" />
    <ZoneSystemsSheet v-else-if="data" :schools="data" :prescribe="toPrescription" />
    <p v-else class="quiet" role="status">Loading…</p>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
}

.top h2 {
  font-size: 1.2rem;
}

.top > :last-child {
  margin-left: auto;
}

.none {
  max-width: 640px;
}
</style>
