<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { openTest, testStart, type TestOption, type TestRequest } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'
import { day } from '../shared/words'
import GradedChoices from './GradedChoices.vue'
import LaboratoryResults from './LaboratoryResults.vue'
import TimedChoices from './TimedChoices.vue'
import { blank, request } from './choices'

/** Which test, whether this client may do it today and why, and how it is done. */
const { id, overview } = useClient()
const router = useRouter()
const { data, problem, load } = useAnswer(testStart)
watch([id, () => overview.value?.checkedToday], () => load(id.value), { immediate: true })

const picked = ref<TestOption['kind'] | null>(null)
const chosen = reactive(blank())

function pick({ kind, paces }: TestOption) {
  picked.value = picked.value === kind ? null : kind
  chosen.pace = paces[0] ?? null
}
const checkInFirst = computed(
  () =>
    overview.value?.checkedToday === null &&
    data.value?.options.some(({ onlyToday, open }) => onlyToday && !open),
)
/** Why a test cannot be opened now, in a few words. */
function notNow({ onlyToday, needsOrder }: TestOption) {
  if (onlyToday) return overview.value?.checkedToday ? 'not today' : 'after today’s check-in'
  return needsOrder ? 'as ordered' : 'not allowed'
}

const {
  save: begin,
  saving,
  messages,
  general,
  refused,
} = useSave(() => openTest(id.value, request(picked.value!, chosen) as TestRequest), {
  saved: ({ sheet }) => router.push(`/floor/tests/${sheet.id}`),
})
/** May be opened as far as is known: an order is judged when it is there. */
const may = (each: TestOption) => each.open || (each.needsOrder && !each.onlyToday)
useShortcuts({ list: [['Enter', 'on a test: choose it']] })
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load(id)" />
  <div v-else-if="data" class="stack">
    <section v-if="data.running" class="sheet going">
      <p><b>A test is on.</b> It goes on where it stands.</p>
      <RouterLink :to="`/floor/tests/${data.running}`">Continue</RouterLink>
    </section>
    <section v-else-if="checkInFirst" class="sheet going">
      <p><b>Check in first.</b> A test needs a “go” of today.</p>
      <RouterLink :to="`/clients/${id}/check-in`">Check in</RouterLink>
    </section>

    <ul class="kinds sheet">
      <li v-for="each in data.options" :key="each.kind" :class="{ on: each.kind === picked }">
        <button type="button" :aria-expanded="each.kind === picked" @click="pick(each)">
          <b>{{ each.name }}</b>
          <span class="quiet">{{ each.summary }}</span>
          <span v-if="!each.open" class="not">{{ notNow(each) }}</span>
        </button>
        <div v-if="each.kind === picked" class="picked stack">
          <ol class="how">
            <li v-for="step in each.steps" :key="step">{{ step }}</li>
          </ol>
          <Findings :findings="each.findings" />
          <form
            v-if="may(each) && !data.running && !overview?.client.archived"
            class="stack"
            novalidate
            :aria-label="each.name"
            @submit.prevent="begin()"
          >
            <GradedChoices
              v-if="each.kind === 'graded'"
              v-model="chosen"
              :start="data"
              :needs-order="each.needsOrder"
              :messages="messages"
            />
            <TimedChoices
              v-else
              v-model="chosen"
              :start="data"
              :option="each"
              :messages="messages"
            />
            <Findings v-if="refused.length" :findings="refused" />
            <p v-else-if="general" class="fault" role="alert">{{ general }}</p>
            <div>
              <Button type="submit" label="Open the test" size="large" :loading="saving" />
            </div>
          </form>
        </div>
      </li>
    </ul>

    <section v-if="data.tests.length" class="sheet" aria-labelledby="before-title">
      <h2 id="before-title">Tests before</h2>
      <ul class="before">
        <li v-for="each in data.tests" :key="each.id">
          <span>{{ day(each.openedAt) }}</span>
          <RouterLink :to="`/floor/tests/${each.id}`">{{ each.name }}</RouterLink>
          <span class="quiet">{{ each.open ? 'on now' : each.setup }}</span>
          <span class="num">{{ each.figures.slice(0, 3).join(' · ') }}</span>
        </li>
      </ul>
    </section>

    <LaboratoryResults :start="data" @saved="(fresh) => (data = fresh)" @changed="load(id)" />
    <p class="quiet small">
      Maximum tests in the field are under
      <RouterLink :to="`/clients/${id}/maximum/tests`">Maximum</RouterLink>.
    </p>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.kinds {
  padding: 6px 22px;
}

.kinds > li {
  border-top: 1px solid var(--line);
}

.kinds > li:first-child {
  border-top: 0;
}

.kinds > li > button {
  display: grid;
  grid-template-columns: 13rem minmax(0, 1fr) auto;
  gap: 4px 20px;
  align-items: baseline;
  width: 100%;
  min-height: 56px;
  padding: 12px 0;
  font: inherit;
  color: inherit;
  text-align: left;
  background: none;
  border: 0;
  cursor: pointer;
}

.kinds > li > button:hover b {
  color: var(--teal-deep);
}

.not {
  color: var(--ink-quiet);
  font-size: 0.95rem;
}

.picked {
  padding: 4px 0 22px;
}

.how {
  list-style: decimal;
  padding-left: 1.4rem;
  display: grid;
  gap: 4px;
}

.going {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  justify-content: space-between;
  border-left: 4px solid var(--teal);
}

.going a {
  font-weight: 650;
}

.before li {
  display: grid;
  grid-template-columns: 5.6rem 11rem minmax(0, 1fr) auto;
  gap: 4px 16px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}

.before li:first-child {
  border-top: 0;
}

@media (max-width: 760px) {
  .kinds {
    padding: 4px 14px;
  }

  .kinds > li > button,
  .before li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .kinds > li > button .quiet,
  .before .num,
  .before .quiet {
    grid-column: 1 / -1;
  }
}
</style>
