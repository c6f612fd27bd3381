<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { archiveClient, changeClient, type ClientDetails, type Typed } from '../api/korvel'
import ClientForm from './ClientForm.vue'
import { useClient } from './useClient'
import { useSave } from '../shared/save'

/** Name, note, birth date and sex; and putting the client away. */
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

const { save: archive, general: fault } = useSave(
  () => archiveClient(id.value, overview.value!.client.version, true),
  {
    undo: (away) => ({
      said: `${away.name} is archived.`,
      async back() {
        await archiveClient(away.id, away.version, false)
        await router.push(`/clients/${away.id}/details`)
      },
    }),
    saved: () => router.push('/clients'),
    wrong: refresh,
  },
)
</script>

<template>
  <div v-if="overview" class="columns">
    <section class="sheet stack" aria-labelledby="details-title">
      <h2 id="details-title">Details</h2>
      <ClientForm
        :key="`${overview.client.version}.${reading}`"
        :client="overview.client"
        :write="save"
        label="Save details"
        @reread="reread"
      >
        <span v-if="saved" class="quiet" role="status">Saved.</span>
      </ClientForm>
    </section>
    <section v-if="!overview.client.archived" class="sheet stack away">
      <h2>Put away</h2>
      <p class="quiet">Archived clients leave the list; restore them at any time.</p>
      <div>
        <Button label="Archive this client" outlined severity="secondary" @click="archive" />
      </div>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    </section>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1.7fr) minmax(280px, 1fr);
}
</style>
