<script setup lang="ts" generic="T extends string">
import TickField from './TickField.vue'

/** Any of several things that hold or do not, each by its word. */
defineProps<{ options: { id: T; name: string }[] }>()
const words = defineModel<T[]>({ required: true })

function toggle(word: T, on: boolean) {
  words.value = on ? [...words.value, word] : words.value.filter((each) => each !== word)
}
</script>

<template>
  <TickField
    v-for="each in options"
    :key="each.id"
    :model-value="words.includes(each.id)"
    :label="each.name"
    :name="each.id"
    @update:model-value="toggle(each.id, $event)"
  />
</template>
