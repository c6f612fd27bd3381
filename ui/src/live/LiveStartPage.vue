<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, toRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { liveStart, openLive } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SelectField from '../shared/SelectField.vue'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'
import { day, minutes, MODES, span } from '../shared/words'
import { canReachStraps, WITHOUT_BLUETOOTH } from './useStrap'

/** What will be done, and what reads the rate: then one key. */
const props = defineProps<{ id: string }>()
const router = useRouter()
const { data, problem, load } = useAnswer(() => liveStart(props.id))
onMounted(load)
watch(toRef(props, 'id'), () => void load())

type Reader = 'strap' | 'simulated' | 'count' | 'wrist'
const READERS: { value: Reader; name: string }[] = [
  { value: 'strap', name: 'Strap' },
  { value: 'count', name: 'By hand' },
  { value: 'wrist', name: 'Machine' },
  { value: 'simulated', name: 'Simulated' },
]
const form = reactive({ reader: 'strap' as Reader, fault: 'none', speed: 1 })
const faults = computed(
  () => data.value?.faults.map(({ fault, name }) => ({ value: fault as string, name })) ?? [],
)
const speeds = computed(
  () =>
    data.value?.speeds.map((value) => ({ value, name: value === 1 ? 'As it is' : `${value}×` })) ??
    [],
)

const {
  save: begin,
  saving,
  general,
  refused,
} = useSave(
  () => {
    const pretend = form.reader === 'simulated'
    return openLive({
      clientId: props.id,
      planned: data.value!.planned,
      source: !data.value!.byRate ? 'count' : form.reader === 'simulated' ? 'strap' : form.reader,
      simulated: pretend ? (form.fault as 'none') : null,
      speed: pretend ? form.speed : 1,
    })
  },
  { saved: ({ sheet }) => router.push(`/floor/sessions/${sheet.id}`) },
)
const open = () => data.value?.openNow && router.push(`/floor/sessions/${data.value.openNow}`)
useShortcuts({
  list: [['Enter', 'open the session']],
  act: { Enter: () => (data.value?.openNow ? open() : data.value?.allowed && begin()) },
})
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
  <div v-else-if="data" class="stack session-start">
    <header>
      <h1>{{ data.clientName }}</h1>
      <p class="quiet">
        <template v-if="data.planned !== null">Today’s planned session</template
        ><template v-else>A session by the prescription</template>
        <template v-if="data.mode">
          · {{ MODES[data.mode].toLowerCase() }} ·
          <span class="num">{{ data.minutes }}</span> min</template
        >
        · <RouterLink :to="`/clients/${id}/check-in`">today’s check-in</RouterLink>
      </p>
    </header>
    <section v-if="data.openNow" class="sheet on">
      <p><b>A session is on.</b> It goes on where it stands.</p>
      <Button label="Open it" size="large" @click="open" />
    </section>
    <div v-else class="columns">
      <section class="sheet stack" aria-labelledby="what">
        <h2 id="what">{{ data.allowed ? 'What is done' : 'No session yet' }}</h2>
        <Findings v-if="data.findings.length" :findings="data.findings" />
        <ol v-if="data.steps.length" class="steps">
          <li v-for="(step, at) in data.steps" :key="at">
            <b>{{ step.name }}</b>
            <span class="num">{{ minutes(step.seconds) }} min</span>
            <span class="num quiet">{{
              step.lowBpm !== null
                ? `${span([step.lowBpm, step.highBpm!])} bpm`
                : step.lowRpe20 !== null
                  ? `RPE ${span([step.lowRpe20, step.highRpe20!])}`
                  : ''
            }}</span>
            <span v-if="step.waits" class="quiet small">starts when the target is reached</span>
          </li>
        </ol>
      </section>
      <form v-if="data.allowed" class="sheet stack" novalidate @submit.prevent="begin()">
        <ChoiceField
          v-if="data.byRate"
          v-model="form.reader"
          label="The heart rate by"
          :options="READERS"
        />
        <p v-else>No heart rate leads this client: go by RPE and talk.</p>
        <p v-if="data.byRate && form.reader === 'strap' && !canReachStraps()" class="small">
          {{ WITHOUT_BLUETOOTH }}
        </p>
        <template v-if="form.reader === 'simulated'">
          <p class="small quiet">Nobody moves: a simulated body does what the session asks for.</p>
          <SelectField v-model="form.fault" label="The strap" :options="faults" />
          <ChoiceField v-model="form.speed" label="Its time goes" :options="speeds" />
        </template>
        <Findings v-if="refused.length" :findings="refused" />
        <p v-else-if="general" class="fault" role="alert">{{ general }}</p>
        <Button type="submit" label="Open the session" size="large" :loading="saving" autofocus />
        <p class="quiet small">The clock starts when you begin.</p>
      </form>
    </div>
    <section v-if="data.sessions.length" class="sheet" aria-labelledby="before">
      <h2 id="before">Recorded before</h2>
      <p><RouterLink :to="`/clients/${id}/recoveries`">Recoveries</RouterLink></p>
      <ul class="before">
        <li v-for="row in data.sessions" :key="row.id">
          <RouterLink :to="`/floor/sessions/${row.id}`">{{ day(row.openedAt) }}</RouterLink>
          <span class="quiet">{{ MODES[row.mode].toLowerCase() }}</span>
          <span>{{ row.words ?? 'not logged' }}</span>
        </li>
      </ul>
    </section>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1fr) 360px;
}

.steps li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
  align-items: baseline;
}

.steps li:first-child {
  border-top: 0;
}

.steps b {
  width: 7rem;
}

.on {
  display: flex;
  gap: 20px;
  align-items: center;
}

.before li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  padding: 6px 0;
}
</style>
