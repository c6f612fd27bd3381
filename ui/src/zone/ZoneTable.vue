<script setup lang="ts">
import { computed } from 'vue'
import type { Prescribable, Zones } from '../api/korvel'
import CsvLink from '../shared/CsvLink.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import MethodLink from '../shared/MethodLink.vue'
import { holds } from '../shared/ruler/drawing'
import { effort, span } from '../shared/words'

/** What each band of a scheme is: rates, counts, effort, voice. A band's name opens its sum. */
const props = defineProps<{
  zones: Zones
  /** The rate the cursor is at. */
  at?: number | undefined
  /** Where the working of a zone is shown. */
  working: (band: string) => object
  /** What of each band may be prescribed, and where to; left out where there is no client. */
  prescribable?: Prescribable[]
  prescribe?: (low: number, high: number) => object
}>()

const PLACES = {
  'below-resting': () => `lies under the resting rate of ${props.zones.restingBpm}`,
  'above-maximum': () => `lies above the maximum of ${props.zones.maximumBpm}`,
  'too-narrow': () => 'is narrower than one beat for this client',
  within: () => '',
}
const allowed = (at: number) => props.prescribable?.[at]
const beyond = (at: number) => {
  const band = props.zones.bands[at]!
  return band.allowedHighBpm === null || allowed(at)?.lowPercent === null
}
/** Why some may not be prescribed, once for all that share the reason. */
const reasons = computed(() => {
  const byReason = new Map<string, string[]>()
  props.zones.bands.forEach((band, at) => {
    const why = allowed(at)?.because
    if (!why || band.place !== 'within') return
    const cut = allowed(at)!.lowPercent === null ? '' : ', cut'
    byReason.set(why, [...(byReason.get(why) ?? []), band.name + cut])
  })
  return [...byReason].map(([why, bands]) => ({ why, bands: bands.join('; ') }))
})
</script>

<template>
  <div class="scroll" tabindex="0" role="region" aria-label="What each zone is">
    <table>
      <thead>
        <tr>
          <th scope="col">zone</th>
          <th scope="col">bpm</th>
          <th scope="col" class="edge"><MethodLink to="edge-error">edge ±</MethodLink></th>
          <th scope="col"><MethodLink to="count-card">in 10 s</MethodLink></th>
          <th scope="col">in 15 s</th>
          <th scope="col">RPE 6–20</th>
          <th scope="col">RPE 0–10</th>
          <th scope="col">how it sounds</th>
          <th v-if="prescribable" scope="col" class="no-print">prescribe</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(band, n) in zones.bands"
          :key="band.id"
          :class="{ at: at !== undefined && holds(band, at), beyond: beyond(n) }"
        >
          <th scope="row">
            <LevelStrokes :level="band.level" />
            <RouterLink :to="working(band.id)" class="name" :title="`${band.name}: the working`">{{
              band.name
            }}</RouterLink>
          </th>
          <template v-if="band.place !== 'within'">
            <td :colspan="prescribable ? 8 : 7" class="quiet">{{ PLACES[band.place]() }}</td>
          </template>
          <template v-else>
            <td class="num strong">
              {{ span([band.lowBpm, band.allowedHighBpm ?? band.highBpm]) }}
              <s v-if="(band.allowedHighBpm ?? band.highBpm) < band.highBpm" class="quiet">{{
                band.highBpm
              }}</s>
            </td>
            <td class="num quiet edge">{{ band.lowSigmaBpm.toFixed(1) }}</td>
            <template v-if="band.allowedHighBpm === null">
              <td colspan="2" class="quiet">above the cap</td>
            </template>
            <template v-else>
              <td class="num">{{ span(band.counts['10']) }}</td>
              <td class="num">{{ span(band.counts['15']) }}</td>
            </template>
            <td class="num">
              <MethodLink :to="`level-${band.level}`">{{ effort(band.rpe20, 6) }}</MethodLink>
            </td>
            <td class="num">{{ effort(band.rpe10, 0) }}</td>
            <td>{{ band.voice }}</td>
            <td v-if="prescribable" class="no-print">
              <RouterLink
                v-if="allowed(n)?.lowPercent != null && prescribe"
                :to="prescribe(allowed(n)!.lowPercent!, allowed(n)!.highPercent!)"
                :aria-label="`Prescribe ${band.name}, ${span([allowed(n)!.lowPercent!, allowed(n)!.highPercent!])} percent of reserve`"
                ><span class="num">{{
                  span([allowed(n)!.lowPercent!, allowed(n)!.highPercent!])
                }}</span>
                %</RouterLink
              >
              <span v-else class="quiet">not allowed</span>
            </td>
          </template>
        </tr>
      </tbody>
    </table>
    <CsvLink name="bands" />
    <ul v-if="reasons.length" class="reasons small">
      <li v-for="{ why, bands } in reasons" :key="why">
        <b>{{ bands }}</b>: {{ why }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.scroll {
  margin-top: 8px;
}

th,
td {
  padding: 8px 10px;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}

thead th {
  padding-top: 4px;
}

tbody th {
  font-weight: 700;
}

tbody th .strokes {
  margin-right: 8px;
}

.name {
  color: var(--ink);
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}

.reasons {
  margin-top: 8px;
  color: var(--ink-quiet);
}

.strong {
  font-weight: 700;
}

tr.at {
  background: var(--teal-wash);
}

tr.beyond .strong {
  color: var(--ink-quiet);
}

@media (max-width: 640px) {
  .edge {
    display: none;
  }

  th,
  td {
    padding: 8px 7px;
  }
}

@media print {
  .scroll {
    overflow: visible;
  }

  th,
  td {
    padding: 4px 6px;
    font-size: 0.82rem;
    white-space: normal;
  }
}
</style>
