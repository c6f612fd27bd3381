<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { asProblem } from '../api/http'
import { studioArchive, takeArchive } from '../api/korvel'
import { say } from '../shared/undo'

/** Everything out as one file, and a client or a whole studio in from one. */
const router = useRouter()
const picker = ref<HTMLInputElement | null>(null)
const taking = ref(false)
const fault = ref('')
async function picked(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  taking.value = true
  fault.value = ''
  try {
    const came = await takeArchive(file)
    await router.push(came.clientId ? `/clients/${came.clientId}` : '/clients')
    say(`${file.name} is in, whole: ${came.rows} records.`)
  } catch (thrown) {
    const problem = asProblem(thrown)
    fault.value = `${file.name}: ${problem.message} Nothing of it was taken in.`
  } finally {
    taking.value = false
  }
}
</script>

<template>
  <section class="sheet stack" aria-labelledby="archives-title">
    <h2 id="archives-title">Everything, out and in</h2>
    <p class="quiet">
      Every table as CSV in one ZIP file. What went out comes in again as it was: a whole studio
      into an empty one, a client wherever they are not on record. It is not locked: keep it as you
      keep the records.
    </p>
    <div class="ways">
      <a :href="studioArchive" download>Download the studio</a>
      <Button label="Bring in an archive" outlined :loading="taking" @click="picker?.click()" />
      <input
        ref="picker"
        type="file"
        accept=".zip,application/zip"
        class="visually-hidden"
        tabindex="-1"
        aria-label="Archive"
        @change="picked"
      />
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </section>
</template>
