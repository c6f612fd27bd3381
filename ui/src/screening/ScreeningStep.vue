<script setup lang="ts">
import { computed, nextTick, onMounted, watch } from 'vue'
import { questions as whatIsAsked, screening, type ScreeningRecord } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { day, nextWords, studioDay } from '../shared/words'
import ClearanceList from './ClearanceList.vue'
import ConsentList from './ConsentList.vue'
import DecisionSheet from './DecisionSheet.vue'
import { summary } from './intake'
import IntakeQuestions from './IntakeQuestions.vue'
import { useShortcuts } from '../shared/shortcuts'

/** The intake on the left, what it comes to on the right. */
const { id, overview, refresh } = useClient()
const record = useAnswer(screening)
const asked = useAnswer(whatIsAsked)
onMounted(asked.load)
watch(id, record.load, { immediate: true })

function saved(now: ScreeningRecord) {
  record.data.value = now
  void refresh()
}
/** All has been asked: from here it goes on to what is next. */
async function finished() {
  await refresh()
  await nextTick()
  const onward = document.querySelector<HTMLElement>('[data-next]')
  ;(onward ?? document.querySelector<HTMLElement>('.intake .ways button'))?.focus()
}
async function changed() {
  await Promise.all([record.load(id.value), refresh()])
}

/** Where it goes on once the screening asks for nothing more. */
const next = computed(() => {
  const step = overview.value?.next
  return step && step.step !== 'screening'
    ? { to: `/clients/${id.value}/${step.step}`, words: nextWords(step) }
    : null
})
const archived = computed(() => overview.value?.client.archived ?? false)
/** Of each day the last version: what stood in the evening. */
const byDay = computed(() => {
  const versions = record.data.value?.versions ?? []
  return versions.filter(
    (each, at) =>
      at === 0 || studioDay(each.recordedAt) !== studioDay(versions[at - 1]!.recordedAt),
  )
})
const problem = computed(() => record.problem.value ?? asked.problem.value)
const clearanceNeeded = computed(
  () =>
    record.data.value?.decision.clearanceNeeded !== 'none' &&
    !record.data.value?.decision.clearance,
)

useShortcuts({
  list: [
    ['Space', 'on an answer: tick it'],
    ['Enter', 'save this question and go on to the next'],
  ],
})
</script>

<template>
  <ProblemNote v-if="problem && !record.data.value" :problem="problem" @retry="changed" />
  <div v-else-if="record.data.value && asked.data.value && overview" class="columns">
    <div class="stack">
      <section class="sheet stack" aria-labelledby="intake-title">
        <h2 id="intake-title" class="visually-hidden">Intake</h2>
        <IntakeQuestions
          :id="id"
          :key="id"
          :record="record.data.value"
          :questions="asked.data.value"
          :closed="archived"
          @saved="saved"
          @finished="finished"
        />
      </section>
      <section v-if="byDay.length" class="sheet stack" aria-labelledby="versions-title">
        <h2 id="versions-title">Earlier answers</h2>
        <ul class="versions">
          <li v-for="each in byDay" :key="each.version">
            <details>
              <summary>
                <b>{{ day(each.recordedAt) }}</b>
                <span class="quiet"> · version {{ each.version }}</span>
              </summary>
              <dl>
                <template v-for="topic in asked.data.value.topics" :key="topic.id">
                  <template v-if="each.answers.asked.includes(topic.id)">
                    <dt>{{ topic.name }}</dt>
                    <dd>{{ summary(topic.id, each.answers, asked.data.value) }}</dd>
                  </template>
                </template>
              </dl>
            </details>
          </li>
        </ul>
      </section>
    </div>
    <div class="sheet stack">
      <DecisionSheet :decision="record.data.value.decision" :next="next" />
      <template v-if="record.data.value.consentAsked || record.data.value.consents.length">
        <hr />
        <ConsentList
          :id="id"
          :consents="record.data.value.consents"
          :closed="archived"
          :changed="changed"
        />
      </template>
      <hr />
      <ClearanceList
        :id="id"
        :clearances="record.data.value.clearances"
        :closed="archived"
        :needed="clearanceNeeded"
        :changed="changed"
      />
      <hr />
      <section class="stack papers" aria-labelledby="papers-title">
        <h2 id="papers-title">For the doctor</h2>
        <RouterLink :to="`/clients/${id}/papers/summary`">Screening summary, one page</RouterLink>
        <RouterLink :to="`/clients/${id}/papers/letter`">Letter asking for clearance</RouterLink>
      </section>
    </div>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1.45fr) minmax(340px, 1fr);
}

hr {
  border: 0;
  border-top: 1px solid var(--line);
  width: 100%;
  margin: 0;
}

.papers {
  gap: 8px;
}

.versions li {
  border-top: 1px solid var(--line);
}

.versions li:first-child {
  border-top: 0;
}

summary {
  cursor: pointer;
  min-height: var(--touch);
  display: flex;
  gap: 6px;
  align-items: center;
}

dl {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr);
  gap: 4px 16px;
  padding-bottom: 10px;
}

dt {
  font-weight: 650;
  font-size: 0.92rem;
}

@media (max-width: 1060px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 560px) {
  dl {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
