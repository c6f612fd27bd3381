<script setup lang="ts">
import TextField from '../shared/TextField.vue'

/** The span from rest to maximum, and a cap where one is asked for. */
defineProps<{ messages: Record<string, string> }>()
const rest = defineModel<string>('rest', { required: true })
const max = defineModel<string>('max', { required: true })
const cap = defineModel<string>('cap')
</script>

<template>
  <div class="pair">
    <TextField
      v-model="rest"
      label="Resting"
      name="rest"
      number
      hint="bpm"
      :message="messages.restingBpm"
    />
    <TextField
      v-model="max"
      label="Maximum"
      name="max"
      number
      hint="bpm"
      :message="messages.maximumBpm"
    />
  </div>
  <TextField
    v-if="cap !== undefined"
    v-model="cap"
    label="A clinician's cap"
    name="cap"
    number
    hint="bpm; leave empty if none"
    :message="messages.capBpm"
  />
</template>
