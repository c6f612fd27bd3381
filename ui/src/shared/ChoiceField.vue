<script setup lang="ts" generic="T">
import Choices from './Choices.vue'
import Field from './Field.vue'

/** One or several of a few words, all in view, with label, hint and message. */
defineProps<{
  label: string
  options: { value: unknown; name: string }[]
  hint?: string
  message?: string | undefined
  multiple?: boolean
  /** Whether what was chosen can be pressed away again. */
  clearable?: boolean
}>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <Field v-slot="field" :label="label" :hint="hint" :message="message">
    <Choices
      :id="field.id"
      v-model="chosen"
      :options="options"
      :multiple="multiple"
      :clearable="clearable"
      :aria-label="label"
      :aria-describedby="field.describedBy"
    />
  </Field>
</template>
