<script setup lang="ts">
import { computed, onMounted, reactive, shallowRef } from 'vue'
import {
  clientNames,
  outlines as allOutlines,
  type Forecast,
  type NamedOutline,
} from '../api/korvel'
import ForecastPicture from '../forecast/ForecastPicture.vue'
import ForecastSide from '../forecast/ForecastSide.vue'
import { MADE_UP, useForecastSide, type Side } from '../forecast/useForecastSide'
import { onClock } from '../live/cues'
import CsvLink from '../shared/CsvLink.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import TickField from '../shared/TickField.vue'
import { theStudio } from '../shared/studio'
import { day } from '../shared/words'
import { useAddress } from './calculators'
import CalculatorSheet from './CalculatorSheet.vue'

/** A session before it is done; beside it another outline, another client, or another day. */
const form = useAddress(
  { rest: '64', max: '176', rest2: '64', max2: '176' },
  {
    outline: 'two-and-two',
    who: MADE_UP,
    trained: 'no',
    on: '',
    compare: '',
    outline2: '',
    who2: '',
    trained2: 'yes',
    on2: '',
  },
)
const library = shallowRef<NamedOutline[]>([])
const names = shallowRef<{ id: string; name: string }[]>([])
onMounted(async () => {
  const [made, everyone] = await Promise.all([allOutlines(), clientNames()])
  library.value = made.outlines
  names.value = everyone.clients
})
const outlines = computed(() => library.value.map(({ id, name }) => ({ value: id, name })))
const people = computed(() => [
  { value: MADE_UP, name: 'Somebody made up' },
  ...names.value.map(({ id, name }) => ({ value: id, name })),
])
const beside = computed({
  get: () => form.compare === 'yes',
  set: (now) => {
    form.compare = now ? 'yes' : ''
    if (now && !form.outline2) {
      Object.assign(form, {
        outline2: form.outline,
        who2: form.who,
        rest2: form.rest,
        max2: form.max,
      })
    }
  },
})
const first = computed<Side>(() => {
  const { outline, who, rest, max, trained, on } = form
  return { outline, who, rest, max, trained, on }
})
const second = computed<Side | null>(() =>
  beside.value
    ? {
        outline: form.outline2,
        who: form.who2,
        rest: form.rest2,
        max: form.max2,
        trained: form.trained2,
        on: form.on2,
      }
    : null,
)
const one = useForecastSide(
  () => first.value,
  () => library.value,
)
const other = useForecastSide(
  () => second.value,
  () => library.value,
)
const made = computed(() => one.answer.value?.forecast ?? null)
const also = computed(() => other.answer.value?.forecast ?? null)

const named = (side: Side) =>
  [
    outlines.value.find(({ value }) => value === side.outline)?.name,
    side.who === MADE_UP
      ? `${side.rest} to ${side.max}, ${side.trained === 'yes' ? '' : 'not '}regularly active`
      : people.value.find(({ value }) => value === side.who)?.name,
    side.who !== MADE_UP && side.on ? day(side.on) : '',
  ]
    .filter(Boolean)
    .join(' · ')

const FACTS: [string, (of: Forecast) => string][] = [
  ['length', (of) => onClock(of.seconds)],
  ['waits for its targets', (of) => onClock(of.waitsSeconds)],
  ['highest rate', (of) => `${of.highestBpm} bpm`],
  ['at the end', (of) => `${of.endBpm} bpm`],
  [
    'cool-down below 40 % after',
    (of) => (of.cooledAfterSeconds === null ? '–' : onClock(of.cooledAfterSeconds)),
  ],
  ['responds up, down', (of) => `${of.kinetics.up.seconds} s, ${of.kinetics.down.seconds} s`],
]
/** Time in each zone; zones are the same where both are read in one zone system. */
const zones = computed(() =>
  (made.value?.zones ?? []).map((zone) => ({
    ...zone,
    other: also.value?.zones.find(({ id }) => id === zone.id)?.seconds ?? null,
  })),
)
const reasons = reactive({
  one: computed(() => one.answer.value?.because || one.messages.value.steps || ''),
  other: computed(() => other.answer.value?.because || other.messages.value.steps || ''),
})
</script>

<template>
  <CalculatorSheet
    wide
    label="A session ahead"
    :behind="one.behind.value"
    :general="one.general.value || other.general.value"
    :refused="[...one.refused.value, ...other.refused.value]"
  >
    <template #form>
      <div class="sides" :class="{ two: beside }">
        <ForecastSide
          v-model:outline="form.outline"
          v-model:who="form.who"
          v-model:rest="form.rest"
          v-model:max="form.max"
          v-model:trained="form.trained"
          v-model:on="form.on"
          title="The session"
          :outlines="outlines"
          :people="people"
          :messages="one.messages.value"
          :today="theStudio ? day(theStudio.today) : ''"
        />
        <ForecastSide
          v-if="beside"
          v-model:outline="form.outline2"
          v-model:who="form.who2"
          v-model:rest="form.rest2"
          v-model:max="form.max2"
          v-model:trained="form.trained2"
          v-model:on="form.on2"
          title="Beside it"
          :outlines="outlines"
          :people="people"
          :messages="other.messages.value"
          :today="theStudio ? day(theStudio.today) : ''"
        />
      </div>
      <TickField
        v-model="beside"
        name="compare"
        label="Beside another outline, another client or another day"
      />
    </template>
    <template #answer>
      <p v-if="reasons.one" class="quiet">No forecast: {{ reasons.one }}</p>
      <p v-if="beside && reasons.other" class="quiet">No forecast beside it: {{ reasons.other }}</p>
      <template v-if="made">
        <ul class="key small" aria-hidden="true">
          <li><i class="first" /> {{ named(first) }}</li>
          <li v-if="second && also"><i class="second" /> {{ named(second) }}</li>
        </ul>
        <ForecastPicture
          :forecast="made"
          :other="beside ? also : null"
          :tall="280"
          label="Heart rate forecast"
        />
        <div class="below">
          <div class="scroll" tabindex="0" role="region" aria-label="The forecast in figures">
            <table class="ruled">
              <thead v-if="beside && also">
                <tr>
                  <th scope="col"><span class="visually-hidden">what</span></th>
                  <th scope="col">session</th>
                  <th scope="col">beside it</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="[what, told] in FACTS" :key="what">
                  <th scope="row">{{ what }}</th>
                  <td class="num">{{ told(made) }}</td>
                  <td v-if="beside && also" class="num">{{ told(also) }}</td>
                </tr>
                <tr v-for="zone in zones" :key="zone.id">
                  <th scope="row"><LevelStrokes :level="zone.level" /> {{ zone.name }}</th>
                  <td class="num">{{ onClock(zone.seconds) }}</td>
                  <td v-if="beside && also" class="num">
                    {{ zone.other === null ? '–' : onClock(zone.other) }}
                  </td>
                </tr>
              </tbody>
            </table>
            <CsvLink name="session ahead" />
          </div>
          <ul v-if="made.advice.length" class="said">
            <li v-for="each in made.advice" :key="each.finding.message">
              {{ each.finding.message }}
            </li>
          </ul>
        </div>
      </template>
    </template>
  </CalculatorSheet>
</template>

<style scoped>
.sides {
  grid-column: 1 / -1;
  display: grid;
  gap: 18px 36px;
  max-width: 30rem;
}

.sides.two {
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  max-width: none;
}

.key {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 24px;
}

.key i {
  display: inline-block;
  width: 26px;
  border-top: 3px solid var(--teal-deep);
  vertical-align: middle;
  margin-right: 6px;
  forced-color-adjust: none;
}

.key i.second {
  border-top: 3px dashed var(--wine);
}

.below {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px 36px;
  align-items: start;
}

.said {
  display: grid;
  gap: 8px;
}

@media (max-width: 760px) {
  .sides.two,
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
