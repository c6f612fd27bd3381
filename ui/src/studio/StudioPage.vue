<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import Button from 'primevue/button'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { asProblem, type FieldFault } from '../api/http'
import {
  archiveScheme,
  chooseWays,
  readScheme,
  schemeFile,
  schemes,
  zonesOf,
  type RpeFamily,
  type Scheme,
} from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import OutlineCatalog from '../outline/OutlineCatalog.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import Ruler from '../shared/ruler/Ruler.vue'
import SelectField from '../shared/SelectField.vue'
import { useAnswer, useAnswerTo } from '../shared/answer'
import { loadMethods, theMethods } from '../shared/methods'
import { loadStudio } from '../shared/studio'
import { undone } from '../shared/undo'
import { BASES, effort, FAMILIES, KINDS, schemeFigures } from '../shared/words'
import ProtocolsSheet from '../assessment/ProtocolsSheet.vue'
import ArchivesSheet from './ArchivesSheet.vue'
import LearningSheet from './LearningSheet.vue'
import RegionalSheet from './RegionalSheet.vue'
import { draftOf, fromFile } from './draft'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'
import { useFieldMessages } from '../shared/fields'

/** What the studio has chosen for everyone, and its own schemes of bands. */
const router = useRouter()
const { data, problem, load } = useAnswer(schemes)
watch(undone, () => load(), { immediate: true })
onMounted(loadMethods)

const anew = () => Promise.all([load(), loadStudio()])
const all = computed(() => data.value?.schemes ?? [])
const own = computed(() => all.value.filter((each) => each.own))
const shipped = computed(() => all.value.filter((each) => !each.own))
const levels = computed(() => theMethods.value?.scales ?? [])
const families = (['ratio', 'linear'] as const).map((value) => ({
  value,
  name: `${FAMILIES[value].name}: ${FAMILIES[value].meaning}`,
}))

const onPage = useFieldMessages()
const { general: fault } = onPage
const { save: choose } = useSave(
  async (scheme: string, rpeFamily: RpeFamily) => {
    const before = data.value!
    return { before, after: await chooseWays(before.version, scheme, rpeFamily) }
  },
  {
    form: onPage,
    undo: ({ before, after }) => ({
      said: 'The studio setting is changed.',
      async back() {
        await chooseWays(after.version, before.studio, before.rpeFamily)
        await loadStudio()
      },
    }),
    saved: () => Promise.all([load(), loadStudio()]),
    wrong: () => load(),
  },
)

/** The studio's bands on an example. */
const { answer: example } = useAnswerTo(
  () => data.value,
  ({ studio, rpeFamily }) =>
    zonesOf({
      restingBpm: 60,
      maximumBpm: 180,
      scheme: studio,
      rpeFamily,
      lowerThresholdBpm: 126,
      upperThresholdBpm: 156,
      restingStandardErrorBpm: null,
      maximumStandardErrorBpm: null,
      capBpm: null,
    }),
  { stands: false },
)

const { save: putAway } = useSave(({ id, version }: Scheme) => archiveScheme(id, version!, true), {
  form: onPage,
  undo: (away, { id, name }) => ({
    said: `${name} is archived.`,
    back: () => archiveScheme(id, away.version!, false),
  }),
  saved: () => load(),
})

const picker = ref<HTMLInputElement | null>(null)
const faults = ref<FieldFault[]>([])
const fileName = ref('')
/** No more of a file is sent than shows that it is too long. */
const MOST = 64 * 1024 + 1
async function read(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  fileName.value = file.name
  faults.value = []
  try {
    fromFile.draft = draftOf(await readScheme(file.slice(0, MOST)))
    await router.push('/studio/schemes/new')
  } catch (thrown) {
    const failure = asProblem(thrown)
    faults.value = failure.errors.length
      ? failure.errors
      : [{ field: 'file', message: failure.message, accepted: '' }]
  }
}

useShortcuts({
  list: [['Enter', 'on a zone system: open it']],
})
</script>

<template>
  <div class="stack">
    <h1>Studio</h1>
    <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
    <template v-else-if="data">
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      <section class="sheet stack" aria-labelledby="bands-title">
        <h2 id="bands-title">Default zones</h2>
        <div class="pair">
          <SelectField
            :model-value="data.studio"
            label="The studio's zone system"
            :options="all.map(({ id, name }) => ({ value: id, name }))"
            hint="A client may be given another on their own page."
            @update:model-value="choose($event, data.rpeFamily)"
          />
          <p class="quiet">
            <MethodLink :to="data.studio">{{
              all.find((each) => each.id === data!.studio)?.serves || 'One of your own.'
            }}</MethodLink>
          </p>
        </div>
        <Ruler v-if="example" :rows="[{ zones: example, label: 'Example, 60 to 180' }]" />
      </section>

      <section class="sheet stack" aria-labelledby="scale-title">
        <h2 id="scale-title">RPE 0–10</h2>
        <ChoiceField
          :model-value="data.rpeFamily"
          label="Which 0–10 scale you use"
          :options="families"
          hint="Zone systems mix two kinds. Every page and card converts to the one chosen here."
          @update:model-value="choose(data!.studio, $event as RpeFamily)"
        />
        <div class="scroll" tabindex="0" role="region" aria-label="Levels on both scales">
          <table>
            <thead>
              <tr>
                <th scope="col">level</th>
                <th scope="col">RPE 6–20</th>
                <th scope="col" :class="{ chosen: data.rpeFamily === 'ratio' }">RPE 0–10, ratio</th>
                <th scope="col" :class="{ chosen: data.rpeFamily === 'linear' }">
                  RPE 0–10, linear
                </th>
                <th scope="col">the voice</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="level in levels" :key="level.level">
                <th scope="row"><LevelStrokes :level="level.level" /> {{ level.name }}</th>
                <td class="num">{{ effort(level.rpe20, 6) }}</td>
                <td class="num" :class="{ chosen: data.rpeFamily === 'ratio' }">
                  {{ effort(level.rpe10Ratio, 0) }}
                </td>
                <td class="num" :class="{ chosen: data.rpeFamily === 'linear' }">
                  {{ effort(level.rpe10Linear, 0) }}
                </td>
                <td>{{ level.voice }}</td>
              </tr>
            </tbody>
          </table>
          <CsvLink name="levels on both scales" />
        </div>
      </section>

      <LearningSheet @changed="anew" />
      <ProtocolsSheet />

      <section class="sheet stack" aria-labelledby="own-title">
        <div class="heading">
          <h2 id="own-title">Your own zone systems</h2>
          <span class="ways">
            <Button label="New zone system" @click="router.push('/studio/schemes/new')" />
            <Button label="From a file" outlined @click="picker?.click()" />
            <input
              ref="picker"
              type="file"
              accept=".json,application/json"
              class="visually-hidden"
              tabindex="-1"
              aria-label="Zone system file"
              @change="read"
            />
          </span>
        </div>
        <div v-if="faults.length" class="refused" role="alert">
          <b>{{ fileName }} was not imported; nothing was changed.</b>
          <ul>
            <li v-for="(each, n) in faults" :key="n">
              <code>{{ each.field }}</code> {{ each.message }}.
              <template v-if="each.accepted">Accepted: {{ each.accepted }}.</template>
            </li>
          </ul>
        </div>
        <ul v-if="own.length" class="schemes">
          <li v-for="scheme in own" :key="scheme.id">
            <RouterLink :to="`/studio/schemes/${scheme.id}`" class="name">{{
              scheme.name
            }}</RouterLink>
            <span class="quiet small"
              >{{ KINDS[scheme.kind].name }}, {{ BASES[scheme.basis].unit }}:
              {{ schemeFigures(scheme) }}</span
            >
            <span class="ways">
              <a :href="schemeFile(scheme.id)" :download="`${scheme.name}.json`">File</a>
              <button
                type="button"
                class="link"
                :aria-label="`Archive ${scheme.name}`"
                @click="putAway(scheme)"
              >
                Archive
              </button>
            </span>
          </li>
        </ul>
        <p v-else class="quiet">
          None yet. Start a new one, copy one below and change it, or import a file.
        </p>
      </section>

      <RegionalSheet @changed="load()" />

      <OutlineCatalog />

      <ArchivesSheet />
      <section class="sheet" aria-labelledby="shipped-title">
        <h2 id="shipped-title">Built-in zone systems</h2>
        <ul class="schemes">
          <li v-for="scheme in shipped" :key="scheme.id">
            <MethodLink :to="scheme.id" class="name">{{ scheme.name }}</MethodLink>
            <span class="quiet small"
              >{{ KINDS[scheme.kind].name }}, {{ BASES[scheme.basis].unit }}:
              {{ schemeFigures(scheme) }}</span
            >
            <span class="ways">
              <RouterLink
                v-if="scheme.basis !== 'measured' && scheme.bands.length > 1"
                :to="`/studio/schemes/new?from=${scheme.id}`"
                :aria-label="`Copy ${scheme.name} to change it`"
                >Copy</RouterLink
              >
              <a
                v-if="scheme.basis !== 'measured' && scheme.bands.length > 1"
                :href="schemeFile(scheme.id)"
                :download="`${scheme.name}.json`"
                :aria-label="`${scheme.name} as a file`"
                >File</a
              >
            </span>
          </li>
        </ul>
      </section>
      <p>
        <RouterLink to="/studio/about"
          >About Korvel: its version, and the licences of what ships</RouterLink
        >
      </p>
    </template>
    <p v-else class="quiet" role="status">Loading…</p>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: minmax(220px, 22rem) 1fr;
  gap: 8px 24px;
  align-items: center;
}

table {
  width: auto;
}

th,
td {
  padding: 6px 18px 6px 10px;
  white-space: nowrap;
  border-top: 1px solid var(--line);
}

thead th {
  border-top: 0;
}

tbody th .strokes {
  margin-right: 6px;
}

.chosen {
  background: var(--teal-wash);
  font-weight: 700;
}

.schemes li {
  display: grid;
  grid-template-columns: minmax(11rem, 15rem) minmax(0, 1fr) auto;
  gap: 4px 20px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 7px 0;
  min-height: var(--touch);
}

.schemes .name {
  font-weight: 650;
}

.refused {
  border-left: 4px solid var(--fault);
  padding: 4px 14px;
}

.refused li {
  margin-top: 4px;
}

code {
  font-family: var(--mono);
  font-weight: 650;
}

@media (max-width: 760px) {
  .pair,
  .schemes li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
