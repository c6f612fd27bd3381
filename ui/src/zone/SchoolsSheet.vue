<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Schools, Zones } from '../api/korvel'
import Choices from '../shared/Choices.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import MethodLink from '../shared/MethodLink.vue'
import Ruler, { type RulerRow } from '../shared/Ruler.vue'
import { BASES, CLASSES, KINDS } from '../shared/words'
import ShiftedTargets from './ShiftedTargets.vue'

/**
 * Every school on one axis: what each calls a rate or a goal, where they agree and where not, and
 * how far a goal moves with the maximum.
 */
const props = defineProps<{ schools: Schools; prescribe?: (low: number, high: number) => object }>()
const cursor = ref<number>()

/** The goal that is asked about; -1 is the cursor alone. */
const at = ref(0)
watch(
  () => props.schools.asked.length,
  (length) => {
    if (at.value >= length) at.value = 0
  },
)
const asked = computed(() => props.schools.asked[at.value] ?? null)
const goals = computed(() => [
  ...props.schools.asked.map((each, value) => ({ value, name: each.name })),
  { value: -1, name: 'The cursor alone' },
])
const mark = computed(() =>
  asked.value?.lowBpm != null
    ? { lowBpm: asked.value.lowBpm, highBpm: asked.value.highBpm! }
    : null,
)
watch(mark, (range) => {
  if (range) cursor.value = Math.round((range.lowBpm + range.highBpm) / 2)
})

/** The one in use first: it is the one that is trained by. */
const order = computed(() => {
  const inUse = (at: number) => props.schools.schools[at]!.scheme === props.schools.shown.scheme
  return props.schools.schools.map((_, n) => n).sort((a, b) => Number(inUse(b)) - Number(inUse(a)))
})
const rows = computed<RulerRow[]>(() =>
  order.value.map((n) => {
    const school = props.schools.schools[n]!
    return {
      // One span: the readings are the same for every school, but for their bands.
      zones: { ...props.schools.shown, ...school } as Zones,
      label: school.name,
      ceilingBpm: props.schools.ceilingBpm,
      inUse: school.scheme === props.schools.shown.scheme,
    }
  }),
)
const stretch = computed(() =>
  props.schools.stretches.find(
    (each) =>
      cursor.value !== undefined && each.lowBpm <= cursor.value && cursor.value <= each.highBpm,
  ),
)
/** What each school calls the goal, and what of that may be prescribed. */
const called = computed(() =>
  order.value.map((n) => {
    const school = props.schools.schools[n]!
    const names = asked.value?.bands[n] ?? []
    const bands = school.bands
      .map((band, at) => ({ band, may: school.prescribable[at] }))
      .filter(({ band }) => (asked.value ? names.includes(band.name) : false))
    return { school, bands, inUse: school.scheme === props.schools.shown.scheme }
  }),
)
const range = (low: number, high: number) => (low === high ? String(low) : `${low}–${high}`)
</script>

<template>
  <section class="sheet stack" aria-label="Every school on one axis">
    <Choices v-model="at" :options="goals" aria-label="What the schools are asked about" />
    <Ruler v-model:cursor="cursor" :rows="rows" :mark="mark" beside />
    <div class="said">
      <p v-if="stretch" class="at" data-said="cursor">
        <b
          >At <span class="num">{{ cursor }}</span>.</b
        >
        {{ stretch.words }}
      </p>
      <p v-if="asked" data-said="asked">
        <b
          >{{ asked.name }},
          <span class="num">{{ range(asked.lowPercent, asked.highPercent) }}</span> % of
          reserve<template v-if="asked.lowBpm !== null"
            >: <span class="num">{{ range(asked.lowBpm, asked.highBpm!) }}</span></template
          >.</b
        >
        {{ asked.words }}
        <span v-if="asked.why" class="why">{{ asked.why }}</span>
      </p>
      <p>
        <b>Over the whole span.</b> {{ schools.summary }}
        <MethodLink to="guideline-classes" class="small"
          >Compared by the class that the middle of each band falls into.</MethodLink
        >
      </p>
      <p v-if="schools.ceilingBpm !== null || schools.shown.capBpm !== null" class="quiet">
        Hatched is
        <template v-if="schools.shown.capBpm !== null"
          >above the cap of <span class="num">{{ schools.shown.capBpm }}</span></template
        ><template v-if="schools.ceilingBpm !== null && schools.shown.capBpm !== null">
          or </template
        ><template v-if="schools.ceilingBpm !== null"
          >above <span class="num">{{ schools.ceilingBpm }}</span>, where vigorous work
          begins</template
        >: it is shown as each school has it, and not prescribed.
      </p>
      <p v-for="school in schools.without" :key="school.scheme" class="quiet">
        <MethodLink :to="school.scheme">{{ school.name }}</MethodLink> is left out: it counts from
        measured thresholds, and none are known here.
      </p>
    </div>
  </section>

  <section v-if="asked?.lowBpm != null" class="sheet" aria-label="What each school calls it">
    <h2>What each school calls {{ asked.name.toLowerCase() }}</h2>
    <div class="scroll" tabindex="0" role="region" aria-label="What each school calls it">
      <table>
        <thead>
          <tr>
            <th scope="col">school</th>
            <th scope="col" class="basis">counts in</th>
            <th scope="col">band</th>
            <th scope="col">bpm</th>
            <th scope="col">class</th>
            <th v-if="prescribe" scope="col" class="no-print">prescribe</th>
          </tr>
        </thead>
        <tbody v-for="{ school, bands, inUse } in called" :key="school.scheme">
          <tr v-for="({ band, may }, n) in bands" :key="band.id">
            <th
              v-if="n === 0"
              scope="rowgroup"
              :rowspan="bands.length"
              :class="{ 'in-use': inUse }"
            >
              <MethodLink :to="school.scheme">{{ school.name }}</MethodLink>
              <small v-if="inUse"> in use</small>
            </th>
            <td v-if="n === 0" :rowspan="bands.length" class="quiet basis">
              {{ BASES[school.basis].name.toLowerCase() }},
              {{ KINDS[school.kind].name.toLowerCase() }}
            </td>
            <td><LevelStrokes :level="band.level" /> {{ band.name }}</td>
            <td class="num">{{ range(band.lowBpm, band.highBpm) }}</td>
            <td>{{ CLASSES[band.class] }}</td>
            <td v-if="prescribe" class="no-print">
              <RouterLink
                v-if="may?.lowPercent != null"
                :to="prescribe(may.lowPercent, may.highPercent!)"
                :aria-label="`Prescribe ${band.name} of ${school.name}`"
                ><span class="num">{{ range(may.lowPercent, may.highPercent!) }}</span>
                %</RouterLink
              >
              <span v-else class="quiet" :title="may?.because">not for them</span>
            </td>
          </tr>
          <tr v-if="!bands.length">
            <th scope="row" :class="{ 'in-use': inUse }">
              <MethodLink :to="school.scheme">{{ school.name }}</MethodLink>
            </th>
            <td class="quiet basis">
              {{ BASES[school.basis].name.toLowerCase() }},
              {{ KINDS[school.kind].name.toLowerCase() }}
            </td>
            <td :colspan="prescribe ? 4 : 3" class="quiet">nothing there</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>

  <ShiftedTargets v-if="asked?.lowBpm != null" :asked="asked" :shown="schools.shown" />
</template>

<style scoped>
.said {
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}

.said b {
  margin-right: 6px;
}

/* Its length changes with the cursor, and nothing below it may jump. */
.at {
  min-height: 3em;
}

.why {
  color: var(--wine);
  font-weight: 600;
}

.scroll {
  overflow-x: auto;
  margin-top: 6px;
}

table {
  border-collapse: collapse;
  width: 100%;
}

th,
td {
  text-align: left;
  vertical-align: top;
  padding: 6px 12px 6px 0;
  white-space: nowrap;
}

tbody {
  border-top: 1px solid var(--line);
}

thead th {
  font-size: 0.8rem;
  font-weight: 550;
  color: var(--ink-quiet);
}

tbody th {
  font-weight: 600;
}

.in-use {
  color: var(--teal-deep);
}

td .strokes {
  margin-right: 6px;
}

@media (max-width: 640px) {
  .basis {
    display: none;
  }

  tbody th {
    white-space: normal;
  }

  .at {
    min-height: 7.2em;
  }
}
</style>
