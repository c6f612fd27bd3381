<script setup lang="ts">
import type { Bracket } from './bracket'
import type { Layout } from './layout'

/** The target that can be moved, as far as it is allowed; what a cap cuts off in another line. */
defineProps<{ bracket: Bracket; layout: Layout }>()
</script>

<template>
  <g class="bracket">
    <path
      v-if="bracket.cut"
      class="cut"
      :d="`M${Math.max(bracket.from, bracket.allowed)} ${bracket.top - 10 * layout.size.by}H${bracket.to}v${7 * layout.size.by}`"
    />
    <path
      v-if="bracket.allowed > bracket.from"
      :d="`M${bracket.from} ${bracket.top - 3 * layout.size.by}v${-7 * layout.size.by}H${bracket.allowed}v${7 * layout.size.by}`"
    />
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--teal);
  stroke-width: 3;
}

.cut {
  stroke: var(--wine);
  stroke-dasharray: 5 4;
}
</style>
