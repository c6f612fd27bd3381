<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref, watch } from 'vue'
import {
  liveSummary,
  logLive,
  schemes,
  withdraw,
  type LiveSheet,
  type LiveState,
  type LiveSummary,
  type Scheme,
  type SessionForecast,
} from '../api/korvel'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import ZoneTimes from '../shared/ZoneTimes.vue'
import SelectField from '../shared/SelectField.vue'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'
import { offerUndo } from '../shared/undo'
import ForeseenAndWas from '../forecast/ForeseenAndWas.vue'
import PeakNote from '../recording/PeakNote.vue'
import { onClock, ratings, VOICE } from './cues'

/** What a session came to, and its log that one key keeps. */
const props = defineProps<{
  sheet: LiveSheet
  state: LiveState
  /** How it was foreseen; null where no rate leads. */
  ahead: SessionForecast | null
  trace: number[]
}>()
const emit = defineEmits<{ logged: [] }>()

const scheme = ref<string | null>(null)
const { data, problem, load } = useAnswer(() => liveSummary(props.sheet.id, scheme.value))
onMounted(load)
watch([scheme, () => props.state.phase, () => props.state.log?.id], () => void load())

const known = ref<Scheme[]>([])
onMounted(async () => {
  known.value = (await schemes()).schemes.filter((each) => each.basis !== 'threshold')
})
const choices = computed(() => known.value.map(({ id, name }) => ({ value: id, name })))

const summary = computed<LiveSummary | null>(() => data.value)
const work = computed(() => {
  const made = summary.value
  if (!made) return []
  const against = [
    ['Below the target', made.belowSeconds],
    ['In the target', made.inSeconds],
    ['Above it', made.aboveSeconds],
  ] as const
  const asked = against.some(([, seconds]) => seconds > 0)
  return [...(asked ? against : []), ['No signal', made.noDataSeconds]] as const
})

const rpe = ref<number | null>(null)
watch(summary, (made) => (rpe.value ??= made?.rpe20 ?? null))
const { save, saving, general } = useSave(
  () => logLive(props.sheet.id, { rpe: rpe.value, warnings: [], note: '' }),
  {
    saved: ({ state }) => {
      emit('logged')
      const log = state.log!
      offerUndo('The session is logged.', async () => {
        await withdraw(props.sheet.clientId, 'session-logs', log.id)
        emit('logged')
      })
    },
  },
)
const ended = computed(() => props.state.phase === 'ended')
useShortcuts({
  list: [['Enter', 'log the session']],
  act: { Enter: () => ended.value && !props.state.log && save() },
})
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
  <section v-else-if="summary" class="summary" aria-label="What it came to">
    <div class="figures">
      <div class="fact">
        <b class="num">{{ onClock(summary.workSeconds) }}</b>
        <span
          >of {{ onClock(summary.askedWorkSeconds) }} work
          {{ summary.done ? '· done' : '· cut short' }}</span
        >
      </div>
      <div v-if="sheet.zones" class="fact">
        <b class="num">{{ summary.averageBpm ?? '–' }}</b><span>average of the work, bpm</span>
      </div>
      <div v-if="sheet.zones" class="fact">
        <b class="num">{{ summary.peak?.bpm ?? '–' }}</b><span>{{
          summary.peak ? `peak, at ${onClock(summary.peak.second)}` : 'no peak held'
        }}</span>
      </div>
      <div v-if="sheet.zones && sheet.broughtIn === null" class="fact">
        <b class="num">{{ summary.drop ? `−${summary.drop.bpm}` : '–' }}</b><span>{{
          summary.drop
            ? `in the first minute after, ${summary.drop.endBpm} to ${summary.drop.after60Bpm}`
            : 'first minute after: not caught'
        }}</span>
      </div>
    </div>

    <PeakNote v-if="ended && summary.peak" :session="sheet.id" :client-id="sheet.clientId" />

    <div class="halves">
      <div class="stack">
        <h2>
          {{
            !sheet.zones
              ? 'How it felt'
              : work.length > 1
                ? 'The work against its target'
                : 'The work'
          }}
        </h2>
        <table v-if="sheet.zones">
          <tbody>
            <tr v-for="[name, seconds] in work" :key="name">
              <th scope="row">{{ name }}</th>
              <td class="num">{{ onClock(seconds) }}</td>
            </tr>
          </tbody>
        </table>
        <p v-if="summary.rpe20 !== null || summary.voice !== null">
          Highest:
          <template v-if="summary.rpe20 !== null"
            >RPE <span class="num">{{ summary.rpe20 }}</span></template
          >{{ summary.rpe20 !== null && summary.voice !== null ? ', ' : ''
          }}{{ summary.voice !== null ? VOICE[summary.voice - 1] : '' }}
        </p>
        <p v-if="summary.moderateEquivalentMinutes !== null" class="quiet small">
          <span class="num">{{ summary.moderateEquivalentMinutes }}</span> moderate-equivalent min
          <template v-if="summary.reserveWeighted">
            · reserve-weighted
            <template v-if="summary.reserveWeighted.men !== null"
              ><span class="num">{{ summary.reserveWeighted.men }}</span>
              {{ summary.reserveWeighted.women !== null ? '(line for men)' : '' }}</template
            >
            <template v-if="summary.reserveWeighted.women !== null"
              ><span class="num">{{ summary.reserveWeighted.women }}</span>
              {{ summary.reserveWeighted.men !== null ? '(line for women)' : '' }}</template
            ></template
          >
          <template v-if="summary.loadByRating !== null">
            · load by RPE <span class="num">{{ summary.loadByRating }}</span></template
          >
        </p>
        <Findings v-if="summary.findings.length" :findings="summary.findings" />
      </div>
      <div v-if="summary.zones.length" class="stack">
        <div class="head">
          <h2>By zone</h2>
          <SelectField
            v-if="choices.length"
            :model-value="summary.scheme"
            label="Zone system"
            :options="choices"
            @update:model-value="(chosen: string) => (scheme = chosen)"
          />
        </div>
        <ZoneTimes :zones="summary.zones" :words="onClock" />
        <p class="quiet small">
          On the span of its own day, {{ summary.spanRestingBpm }} to {{ summary.spanMaximumBpm }}.
        </p>
      </div>
    </div>

    <ForeseenAndWas v-if="ahead?.forecast && ahead.review" :ahead="ahead" :trace="trace" />

    <form v-if="ended" class="log" novalidate @submit.prevent="save">
      <template v-if="state.log">
        <p>
          <b>Logged:</b> {{ state.log.words }}. Next week stays as planned until its step is
          decided.
        </p>
        <RouterLink :to="`/clients/${sheet.clientId}/sessions`">To the sessions</RouterLink>
      </template>
      <template v-else>
        <fieldset>
          <legend>RPE of the whole session <small>6–20</small></legend>
          <div class="rpe">
            <button
              v-for="value in ratings(9, 15)"
              :key="value"
              type="button"
              class="num"
              :aria-pressed="rpe === value"
              @click="rpe = rpe === value ? null : value"
            >
              {{ value }}
            </button>
          </div>
        </fieldset>
        <Button type="submit" label="Log it" size="large" :loading="saving" />
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
      </template>
    </form>
  </section>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.summary {
  display: grid;
  gap: 18px;
}

.figures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px 24px;
}

.fact b {
  display: block;
  font-size: 2.6rem;
  line-height: 1.05;
}

.fact span {
  color: var(--ink-quiet);
  font-size: 0.92rem;
}

.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
  gap: 18px 36px;
  align-items: start;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  justify-content: space-between;
  align-items: end;
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

.log {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  align-items: end;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}

fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  min-width: 0;
}

legend {
  font-weight: 650;
  padding: 0 0 6px;
}

.rpe {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}

.rpe button {
  min-width: 48px;
  min-height: 52px;
  font: inherit;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}

.rpe button[aria-pressed='true'] {
  background: var(--teal);
  border-color: var(--teal);
  color: var(--paper);
  font-weight: 750;
}

@media (max-width: 820px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
