<script setup lang="ts">
import TextField from '../shared/TextField.vue'

/** The two measured rates that some zone systems count from. */
defineProps<{ messages: Record<string, string> }>()
const lower = defineModel<string>('lower', { required: true })
const upper = defineModel<string>('upper', { required: true })
</script>

<template>
  <div class="pair">
    <TextField
      v-model="lower"
      label="Last comfortable talk"
      name="lower"
      number
      hint="bpm, if measured"
      :message="messages.lowerThresholdBpm"
    />
    <TextField
      v-model="upper"
      label="First without talk"
      name="upper"
      number
      hint="bpm, if measured"
      :message="messages.upperThresholdBpm"
    />
  </div>
</template>
