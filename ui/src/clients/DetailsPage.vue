<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import {
  archiveClient,
  changeClient,
  clientArchive,
  eraseClient,
  type ClientDetails,
  type Typed,
} from '../api/korvel'
import ClientForm from './ClientForm.vue'
import { useClient } from './useClient'
import TextField from '../shared/TextField.vue'
import { useFieldMessages } from '../shared/fields'
import { useSave } from '../shared/save'
import { say } from '../shared/undo'

/** Name, note, birth date and sex; archiving the client, and erasing them. */
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

const written = ref('')
const eraseForm = useFieldMessages()
const { save: erase, saving: erasing } = useSave(
  () => eraseClient(id.value, overview.value!.client.version, written.value),
  {
    form: eraseForm,
    async saved() {
      const { name } = overview.value!.client
      await router.push('/clients')
      say(`${name} and everything recorded of them is erased.`)
    },
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
      <h2>Archive</h2>
      <p class="quiet">Archived clients leave the list; restore them at any time.</p>
      <div>
        <Button label="Archive this client" outlined severity="secondary" @click="archive" />
      </div>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    </section>
    <section class="sheet stack" aria-labelledby="whole-title">
      <h2 id="whole-title">Everything on record</h2>
      <p class="quiet">
        One ZIP file for the client or another studio: each table as CSV, measurements as FHIR R4,
        every recorded session as CSV and GPX, and a page to read. Another Korvel takes it in whole.
      </p>
      <div>
        <a :href="clientArchive(id)" download>Download everything of this client</a>
      </div>
    </section>
    <section class="sheet stack erase">
      <h2>Erase for good</h2>
      <p class="quiet">
        Everything recorded of this client is deleted and cannot be brought back. Archiving is the
        usual way. Copies of the data folder made before keep what they hold.
      </p>
      <form class="stack" novalidate @submit.prevent="erase">
        <TextField
          v-model="written"
          :label="`Write “${overview.client.name}” to confirm`"
          name="erase"
          :message="eraseForm.messages.value.name"
        />
        <div>
          <Button
            type="submit"
            label="Erase this client"
            outlined
            severity="secondary"
            :disabled="!written.trim()"
            :loading="erasing"
          />
        </div>
        <p v-if="eraseForm.general.value" class="fault" role="alert">
          {{ eraseForm.general.value }}
        </p>
      </form>
    </section>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1.7fr) minmax(280px, 1fr);
}
</style>
