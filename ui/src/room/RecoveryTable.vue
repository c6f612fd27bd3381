<script setup lang="ts">
import type { RecoverySet } from '../api/korvel'
import { onClock } from '../live/cues'

/** Recoveries set by set. */
defineProps<{ sets: RecoverySet[]; names: boolean; postures: Map<string, string> }>()
</script>

<template>
  <div class="scroll" tabindex="0" role="region" aria-label="Sets">
    <table>
      <thead>
        <tr>
          <th v-if="names" scope="col">Who</th>
          <th scope="col">Set</th>
          <th scope="col">Recovers</th>
          <th scope="col" class="number">End</th>
          <th scope="col" class="number">60 s</th>
          <th scope="col" class="number">120 s</th>
          <th scope="col" class="number">τ</th>
          <th scope="col">Under each zone after</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="set in sets" :key="`${set.session}-${set.number}`">
          <td v-if="names">{{ set.name }}</td>
          <td class="num">{{ set.number }}</td>
          <td>
            {{ postures.get(set.posture)
            }}<template v-if="set.answer?.source === 'count'">, counted</template>
          </td>
          <td class="number">{{ set.answer?.endBpm ?? '–' }}</td>
          <td class="number">{{ set.answer?.drop60 ?? (set.on ? '…' : '–') }}</td>
          <td class="number">{{ set.answer?.drop120 ?? (set.on ? '…' : '–') }}</td>
          <td class="number">
            {{ set.answer?.timeConstantSeconds ? `${set.answer.timeConstantSeconds} s` : '–' }}
          </td>
          <td>
            <span v-for="edge in set.answer?.bands" :key="edge.id" class="edge"
              >{{ edge.name }} <b class="num">{{ onClock(edge.seconds) }}</b></span
            >
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  min-width: 0;
  contain: inline-size;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th {
  text-align: left;
  font-weight: 550;
  color: var(--ink-quiet);
}

th,
td {
  padding: 8px 12px 8px 0;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}

.number {
  text-align: right;
  font-variant-numeric: tabular-nums;
}

.edge {
  margin-right: 12px;
}
</style>
