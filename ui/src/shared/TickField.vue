<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { useId } from 'vue'

/** One thing that holds or does not. */
defineProps<{ label: string; name: string }>()
const ticked = defineModel<boolean>({ required: true })
const id = useId()
</script>

<template>
  <div class="tick">
    <Checkbox v-model="ticked" binary :input-id="id" :name="name" />
    <label :for="id">{{ label }}</label>
  </div>
</template>

<style scoped>
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
}

label {
  flex: 1;
  padding: 10px 0;
}
</style>
