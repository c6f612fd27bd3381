<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import { computed } from 'vue'
import type { PlannedLoad, ZoneSystems } from '../api/korvel'
import LevelStrokes from '../shared/LevelStrokes.vue'
import MethodLink from '../shared/MethodLink.vue'
import { BASES, CLASSES, figureSpan, KINDS } from '../shared/words'

/** What each zone system calls a goal, and what of that may be prescribed. */
const props = defineProps<{
  asked: PlannedLoad
  schools: ZoneSystems
  /** Places of the zone systems, in the order in which they are listed. */
  order: number[]
  prescribe?: ((low: number, high: number) => object) | undefined
}>()

const called = computed(() =>
  props.order.map((n) => {
    const school = props.schools.schools[n]!
    const names = props.asked.bands[n] ?? []
    const bands = school.bands
      .map((band, at) => ({ band, may: school.prescribable[at] }))
      .filter(({ band }) => names.includes(band.name))
    return { school, bands, inUse: school.scheme === props.schools.shown.scheme }
  }),
)
</script>

<template>
  <section class="sheet" aria-label="What each zone system calls it">
    <h2>What each zone system calls {{ asked.name.toLowerCase() }}</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="What each zone system calls it">
      <table>
        <thead>
          <tr>
            <th scope="col">zone system</th>
            <th scope="col" class="basis">counts in</th>
            <th scope="col">zone</th>
            <th scope="col">bpm</th>
            <th scope="col">class</th>
            <th v-if="prescribe" scope="col" class="no-print">prescribe</th>
          </tr>
        </thead>
        <tbody v-for="{ school, bands, inUse } in called" :key="school.scheme">
          <tr v-for="({ band, may }, n) in bands" :key="band.id">
            <th
              v-if="n === 0"
              scope="rowgroup"
              :rowspan="bands.length"
              :class="{ 'in-use': inUse }"
            >
              <MethodLink :to="school.scheme">{{ school.name }}</MethodLink>
              <small v-if="inUse"> in use</small>
            </th>
            <td v-if="n === 0" :rowspan="bands.length" class="quiet basis">
              {{ BASES[school.basis].name.toLowerCase() }},
              {{ KINDS[school.kind].name.toLowerCase() }}
            </td>
            <td><LevelStrokes :level="band.level" /> {{ band.name }}</td>
            <td class="num">{{ figureSpan(band.lowBpm, band.highBpm) }}</td>
            <td>{{ CLASSES[band.class] }}</td>
            <td v-if="prescribe" class="no-print">
              <RouterLink
                v-if="may?.lowPercent != null"
                :to="prescribe(may.lowPercent, may.highPercent!)"
                :aria-label="`Prescribe ${band.name} of ${school.name}`"
                ><span class="num">{{ figureSpan(may.lowPercent, may.highPercent!) }}</span>
                %</RouterLink
              >
              <span v-else class="quiet" :title="may?.because">not allowed</span>
            </td>
          </tr>
          <tr v-if="!bands.length">
            <th scope="row" :class="{ 'in-use': inUse }">
              <MethodLink :to="school.scheme">{{ school.name }}</MethodLink>
            </th>
            <td class="quiet basis">
              {{ BASES[school.basis].name.toLowerCase() }},
              {{ KINDS[school.kind].name.toLowerCase() }}
            </td>
            <td :colspan="prescribe ? 4 : 3" class="quiet">nothing there</td>
          </tr>
        </tbody>
      </table>
      <CsvLink name="what each school calls it" />
    </div>
  </section>
</template>

<style scoped>
.scroll {
  margin-top: 6px;
}

th,
td {
  vertical-align: top;
  padding: 6px 12px 6px 0;
  white-space: nowrap;
}

tbody {
  border-top: 1px solid var(--line);
}

tbody th {
  font-weight: 600;
}

.in-use {
  color: var(--teal-deep);
}

td .strokes {
  margin-right: 6px;
}

@media (max-width: 640px) {
  .basis {
    display: none;
  }

  tbody th {
    white-space: normal;
  }
}
</style>
