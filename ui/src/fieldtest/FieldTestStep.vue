<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { beginFieldTest, fieldTests, type Mode } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import TextField from '../shared/TextField.vue'
import TickList from '../shared/TickList.vue'
import { typed } from '../shared/fields'
import { useAnswer } from '../shared/answer'
import { day, GRADES, MODES, options } from '../shared/words'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'

/** Which field test, whether this client may do it today and why, and what is made sure of first. */
const { id, overview } = useClient()
const router = useRouter()
const { data, problem, load } = useAnswer(fieldTests)
watch([id, () => overview.value?.checkedToday], () => load(id.value), { immediate: true })

const picked = ref('')
const entry = reactive({ mode: 'run' as Mode, warmedUp: '0', assured: [] as string[] })
const test = computed(() => data.value?.protocols.find((each) => each.protocol === picked.value))
function pick(protocol: string) {
  picked.value = protocol
  entry.mode = test.value!.modes[0]!
}
const running = computed(() => data.value?.tests.find((each) => each.running))
const checkInFirst = computed(
  () =>
    overview.value?.checkedToday === null &&
    data.value?.protocols.some((each) => !each.open && each.onlyToday),
)

const {
  save: begin,
  saving: beginning,
  messages,
  general,
  refused,
} = useSave(
  () =>
    beginFieldTest(id.value, {
      protocol: picked.value,
      mode: entry.mode,
      warmedUpMinutes: typed(entry.warmedUp),
      assured: entry.assured,
    }),
  { saved: (begun) => router.push(`/field-tests/${begun.id}`) },
)

useShortcuts({
  list: [
    ['Space', 'on a check: tick it'],
    ['Enter', 'start the warm-up'],
  ],
})
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load(id)" />
  <div v-else-if="data" class="stack">
    <p>
      <RouterLink :to="`/clients/${id}/maximum`">Back to the maximum</RouterLink>
    </p>
    <section v-if="running" class="sheet going">
      <p>
        <b>{{ running.name }} is in progress.</b>
      </p>
      <RouterLink :to="`/field-tests/${running.id}`">Continue</RouterLink>
    </section>
    <section v-else-if="checkInFirst" class="sheet going">
      <p>
        <b>Check in first.</b> The resting pulse and how they feel decide whether to test today.
      </p>
      <RouterLink :to="`/clients/${id}/check-in`">Check in</RouterLink>
    </section>

    <ul class="tests">
      <li
        v-for="each in data.protocols"
        :key="each.protocol"
        class="sheet stack"
        :class="{ on: each.protocol === picked, closed: !each.open }"
      >
        <h2>{{ each.name }}</h2>
        <p>{{ each.summary }}</p>
        <Findings :findings="each.findings" />
        <div v-if="each.open && !running && !overview?.client.archived">
          <Button
            :label="each.protocol === picked ? 'Picked' : 'Pick'"
            :outlined="each.protocol !== picked"
            :aria-label="`Pick ${each.name}`"
            @click="pick(each.protocol)"
          />
        </div>
      </li>
    </ul>

    <form
      v-if="test?.open && !running"
      class="sheet stack"
      novalidate
      aria-label="Before you start"
      @submit.prevent="begin"
    >
      <h2>Before {{ test.name.toLowerCase() }}</h2>
      <div class="pair">
        <ChoiceField
          v-model="entry.mode"
          label="Activity"
          :options="options(MODES, test.modes)"
          :message="messages.mode"
        />
        <TextField
          v-model="entry.warmedUp"
          label="Warm-up already done"
          name="warmedUp"
          number
          :hint="`minutes; ${data.warmUpMinutes} are needed, the clock runs the rest`"
          :message="messages.warmedUpMinutes"
        />
      </div>
      <TickList
        v-model="entry.assured"
        :options="
          data.assurances.map((each) => ({ id: each.assurance as string, name: each.name }))
        "
      />
      <p v-if="messages.assured" class="fault" role="alert">{{ messages.assured }}</p>
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
      <Findings :findings="refused" />
      <div><Button type="submit" label="Start the warm-up" :loading="beginning" /></div>
    </form>

    <section v-if="data.tests.length" class="sheet" aria-labelledby="past-title">
      <h2 id="past-title">Tests before</h2>
      <ul class="past">
        <li v-for="each in data.tests" :key="each.id">
          <span>{{ day(each.startedAt) }}</span>
          <RouterLink :to="`/field-tests/${each.id}`"
            >{{ each.name }}, {{ MODES[each.mode].toLowerCase() }}</RouterLink
          >
          <span class="num">{{ each.peakBpm ?? '–' }}</span>
          <span class="quiet"
            ><template v-if="each.grade">Graded {{ GRADES[each.grade].toLowerCase() }}. </template
            >{{ each.words }}</span
          >
        </li>
      </ul>
    </section>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.tests {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 16px;
}

.tests .stack {
  gap: 10px;
}

.on {
  border: 2px solid var(--teal);
}

.closed h2 {
  color: var(--ink-quiet);
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

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px 24px;
}

.past li {
  display: grid;
  grid-template-columns: 5.4rem minmax(10rem, auto) 3rem minmax(0, 1fr);
  gap: 4px 16px;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}

.past li:first-child {
  border-top: 0;
}

@media (max-width: 640px) {
  .past li {
    grid-template-columns: 5rem minmax(0, 1fr) 3rem;
  }

  .past .quiet {
    grid-column: 2 / -1;
  }
}
</style>
