<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import TextField from '../shared/TextField.vue'

/** Something that is done for a reason. */
defineProps<{ label: string; action: string; message: string | undefined; busy: boolean }>()
const emit = defineEmits<{ save: [reason: string] }>()
const reason = ref('')
</script>

<template>
  <form novalidate @submit.prevent="emit('save', reason)">
    <TextField v-model="reason" :label="label" name="reason" :message="message" />
    <Button type="submit" :label="action" outlined :disabled="busy" />
    <slot />
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: end;
}
</style>
