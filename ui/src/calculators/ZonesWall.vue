<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import LevelStrokes from '../shared/LevelStrokes.vue'
import Ruler from '../shared/ruler/Ruler.vue'
import { span } from '../shared/words'
import { useBands } from './zones'
import { useShortcuts } from '../shared/shortcuts'

/** The bands for a wall screen: dark, large, to be read from across a hall. */
const router = useRouter()
const { form, one } = useBands()
const { answer, general, refused } = one
const cursor = ref<number>()
const back = () => router.push({ path: '/calculators/bands', query: { ...form } })
useShortcuts({ list: [['Esc', 'back to the calculators']], act: { Escape: back } })
</script>

<template>
  <div class="wall-page dark-ground">
    <header>
      <h1>{{ answer?.name ?? 'Zones' }}</h1>
      <p v-if="answer">
        <span class="num">{{ answer.restingBpm }}</span> at rest, maximum
        <span class="num">{{ answer.maximumBpm }}</span>
      </p>
      <button type="button" class="no-print" @click="back">
        Back to the calculators <kbd>Esc</kbd>
      </button>
    </header>
    <template v-if="answer">
      <Ruler v-model:cursor="cursor" :rows="[{ zones: answer }]" wall />
      <ul>
        <li
          v-for="band in answer.bands.filter((each) => each.place === 'within')"
          :key="band.id"
          :class="{ at: cursor !== undefined && cursor >= band.lowBpm && cursor <= band.highBpm }"
        >
          <LevelStrokes :level="band.level" />
          <b>{{ band.name }}</b>
          <span class="num rate">{{ span([band.lowBpm, band.highBpm]) }}</span>
          <span v-if="band.allowedHighBpm !== null" class="num"
            >{{ span(band.counts['15']) }} <small>in 15 s</small></span
          >
          <span v-else><small>above the cap</small></span>
        </li>
      </ul>
    </template>
    <p v-else-if="general || refused.length" role="alert">
      {{ refused[0]?.message ?? general }} Go back to the calculators and check the figures.
    </p>
  </div>
</template>

<style scoped>
.wall-page {
  min-height: 100vh;
  background: var(--paper);
  color: var(--ink);
  padding: 1.4em 1.8em;
  display: grid;
  align-content: start;
  gap: 1em;
  font-size: clamp(16px, 1.5vw, 30px);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 28px;
  align-items: baseline;
}

h1 {
  font-size: 1.7em;
}

header p {
  font-size: 1.15em;
  color: var(--ink-quiet);
}

button {
  font: inherit;
  font-size: 16px;
  margin-left: auto;
  min-height: var(--touch);
  color: var(--ink-quiet);
  background: none;
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 8px 16px;
  cursor: pointer;
}

kbd {
  font-family: var(--mono);
  font-size: 0.86em;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(9.4em, 1fr));
  gap: 0.5em;
}

li {
  display: grid;
  gap: 2px;
  padding: 0.6em 0.8em;
  border: 1px solid var(--line);
  border-radius: 10px;
  font-size: 1.1em;
  align-content: start;
}

li.at {
  border-color: var(--teal);
  box-shadow: inset 0 0 0 2px var(--teal);
}

li b {
  font-size: 1.2em;
}

.rate {
  font-size: 1.45em;
  font-weight: 700;
  line-height: 1.2;
}

small {
  font-size: 0.8em;
  color: var(--ink-quiet);
}

@media (max-width: 640px) {
  .wall-page {
    padding: 16px;
  }
}
</style>
