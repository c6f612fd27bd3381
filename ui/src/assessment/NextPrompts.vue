<script setup lang="ts">
import { computed } from 'vue'
import type { TestPrompt } from '../api/korvel'
import { onClock } from '../live/cues'
import { inTime } from './prompts'

/** The next thing to do counts down; what comes after it stands beside it, small. */
const props = defineProps<{ prompts: TestPrompt[]; now: number; otherwise: string }>()
const shown = computed(() => inTime(props.prompts, props.now))
</script>

<template>
  <div class="next" role="status">
    <template v-if="shown[0]">
      <b :class="{ due: shown[0].due }">
        <span class="num">{{ shown[0].due ? 'Now' : onClock(shown[0].left) }}</span>
        {{ shown[0].words }}
      </b>
      <span v-for="each in shown.slice(1, 4)" :key="each.words" class="quiet">
        <span class="num">{{ each.due ? 'now' : onClock(each.left) }}</span> {{ each.words }}
      </span>
    </template>
    <b v-else class="quiet">{{ otherwise }}</b>
  </div>
</template>

<style scoped>
.next {
  display: grid;
  gap: 2px;
  align-content: center;
}

b {
  font-size: clamp(1.4rem, 2.6vw, 2.1rem);
  line-height: 1.1;
}

b .num {
  margin-right: 0.3em;
  color: var(--ink-quiet);
}

.due .num {
  color: var(--ochre-deep);
}

.quiet .num {
  display: inline-block;
  min-width: 3.2rem;
}
</style>
