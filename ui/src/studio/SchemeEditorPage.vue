<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import MultiSelect from 'primevue/multiselect'
import { computed, nextTick, onMounted, reactive, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { asProblem, type Problem } from '../api/http'
import {
  addScheme,
  changeScheme,
  clientNames,
  oneScheme,
  tryScheme,
  type WrittenScheme,
} from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import type { RulerRow } from '../shared/ruler/layout'
import Ruler from '../shared/ruler/Ruler.vue'
import TextField from '../shared/TextField.vue'
import { useDraft } from '../shared/draft'
import { useFieldMessages } from '../shared/fields'
import { useAnswer, useAnswerTo } from '../shared/answer'
import { BASES, KINDS, options, schemeFigures } from '../shared/words'
import { addBand, draftOf, emptyDraft, fromFile, requestOf, type SchemeDraft } from './draft'
import { useShortcuts } from '../shared/shortcuts'
import { toFirstFault, useSave } from '../shared/save'
import ConflictNote from '../shared/ConflictNote.vue'

/** A scheme of the studio's own: its bands, and at once what they come to for one or several clients. */
const props = defineProps<{ scheme: string }>()
const route = useRoute()
const router = useRouter()
const isNew = computed(() => props.scheme === 'new')

const nameField = ref<{ focus: () => void } | null>(null)
const draft = reactive<SchemeDraft>(emptyDraft())
const version = ref(0)
const ready = ref(false)
const problem = ref<Problem | null>(null)
const kept = useDraft(
  () => `zone system ${props.scheme} ${version.value}`,
  () => ({ ...draft }),
  (typed) => Object.assign(draft, typed),
  () => saving.value,
)
function layOut(scheme: SchemeDraft) {
  Object.assign(draft, scheme)
  ready.value = true
  kept.begin()
}
async function begin() {
  problem.value = null
  try {
    if (fromFile.draft && isNew.value) {
      layOut(fromFile.draft)
      fromFile.draft = null
    } else if (typeof route.query.from === 'string') {
      const from = await oneScheme(route.query.from)
      layOut({ ...draftOf(from), name: `${from.name}, ours` })
    } else if (isNew.value) {
      layOut(emptyDraft())
      await nextTick()
      nameField.value?.focus()
    } else {
      const saved = await oneScheme(props.scheme)
      version.value = saved.version ?? 0
      layOut(draftOf(saved))
    }
  } catch (thrown) {
    problem.value = asProblem(thrown)
  }
}
onMounted(begin)

const kinds = (Object.keys(KINDS) as (keyof typeof KINDS)[]).map((value) => ({
  value,
  name: KINDS[value].name,
}))
const bases = options(
  Object.fromEntries(Object.entries(BASES).map(([key, { name }]) => [key, name])) as Record<
    keyof typeof BASES,
    string
  >,
  ['reserve', 'maximum', 'resting', 'threshold'],
)

const everyone = useAnswer(clientNames)
void everyone.load()
const people = computed(() => everyone.data.value?.clients ?? [])
const tried = ref<string[]>([])
const MOST = 6
/** Names are missing at first, and the preview does not wait for them. */
function named() {
  const request = requestOf(draft)
  return {
    ...request,
    name: request.name.trim() || 'Preview',
    bands: request.bands.map((each, n) => ({ ...each, name: each.name.trim() || `${n + 1}` })),
  }
}
const form = useFieldMessages()
const { messages, general } = form
const { answer: trial, behind } = useAnswerTo(
  () => (ready.value ? { scheme: named(), on: tried.value } : null),
  ({ scheme, on }) => tryScheme(scheme, on),
  { form },
)
const cursor = ref<number>()
const rows = computed<RulerRow[]>(() =>
  (trial.value?.rows ?? []).flatMap((row) =>
    row.zones
      ? [
          {
            zones: row.zones,
            label: row.client ? row.label : 'Example',
          },
        ]
      : [],
  ),
)
const without = computed(() => (trial.value?.rows ?? []).filter((row) => !row.zones))

const { save, saving, theirs } = useSave(
  (over: number) =>
    isNew.value ? addScheme(requestOf(draft)) : changeScheme(props.scheme, over, requestOf(draft)),
  { form, saved: () => router.push('/studio'), wrong: toFirstFault },
)
type Fitt = Parameters<typeof schemeFigures>[0] & Pick<WrittenScheme, 'name' | 'serves' | 'kind'>
/** What is theirs and not mine, part by part. */
const differing = computed(() => {
  if (!theirs.value) return []
  const parts = (scheme: Fitt): [string, string][] => [
    ['Name', scheme.name],
    ['When to use it', scheme.serves || 'nothing'],
    ['Its zones are', KINDS[scheme.kind].name],
    ['Counted in', BASES[scheme.basis].name],
    ['Zones', schemeFigures(scheme)],
  ]
  const mine = parts(requestOf(draft))
  return parts(theirs.value).filter(([, text], at) => text !== mine[at]![1])
})
function takeTheirs() {
  version.value = theirs.value!.version ?? 0
  layOut(draftOf(theirs.value!))
  theirs.value = null
  form.clear()
}
const at = (n: number, field: string) => messages.value[`bands[${n}].${field}`]

useShortcuts({
  list: [['Enter', 'in a field: save the zone system']],
})
</script>

<template>
  <div class="stack">
    <div class="top">
      <h1>{{ isNew ? 'A new zone system' : draft.name || 'A zone system' }}</h1>
      <RouterLink to="/studio">Back to the studio</RouterLink>
    </div>
    <ProblemNote v-if="problem" :problem="problem" @retry="begin" />
    <template v-else-if="ready">
      <ConflictNote
        v-if="theirs"
        title="Somebody else changed this meanwhile"
        @mine="save(theirs.version!)"
        @theirs="takeTheirs"
      >
        <p>Nothing is lost: yours is below. Theirs differs here:</p>
        <dl class="differs">
          <template v-for="[part, text] in differing" :key="part">
            <dt>{{ part }}</dt>
            <dd>{{ text }}</dd>
          </template>
        </dl>
      </ConflictNote>
      <section class="sheet stack trial" :class="{ behind }" aria-label="Result">
        <div class="top">
          <h2>Result</h2>
          <MultiSelect
            v-model="tried"
            :options="people"
            option-label="name"
            option-value="id"
            filter
            :selection-limit="MOST"
            :max-selected-labels="2"
            placeholder="Try it on clients"
            aria-label="Clients to try it on"
            class="people"
          />
        </div>
        <Ruler v-if="rows.length" v-model:cursor="cursor" :rows="rows" />
        <p v-for="row in without" :key="row.client ?? ''" class="quiet">
          <b>{{ row.label }}</b>: {{ row.why }}
        </p>
      </section>

      <form
        class="sheet stack"
        novalidate
        aria-label="The zone system"
        @submit.prevent="save(version)"
      >
        <div class="head">
          <TextField
            ref="nameField"
            v-model="draft.name"
            label="Name"
            name="name"
            :message="messages.name"
          />
          <TextField
            v-model="draft.serves"
            label="When to use it"
            name="serves"
            :message="messages.serves"
          />
        </div>
        <div class="head">
          <ChoiceField
            v-model="draft.kind"
            label="Its zones are"
            :options="kinds"
            :hint="KINDS[draft.kind].meaning"
            :message="messages.kind"
          />
          <ChoiceField
            v-model="draft.basis"
            label="Counted in"
            :options="bases"
            :hint="BASES[draft.basis].unit"
            :message="messages.basis"
          />
        </div>
        <fieldset>
          <legend>
            Zones, from the lowest up <span class="quiet">({{ BASES[draft.basis].unit }})</span>
          </legend>
          <ol>
            <li v-for="(band, n) in draft.bands" :key="band.key">
              <span class="number num" aria-hidden="true">{{ n + 1 }}</span>
              <InputText
                v-model="band.name"
                :aria-label="`Name of zone ${n + 1}`"
                :name="`band-${n}-name`"
                placeholder="Name"
                autocomplete="off"
                :invalid="!!at(n, 'name')"
                :aria-invalid="!!at(n, 'name')"
              />
              <template v-if="draft.kind !== 'points'">
                <span v-if="draft.kind === 'ladder' && n > 0" class="num from">{{
                  draft.bands[n - 1]!.high || '–'
                }}</span>
                <InputText
                  v-else
                  v-model="band.low"
                  class="num figure"
                  :aria-label="`Zone ${n + 1} from`"
                  :name="`band-${n}-low`"
                  inputmode="decimal"
                  autocomplete="off"
                  :invalid="!!at(n, 'low')"
                  :aria-invalid="!!at(n, 'low')"
                />
                <span class="to">to</span>
              </template>
              <InputText
                v-model="band.high"
                class="num figure"
                :aria-label="draft.kind === 'points' ? `Rate ${n + 1}` : `Zone ${n + 1} to`"
                :name="`band-${n}-high`"
                inputmode="decimal"
                autocomplete="off"
                :invalid="!!at(n, 'high')"
                :aria-invalid="!!at(n, 'high')"
              />
              <button
                type="button"
                class="link"
                :aria-label="`Remove zone ${n + 1} out`"
                @click="draft.bands.splice(n, 1)"
              >
                leave out
              </button>
              <p
                v-if="at(n, 'name') || at(n, 'low') || at(n, 'high')"
                class="fault small"
                role="alert"
              >
                {{ [at(n, 'name'), at(n, 'low'), at(n, 'high')].filter(Boolean).join(' ') }}
              </p>
            </li>
          </ol>
          <p v-if="messages.bands" class="fault" role="alert">{{ messages.bands }}</p>
          <p v-if="draft.kind === 'ladder' && draft.bands[0]?.low === '0'" class="quiet small">
            A ladder that begins at 0 begins at the resting rate.
          </p>
        </fieldset>
        <p v-if="general && !theirs" class="fault" role="alert">{{ general }}</p>
        <div class="ways">
          <Button type="submit" label="Save" :loading="saving" />
          <Button label="Add a zone" outlined @click="addBand(draft)" />
        </div>
      </form>
    </template>
    <p v-else class="quiet" role="status">Loading…</p>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  justify-content: space-between;
}

/* The first answer comes after the form: it moves nothing. */
.trial {
  min-height: 268px;
}

.people {
  min-width: 15rem;
}

.differs {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 4px 16px;
}

.differs dt {
  font-weight: 650;
}

.behind {
  opacity: 0.55;
}

.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 12px 24px;
}

legend {
  font-weight: 650;
  padding: 0;
}

li {
  display: grid;
  grid-template-columns: 1.4rem minmax(8rem, 20rem) 5.4rem auto 5.4rem auto;
  gap: 4px 12px;
  align-items: center;
  justify-content: start;
  padding: 5px 0;
}

.number {
  color: var(--ink-quiet);
}

.figure,
.from {
  width: 5.4rem;
}

.from {
  padding: 0 12px;
  color: var(--ink-quiet);
}

li .fault {
  grid-column: 2 / -1;
}

@media (max-width: 760px) {
  .head {
    grid-template-columns: minmax(0, 1fr);
  }

  li {
    grid-template-columns: 1.2rem 4.6rem auto 4.6rem minmax(0, 1fr);
    border-top: 1px solid var(--line);
  }

  li > :nth-child(2) {
    grid-column: 2 / -1;
  }

  li > :nth-child(3) {
    grid-column-start: 2;
  }

  .figure,
  .from {
    width: 4.6rem;
  }
}
</style>
