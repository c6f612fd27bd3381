<script setup lang="ts">
import { useKeptSwitch } from '../shared/kept'
import SiteDrawing from './SiteDrawing.vue'
import { NOT_FOUND, TECHNIQUES, type TechniqueId } from './technique'

/** How to take the pulse this way: a drawing, a few steps, and what to try when it is not found. */
defineProps<{ of: TechniqueId; felt: boolean }>()

const open = useKeptSwitch('korvel.technique')
</script>

<template>
  <details
    class="technique"
    :open="open"
    @toggle="open = ($event.target as HTMLDetailsElement).open"
  >
    <summary>{{ TECHNIQUES[of].name }}: how to</summary>
    <div class="how">
      <SiteDrawing :of="of" />
      <div>
        <ol>
          <li v-for="step in TECHNIQUES[of].steps" :key="step">{{ step }}</li>
        </ol>
        <p class="watch">{{ TECHNIQUES[of].watch }}</p>
      </div>
      <div v-if="felt" class="lost">
        <h3>Cannot find it?</h3>
        <ol class="quiet">
          <li v-for="step in NOT_FOUND" :key="step">{{ step }}</li>
        </ol>
      </div>
    </div>
  </details>
</template>

<style scoped>
.technique {
  border-top: 1px solid var(--line);
  padding-top: 6px;
}

summary {
  cursor: pointer;
  min-height: var(--touch);
  display: flex;
  align-items: center;
  font-weight: 650;
  font-size: 0.92rem;
  color: var(--teal-deep);
}

summary::before {
  content: '▸';
  margin-right: 8px;
}

details[open] summary::before {
  content: '▾';
}

.how {
  display: grid;
  grid-template-columns: 216px minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 12px 24px;
  font-size: 0.92rem;
}

ol {
  list-style: decimal;
  padding-left: 1.3em;
  display: grid;
  gap: 3px;
}

.watch {
  margin-top: 10px;
  border-left: 3px solid var(--ochre);
  padding-left: 10px;
  font-weight: 600;
}

@media (max-width: 700px) {
  .how {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
