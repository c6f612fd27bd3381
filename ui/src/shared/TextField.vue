<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import Field from './Field.vue'

/** One line of text or a number, with its label, hint and message. */
defineProps<{
  label: string
  name: string
  hint?: string
  message?: string | undefined
  type?: string
  number?: boolean
  /** Id of a datalist with proposals. */
  list?: string
}>()
const text = defineModel<string>({ required: true })
const input = ref<{ $el: HTMLInputElement } | null>(null)
defineExpose({
  focus: () => input.value?.$el.focus(),
  /** Into the field, so that what is typed takes the place of what stands there. */
  select() {
    input.value?.$el.focus()
    input.value?.$el.select()
  },
})
</script>

<template>
  <Field v-slot="field" :label="label" :hint="hint" :message="message">
    <InputText
      :id="field.id"
      ref="input"
      v-model="text"
      :class="{ num: number }"
      :name="name"
      :type="type ?? 'text'"
      :inputmode="number ? 'numeric' : undefined"
      :list="list"
      autocomplete="off"
      :invalid="field.invalid"
      :aria-invalid="field.invalid"
      :aria-describedby="field.describedBy"
    />
  </Field>
</template>
