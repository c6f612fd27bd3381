<script setup lang="ts">
import type { Outline } from '../api/korvel'
import CsvLink from '../shared/CsvLink.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import { effort, figureSpan, minutes, span } from '../shared/words'

/** Every step of a session in every language: rate, counts, effort, voice. */
defineProps<{ outline: Outline; name: string }>()
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="`Steps of ${name}`">
    <table>
      <thead>
        <tr>
          <th scope="col">step</th>
          <th scope="col">min</th>
          <th scope="col">bpm</th>
          <th scope="col">in 10 s</th>
          <th scope="col">in 15 s</th>
          <th scope="col">the voice</th>
          <th scope="col">RPE 6–20</th>
          <th scope="col">RPE 0–10</th>
          <th scope="col">% of reserve</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="(block, at) in outline.blocks" :key="at">
          <tr v-for="(step, n) in block.steps" :key="`${at}-${n}`">
            <th scope="row">
              <LevelStrokes v-if="step.aim" :level="step.aim.level" />
              {{ step.name }}
              <span v-if="block.times > 1" class="quiet"
                >{{ block.times }} ×<template v-if="block.apart"> through the day</template></span
              >
              <span v-if="step.waits" class="quiet">timer starts at the target</span>
            </th>
            <td class="num">{{ minutes(step.seconds) }}</td>
            <template v-if="step.aim">
              <td class="num bpm">
                <template v-if="step.aim.lowBpm"
                  >{{ figureSpan(step.aim.lowBpm, step.aim.highBpm!)
                  }}<span v-if="step.aim.capped" class="cap"> cap</span></template
                ><template v-else>–</template>
              </td>
              <td class="num">{{ span(step.aim.counts['10']) || '–' }}</td>
              <td class="num">{{ span(step.aim.counts['15']) || '–' }}</td>
              <td>{{ step.aim.voice }}</td>
              <td class="num">{{ effort(step.aim.rpe20, 6) }}</td>
              <td class="num">{{ effort(step.aim.rpe10, 0) }}</td>
              <td class="num">{{ figureSpan(step.lowPercent!, step.highPercent!) }}</td>
            </template>
            <td v-else colspan="7" class="quiet">
              {{
                step.kind === 'mobility' ? 'loosen the joints you are about to use' : 'unhurried'
              }}
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <CsvLink :name="name" />
  </div>
</template>

<style scoped>
table {
  font-size: 0.92rem;
}

th,
td {
  padding: 5px 12px 5px 0;
  border-top: 1px solid var(--line);
  white-space: nowrap;
}

thead th {
  border-top: 0;
}

tbody th {
  min-width: 8.5rem;
  font-weight: 650;
  white-space: normal;
}

tbody th .quiet {
  font-weight: 400;
}

.bpm {
  font-weight: 700;
}

.cap {
  font-size: 0.76rem;
  color: var(--wine);
}
</style>
