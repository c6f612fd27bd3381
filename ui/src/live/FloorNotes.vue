<script setup lang="ts">
import { computed } from 'vue'
import type { Problem } from '../api/http'

/** What a page of the floor says while Korvel does not answer, or when it would not take an entry. */
const props = defineProps<{
  offline: boolean
  waiting: { events: number; seconds: number }
  refused: Problem | null
}>()
defineEmits<{ close: [] }>()
const kept = computed(() => {
  const { events, seconds } = props.waiting
  return [
    events && `${events} ${events === 1 ? 'entry' : 'entries'}`,
    seconds && `${seconds} s of heart rate`,
  ]
    .filter(Boolean)
    .join(' and ')
})
</script>

<template>
  <p v-if="offline" class="floor-note" role="status">
    Korvel does not answer. The clock goes on; what is entered is kept here and handed in as soon as
    it does<template v-if="kept">: {{ kept }}</template
    >. <slot />
  </p>
  <p v-else-if="refused" class="floor-note" role="alert">
    {{ refused.findings[0]?.message ?? refused.errors[0]?.message ?? refused.message
    }}<template v-if="refused.errors[0]">. Accepted: {{ refused.errors[0].accepted }}.</template>
    <button type="button" class="floor-link" @click="$emit('close')">Close</button>
  </p>
</template>
