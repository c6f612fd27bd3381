<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { SessionLog, StopSign } from '../api/korvel'
import { useFieldMessages } from '../shared/fields'
import { useRecords } from '../shared/records'
import { VOICES, weekday } from '../shared/words'
import LogForm from './LogForm.vue'

/** A session that was logged, as the slot shows it: corrected or deleted where it is seen. */
const props = defineProps<{ log: SessionLog; signs: StopSign[] }>()
const emit = defineEmits<{ changed: [] }>()

const editing = ref(false)
const form = useFieldMessages()
const { general } = form
const which = computed(() => `${props.log.clientName}, ${weekday(props.log.on)}`)

/** A voice and a counted pulse make a talk check, told; it is confirmed where checks are kept. */
const toTalk = computed(() => {
  const { clientId, mode, voice, bpm, rateKind, rpe, on } = props.log
  if (!voice || !bpm || rateKind !== 'counted') return null
  return {
    path: `/clients/${clientId}/bands/talk`,
    query: {
      mode,
      voice: Object.keys(VOICES).indexOf(voice) + 1,
      bpm,
      rpe: rpe ?? undefined,
      on,
    },
  }
})

const records = useRecords(
  'session-logs',
  () => props.log.clientId,
  async () => emit('changed'),
  form.show,
)
function corrected(log: SessionLog) {
  editing.value = false
  return records.kept(`${weekday(log.on)}: ${log.words}.`, log.id)
}
const remove = () =>
  records.takeBack(`The log of ${weekday(props.log.on)} is deleted.`, props.log.id)
</script>

<template>
  <LogForm
    v-if="editing"
    :of="{ clientId: log.clientId, number: log.number, on: log.on, minutes: log.minutes }"
    :instead="log"
    :signs="signs"
    @kept="corrected"
    @close="editing = false"
  />
  <div v-else class="logged">
    <div class="said"><slot /></div>
    <RouterLink v-if="toTalk" :to="toTalk" class="small" :aria-label="`Talk check of ${which}`"
      >Use as a talk check</RouterLink
    >
    <Button
      label="Edit"
      size="small"
      outlined
      :aria-label="`Edit the log of ${which}`"
      @click="editing = true"
    />
    <Button
      label="Delete"
      size="small"
      text
      :aria-label="`Delete the log of ${which}`"
      @click="remove"
    />
    <p v-if="general" class="fault" role="alert">{{ general }}</p>
  </div>
</template>

<style scoped>
.logged {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}

.said {
  flex: 1 1 18rem;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
}
</style>
