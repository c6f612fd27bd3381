<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import type { ZoneSystems, Zones } from '../api/korvel'
import Choices from '../shared/Choices.vue'
import MethodLink from '../shared/MethodLink.vue'
import type { RulerRow } from '../shared/ruler/layout'
import Ruler from '../shared/ruler/Ruler.vue'
import { loadMethods, theMethods } from '../shared/methods'
import { theStudio } from '../shared/studio'
import { capital, effort, FAMILIES, figureSpan } from '../shared/words'
import ZoneSystemCalls from './ZoneSystemCalls.vue'
import ShiftedTargets from './ShiftedTargets.vue'

/**
 * Every zone system on one axis: what each calls a rate or a goal, where they agree and where not, and
 * how far a goal moves with the maximum.
 */
const props = defineProps<{
  schools: ZoneSystems
  prescribe?: (low: number, high: number) => object
}>()
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

/** The rate at the cursor on every scale of effort, both of 0–10. */
onMounted(loadMethods)
const crosswalk = computed(() => {
  const { readings, restingBpm } = props.schools.shown
  const level = readings[(cursor.value ?? restingBpm) - restingBpm]?.level
  return level === undefined ? undefined : theMethods.value?.scales[level - 1]
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
      // One span: the readings are the same for every zone system, but for their bands.
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
</script>

<template>
  <section class="sheet stack" aria-label="Every zone system on one axis">
    <Choices v-model="at" :options="goals" aria-label="What the zone systems are asked about" />
    <Ruler v-model:cursor="cursor" :rows="rows" :mark="mark" beside />
    <div class="said">
      <p v-if="stretch" class="at" data-said="cursor">
        <b
          >At <span class="num">{{ cursor }}</span>.</b
        >
        {{ stretch.words }}
      </p>
      <p v-if="crosswalk" data-said="crosswalk">
        <b>How it feels.</b>
        {{ capital(crosswalk.voice) }}; RPE
        <span class="num">{{ effort(crosswalk.rpe20, 6) }}</span> (6–20); on 0–10,
        <span class="num">{{ effort(crosswalk.rpe10Ratio, 0) }}</span> on a ratio scale and
        <span class="num">{{ effort(crosswalk.rpe10Linear, 0) }}</span> on a linear one<template
          v-if="theStudio"
          >; the studio counts {{ FAMILIES[theStudio.rpeFamily].name.toLowerCase() }}</template
        >.
      </p>
      <p v-if="asked" data-said="asked">
        <b
          >{{ asked.name }},
          <span class="num">{{ figureSpan(asked.lowPercent, asked.highPercent) }}</span> % of
          reserve<template v-if="asked.lowBpm !== null"
            >: <span class="num">{{ figureSpan(asked.lowBpm, asked.highBpm!) }}</span></template
          >.</b
        >
        {{ asked.words }}
        <span v-if="asked.why" class="why">{{ asked.why }}</span>
      </p>
      <p>
        <b>Over the whole span.</b> {{ schools.summary }}
        <MethodLink to="guideline-classes" class="small"
          >Compared by the class that the middle of each zone falls into.</MethodLink
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
        >: it is shown as each zone system has it, and not prescribed.
      </p>
      <p v-for="school in schools.without" :key="school.scheme" class="quiet">
        <MethodLink :to="school.scheme">{{ school.name }}</MethodLink> is left out: it counts from
        measured thresholds, and none are known here.
      </p>
    </div>
  </section>

  <ZoneSystemCalls
    v-if="asked?.lowBpm != null"
    :asked="asked"
    :schools="schools"
    :order="order"
    :prescribe="prescribe"
  />

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
  color: var(--fault);
  font-weight: 600;
}

@media (max-width: 640px) {
  .at {
    min-height: 7.2em;
  }
}
</style>
