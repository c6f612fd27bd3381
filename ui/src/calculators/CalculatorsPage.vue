<script setup lang="ts">
import { computed, defineAsyncComponent, type Component } from 'vue'
import { TOOLS } from './calculators'
import { useSteps } from '../shared/shortcuts'

/** The calculators without a client: nothing is stored, and the address holds what was entered. */
const props = defineProps<{ tool: string }>()

const PAGES: Record<string, Component> = {
  pulse: defineAsyncComponent(() => import('./PulseCalculator.vue')),
  maximum: defineAsyncComponent(() => import('./MaximumCalculator.vue')),
  target: defineAsyncComponent(() => import('./TargetCalculator.vue')),
  bands: defineAsyncComponent(() => import('./ZonesCalculator.vue')),
  schools: defineAsyncComponent(() => import('./ZoneSystemsCalculator.vue')),
  counts: defineAsyncComponent(() => import('./CountsCalculator.vue')),
  chart: defineAsyncComponent(() => import('./ChartCalculator.vue')),
  forecast: defineAsyncComponent(() => import('./ForecastCalculator.vue')),
  poster: defineAsyncComponent(() => import('./PosterCalculator.vue')),
}
const page = computed(() => PAGES[props.tool])
/** Sheets are printed as sheets, not as the page around them. */
const ownPrint = computed(() => props.tool === 'chart' || props.tool === 'poster')
const print = () => window.print()

useSteps()
</script>

<template>
  <div class="stack">
    <header>
      <h1>Calculators</h1>
      <p class="quiet no-print">
        Work out numbers without a client. Nothing is stored; the page’s address holds what you
        entered, so you can bookmark or share it.
      </p>
      <button v-if="!ownPrint" type="button" class="link no-print" @click="print">Print</button>
    </header>
    <nav class="tools no-print" aria-label="Calculators" data-steps>
      <RouterLink
        v-for="each in TOOLS"
        :key="each.id"
        :to="`/calculators/${each.id}`"
        :class="{ here: each.id === tool }"
        :aria-current="each.id === tool ? 'page' : undefined"
        >{{ each.name }}</RouterLink
      >
    </nav>
    <component :is="page" v-if="page" :key="tool" />
    <p v-else role="status">
      There is no calculator of that name.
      <RouterLink to="/calculators/pulse">Start with the pulse</RouterLink>
    </p>
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: baseline;
}

header p {
  flex: 1 1 300px;
}

.tools {
  display: flex;
  gap: 4px;
  border-bottom: 1px solid var(--line);
  overflow-x: auto;
}

.tools a {
  flex: none;
  padding: 10px 16px;
  min-height: var(--touch);
  color: var(--ink-quiet);
  font-weight: 650;
  text-decoration: none;
  border-bottom: 3px solid transparent;
  margin-bottom: -1px;
}

.tools a:hover {
  color: var(--ink);
}

.tools a.here {
  color: var(--ink);
  border-bottom-color: var(--teal);
}

.tools a:focus-visible {
  outline-offset: -3px;
}

@media (max-width: 640px) {
  .tools a {
    padding: 11px 7px;
    font-size: 0.92rem;
  }
}
</style>
