<script setup lang="ts">
import { ref } from 'vue'
import { changeClient, type ClientDetails, type Typed } from '../api/korvel'
import ClientForm from '../clients/ClientForm.vue'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'

const { id, overview, refresh } = useClient()
const saved = ref(false)

async function save(details: Typed<ClientDetails>) {
  saved.value = false
  await changeClient(id.value, overview.value!.client.version, details)
  await refresh()
  saved.value = true
}
</script>

<template>
  <div v-if="overview" class="columns">
    <section class="sheet">
      <ClientForm
        :key="overview.client.version"
        :client="overview.client"
        :save="save"
        label="Save details"
      >
        <span v-if="saved" class="quiet" role="status">Saved.</span>
      </ClientForm>
    </section>
    <section class="sheet stack">
      <h2>{{ overview.mayIssue ? 'May be prescribed for' : 'Not yet' }}</h2>
      <p v-if="overview.mayIssue && overview.vigorous">
        Light, moderate and vigorous work; progress gradually.
      </p>
      <p v-else-if="overview.mayIssue">Light to moderate work; progress gradually.</p>
      <p v-else>Measuring and computing go on. A prescription can be kept as a draft.</p>
      <Findings :findings="overview.screening" />
      <p class="quiet small">
        These tick boxes cannot decide everything. When in doubt, or with any symptom, ask a doctor
        before training.
      </p>
    </section>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(280px, 1fr);
  gap: 16px;
  align-items: start;
}

@media (max-width: 980px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
