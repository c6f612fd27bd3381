<script setup lang="ts">
import { cut } from '../words'
import type { Layout } from './layout'

/** Beside each row its name, and what it calls the rate at the cursor; on a phone above it. */
defineProps<{ layout: Layout; calls: string[] }>()

/** As many letters as fit beside the bars, or beside what a row calls the rate. */
const NAME = 30
</script>

<template>
  <g aria-hidden="true">
    <g>
      <text
        v-for="row in layout.rows"
        :key="row.key"
        class="name"
        :class="{ 'in-use': row.inUse }"
        :x="layout.narrow ? layout.size.margin : 0"
        :y="layout.narrow ? row.top - 6 : row.top + row.bar / 2 + 5"
      >
        {{ cut(row.label, NAME) }}<title v-if="row.label.length > NAME">{{ row.label }}</title>
      </text>
    </g>
    <g class="calls">
      <text
        v-for="(call, n) in calls"
        :key="n"
        class="call"
        :class="{ said: call }"
        :x="
          layout.narrow ? layout.width - layout.size.margin : layout.width - layout.size.right + 14
        "
        :y="
          layout.narrow
            ? layout.bars[n]!.top - 6
            : layout.bars[n]!.top + layout.bars[n]!.tall / 2 + 5
        "
        :text-anchor="layout.narrow ? 'end' : 'start'"
      >
        {{ call || '–' }}
      </text>
    </g>
  </g>
</template>

<style scoped>
text {
  font-family: var(--text);
}

/* On a phone they stand over the range that runs across every row. */
.name,
.call {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}

.call {
  fill: var(--ink-quiet);
}

.call.said {
  fill: var(--ink);
  font-weight: 650;
}

.name.in-use {
  fill: var(--teal-deep);
  font-weight: 700;
}
</style>
