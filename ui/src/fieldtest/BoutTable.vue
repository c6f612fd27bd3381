<script setup lang="ts">
import type { FieldTest } from '../api/korvel'
import { SOURCES } from '../shared/words'
import { onClock } from './useRun'

/** The bouts so far: their readings, their peaks, and the question about each. */
defineProps<{ test: FieldTest; closed: boolean }>()
defineEmits<{ answer: [bout: number, yes: boolean]; takeBack: [reading: string] }>()
const since = (from: string, at: string) =>
  onClock(new Date(at).getTime() - new Date(from).getTime())
</script>

<template>
  <ol class="bouts">
    <li v-for="bout in test.bouts" :key="bout.number">
      <div class="head">
        <b>{{ test.mostBouts === 1 ? test.name : `Bout ${bout.number}` }}</b>
        <span v-if="bout.peakBpm !== null" class="peak"
          >peak <b class="num">{{ bout.peakBpm }}</b></span
        >
        <span v-else class="quiet small">no valid reading yet</span>
        <span v-if="!bout.whole" class="short small">cut short</span>
      </div>
      <ul v-if="bout.readings.length" class="readings">
        <li v-for="reading in bout.readings" :key="reading.id" :class="{ early: !reading.counts }">
          <span class="num quiet">{{ since(bout.startedAt, reading.at) }}</span>
          <b class="num">{{ reading.bpm }}</b>
          <span class="quiet">{{ SOURCES[reading.source].toLowerCase() }}</span>
          <span v-if="!reading.counts" class="quiet">too early, does not count</span>
          <button
            v-if="!closed"
            type="button"
            class="link small"
            :aria-label="`Delete the reading of ${reading.bpm}`"
            @click="$emit('takeBack', reading.id)"
          >
            delete
          </button>
        </li>
      </ul>
      <div v-if="bout.asked" class="asked" role="group" :aria-label="`Bout ${bout.number}`">
        <span>{{ test.question }}?</span>
        <button
          v-for="yes in [true, false]"
          :key="String(yes)"
          type="button"
          :aria-pressed="bout.answer === yes"
          :disabled="closed"
          @click="$emit('answer', bout.number, yes)"
        >
          {{ yes ? 'Yes' : 'No' }}
        </button>
      </div>
    </li>
  </ol>
</template>

<style scoped>
.bouts {
  display: grid;
  gap: 12px;
}

.bouts > li {
  border-top: 1px solid var(--line);
  padding-top: 10px;
  display: grid;
  gap: 6px;
}

.bouts > li:first-child {
  border-top: 0;
  padding-top: 0;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
}

.peak b {
  font-size: 1.3rem;
}

.short {
  color: var(--ochre-deep);
  font-weight: 650;
}

.readings li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  font-size: 0.94rem;
}

.early b {
  font-weight: 450;
  color: var(--ink-quiet);
}

.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.asked button {
  font: inherit;
  min-height: var(--touch);
  min-width: 58px;
  border: 1.5px solid var(--line);
  border-radius: 6px;
  background: var(--sheet);
  color: var(--ink);
  cursor: pointer;
}

.asked button[aria-pressed='true'] {
  forced-color-adjust: none;
  background: var(--teal);
  border-color: var(--teal);
  color: white;
  font-weight: 700;
}
</style>
