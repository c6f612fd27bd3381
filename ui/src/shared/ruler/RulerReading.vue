<script setup lang="ts">
import MethodLink from '../MethodLink.vue'
import { effort } from '../words'
import type { FullReading, Said } from './reading'

/** The line under a ruler: one point in every language, or what every row of a stack says of it. */
defineProps<{
  /** Where the cursor is: a rate, or a percent of reserve. */
  at: number
  full: FullReading
  said: Said[]
  name: string
  /** Several rows. */
  together: boolean
  byReserve: boolean
  compact: boolean
  wall: boolean
}>()
</script>

<template>
  <dl v-if="!together" class="reading" :class="{ wall }" aria-hidden="true">
    <div class="bpm">
      <dt>bpm</dt>
      <dd class="num">{{ full.at.bpm }}</dd>
    </div>
    <div>
      <dt>
        <MethodLink to="rate-of-reserve" tabindex="-1">of reserve</MethodLink>
      </dt>
      <dd class="num">{{ full.at.reservePercent.toFixed(1) }} %</dd>
    </div>
    <div>
      <dt><MethodLink to="rate-of-maximum" tabindex="-1">of maximum</MethodLink></dt>
      <dd class="num">{{ full.at.maximumPercent.toFixed(1) }} %</dd>
    </div>
    <div>
      <dt><MethodLink to="count-card" tabindex="-1">beats in 10 · 15 s</MethodLink></dt>
      <dd class="num">{{ full.at.counts['10'] }} · {{ full.at.counts['15'] }}</dd>
    </div>
    <div>
      <dt>
        <MethodLink :to="`level-${full.level.level}`" tabindex="-1">RPE 6–20 · 0–10</MethodLink>
      </dt>
      <dd class="num">{{ effort(full.level.rpe20, 6) }} · {{ effort(full.level.rpe10, 0) }}</dd>
    </div>
    <div class="voice">
      <dt>{{ name }}{{ full.at.overCap ? ', over the cap' : '' }}</dt>
      <dd>{{ full.level.voice }}</dd>
    </div>
  </dl>
  <div
    v-else
    class="reading together"
    :class="{ wall, compact, wide: byReserve }"
    aria-hidden="true"
  >
    <div class="bpm">
      <span class="num figure">{{ at }}<template v-if="byReserve"> %</template></span>
      <span v-if="byReserve" class="unit">of reserve</span>
      <span v-else class="unit"
        >bpm<template v-if="said[0]!.at">
          · <span class="num">{{ said[0]!.at.counts['15'] }}</span> in 15 s</template
        ></span
      >
    </div>
    <ul>
      <li v-for="row in said" :key="row.label">
        <b>{{ row.label }}</b>
        <template v-if="row.at && byReserve">
          <span
            ><b class="num">{{ row.at.bpm }}</b> bpm</span
          >
          <span
            ><span class="num">{{ row.at.counts['15'] }}</span> in 15 s</span
          >
          <span class="num">{{ row.at.maximumPercent.toFixed(1) }} % of maximum</span>
        </template>
        <template v-else-if="row.at">
          <span>{{ row.at.name }}</span>
          <span class="num">{{ row.at.reservePercent.toFixed(1) }} % of reserve</span>
          <span v-if="!compact" class="num"
            >{{ row.at.maximumPercent.toFixed(1) }} % of maximum</span
          >
          <span v-else-if="row.target" class="num aim">{{ row.target }}</span>
        </template>
        <span v-else>outside its span</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.compact.together li {
  grid-template-columns: minmax(10rem, 1.6fr) minmax(4rem, 0.7fr) 10.4rem 5rem;
  font-size: 0.88rem;
}

.wide.compact.together li {
  grid-template-columns: minmax(12rem, 2fr) 5rem 6rem 11rem;
}

.aim {
  color: var(--teal-deep);
  font-weight: 650;
}

.reading {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding-top: 10px;
}

.reading div {
  display: flex;
  flex-direction: column-reverse;
}

dt,
.unit {
  font-size: 0.8rem;
  color: var(--ink-quiet);
}

dd {
  font-size: 1.15rem;
  line-height: 1.2;
  white-space: nowrap;
}

.bpm {
  min-width: 4.4rem;
}

.bpm dd,
.figure {
  font-family: var(--text);
  font-size: 2.4rem;
  font-weight: 700;
  line-height: 1;
}

.reading.together {
  display: flex;
  gap: 8px 28px;
  align-items: center;
}

.together .bpm {
  flex-direction: column;
  min-width: 7.4rem;
}

.together ul {
  flex: 1;
  display: grid;
  gap: 4px;
  min-width: 0;
}

.together li {
  display: grid;
  grid-template-columns: minmax(9rem, 1.2fr) minmax(6rem, 1fr) 10.4rem 10.4rem;
  gap: 2px 16px;
  font-size: 0.94rem;
}

.voice {
  min-width: 14rem;
}

.voice dd {
  font-size: 1.02rem;
  white-space: normal;
}

.wall dt {
  font-size: 1em;
}

.wall dd {
  font-size: 1.5em;
}

.wall .bpm dd {
  font-size: 3.6em;
}

.wall .voice {
  min-width: 0;
}

.reading.wall {
  gap: 0.6em 2em;
  padding-top: 0.8em;
}

@media (max-width: 1000px) {
  .together li {
    grid-template-columns: 1fr 1fr;
  }
}

@media (max-width: 640px) {
  .reading {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 14px;
  }

  .reading.together {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
  }

  .together li {
    padding-top: 6px;
    border-top: 1px solid var(--line);
  }

  .compact.together li,
  .wide.compact.together li {
    grid-template-columns: auto minmax(0, 1fr) auto;
  }

  .compact.together li b:first-child {
    grid-column: 1 / -1;
  }

  .voice {
    grid-column: 1 / -1;
    min-width: 0;
  }
}

@media print {
  .reading,
  .reading.together {
    display: none;
  }
}
</style>
