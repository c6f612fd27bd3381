<script setup lang="ts">
import { computed, useId } from 'vue'

/** A labelled field with its hint and its message; the slot gets the ids that tie them together. */
const props = defineProps<{ label: string; hint?: string; message?: string | undefined }>()
const id = useId()
const describedBy = computed(() =>
  props.message ? `${id}-message` : props.hint ? `${id}-hint` : undefined,
)
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <slot :id="id" :described-by="describedBy" :invalid="!!message" />
    <p v-if="message" :id="`${id}-message`" class="message" role="alert">{{ message }}</p>
    <p v-else-if="hint" :id="`${id}-hint`" class="hint">{{ hint }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 5px;
  align-content: start;
}

label {
  font-weight: 650;
  font-size: 0.92rem;
}

.hint {
  color: var(--ink-quiet);
  font-size: 0.86rem;
}

.message {
  color: var(--fault);
  font-size: 0.88rem;
  font-weight: 600;
}
</style>
