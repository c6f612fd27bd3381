<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { card } from '../api/korvel'
import CardLook from '../sheet/CardLook.vue'
import SheetFrame from '../sheet/SheetFrame.vue'
import { useCardsRequest, useLook } from '../sheet/cardLook'
import { useSheet } from '../sheet/useSheet'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { useTitle } from '../shared/title'
import { day } from '../shared/words'

/** What the client carries: what to aim at, how it feels and sounds, when to stop. */
const props = defineProps<{ id: string; version: string }>()
const { data, problem, load } = useAnswer(card)
useTitle(() => data.value?.clientName)
onMounted(() => load(props.id, props.version))

const look = useLook('own')
const request = useCardsRequest(look, ref([props.id]), Number(props.version))
const sheet = useSheet('cards', () => (data.value ? request.value : null))
const { page, behind, making, messages, general } = sheet
const back = computed(() => `/clients/${props.id}/prescription`)
const LEADS = {
  rate: 'The rate leads; RPE and talk check it.',
  feel: 'RPE and talk lead; the rate follows.',
  'feel-only': 'RPE and talk only: no rate may be used.',
}
</script>

<template>
  <div v-if="problem?.findings.length" class="sheet stack refused">
    <h1>No card today</h1>
    <Findings :findings="problem.findings" />
    <p>
      <RouterLink :to="`/clients/${id}/screening`">To the screening</RouterLink> ·
      <RouterLink :to="back">To the prescription</RouterLink>
    </p>
  </div>
  <ProblemNote v-else-if="problem" :problem="problem" @retry="load(id, version)" />
  <div v-else-if="data" class="stack">
    <header>
      <h1>Card of {{ data.clientName }}</h1>
      <p>
        <RouterLink :to="back">Back to the prescription</RouterLink> ·
        <RouterLink to="/cards">Cards for a class</RouterLink>
      </p>
    </header>
    <section v-if="data.ratesSuspended.length" class="sheet stack suspended">
      <h2>Rates are suspended: the card shows RPE and talk</h2>
      <Findings :findings="data.ratesSuspended" />
    </section>
    <section v-if="data.review" class="sheet stack suspended">
      <h2>This card needs a new version</h2>
      <Findings :findings="[data.review]" />
      <p><RouterLink :to="back">Make the next version</RouterLink></p>
    </section>
    <div class="form-and-sheet">
      <form class="sheet stack" novalidate aria-label="Card layout" @submit.prevent>
        <CardLook v-model="look" :messages="messages" :counts="!!data.prescription.target" />
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
        <p v-if="data.latestVersion > data.version" class="fault">
          Version {{ data.latestVersion }} has replaced it.
          <RouterLink :to="back">See the current one</RouterLink>
        </p>
        <p>{{ LEADS[data.leads] }}</p>
        <p :class="{ fault: data.renewal.due }">
          {{ data.renewal.due ? 'Was due for review by' : 'Review by' }}
          <b>{{ day(data.renewal.on) }}</b>: {{ data.renewal.because }}.
          <RouterLink v-if="data.renewal.due" :to="back">Make the next version</RouterLink>
        </p>
      </form>
      <SheetFrame
        :page="page"
        :title="`Card of ${data.clientName}`"
        :behind="behind"
        :making="making"
        @pdf="sheet.pdf()"
        >Version {{ data.version }}, as it is printed.</SheetFrame
      >
    </div>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: baseline;
  justify-content: space-between;
}

.suspended,
.refused {
  border-left: 4px solid var(--fault);
}

.refused {
  max-width: 760px;
}
</style>
