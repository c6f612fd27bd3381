<script setup lang="ts" generic="T">
import Select from 'primevue/select'
import Field from './Field.vue'

/** One of many words, folded away, with label, hint and message. */
defineProps<{
  label: string
  options: { value: T; name: string }[]
  hint?: string
  message?: string | undefined
  /** What it is called where its label stands twice on a page. */
  spoken?: string
  /** Whether what is typed narrows a long list. */
  filter?: boolean
}>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <Field v-slot="field" :label="label" :hint="hint" :message="message">
    <Select
      v-model="chosen"
      :label-id="field.id"
      :options="options"
      option-label="name"
      option-value="value"
      :filter="filter"
      :aria-label="spoken ?? label"
      :aria-describedby="field.describedBy"
    />
  </Field>
</template>
