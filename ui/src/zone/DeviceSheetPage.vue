<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { deviceSheet, methods, type Mode } from '../api/korvel'
import CsvLink from '../shared/CsvLink.vue'
import Findings from '../shared/Findings.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SelectField from '../shared/SelectField.vue'
import { useAnswer } from '../shared/answer'
import { useTitle } from '../shared/title'
import { day, MODES, options, oneOf } from '../shared/words'

/** What a client types into a watch or bike computer of their own: to read off or to print. */
const props = defineProps<{ id: string }>()
const route = useRoute()
const mode = ref<Mode>(oneOf(MODES, route.query.mode) ?? 'run')
/** Empty is the one in use for this client. */
const scheme = ref('')
const shown = computed({
  get: () => scheme.value || (data.value?.scheme ?? ''),
  set: (chosen) => (scheme.value = chosen),
})
const { data, problem, load } = useAnswer(deviceSheet)
useTitle(() => data.value?.clientName)
const known = useAnswer(methods)
void known.load()
watch([() => props.id, mode, scheme], () => load(props.id, scheme.value, mode.value), {
  immediate: true,
})
/** Steps that a device can hold: a ladder of bands. */
const schemes = computed(() =>
  (known.data.value?.schemes ?? [])
    .filter((each) => each.kind === 'ladder')
    .map((each) => ({ value: each.id, name: each.name })),
)
const measured = computed(() => data.value?.maximum.origin === 'measured')
const left = computed(() => data.value?.bands.some((band) => !band.allowed))
const print = () => window.print()
</script>

<template>
  <div class="page">
    <div class="ways no-print">
      <RouterLink :to="`/clients/${id}/maximum?mode=${mode}`">Back to the maximum</RouterLink>
      <Button v-if="data" label="Print" @click="print" />
      <CsvLink name="values for a device" />
    </div>
    <form class="pick no-print" novalidate @submit.prevent>
      <SelectField v-model="mode" label="Activity" :options="options(MODES)" />
      <SelectField v-model="shown" label="Zones" :options="schemes" />
    </form>
    <section v-if="problem?.findings.length" class="sheet stack refused">
      <h1>No values for a device</h1>
      <Findings :findings="problem.findings" />
      <p>A device that alarms at a rate would guide by something that may not be used here.</p>
    </section>
    <ProblemNote v-else-if="problem" :problem="problem" @retry="load(id, scheme, mode)" />
    <article v-else-if="data" class="device">
      <header>
        <h1>{{ data.clientName }}</h1>
        <p>
          {{ MODES[data.mode] }} · made {{ day(data.date) }} · measured again by
          {{ day(data.again) }}
        </p>
      </header>
      <p class="how">Enter bpm, not percentages; devices calculate percentages differently.</p>
      <dl class="ends">
        <div>
          <dt>Resting</dt>
          <dd class="num">{{ data.restingBpm }}</dd>
        </div>
        <div>
          <dt>
            Maximum<small class="quiet">{{ measured ? 'measured' : 'about' }}</small>
          </dt>
          <dd class="num">{{ data.maximum.bpm }}</dd>
        </div>
        <div v-if="data.alarm">
          <dt>Low alarm</dt>
          <dd class="num">{{ data.alarm[0] }}</dd>
        </div>
        <div v-if="data.alarm">
          <dt>High alarm</dt>
          <dd class="num">{{ data.alarm[1] }}</dd>
        </div>
        <div v-else-if="data.capBpm !== null">
          <dt>High alarm<small class="quiet">the written cap</small></dt>
          <dd class="num">{{ data.capBpm }}</dd>
        </div>
      </dl>
      <table>
        <thead>
          <tr>
            <th scope="col">{{ data.schemeName }}</th>
            <th scope="col" class="right">from</th>
            <th scope="col" class="right">to</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="band in data.bands" :key="band.name" :class="{ off: !band.allowed }">
            <th scope="row">
              <LevelStrokes :level="band.level" /> {{ band.name
              }}<small v-if="!band.allowed"> not for training</small>
            </th>
            <td class="num right">{{ band.highBpm === null ? '–' : band.lowBpm }}</td>
            <td class="num right">{{ band.highBpm ?? '–' }}</td>
          </tr>
        </tbody>
      </table>
      <Findings v-if="data.findings.length" class="no-print" :findings="data.findings" />
      <p v-if="left || data.capBpm !== null" class="warn">
        <template v-if="data.capBpm !== null"
          >Nothing above <b class="num">{{ data.capBpm }}</b>, whatever the device says.</template
        >
        <template v-if="left">
          A zone marked “not for training” is there so that the device can show it.</template
        >
      </p>
      <footer>
        <p>
          ± <span class="num">{{ data.maximum.standardErrorBpm }}</span> on the maximum:
          {{ data.maximum.words }}.
        </p>
        <p>{{ data.notice }} · Korvel</p>
      </footer>
    </article>
    <p v-else class="quiet" role="status">Calculating…</p>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 14px;
  justify-items: center;
}

.ways,
.pick,
.refused {
  width: min(560px, 100%);
}

.ways {
  justify-content: space-between;
}

.pick {
  display: grid;
  grid-template-columns: 1fr 1.4fr;
  gap: 14px;
}

.refused {
  border-left: 4px solid var(--fault);
}

.device {
  width: min(560px, 100%);
  background: white;
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 26px 30px;
  display: grid;
  gap: 16px;
}

header {
  border-bottom: 2.5px solid var(--ink);
  padding-bottom: 8px;
}

.how {
  font-weight: 650;
}

.ends {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 24px;
}

.ends dt {
  color: var(--ink-quiet);
}

small {
  margin-left: 8px;
  font-weight: 400;
}

.ends dd {
  font-size: 2.1rem;
  line-height: 1.1;
  font-weight: 700;
}

thead th {
  font-size: 0.84rem;
  color: var(--ink-quiet);
  font-weight: 500;
}

th,
td {
  border-top: 1px solid var(--line);
  padding: 7px 4px;
}

thead th {
  border: 0;
}

.right {
  text-align: right;
}

td {
  font-size: 1.3rem;
  font-weight: 700;
}

.off th,
.off td {
  color: var(--ink-quiet);
  font-weight: 450;
}

.warn {
  border: 2px solid var(--fault);
  border-radius: 8px;
  padding: 10px 14px;
}

footer {
  color: var(--ink-quiet);
  font-size: 0.84rem;
}

@media (max-width: 640px) {
  .device {
    padding: 18px;
  }
}

@media print {
  .device {
    border: 0;
    padding: 0;
  }
}
</style>
