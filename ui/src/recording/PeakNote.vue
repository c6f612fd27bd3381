<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, ref } from 'vue'
import { savePeak, sessionPeak, withdraw } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import TickField from '../shared/TickField.vue'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'

/** A peak over the maximum: the sensor is questioned first, then it is saved as seen once. */
const props = defineProps<{ session: string; clientId: string }>()
const { data, load } = useAnswer(() => sessionPeak(props.session))
onMounted(load)
const sat = ref(false)
const { save, saving, general } = useSave(() => savePeak(props.session, sat.value), {
  undo: ({ id }) => ({
    said: `The peak of ${data.value?.bpm} is saved as seen once.`,
    back: async () => {
      await withdraw(props.clientId, 'maxima', id)
      await load()
    },
  }),
  saved: () => load(),
})
</script>

<template>
  <section v-if="data" class="peak stack" aria-label="A peak over the maximum">
    <Findings :findings="[data.finding]" />
    <p v-if="data.savedAs">
      Saved as seen once.
      <RouterLink :to="`/clients/${clientId}/maximum`">To the maximum</RouterLink>
    </p>
    <form v-else-if="data.offered" class="ways" novalidate @submit.prevent="save">
      <TickField
        v-model="sat"
        name="sensorSat"
        label="I asked: the sensor sat as it should, the effort was hard, and nothing felt odd"
      />
      <Button type="submit" label="Save the peak" :disabled="!sat" :loading="saving" outlined />
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
    </form>
  </section>
</template>

<style scoped>
.peak {
  border-left: 4px solid var(--ochre);
  padding-left: 14px;
}
</style>
