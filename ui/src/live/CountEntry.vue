<script setup lang="ts">
import Button from 'primevue/button'
import { ref } from 'vue'
import { typed } from '../shared/fields'

/** A rate taken by hand: beats of a count, or what a machine shows. */
defineProps<{ due: boolean; mayStrap: boolean }>()
const emit = defineEmits<{
  counted: [beats: number | string, windowSeconds: number]
  read: [bpm: number | string]
  strap: []
}>()

const WINDOWS = [10, 15, 30]
/** 0 where the rate itself is entered. */
const windowSeconds = ref(15)
const number = ref('')
const field = ref<HTMLInputElement | null>(null)
defineExpose({ focus: () => field.value?.focus() })

function enter() {
  const value = typed(number.value)
  if (value === null) return
  if (windowSeconds.value) emit('counted', value, windowSeconds.value)
  else emit('read', value)
  number.value = ''
  field.value?.blur()
}
</script>

<template>
  <form class="count" :class="{ due }" novalidate @submit.prevent="enter">
    <label
      >{{ windowSeconds ? 'Beats' : 'Rate' }}
      <input ref="field" v-model="number" inputmode="numeric" autocomplete="off" name="beats" />
    </label>
    <div role="group" aria-label="Counted for" class="windows">
      <button
        v-for="window in WINDOWS"
        :key="window"
        type="button"
        :aria-pressed="windowSeconds === window"
        @click="windowSeconds = window"
      >
        {{ window }} s
      </button>
      <button type="button" :aria-pressed="windowSeconds === 0" @click="windowSeconds = 0">
        bpm
      </button>
    </div>
    <Button type="submit" label="Enter" />
    <span v-if="due" class="dueword">Count now</span>
    <Button v-if="mayStrap" label="Use a strap" text @click="emit('strap')" />
  </form>
</template>

<style scoped>
.count {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}

.count :deep(.p-button) {
  min-height: 56px;
}

.count label {
  display: flex;
  gap: 10px;
  align-items: center;
  font-weight: 650;
}

.count input {
  font: inherit;
  font-size: 1.5rem;
  width: 6rem;
  min-height: 56px;
  padding: 0 12px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}

.count.due input {
  border: 3px solid var(--ochre);
}

.dueword {
  font-weight: 750;
  color: var(--ochre-deep);
}

.windows {
  display: flex;
  gap: 4px;
}

.windows button {
  font: inherit;
  min-height: 56px;
  min-width: 56px;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}

.windows button[aria-pressed='true'] {
  background: var(--teal);
  color: var(--paper);
}
</style>
