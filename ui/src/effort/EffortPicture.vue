<script setup lang="ts">
import { computed } from 'vue'
import type { Effort } from '../api/korvel'
import LevelStrokes from '../shared/LevelStrokes.vue'
import { day, MODES } from '../shared/words'
import PlotMarks from '../shared/chart/PlotMarks.vue'
import { scale } from '../shared/chart/scale'

/** An effort, and whose it was. */
export interface EffortOf {
  client: string
  name: string
  effort: Effort
}

/** Efforts of one or several people in one table and picture, hardest first. */
const props = defineProps<{ efforts: EffortOf[] }>()
defineEmits<{ takeBack: [effort: EffortOf] }>()

const sorted = computed(() =>
  [...props.efforts].sort((a, b) => b.effort.reservePercent - a.effort.reservePercent),
)
/** The picture reaches a little past the maximum, and farther where somebody went past it. */
const end = computed(() =>
  Math.max(105, ...props.efforts.map(({ effort }) => effort.reservePercent + 3)),
)
const at = computed(() => scale(0, end.value, 0, 100))
const MARKS = [0, 20, 40, 60, 80, 100]
</script>

<template>
  <div class="picture">
    <div class="row head" aria-hidden="true">
      <span>Effort</span>
      <span class="plot"
        ><PlotMarks :marks="MARKS" :at="at" :words="(mark) => `${mark} %`" head
      /></span>
      <span class="num">reserve</span>
      <span class="num">maximum</span>
      <span class="num">bpm</span>
      <span />
    </div>
    <ul>
      <li v-for="each in sorted" :key="each.effort.id" class="row">
        <span class="what">
          <b>{{ each.name }}</b>
          <span class="quiet small"
            >{{ each.effort.name }} · {{ MODES[each.effort.mode].toLowerCase() }} ·
            <template v-if="each.effort.minutes !== null">{{ each.effort.minutes }} min · </template
            >{{ day(each.effort.doneOn) }}</span
          >
        </span>
        <span class="plot" aria-hidden="true">
          <PlotMarks :marks="MARKS" :at="at" />
          <i
            class="bar"
            :style="{
              width: `${at(Math.max(0, each.effort.reservePercent))}%`,
              background: `var(--band-${each.effort.level})`,
            }"
          />
        </span>
        <span class="num"
          ><b>{{ each.effort.reservePercent.toFixed(1) }}</b> %</span
        >
        <span class="num">{{ each.effort.maximumPercent.toFixed(1) }} %</span>
        <span
          class="num"
          :title="`${each.effort.restingBpm} at rest, maximum ${each.effort.maximumBpm}`"
          >{{ each.effort.averageBpm }}</span
        >
        <span class="end">
          <span class="level"
            ><LevelStrokes :level="each.effort.level" /> {{ each.effort.levelName }}</span
          >
          <button
            type="button"
            class="link small"
            :aria-label="`Delete ${each.effort.name} of ${each.name}`"
            @click="$emit('takeBack', each)"
          >
            delete
          </button>
        </span>
        <span v-if="each.effort.finding" class="said">{{ each.effort.finding.message }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(12rem, 1.2fr) minmax(120px, 2fr) 5rem 5rem 3rem 12rem;
  gap: 4px 16px;
  align-items: center;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}

.head {
  border: 0;
  font-size: 0.8rem;
  color: var(--ink-quiet);
  padding: 0;
}

.row .num {
  text-align: right;
}

.what {
  display: grid;
}

.plot {
  position: relative;
  height: 26px;
}

.head .plot {
  height: 18px;
}

.bar {
  position: absolute;
  top: 4px;
  height: 18px;
  left: 0;
  border-radius: 0 4px 4px 0;
}

.end {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
}

.level,
.end .link {
  white-space: nowrap;
}

.said {
  grid-column: 1 / -1;
  color: var(--ochre-deep);
  font-weight: 650;
}

@media (max-width: 980px) {
  .head {
    display: none;
  }

  .row {
    grid-template-columns: 1fr auto auto auto;
  }

  .row .what,
  .row .plot,
  .row .end {
    grid-column: 1 / -1;
  }
}
</style>
