<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Reading, RestingRecord } from '../api/korvel'
import CsvLink from '../shared/CsvLink.vue'
import Choices from '../shared/Choices.vue'
import { theStudio } from '../shared/studio'
import { day, DISTURBANCES, POSTURES, RHYTHMS, SOURCES, STRENGTHS } from '../shared/words'
import RestingTrend from './RestingTrend.vue'

/** Every resting reading: one posture and source at a time, mixed only when asked. */
const props = defineProps<{ record: RestingRecord; closed: boolean }>()
const emit = defineEmits<{ correct: [reading: Reading] }>()

const ALL = 'all'
const kindOf = (reading: Reading) => `${reading.posture} ${reading.source}`
const named = (reading: Reading) =>
  `${POSTURES[reading.posture]}, ${SOURCES[reading.source].toLowerCase()}`

const basis = computed(() => props.record.working?.basis ?? [])
const kinds = computed(() => {
  const found = new Map<string, { value: string; name: string; count: number }>()
  for (const reading of props.record.readings) {
    const kind = found.get(kindOf(reading))
    if (kind) kind.count++
    else found.set(kindOf(reading), { value: kindOf(reading), name: named(reading), count: 1 })
  }
  const all = [...found.values()].map((kind) => ({
    value: kind.value,
    name: `${kind.name} · ${kind.count}`,
  }))
  return all.length > 1 ? [...all, { value: ALL, name: 'All, mixed' }] : all
})
/** The kind the working value stands on, else that of the latest reading. */
const usual = computed(() => {
  const head =
    props.record.readings.find((reading) => basis.value.includes(reading.id)) ??
    props.record.readings[0]
  return head ? kindOf(head) : ''
})
const chosen = ref(usual.value)
watch(usual, (now) => (chosen.value = now))
watch(kinds, (now) => {
  if (!now.some((kind) => kind.value === chosen.value)) chosen.value = usual.value
})

const shownReadings = computed(() =>
  props.record.readings.filter(
    (reading) => chosen.value === ALL || kindOf(reading) === chosen.value,
  ),
)
const SOME = 8
const shown = ref(SOME)
watch(chosen, () => (shown.value = SOME))

const length = (reading: Reading) =>
  reading.windowSeconds !== null
    ? `${reading.windowSeconds} s`
    : reading.tappedSeconds !== null
      ? `${reading.tappedSeconds} s`
      : ''
function noticed(reading: Reading) {
  const site = props.record.sites.find((each) => each.id === reading.site)?.name
  return [
    site,
    reading.rhythm && RHYTHMS[reading.rhythm].toLowerCase(),
    reading.strength && STRENGTHS[reading.strength].toLowerCase(),
  ]
    .filter(Boolean)
    .join(', ')
}
const disturbed = (reading: Reading) =>
  reading.disturbances.map((each) => DISTURBANCES[each].toLowerCase()).join(', ')
const departs = (reading: Reading) =>
  reading.findings.some((finding) => finding.code === 'reading-departs')
</script>

<template>
  <section class="sheet stack" aria-labelledby="record-title">
    <header>
      <h2 id="record-title">Resting record</h2>
      <Choices
        v-if="kinds.length > 1"
        v-model="chosen"
        class="kinds"
        :options="kinds"
        aria-label="Posture and source"
      />
      <p v-else class="quiet small">{{ kinds[0]?.name }}</p>
    </header>
    <p v-if="chosen === ALL" class="mixed">
      Postures and sources differ: overnight values are commonly 5 to 8 bpm below seated ones.
      Compare only dots of the same shape.
    </p>
    <div class="columns">
      <RestingTrend
        v-if="theStudio"
        :readings="shownReadings"
        :basis="basis"
        :usual="[record.usualLowBpm, record.usualHighBpm]"
        :today="theStudio.today"
        :mixed="chosen === ALL"
      />
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col">bpm</th>
              <th v-if="chosen === ALL" scope="col">Taken</th>
              <th scope="col" class="wide">Over</th>
              <th scope="col" class="wide">Rested</th>
              <th scope="col">Noticed</th>
              <th scope="col">Grade</th>
              <th v-if="!closed" scope="col"><span class="visually-hidden">Change</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="reading in shownReadings.slice(0, shown)" :key="reading.id">
              <td class="day">{{ day(reading.takenAt) }}</td>
              <td class="num rate">
                <span :class="{ stands: basis.includes(reading.id) }">{{
                  reading.bpm
                }}</span><template v-if="reading.ratesBefore.length">
                  <s class="quiet">{{ reading.ratesBefore.join(', ') }}</s></template
                >
              </td>
              <td v-if="chosen === ALL">{{ named(reading) }}</td>
              <td class="num wide">{{ length(reading) }}</td>
              <td class="num wide">{{ reading.minutesRested }} min</td>
              <td>
                {{ noticed(reading) }}
                <span v-if="disturbed(reading)" class="disturbed">{{ disturbed(reading) }}</span>
                <span v-if="departs(reading)" class="disturbed"
                  >does not count: far off that day’s</span
                >
                <span v-else-if="reading.asUsual" class="quiet">taken as usual</span>
              </td>
              <td>
                <span :class="reading.grade" :title="reading.departures.join('; ')">{{
                  reading.grade
                }}</span>
              </td>
              <td v-if="!closed" class="act">
                <button
                  type="button"
                  class="link"
                  :aria-label="`Edit the ${reading.bpm} of ${day(reading.takenAt)}`"
                  @click="emit('correct', reading)"
                >
                  Edit
                </button>
              </td>
            </tr>
          </tbody>
        </table>
        <p class="quiet small foot">
          <span><i /> the working value is based on it</span>
          <CsvLink name="resting readings" />

          <button
            v-if="shownReadings.length > shown"
            type="button"
            class="link"
            @click="shown += 30"
          >
            Show earlier ones
          </button>
        </p>
      </div>
    </div>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
  justify-content: space-between;
}

.mixed {
  border-left: 3px solid var(--ochre);
  padding-left: 10px;
  font-size: 0.92rem;
}

.columns {
  --columns: minmax(0, 1fr) minmax(0, 1.25fr);
  gap: 12px 28px;
}

table {
  font-size: 0.88rem;
}

th {
  font-size: 0.8rem;
  font-weight: 550;
  color: var(--ink-quiet);
  padding: 2px 10px 6px 0;
}

td {
  border-top: 1px solid var(--line);
  padding: 3px 10px 3px 0;
  height: 38px;
}

.day,
td.num {
  white-space: nowrap;
}

.rate {
  font-weight: 700;
}

.rate s {
  font-weight: 400;
}

.stands::after,
i::after {
  content: '●';
  color: var(--teal);
  font-size: 0.7rem;
  font-style: normal;
  vertical-align: 2px;
  margin-left: 4px;
}

.disturbed {
  color: var(--ochre-deep);
  font-weight: 600;
}

.poor {
  color: var(--ink-quiet);
  text-decoration: underline dotted;
}

.act {
  text-align: right;
  padding-right: 0;
}

.act .link {
  min-height: 34px;
  white-space: nowrap;
}

.foot {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: center;
  padding-top: 6px;
}

.foot .link {
  min-height: 36px;
}

@media (max-width: 560px) {
  .wide {
    display: none;
  }
}

@media (max-width: 1100px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
