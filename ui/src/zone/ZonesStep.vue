<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { bands, chooseScheme, schemes, undoRecord, type Mode } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import Ruler from '../shared/ruler/Ruler.vue'
import { useAnswer } from '../shared/answer'
import { undone } from '../shared/undo'
import { MODES, options, oneOf } from '../shared/words'
import ZoneTable from './ZoneTable.vue'
import ThresholdsSheet from './ThresholdsSheet.vue'
import { useSave } from '../shared/save'

/** The client's span on the ruler in one zone system, and what each of its bands is. */
const { id, overview } = useClient()
const route = useRoute()
const router = useRouter()
const { data, problem, load } = useAnswer(bands)
const shelf = useAnswer(schemes)

/** The zone system that is looked at; empty is the one in use. */
const asked = ref(String(route.query.scheme ?? ''))
const mode = ref<Mode>(oneOf(MODES, route.query.mode) ?? 'run')
const fetchBands = () => load(id.value, asked.value, mode.value)
watch([id, () => overview.value?.client.version, asked, mode, undone], fetchBands, {
  immediate: true,
})
void shelf.load()
const cursor = ref<number>()

const all = computed(() => shelf.data.value?.schemes ?? [])
const nameOf = (scheme: string) => all.value.find((each) => each.id === scheme)?.name ?? scheme
const inUse = computed(() => data.value?.choice.chosen ?? data.value?.choice.studio ?? '')
const shown = computed({
  get: () => (asked.value ? asked.value : (data.value?.zones?.scheme ?? inUse.value)),
  set: (scheme) => {
    asked.value = scheme === inUse.value ? '' : scheme
  },
})
const first = computed(() => overview.value?.client.name.split(' ')[0] ?? 'this client')

const { save: choose, general: fault } = useSave(
  (whose: string, scheme: string | null) => chooseScheme(whose, scheme),
  {
    undo: ({ choiceId }, whose, scheme) => ({
      said:
        scheme === null
          ? `${first.value} is shown the studio's zones again.`
          : `${first.value}'s zones are shown as ${nameOf(scheme)}.`,
      back: async () => choiceId && undoRecord(whose, 'scheme-choices', choiceId),
    }),
    saved() {
      asked.value = ''
      return fetchBands()
    },
  },
)
const use = (scheme: string | null) => choose(id.value, scheme)

/** The same figures in the calculators, where the working is shown. */
function inCalculators(band: string) {
  const zones = data.value!.zones!
  // What talk checks moved is shown with its reasons where they are.
  if (zones.learned && ['talk', 'phrases', 'words', 'silent'].includes(band)) {
    return { path: `/clients/${id.value}/bands/talk`, query: { mode: mode.value } }
  }
  return {
    path: '/calculators/bands',
    query: {
      rest: zones.restingBpm,
      max: zones.maximumBpm,
      scheme: zones.scheme,
      cap: zones.capBpm ?? undefined,
      maxerror: zones.maximumSigmaBpm,
      resterror: zones.restingSigmaBpm,
      lower: zones.lowerThresholdBpm ?? undefined,
      upper: zones.upperThresholdBpm ?? undefined,
      band,
    },
  }
}
const toPrescription = (low?: number, high?: number) => ({
  path: `/clients/${id.value}/prescription`,
  query: { low, high, mode: mode.value === 'run' ? undefined : mode.value },
})
</script>

<template>
  <div class="stack">
    <section v-if="problem?.findings.length && asked" class="sheet stack none">
      <h2>{{ nameOf(asked) }} needs more information</h2>
      <Findings :findings="problem.findings" />
      <p>Enter the two rates below, or look at another zone system.</p>
      <div>
        <Button label="Back to the zones in use" outlined @click="asked = ''" />
      </div>
    </section>
    <ProblemNote v-else-if="problem" :problem="problem" @retry="fetchBands" />
    <section v-else-if="data && !data.zones" class="sheet stack none">
      <h2>No zones by rate</h2>
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
          label="Prescribe by RPE and talk"
          @click="router.push(`/clients/${id}/prescription`)"
        />
      </div>
    </section>
    <template v-else-if="data?.zones">
      <section class="sheet">
        <div class="title">
          <p>
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
              <MethodLink to="edge-error">as blurred as they are uncertain</MethodLink>: maximum ±
              <MethodLink :to="data.maximumMethod!" class="num">{{
                data.zones.maximumSigmaBpm
              }}</MethodLink>, rest ±
              <MethodLink to="resting-error" class="num">{{
                data.zones.restingSigmaBpm
              }}</MethodLink>
            </span>
          </p>
          <Select
            v-model="mode"
            class="no-print"
            :options="options(MODES)"
            option-label="name"
            option-value="value"
            aria-label="Activity"
          />
        </div>
        <Ruler
          v-model:cursor="cursor"
          :rows="[{ zones: data.zones, ceilingBpm: data.ceilingBpm, talk: data.talk }]"
        />
        <Findings :findings="data.findings" class="cap" />
        <p class="talk">
          <span>
            <template v-if="data.zones.learned?.lower"
              >Whole sentences up to <b class="num">{{ data.zones.learned.lower.bpm }}</b>, ±
              {{ data.zones.learned.lower.plusMinusBpm }}, learned from talk checks.</template
            ><template v-else-if="data.talk">{{ data.talk.sentence }}</template
            ><template v-else>No talk checks yet: they make the zones this client’s own.</template>
          </span>
          <RouterLink :to="{ path: `/clients/${id}/bands/talk`, query: { mode } }"
            >Talk checks</RouterLink
          >
        </p>
      </section>

      <section class="sheet">
        <div class="heading">
          <Select
            v-model="shown"
            :options="all"
            option-label="name"
            option-value="id"
            aria-label="Zone system"
            class="school"
          >
            <template #option="{ option }">
              <span class="option"
                >{{ option.name }}
                <small v-if="option.id === data.choice.studio" class="quiet">the studio's</small>
                <small v-if="option.own" class="quiet">own</small></span
              >
            </template>
          </Select>
          <span class="serves">
            <h2>what each zone is</h2>
            <MethodLink :to="data.zones.scheme" class="quiet small">{{
              data.zones.serves || 'No note.'
            }}</MethodLink>
          </span>
          <span class="ways no-print">
            <Button
              v-if="data.zones.scheme !== inUse && !overview?.client.archived"
              :label="`Use it for ${first}`"
              @click="use(data.zones.scheme === data.choice.studio ? null : data.zones.scheme)"
            />
            <button v-else-if="data.choice.chosen" type="button" class="link" @click="use(null)">
              Back to the studio's, {{ nameOf(data.choice.studio) }}
            </button>
            <Button
              label="All zone systems side by side"
              outlined
              @click="router.push({ path: `/clients/${id}/bands/schools`, query: { mode } })"
            />
            <Button
              v-if="data.zones.scheme === inUse"
              label="Prescribe"
              @click="router.push(toPrescription())"
            />
          </span>
        </div>
        <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
        <ZoneTable
          :zones="data.zones"
          :at="cursor"
          :working="inCalculators"
          :prescribable="data.prescribable"
          :prescribe="toPrescription"
        />
      </section>
    </template>
    <p v-else class="quiet" role="status">Loading…</p>
    <ThresholdsSheet v-if="data?.zones || (problem && asked)" :mode="mode" @changed="fetchBands" />
  </div>
</template>

<style scoped>
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 4px;
}

.title p {
  flex: 1 1 260px;
}

.cap {
  margin-top: 10px;
}

.talk {
  margin-top: 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}

.none {
  max-width: 640px;
}

.heading {
  justify-content: start;
}

.school {
  min-width: 15rem;
  font-weight: 650;
}

.serves {
  flex: 1 1 200px;
}

.option {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
</style>
