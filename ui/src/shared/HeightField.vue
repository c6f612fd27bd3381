<script setup lang="ts">
import { reactive, watch } from 'vue'
import TextField from './TextField.vue'
import { fromCentimetres, inStudioUnits, regional, toCentimetres } from './units'

/** A height, entered in centimetres or in feet and inches; the model is in centimetres. */
defineProps<{ label: string; name: string; message?: string | undefined }>()
const centimetres = defineModel<string>({ required: true })

const entry = reactive({ feet: '', inches: '' })
watch(
  [centimetres, () => regional.value.height],
  () => {
    if (toCentimetres(entry.feet, entry.inches) === centimetres.value) return
    const [feet, inches] = fromCentimetres(centimetres.value)
    Object.assign(entry, { feet, inches })
  },
  { immediate: true },
)
watch(entry, () => {
  if (regional.value.height === 'ft-in') {
    centimetres.value = toCentimetres(entry.feet, entry.inches)
  }
})
</script>

<template>
  <TextField
    v-if="regional.height === 'cm'"
    v-model="centimetres"
    :label="label"
    :name="name"
    number
    hint="cm"
    :message="message"
  />
  <div v-else class="pair">
    <TextField
      v-model="entry.feet"
      :label="label"
      :name="name"
      number
      hint="ft"
      :message="inStudioUnits(message)"
    />
    <TextField v-model="entry.inches" label="and" name="inches" number hint="in" />
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px;
}
</style>
