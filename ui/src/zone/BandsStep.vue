<script setup lang="ts">
import Button from 'primevue/button'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { bands } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import Ruler from '../shared/Ruler.vue'
import { useLoad } from '../shared/load'
import BandTable from './BandTable.vue'

/** The client's span on the ruler, and what each band is. */
const { id, overview } = useClient()
const router = useRouter()
const { data, problem, load } = useLoad(bands)
watch([id, () => overview.value?.client.version], () => load(id.value, 'voice-ladder', 'run'), {
  immediate: true,
})
const cursor = ref<number>()

/** The same figures on the desk, where every number is worked out long hand. */
function onDesk(band: string) {
  const zones = data.value!.zones!
  return {
    path: '/desk/bands',
    query: {
      rest: zones.restingBpm,
      max: zones.maximumBpm,
      scheme: zones.scheme,
      cap: zones.capBpm ?? undefined,
      maxerror: zones.maximumSigmaBpm,
      resterror: zones.restingSigmaBpm,
      band,
    },
  }
}
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load(id, 'voice-ladder', 'run')" />
  <section v-else-if="data && !data.zones" class="sheet stack none">
    <h2>No bands by rate</h2>
    <Findings :findings="data.findings" />
    <p v-for="finding in data.findings" :key="finding.code">{{ finding.because }}</p>
    <div>
      <Button
        v-if="data.findings[0]?.code === 'resting-missing'"
        label="Count a pulse"
        @click="router.push(`/clients/${id}/pulse`)"
      />
      <Button
        v-else-if="overview?.steps.some((step) => step.step === 'pulse' && step.state === 'due')"
        label="Count the pulse again"
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
          ·
          <MethodLink to="reserve"
            >reserve <span class="num">{{ data.zones.reserveBpm }}</span></MethodLink
          >
          · edges
          <MethodLink to="edge-error">as soft as they are uncertain</MethodLink>: maximum ±
          <MethodLink :to="data.maximumMethod!" class="num">{{
            data.zones.maximumSigmaBpm
          }}</MethodLink>, rest ±
          <MethodLink to="resting-error" class="num">{{ data.zones.restingSigmaBpm }}</MethodLink>
        </span>
      </p>
      <Ruler v-model:cursor="cursor" :rows="[{ zones: data.zones, ceilingBpm: data.ceilingBpm }]" />
      <Findings :findings="data.findings" class="cap" />
    </section>

    <section class="sheet">
      <div class="heading">
        <h2>{{ data.zones.name }}: what each band is</h2>
        <span class="quiet small">{{ data.zones.serves }}</span>
        <Button label="Prescribe" @click="router.push(`/clients/${id}/prescription`)" />
      </div>
      <BandTable
        :zones="data.zones"
        :at="cursor"
        :ceiling-bpm="data.ceilingBpm"
        :working="onDesk"
      />
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

.cap {
  margin-top: 10px;
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

.note {
  margin-top: 8px;
}
</style>
