<script setup lang="ts" generic="T extends string">
import { useTemplateRef } from 'vue'
import TickField from './TickField.vue'
import { useOneStop } from './oneStop'

/** Any of several things that hold or do not, each by its word; one stop, arrows move within. */
defineProps<{ options: { id: T; name: string }[] }>()
const words = defineModel<T[]>({ required: true })

function toggle(word: T, on: boolean) {
  words.value = on ? [...words.value, word] : words.value.filter((each) => each !== word)
}

useOneStop(useTemplateRef('group'), 'input')
</script>

<template>
  <div ref="group" class="group" role="group">
    <TickField
      v-for="each in options"
      :key="each.id"
      :model-value="words.includes(each.id)"
      :label="each.name"
      :name="each.id"
      @update:model-value="toggle(each.id, $event)"
    />
  </div>
</template>

<style scoped>
/* Laid out by what it stands in. */
.group {
  display: contents;
}
</style>
