<script setup lang="ts">
import { ref, watch } from 'vue'
import TextField from './TextField.vue'
import { fromKilograms, inStudioUnits, regional, toKilograms } from './units'

/** A weight, entered in the studio's unit; the model is in kilograms. */
defineProps<{ label: string; name: string; message?: string | undefined }>()
const kilograms = defineModel<string>({ required: true })

const text = ref('')
watch(
  [kilograms, () => regional.value.weight],
  () => {
    if (toKilograms(text.value) !== kilograms.value) text.value = fromKilograms(kilograms.value)
  },
  { immediate: true },
)
watch(text, (now) => (kilograms.value = toKilograms(now)))
</script>

<template>
  <TextField
    v-model="text"
    :label="label"
    :name="name"
    number
    :hint="regional.weight"
    :message="inStudioUnits(message)"
  />
</template>
