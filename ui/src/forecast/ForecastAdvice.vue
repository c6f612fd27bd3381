<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { ForecastAdvice, Remedy } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import { useShortcuts } from '../shared/shortcuts'
import { minutes } from '../shared/words'

/** What a forecast shows that may not be meant; what would mend it is one key away. */
const props = defineProps<{
  advice: ForecastAdvice[]
  /** What stands before the length on the button. */
  does?: string
}>()
const emit = defineEmits<{ mend: [remedy: Remedy] }>()

/** Figures lead to other places, and two letters are taken on every page. */
const LETTERS = 'abcdefghi'
const rows = computed(() => {
  let nth = 0
  return props.advice.map(({ finding, remedy }) => ({
    finding,
    remedy,
    key: remedy ? (LETTERS[nth++] ?? '') : '',
  }))
})
const words = ({ seconds, kind }: Remedy) =>
  `${props.does ?? 'Make it'} ${seconds < 60 ? `${seconds} s` : `${minutes(seconds)} min`}${kind === 'work' ? ' of work' : ''}`
useShortcuts({
  list: [['a … i', 'take up what the forecast suggests']],
  act: (pressed) => {
    const remedy = rows.value.find(({ key }) => key && key === pressed)?.remedy
    return remedy ? () => emit('mend', remedy) : undefined
  },
})
</script>

<template>
  <ul v-if="rows.length" class="advice" aria-label="What the forecast suggests">
    <li v-for="row in rows" :key="row.finding.message">
      <Findings :findings="[row.finding]" />
      <Button
        v-if="row.remedy"
        :label="words(row.remedy)"
        outlined
        size="small"
        :aria-keyshortcuts="row.key"
        @click="emit('mend', row.remedy)"
      >
        <kbd aria-hidden="true">{{ row.key }}</kbd>
        <span>{{ words(row.remedy) }}</span>
      </Button>
    </li>
  </ul>
</template>

<style scoped>
.advice {
  display: grid;
  gap: 12px;
}

li {
  display: grid;
  gap: 6px;
  justify-items: start;
}

kbd {
  font: inherit;
  font-size: 0.82rem;
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 0 6px;
  color: var(--ink-quiet);
}
</style>
