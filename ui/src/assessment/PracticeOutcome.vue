<script setup lang="ts">
import type { TestState } from '../api/korvel'

/** What was done well, what was missed, and which rule asks for it. */
defineProps<{ review: NonNullable<TestState['review']> }>()
</script>

<template>
  <section class="stack" aria-labelledby="review-title">
    <h3 id="review-title">{{ review.trouble }}</h3>
    <ul>
      <li v-for="(each, at) in review.items" :key="at" :class="{ missed: !each.done }">
        <span aria-hidden="true">{{ each.done ? '✓' : '–' }}</span>
        <div>
          <b>{{ each.done ? '' : 'Missed: ' }}{{ each.words }}</b>
          <p class="quiet">{{ each.rule }}</p>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 1.4rem minmax(0, 1fr);
  gap: 8px;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}

li > span {
  color: var(--teal);
  font-weight: 750;
}

.missed > span {
  color: var(--ochre-deep);
}
</style>
