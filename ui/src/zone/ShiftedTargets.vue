<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import { computed } from 'vue'
import type { PlannedLoad, Zones } from '../api/korvel'
import MethodLink from '../shared/MethodLink.vue'
import { figureSpan } from '../shared/words'

/** How far a goal moves if the maximum is off by its own error, and what each equation makes of it. */
const props = defineProps<{ asked: PlannedLoad; shown: Zones }>()

const sure = computed(() => Math.round(props.shown.maximumSigmaBpm))
const rows = computed(() => {
  const { asked, shown } = props
  const now = {
    method: '',
    what: 'The maximum in use',
    maximumBpm: shown.maximumBpm,
    lowBpm: asked.lowBpm,
    highBpm: asked.highBpm,
    lowMoves: 0,
    highMoves: 0,
  }
  const off = asked.off.map((each) => ({
    ...each,
    method: '',
    what:
      each.maximumBpm < shown.maximumBpm ? 'Off by its error, lower' : 'Off by its error, higher',
  }))
  const equations = asked.equations.map((each) => ({
    ...each,
    method: each.method ?? '',
    what: each.name ?? '',
  }))
  return [now, ...off, ...equations]
})
const ends = computed<[number, number]>(() => {
  const all = rows.value.flatMap((row) => (row.lowBpm == null ? [] : [row.lowBpm, row.highBpm!]))
  return [Math.min(...all) - 2, Math.max(...all) + 2]
})
const share = (bpm: number) => {
  const [from, to] = ends.value
  return `${(100 * (bpm - from)) / (to - from)}%`
}
const moved = (by: number) => (by === 0 ? '0' : by > 0 ? `+${by}` : `−${-by}`)
</script>

<template>
  <section class="sheet stack" aria-labelledby="shifted-title">
    <div>
      <h2 id="shifted-title">If the maximum is off</h2>
      <p class="quiet">
        The maximum of <span class="num">{{ shown.maximumBpm }}</span> is accurate to ±
        <span class="num">{{ sure }}</span>. An edge moves by its share of that:
        <span class="num">{{ asked.lowPercent }}</span> % of reserve by
        <span class="num">{{ asked.lowPercent }}</span> % of it.
        <MethodLink to="edge-error">How accurate an edge is</MethodLink>
      </p>
    </div>
    <div class="scroll" tabindex="0" role="region" aria-label="If the maximum is off">
      <table>
        <thead>
          <tr>
            <th scope="col">by</th>
            <th scope="col">maximum</th>
            <th scope="col">{{ asked.name.toLowerCase() }}</th>
            <th scope="col">edges move</th>
            <th scope="col" class="picture"><span class="visually-hidden">picture</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, n) in rows" :key="row.what" :class="{ now: n === 0, rule: n === 3 }">
            <th scope="row">
              <MethodLink v-if="row.method" :to="row.method">{{ row.what }}</MethodLink>
              <template v-else>{{ row.what }}</template>
            </th>
            <td class="num">{{ row.maximumBpm }}</td>
            <template v-if="row.lowBpm != null">
              <td class="num strong">{{ figureSpan(row.lowBpm, row.highBpm!) }}</td>
              <td class="num quiet">
                {{ n === 0 ? '' : `${moved(row.lowMoves)}, ${moved(row.highMoves)}` }}
              </td>
              <td class="picture" aria-hidden="true">
                <span class="track">
                  <span
                    class="was"
                    :style="{
                      left: share(asked.lowBpm!),
                      right: `calc(100% - ${share(asked.highBpm!)})`,
                    }"
                  ></span>
                  <span
                    class="is"
                    :style="{
                      left: share(row.lowBpm),
                      right: `calc(100% - ${share(row.highBpm!)})`,
                    }"
                  ></span>
                </span>
              </td>
            </template>
            <td v-else colspan="3" class="quiet">the reserve would be too small to steer by</td>
          </tr>
        </tbody>
      </table>
      <CsvLink name="if the maximum is off" />
    </div>
  </section>
</template>

<style scoped>
th,
td {
  text-align: left;
  padding: 6px 14px 6px 0;
  white-space: nowrap;
  border-top: 1px solid var(--line);
}

thead th {
  border-top: 0;
}

tbody th {
  font-weight: 600;
}

.strong {
  font-weight: 700;
}

.rule th,
.rule td {
  border-top: 2px solid var(--line);
}

.picture {
  width: 44%;
  min-width: 140px;
  padding-right: 0;
}

.track {
  display: block;
  position: relative;
  height: 18px;
}

.was,
.is {
  position: absolute;
  border-radius: 3px;
}

.was {
  top: 0;
  bottom: 0;
  forced-color-adjust: none;
  background: var(--teal-wash);
}

.is {
  top: 5px;
  bottom: 5px;
  min-width: 3px;
  forced-color-adjust: none;
  background: var(--teal);
}
</style>
