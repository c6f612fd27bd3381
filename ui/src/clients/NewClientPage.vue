<script setup lang="ts">
import { useRouter } from 'vue-router'
import { addClient, type ClientDetails, type Typed } from '../api/korvel'
import ClientForm from './ClientForm.vue'

const router = useRouter()

/** The next step of the job is the screening: go there. */
async function save(details: Typed<ClientDetails>) {
  const client = await addClient(details)
  await router.push(`/clients/${client.id}/screening`)
}
</script>

<template>
  <div class="stack">
    <h1>New client</h1>
    <section class="sheet">
      <ClientForm :write="save" label="Add and start the screening">
        <RouterLink to="/clients">Back without adding</RouterLink>
      </ClientForm>
    </section>
  </div>
</template>

<style scoped>
section {
  max-width: 780px;
}
</style>
