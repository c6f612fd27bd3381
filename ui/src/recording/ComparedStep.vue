<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { agreementOf } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { undone } from '../shared/undo'
import { day } from '../shared/words'
import { onClock } from '../live/cues'
import DifferencesPicture from './DifferencesPicture.vue'
import RatePicture from './RatePicture.vue'

/** Two recordings of one session over each other: how far the second one is off, and what for. */
const { id } = useClient()
const route = useRoute()
const session = computed(() => String(route.params.session))
const { data, problem, load } = useAnswer(() => agreementOf(session.value))
watch([session, undone], () => void load(), { immediate: true })
const signed = (value: number) => (value > 0 ? '+' : value < 0 ? '−' : '') + Math.abs(value)
const tenth = (value: number) => Math.round(value * 10) / 10
const SOURCES = { strap: 'strap', wrist: 'wrist', count: 'counted' } as const
const shifted = computed(() => {
  const { second, agreement } = data.value!
  const lag = agreement?.lagSeconds ?? 0
  if (lag >= 0) return second.trace.bpm.slice(lag)
  return [...Array<number>(-lag).fill(0), ...second.trace.bpm]
})
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
  <div v-else-if="data" class="stack">
    <section class="sheet stack" aria-labelledby="two-title">
      <h2 id="two-title">Two recordings of {{ day(data.on) }}</h2>
      <p v-if="data.agreement" class="verdict">{{ data.agreement.sentence }}</p>
      <p v-else class="verdict">One of them has too few points to be compared.</p>
      <RatePicture
        :traces="[
          { name: 'reference', bpm: data.reference.trace.bpm },
          { name: 'second', bpm: shifted },
        ]"
        :label="`Both recordings over ${onClock(data.reference.trace.bpm.length)}`"
        :high="220"
      />
      <p class="keys">
        <span
          ><i class="first" /> {{ data.reference.name }}, {{ SOURCES[data.reference.source] }}: used
          for this session</span
        >
        <span
          ><i class="second" /> {{ data.second.name }}, {{ SOURCES[data.second.source]
          }}<template v-if="data.agreement?.lagSeconds">, moved by its lag</template></span
        >
      </p>
    </section>
    <div v-if="data.agreement" class="columns">
      <section class="sheet stack" aria-labelledby="off-title">
        <h2 id="off-title">How far the second one is off</h2>
        <DifferencesPicture
          :points="data.points"
          :mean="data.agreement.meanBpm"
          :low="data.agreement.lowBpm"
          :high="data.agreement.highBpm"
        />
        <p class="quiet small">
          Line: the mean difference. Band: mean ± 1.96 standard deviations, the limits of agreement
          of this session only, since seconds are no independent readings (Bland and Altman, Lancet
          1986).
        </p>
      </section>
      <section class="sheet stack" aria-labelledby="figures-title">
        <h2 id="figures-title">In figures</h2>
        <table>
          <tbody>
            <tr>
              <th scope="row">On average</th>
              <td class="num">{{ signed(tenth(data.agreement.meanBpm)) }} bpm</td>
            </tr>
            <tr>
              <th scope="row">Limits</th>
              <td class="num">
                {{ signed(tenth(data.agreement.lowBpm)) }} to
                {{ signed(tenth(data.agreement.highBpm)) }} bpm
              </td>
            </tr>
            <tr>
              <th scope="row">Within 5 bpm</th>
              <td class="num">{{ data.agreement.within5Percent }} %</td>
            </tr>
            <tr>
              <th scope="row">Lag</th>
              <td class="num">
                {{
                  data.agreement.lagSeconds
                    ? `${Math.abs(data.agreement.lagSeconds)} s ${data.agreement.lagSeconds > 0 ? 'late' : 'early'}`
                    : 'none'
                }}
              </td>
            </tr>
            <tr>
              <th scope="row">Compared</th>
              <td class="num">{{ onClock(data.agreement.commonSeconds) }}</td>
            </tr>
            <tr>
              <th scope="row">In the reference only</th>
              <td class="num">{{ onClock(data.agreement.onlyReferenceSeconds) }}</td>
            </tr>
            <tr>
              <th scope="row">In the second one only</th>
              <td class="num">{{ onClock(data.agreement.onlySecondSeconds) }}</td>
            </tr>
            <tr>
              <th scope="row">Locked to the steps</th>
              <td class="num">{{ onClock(data.agreement.stepLockedSeconds) }}</td>
            </tr>
          </tbody>
        </table>
        <Findings v-if="data.agreement.findings.length" :findings="data.agreement.findings" />
      </section>
    </div>
    <p>
      <RouterLink :to="`/clients/${id}/recordings`">All recordings</RouterLink>
    </p>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.verdict {
  font-size: 1.25rem;
  font-weight: 650;
}

.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}

.keys i {
  display: inline-block;
  width: 26px;
  height: 0;
  margin-right: 6px;
  vertical-align: middle;
  border-top: 3px solid var(--teal-deep);
}

.keys .second {
  border-top: 3px dashed var(--wine);
}

table {
  width: 100%;
}

th {
  text-align: left;
  font-weight: 400;
}

td {
  text-align: right;
}

th,
td {
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
</style>
