<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, nextTick, ref, watch } from 'vue'
import { asProblem } from '../api/http'
import {
  chooseMaximum,
  defaultMaximum,
  maximum,
  maximumChoices,
  zonesOf,
  type Estimate,
  type Mode,
  type Zones,
} from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import Ruler from '../shared/Ruler.vue'
import TextField from '../shared/TextField.vue'
import { useFieldMessages } from '../shared/fields'
import { useLoad } from '../shared/load'
import { theStudio } from '../shared/studio'
import { offerUndo } from '../shared/undo'
import { day, MODES, options, span } from '../shared/words'
import EstimateTable from './EstimateTable.vue'

/**
 * The maximum by every equation, side by side on one axis, the one in use first and with its
 * reason; another one can be picked, with a reason that is kept, and what it moves is shown first.
 */
const { id, overview, refresh } = useClient()
const mode = ref<Mode>('run')
const { data, problem, load } = useLoad(maximum)
const history = useLoad(maximumChoices)
const reload = () => Promise.all([load(id.value, mode.value), history.load(id.value)])
watch([id, mode, () => overview.value?.client.version], reload, { immediate: true })

const inUse = computed(() => data.value?.estimates.find((row) => row.method === data.value?.inUse))
const nameOf = (method: string | null) =>
  data.value?.estimates.find((row) => row.method === method)?.name ?? 'no equation'

// Picking another equation
const picked = ref<Estimate | null>(null)
const reason = ref('')
const { messages, general, clear, show } = useFieldMessages()
const before = ref<Zones | null>(null)
const after = ref<Zones | null>(null)
const cursor = ref<number>()
const panel = ref<HTMLElement | null>(null)
const field = ref<InstanceType<typeof TextField> | null>(null)

/** The bands that an equation would give this client; none where there is no pulse to start from. */
async function bandsBy(row: Estimate | undefined): Promise<Zones | null> {
  const restingBpm = overview.value?.restingBpm ?? null
  if (!row || row.bpm === null || restingBpm === null) return null
  return zonesOf({
    restingBpm,
    maximumBpm: row.bpm,
    scheme: 'voice-ladder',
    maximumStandardErrorBpm: row.standardErrorBpm,
    restingStandardErrorBpm: null,
    capBpm: null,
    rpeFamily: null,
  }).catch(() => null)
}

async function pick(row: Estimate) {
  picked.value = row
  reason.value = ''
  clear()
  ;[before.value, after.value] = await Promise.all([bandsBy(inUse.value), bandsBy(row)])
  await nextTick()
  panel.value?.scrollIntoView({ block: 'nearest' })
  field.value?.focus()
}

const moves = computed(() =>
  (after.value?.bands ?? []).map((band, at) => {
    const was = before.value?.bands[at]
    return {
      name: band.name,
      from: was ? span([was.lowBpm, was.highBpm]) : '',
      to: span([band.lowBpm, band.highBpm]),
    }
  }),
)

const saving = ref(false)
async function use() {
  if (saving.value || !picked.value) return
  saving.value = true
  const earlier = history.data.value?.choices[0] ?? null
  try {
    await chooseMaximum(id.value, picked.value.method, reason.value)
    const name = picked.value.name
    picked.value = null
    clear()
    await Promise.all([reload(), refresh()])
    offerUndo(`${name} is in use.`, () => restore(earlier))
  } catch (thrown) {
    show(asProblem(thrown))
    field.value?.focus()
  } finally {
    saving.value = false
  }
}

type Kept = { method: string | null; reason: string | null }
async function restore(earlier: Kept | null) {
  if (earlier?.method && earlier.reason) {
    await chooseMaximum(id.value, earlier.method, earlier.reason)
  } else {
    await defaultMaximum(id.value)
  }
  await Promise.all([reload(), refresh()])
}

const undone = ref('')
async function backToDefault() {
  undone.value = ''
  const earlier = history.data.value?.choices[0] ?? null
  try {
    await defaultMaximum(id.value)
    await Promise.all([reload(), refresh()])
    offerUndo('The default is in use again.', () => restore(earlier))
  } catch (thrown) {
    undone.value = asProblem(thrown).message
  }
}

/** The same figures on the desk, where every number is worked out long hand. */
function onDesk(method: string) {
  const { client, facts } = overview.value!
  return {
    path: '/desk/maximum',
    query: {
      age: client.age,
      sex: client.sex,
      rest: overview.value!.restingBpm ?? '',
      activity: facts.activity,
      mode: mode.value,
      beta: facts.betaBlocker ? 'yes' : '',
      heart: facts.heartCondition ? 'yes' : '',
      failure: facts.heartFailure ? 'yes' : '',
      method,
    },
  }
}
const open = computed(() => overview.value?.client.archived === false)
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="reload" />
  <div v-else-if="data" class="stack">
    <section class="sheet summary">
      <div>
        <h2>Maximum, {{ MODES[data.mode].toLowerCase() }}</h2>
        <p v-if="inUse" class="big">
          <span class="quiet">about</span> <b class="num">{{ inUse.bpm }}</b> bpm
          <MethodLink :to="inUse.method" class="num quiet"
            >± {{ inUse.standardErrorBpm }}</MethodLink
          >
        </p>
        <p v-else class="big none">none by rule</p>
        <p v-if="data.spread" class="quiet small">
          The equations that apply say
          <span class="num">{{ data.spread.lowestBpm }}</span> to
          <span class="num">{{ data.spread.highestBpm }}</span>.
        </p>
        <label class="mode">
          <span>For</span>
          <Select
            v-model="mode"
            :options="options(MODES)"
            option-label="name"
            option-value="value"
            aria-label="Mode"
          />
        </label>
        <p v-if="data.chosen && open" class="back">
          <Button label="Back to the default" outlined size="small" @click="backToDefault" />
        </p>
        <p v-if="undone" class="fault" role="alert">{{ undone }}</p>
      </div>
      <div class="stack">
        <Findings :findings="data.findings" />
        <details v-if="history.data.value?.choices.length" class="history">
          <summary>What was picked before</summary>
          <ul>
            <li v-for="(kept, n) in history.data.value.choices" :key="n">
              <span>{{ day(kept.on, theStudio?.today) }}</span>
              <span v-if="kept.method">{{ nameOf(kept.method) }}: “{{ kept.reason }}”</span>
              <span v-else>back to the default</span>
            </li>
          </ul>
        </details>
      </div>
    </section>

    <section
      v-if="picked"
      ref="panel"
      class="sheet stack pick"
      :aria-label="`Use ${picked.name} instead`"
    >
      <h2>
        Use {{ picked.name }} (<span class="num">{{ picked.bpm }}</span
        >) instead of {{ inUse?.name ?? 'none'
        }}<template v-if="inUse">
          (<span class="num">{{ inUse.bpm }}</span
          >)</template
        >?
      </h2>
      <template v-if="before && after">
        <Ruler
          v-model:cursor="cursor"
          :rows="[
            { zones: before, label: 'In use now' },
            { zones: after, label: picked.name },
          ]"
        />
        <ul class="moves" aria-label="What it moves">
          <li v-for="move in moves" :key="move.name">
            <b>{{ move.name }}</b>
            <span class="num">{{ `${move.from} → ${move.to}` }}</span>
          </li>
        </ul>
      </template>
      <form novalidate @submit.prevent="use">
        <TextField
          ref="field"
          v-model="reason"
          label="Your reason"
          name="reason"
          hint="It is kept, and stands beside the maximum. Being fit is no reason; a measured peak is."
          :message="messages.reason ?? messages.method"
        />
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
        <div class="ways">
          <Button type="submit" label="Use it" :loading="saving" />
          <Button label="Leave it" outlined @click="picked = null" />
        </div>
      </form>
    </section>

    <EstimateTable :maximum="data" :working="onDesk">
      <template #action="{ row }">
        <Button
          v-if="open && row.prescribable && row.method !== data.inUse"
          label="Use"
          outlined
          size="small"
          :aria-label="`Use ${row.name}`"
          @click="pick(row)"
        />
      </template>
    </EstimateTable>
  </div>
  <p v-else class="quiet" role="status">Working out the equations…</p>
</template>

<style scoped>
.summary > .stack {
  gap: 8px;
}

.summary {
  display: grid;
  grid-template-columns: minmax(220px, 1fr) minmax(0, 2.4fr);
  gap: 28px;
}

.big {
  margin: 4px 0;
}

.big b {
  font-size: 2.8rem;
  line-height: 1.05;
}

.big.none {
  font-size: 1.6rem;
  font-weight: 700;
}

.mode {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 12px;
  font-weight: 600;
}

.back {
  margin-top: 12px;
}

.history {
  font-size: 0.92rem;
}

.history summary {
  cursor: pointer;
  color: var(--teal-deep);
  padding: 6px 0;
}

.history li {
  display: grid;
  grid-template-columns: 5.4rem 1fr;
  gap: 10px;
  padding: 3px 0;
}

.pick {
  border: 2px solid var(--teal);
}

.moves {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
}

.moves li {
  display: grid;
}

form {
  display: grid;
  gap: 12px;
}

form :deep(input) {
  width: min(100%, 640px);
}

.ways {
  display: flex;
  gap: 12px;
}

.fault {
  color: var(--wine);
  font-weight: 600;
}

@media (max-width: 980px) {
  .summary {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
}
</style>
