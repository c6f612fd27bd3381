<script setup lang="ts">
import Button from 'primevue/button'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { bands } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import Ruler from '../shared/Ruler.vue'
import { useLoad } from '../shared/load'
import { effort, span } from '../shared/words'

/** The client's span on the ruler, and what each band is. */
const { id, overview } = useClient()
const router = useRouter()
const { data, problem, load } = useLoad(bands)
watch([id, () => overview.value?.client.version], () => load(id.value, 'voice-ladder', 'run'), {
  immediate: true,
})
const cursor = ref<number>()
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load(id, 'voice-ladder', 'run')" />
  <section v-else-if="data && !data.zones" class="sheet stack none">
    <h2>No bands by rate</h2>
    <Findings :findings="data.findings" />
    <div>
      <Button
        v-if="data.findings[0]?.code === 'resting-missing'"
        label="Count a pulse"
        @click="router.push(`/clients/${id}/pulse`)"
      />
      <Button
        v-else
        label="Prescribe by effort and talk"
        @click="router.push(`/clients/${id}/prescription`)"
      />
    </div>
  </section>
  <div v-else-if="data?.zones" class="stack">
    <section class="sheet">
      <p class="title">
        <b
          >From <span class="num">{{ data.zones.restingBpm }}</span> at rest to about
          <span class="num">{{ data.zones.maximumBpm }}</span></b
        >
        <span class="quiet">
          · reserve <span class="num">{{ data.zones.reserveBpm }}</span> · edges as soft as they are
          uncertain: maximum ± <span class="num">{{ data.zones.maximumSigmaBpm }}</span>, rest ±
          <span class="num">{{ data.zones.restingSigmaBpm }}</span>
        </span>
      </p>
      <Ruler v-model:cursor="cursor" :zones="data.zones" :ceiling-bpm="data.ceilingBpm" />
    </section>

    <section class="sheet">
      <div class="heading">
        <h2>{{ data.zones.name }}: what each band is</h2>
        <span class="quiet small">{{ data.zones.serves }}</span>
        <Button label="Prescribe" @click="router.push(`/clients/${id}/prescription`)" />
      </div>
      <div class="scroll" tabindex="0" role="region" aria-label="What each band is">
        <table>
          <thead>
            <tr>
              <th scope="col">band</th>
              <th scope="col">bpm</th>
              <th scope="col" class="edge">edge ±</th>
              <th scope="col">in 10 s</th>
              <th scope="col">in 15 s</th>
              <th scope="col">effort of 20</th>
              <th scope="col">of 10</th>
              <th scope="col">how it sounds</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="band in data.zones.bands"
              :key="band.id"
              :class="{
                at: cursor !== undefined && cursor >= band.lowBpm && cursor <= band.highBpm,
                beyond: data.ceilingBpm !== null && band.lowBpm >= data.ceilingBpm,
              }"
            >
              <th scope="row"><LevelStrokes :level="band.level" /> {{ band.name }}</th>
              <td class="num strong">{{ span([band.lowBpm, band.highBpm]) }}</td>
              <td class="num quiet edge">{{ band.lowSigmaBpm.toFixed(1) }}</td>
              <td class="num">{{ span(band.counts['10']) }}</td>
              <td class="num">{{ span(band.counts['15']) }}</td>
              <td class="num">{{ effort(band.rpe20, 6) }}</td>
              <td class="num">{{ effort(band.rpe10, 0) }}</td>
              <td>{{ band.voice }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="data.ceilingBpm !== null" class="small quiet note">
        Bands that begin at <span class="num">{{ data.ceilingBpm }}</span> or above are shown, and
        not prescribed for this client yet.
      </p>
    </section>
  </div>
  <p v-else class="quiet" role="status">Working out the bands…</p>
</template>

<style scoped>
.title {
  margin-bottom: 4px;
}

.none {
  max-width: 640px;
}

.heading {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}

.heading button {
  margin-left: auto;
}

.scroll {
  overflow-x: auto;
  margin-top: 8px;
}

table {
  border-collapse: collapse;
  width: 100%;
}

th,
td {
  text-align: left;
  padding: 8px 10px;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}

thead th {
  font-size: 0.8rem;
  font-weight: 550;
  color: var(--ink-quiet);
  padding-top: 4px;
}

tbody th {
  font-weight: 700;
}

tbody th .strokes {
  margin-right: 8px;
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

.note {
  margin-top: 8px;
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
</style>
