<script setup lang="ts">
import { computed } from 'vue'
import { onSpanAxis as percent } from './spanAxis'

/** A client's span from rest to maximum on the axis all clients share. */
const props = defineProps<{ resting: number | null; maximum: number | null }>()
const bar = computed(() =>
  props.resting !== null && props.maximum !== null
    ? { left: percent(props.resting), right: 100 - percent(props.maximum) }
    : null,
)
</script>

<template>
  <div class="span">
    <template v-if="bar">
      <i class="bar" :style="{ left: `${bar.left}%`, right: `${bar.right}%` }" />
      <b class="num rest" :style="{ right: `${100 - bar.left}%` }">{{ resting }}</b>
      <b class="num max" :style="{ left: `${100 - bar.right}%` }">{{ maximum }}</b>
    </template>
    <template v-else-if="resting !== null">
      <i class="dot" :style="{ left: `${percent(resting)}%` }" />
      <b class="num max lone" :style="{ left: `${percent(resting)}%` }">{{ resting }} at rest</b>
    </template>
    <span v-else class="none">not counted yet</span>
  </div>
</template>

<style scoped>
.span {
  position: relative;
  height: 26px;
  forced-color-adjust: none;
  background: linear-gradient(var(--line), var(--line)) center / 100% 1px no-repeat;
}

.bar {
  position: absolute;
  top: 6px;
  height: 14px;
  border-radius: 3px;
  forced-color-adjust: none;
  background: linear-gradient(
    90deg,
    var(--band-1) 30%,
    var(--band-2) 50%,
    var(--band-3) 67%,
    var(--band-4) 82%,
    var(--band-5) 95%
  );
}

.dot {
  position: absolute;
  top: 8px;
  width: 10px;
  height: 10px;
  margin-left: -5px;
  border-radius: 50%;
  forced-color-adjust: none;
  background: var(--band-2);
  border: 1.5px solid var(--ink-quiet);
}

b {
  position: absolute;
  top: 3px;
  font-size: 0.84rem;
  font-weight: 600;
  padding: 0 5px;
  background: var(--sheet);
}

.lone {
  margin-left: 9px;
}

.none {
  position: absolute;
  left: 0;
  top: 2px;
  padding-right: 8px;
  background: var(--sheet);
  color: var(--ink-quiet);
  font-size: 0.88rem;
}
</style>
