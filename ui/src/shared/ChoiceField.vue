<script setup lang="ts" generic="T">
import SelectButton from 'primevue/selectbutton'
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
    <SelectButton
      :id="field.id"
      v-model="chosen"
      class="choice"
      :options="options"
      option-label="name"
      option-value="value"
      :multiple="multiple"
      :allow-empty="multiple || clearable"
      :aria-label="label"
      :aria-describedby="field.describedBy"
    />
  </Field>
</template>

<style scoped>
.choice {
  flex-wrap: wrap;
  justify-self: start;
  background: var(--ground-2);
  border-radius: var(--radius);
}

.choice.p-selectbutton :deep(.p-togglebutton) {
  border-radius: 6px;
}
</style>
