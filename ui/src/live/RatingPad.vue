<script setup lang="ts">
import { computed } from 'vue'
import { ratings, VOICE } from './cues'

/** How hard it feels and what the voice can do: a tap each. What is in force stands out. */
const props = defineProps<{
  rpe20: number | null
  voice: number | null
  prescribed: [number | null, number | null]
  levels: [number | null, number | null]
  due: string[]
  disabled: boolean
}>()
const emit = defineEmits<{ rpe: [value: number]; voice: [value: number] }>()
const numbers = computed(() => ratings(...props.prescribed))
const within = (value: number, [low, high]: [number | null, number | null]) =>
  low !== null && high !== null && value >= low && value <= high
</script>

<template>
  <div class="pad">
    <div role="group" aria-label="RPE (6–20)" class="row" :class="{ due: due.includes('rpe') }">
      <span class="what">RPE <small>6–20</small></span>
      <button
        v-for="value in numbers"
        :key="value"
        type="button"
        class="num"
        :class="{ asked: within(value, prescribed) }"
        :aria-pressed="rpe20 === value"
        :disabled="disabled"
        @click="emit('rpe', value)"
      >
        {{ value }}
      </button>
    </div>
    <div role="group" aria-label="Voice" class="row" :class="{ due: due.includes('voice') }">
      <span class="what">Voice</span>
      <button
        v-for="(word, at) in VOICE"
        :key="word"
        type="button"
        :class="{ asked: within(at + 1, levels) }"
        :aria-pressed="voice === at + 1"
        :disabled="disabled"
        @click="emit('voice', at + 1)"
      >
        {{ word }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: minmax(0, 1.45fr) minmax(0, 1fr);
  gap: 8px 20px;
}

.row {
  display: flex;
  gap: 5px;
  align-items: stretch;
  min-width: 0;
}

.what {
  flex: none;
  align-self: center;
  width: 3.2rem;
  line-height: 1.1;
  font-weight: 650;
}

.what small {
  display: block;
  color: var(--ink-quiet);
  font-weight: 400;
}

.due .what {
  color: var(--ochre-deep);
}

.due .what::after {
  content: 'due';
  display: block;
  font-size: 0.8rem;
}

button {
  flex: 1 1 0;
  min-width: 0;
  min-height: 56px;
  padding: 0 2px;
  font: inherit;
  font-size: 1.05rem;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}

/* What is prescribed carries a line; what is in force is filled. */
button.asked {
  border-bottom: 4px solid var(--teal);
}

button[aria-pressed='true'] {
  background: var(--teal);
  border-color: var(--teal);
  color: var(--paper);
  font-weight: 750;
}

button:disabled {
  color: var(--ink-quiet);
}

@media (max-width: 900px) {
  .pad {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 480px) {
  .row {
    display: grid;
    grid-template-columns: repeat(5, minmax(0, 1fr));
  }

  .what {
    grid-column: 1 / -1;
    width: 100%;
    display: flex;
    gap: 8px;
  }

  .what small,
  .due .what::after {
    display: inline;
  }
}
</style>
