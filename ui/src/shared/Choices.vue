<script setup lang="ts" generic="T">
import SelectButton from 'primevue/selectbutton'

/** One or several of a few words, all in view. */
defineProps<{
  options: { value: unknown; name: string }[]
  multiple?: boolean
  /** Whether what was chosen can be pressed away again. */
  clearable?: boolean
}>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <SelectButton
    v-model="chosen"
    class="choice"
    :options="options"
    option-label="name"
    option-value="value"
    :multiple="multiple"
    :allow-empty="multiple || clearable"
  />
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
