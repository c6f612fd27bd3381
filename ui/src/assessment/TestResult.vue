<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { keepTestMaximum } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import { useSave } from '../shared/save'
import { useTitle } from '../shared/title'
import { day, GRADES } from '../shared/words'
import PracticeOutcome from './PracticeOutcome.vue'
import RetestTable from './RetestTable.vue'
import SheetTable from './SheetTable.vue'
import TestTrace from './TestTrace.vue'
import type { TestRun } from './useTest'

/** What a test came to: its figures, why, beside the same test before, and on paper. */
const props = defineProps<{ run: TestRun }>()
const sheet = computed(() => props.run.sheet.value!)
const state = computed(() => props.run.state.value!)
const outcome = computed(() => state.value.outcome)
useTitle(() => `${sheet.value.clientName}, ${sheet.value.name}`)
const closing = computed(() => state.value.entries.find(({ kind }) => kind === 'closed'))
const { save, saving, general } = useSave(() => keepTestMaximum(sheet.value.id), {
  saved: () => props.run.load(),
})
/** The rates of the stages stand in the sheet below. */
const figures = computed(
  () => outcome.value?.figures.filter(({ name }) => !name.startsWith('Stage ')) ?? [],
)
const begun = computed(() => state.value.begunAt !== null)
</script>

<template>
  <div class="stack result">
    <header>
      <h2>{{ sheet.name }}, {{ day(sheet.openedAt) }}</h2>
      <p class="quiet">
        {{ sheet.setup
        }}<template v-if="sheet.supervisor"> · supervised by {{ sheet.supervisor }}</template>
        <template v-if="state.endedBecause"> · {{ state.endedBecause.toLowerCase() }}</template>
      </p>
    </header>
    <PracticeOutcome v-if="state.review" :review="state.review" />
    <p v-if="!begun">It was cancelled before the work began.</p>
    <template v-else-if="outcome">
      <dl>
        <div v-for="each in figures" :key="each.name">
          <dt>{{ each.name }}</dt>
          <dd>
            <b class="num">{{ each.value }}</b> {{ each.unit }}
          </dd>
        </div>
        <div v-if="outcome.ratePressureProduct">
          <dt>Rate × systolic</dt>
          <dd>
            <b class="num">{{ outcome.ratePressureProduct.toLocaleString('en') }}</b>
          </dd>
        </div>
        <div v-if="outcome.grade">
          <dt>Graded</dt>
          <dd>
            <b>{{ GRADES[outcome.grade] }}</b>
          </dd>
        </div>
      </dl>
      <Findings :findings="outcome.findings" />
      <section v-if="state.proposal" class="proposal">
        <p>
          The highest rate that was held is <b class="num">{{ state.proposal.bpm }}</b>: it can be
          saved as a measured maximum, graded {{ GRADES[state.proposal.grade].toLowerCase() }}.
        </p>
        <p v-if="state.proposal.kept"><b>It is on record.</b></p>
        <Button v-else label="Save it as the maximum" :loading="saving" @click="save()" />
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
      </section>
      <RetestTable :test="sheet.id" />
      <TestTrace :bpm="run.trace.value" :target="sheet.targetBpm" :cap="sheet.capBpm" />
      <SheetTable v-if="state.graded" :graded="state.graded" />
    </template>
    <div class="ways">
      <template v-if="begun">
        <a :href="`/api/tests/${sheet.id}/sheet.pdf`" target="_blank" class="floor-link"
          >Print (PDF)</a
        >
        <a :href="`/api/tests/${sheet.id}/sheet.csv`" class="floor-link" download>CSV</a>
      </template>
      <RouterLink v-if="!sheet.clientId" to="/practice" class="floor-link">To practice</RouterLink>
      <RouterLink v-if="sheet.clientId" :to="`/clients/${sheet.clientId}/tests`" class="floor-link"
        >To their tests</RouterLink
      >
      <button
        v-if="closing"
        type="button"
        class="floor-link"
        @click="run.happen('withdrawn', { of: closing.id })"
      >
        Undo: open it again
      </button>
    </div>
  </div>
</template>

<style scoped>
.result {
  max-width: 1080px;
}

dl {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 36px;
}

dt {
  color: var(--ink-quiet);
}

dd {
  margin: 0;
}

dd b {
  font-size: 1.9rem;
}

.proposal {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
</style>
