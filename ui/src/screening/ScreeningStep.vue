<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { asProblem } from '../api/http'
import { archiveClient, changeClient, type ClientDetails, type Typed } from '../api/korvel'
import ClientForm from '../clients/ClientForm.vue'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import { offerUndo } from '../shared/undo'

const { id, overview, refresh } = useClient()
const router = useRouter()
const saved = ref(false)
const reading = ref(0)

async function save(details: Typed<ClientDetails>, version: number) {
  saved.value = false
  await changeClient(id.value, version, details)
  await refresh()
  saved.value = true
}

async function reread() {
  await refresh()
  reading.value++
}

const fault = ref('')
async function archive() {
  fault.value = ''
  const { name, version } = overview.value!.client
  try {
    const away = await archiveClient(id.value, version, true)
    offerUndo(`${name} is archived.`, async () => {
      await archiveClient(away.id, away.version, false)
      await router.push(`/clients/${away.id}/screening`)
    })
    await router.push('/clients')
  } catch (thrown) {
    fault.value = asProblem(thrown).message
    await refresh()
  }
}
</script>

<template>
  <div v-if="overview" class="columns">
    <section class="sheet">
      <ClientForm
        :key="`${overview.client.version}.${reading}`"
        :client="overview.client"
        :save="save"
        label="Save details"
        @reread="reread"
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
      <div v-if="!overview.client.archived" class="away">
        <Button label="Archive this client" outlined severity="secondary" @click="archive" />
        <p class="quiet small">Puts them away, whole: out of the list, and back at any time.</p>
        <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      </div>
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

.away {
  display: grid;
  gap: 6px;
  justify-items: start;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}

.fault {
  color: var(--wine);
  font-weight: 600;
}

@media (max-width: 980px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
