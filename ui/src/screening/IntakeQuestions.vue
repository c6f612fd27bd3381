<script setup lang="ts">
import { until } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, nextTick, onMounted, reactive, ref, watch } from 'vue'
import { answer, screening, type Questions, type ScreeningRecord } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import HeightField from '../shared/HeightField.vue'
import WeightField from '../shared/WeightField.vue'
import { fromWeekStart, mileText } from '../shared/units'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import TickList from '../shared/TickList.vue'
import { useDraft } from '../shared/draft'
import { typed, useFieldMessages } from '../shared/fields'
import { onHash } from '../shared/hash'
import { ACTIVITIES, options } from '../shared/words'
import { ASKS, DAYS, draftOf, PARTS, summary, type Draft, type Topic } from './intake'
import LimitRows from './LimitRows.vue'
import MedicineRows from './MedicineRows.vue'
import { toFirstFault, useSave } from '../shared/save'

/** The intake, one question at a time: each is kept as it is answered, and can be gone back to. */
const props = defineProps<{
  id: string
  record: ScreeningRecord
  questions: Questions
  closed: boolean
}>()
const emit = defineEmits<{ saved: [record: ScreeningRecord]; finished: [] }>()

const draft = reactive<Draft>(draftOf(props.record.answers))
const version = ref(props.record.version)
const topics = computed(() => props.questions.topics)
const asked = computed(() => new Set(props.record.answers.asked))

const firstOpen = () => topics.value.find((topic) => !asked.value.has(topic.id))?.id ?? null
/** The question that is being put; nothing where all have been answered. */
const open = ref<Topic | null>(props.closed ? null : firstOpen())
/** All questions are gone through once more, from the first. */
const again = ref(false)

const form = useFieldMessages()
const { messages, general, clear } = form
const theirs = ref(false)

const kept = useDraft(
  () => `intake ${props.id} ${version.value}`,
  () => ({ ...draft }),
  (typed) => {
    Object.assign(draft, typed)
    const before = draftOf(props.record.answers)
    open.value =
      topics.value.find(({ id }) =>
        PARTS[id].some((part) => JSON.stringify(draft[part]) !== JSON.stringify(before[part])),
      )?.id ?? open.value
  },
)
if (!props.closed) kept.begin()

function request() {
  return {
    ...draft,
    activity: draft.activity,
    medicines: draft.medicines.map((each) => ({ ...each, since: each.since || null })),
    limits: draft.limits.map((each) => ({
      ...each,
      value: typed(each.value),
      until: each.until || null,
      issuedOn: each.issuedOn || null,
    })),
    heightCm: typed(draft.heightCm),
    weightKg: typed(draft.weightKg),
    usualRestingBpm: typed(draft.usualRestingBpm),
  }
}

/** Other answers came first: theirs are taken over, but for the question in hand. */
async function takeTheirs(topic: Topic) {
  const now = await screening(props.id)
  const taken = draftOf(now.answers)
  const mine = Object.fromEntries(PARTS[topic].map((part) => [part, draft[part]]))
  // Two questions share the conditions: of those only the part in hand is mine.
  const inHand = (id: Draft['conditions'][number]) => ofBody(id) === (topic === 'body')
  const conditions = [
    ...draft.conditions.filter(inHand),
    ...taken.conditions.filter((id) => !inHand(id)),
  ]
  Object.assign(draft, taken, mine, PARTS[topic].includes('conditions') ? { conditions } : {})
  version.value = now.version
  theirs.value = true
  emit('saved', now)
}

const root = ref<HTMLElement | null>(null)
/** Into the first answer; where there is none yet to give, on the way to the next question. */
async function focusOpen(preventScroll = false) {
  await nextTick()
  const form = root.value?.querySelector('.open')
  const first = form?.querySelector<HTMLElement>(':is(input, [role="radio"]):not([tabindex="-1"])')
  ;(first ?? form?.querySelector<HTMLElement>('[type="submit"]'))?.focus({ preventScroll })
}
onMounted(() => open.value && focusOpen(true))
onHash((part) => {
  const topic = topics.value.find((each) => each.id === part)
  if (topic && !props.closed && open.value !== topic.id) put(topic.id)
})

/** A row that was added and nothing entered in is none. */
function dropBlankRows() {
  draft.medicines = draft.medicines.filter(
    (each) => each.medicineClass || each.name || each.dose || each.since,
  )
  draft.limits = draft.limits.filter(
    (each) => each.kind !== 'cap' || each.value || each.issuer || each.until,
  )
}

const { save, saving } = useSave(
  (topic: Topic) => {
    dropBlankRows()
    if (!draft.asked.includes(topic)) draft.asked = [...draft.asked, topic]
    return answer(props.id, version.value, request())
  },
  {
    form,
    async saved(saved, topic) {
      version.value = saved.version
      theirs.value = false
      Object.assign(draft, draftOf(saved.answers))
      kept.done()
      emit('saved', saved)
      await nextTick()
      open.value = following(topic)
      // The way on can be taken once it is saved.
      if (open.value)
        void until(saving)
          .toBe(false)
          .then(() => focusOpen())
      else emit('finished')
    },
    async wrong(problem, topic) {
      if (problem.status === 409) {
        await takeTheirs(topic)
        form.show(problem)
      }
      await toFirstFault()
    },
  },
)

function following(topic: Topic): Topic | null {
  if (!again.value) return firstOpen()
  const next = topics.value[topics.value.findIndex((each) => each.id === topic) + 1]
  if (!next) again.value = false
  return next?.id ?? null
}

function put(topic: Topic) {
  clear()
  Object.assign(draft, draftOf(props.record.answers))
  open.value = topic
  void focusOpen()
}
function leave() {
  clear()
  Object.assign(draft, draftOf(props.record.answers))
  open.value = null
}
function goThrough() {
  again.value = true
  put(topics.value[0]!.id)
}

// Another client's record, or one read anew from outside.
watch(
  () => props.record.version,
  (now) => {
    if (now === version.value) return
    version.value = now
    Object.assign(draft, draftOf(props.record.answers))
    kept.done()
  },
)

const groups = computed(() => {
  const named = new Map<string, Questions['conditions']>()
  for (const each of props.questions.conditions) {
    if (each.group === 'body') continue
    named.set(each.groupName, [...(named.get(each.groupName) ?? []), each])
  }
  return [...named]
})
const body = computed(() => props.questions.conditions.filter((each) => each.group === 'body'))
const ofBody = (id: string) => body.value.some((each) => each.id === id)

const activityHint = computed(() => {
  const found = props.questions.activities.find((each) => each.id === draft.activity)
  return found ? `${ACTIVITIES[found.id]}: ${found.meaning}.` : 'Choose one to see its definition.'
})

/** Whether nothing was ticked or written in the open question. */
const nothing = computed(() => {
  switch (open.value) {
    case 'symptoms':
      return !draft.symptoms.length
    case 'conditions':
      return !draft.conditions.some((each) => !ofBody(each))
    case 'medicines':
      return !draft.medicines.length
    case 'body':
      return !draft.conditions.some(ofBody)
    case 'limits':
      return !draft.limits.length
    default:
      return false
  }
})
const last = computed(() => topics.value.at(-1)?.id === open.value)
const label = computed(() =>
  nothing.value ? 'None: next' : last.value ? 'Save and finish' : 'Save and next',
)
</script>

<template>
  <div ref="root" class="intake">
    <ol>
      <li
        v-for="topic in topics"
        :key="topic.id"
        :class="{ open: open === topic.id, waiting: !asked.has(topic.id) }"
      >
        <template v-if="open !== topic.id">
          <h3>{{ topic.name }}</h3>
          <p v-if="asked.has(topic.id)">{{ summary(topic.id, record.answers, questions) }}</p>
          <p v-else class="quiet">
            not asked yet<template v-if="!topic.decides">; optional</template>
          </p>
          <button
            v-if="!closed"
            type="button"
            class="link"
            :aria-label="`${asked.has(topic.id) ? 'Change' : 'Ask'}: ${topic.name}`"
            @click="put(topic.id)"
          >
            {{ asked.has(topic.id) ? 'Change' : 'Ask' }}
          </button>
        </template>
        <form v-else novalidate :aria-label="topic.name" @submit.prevent="save(topic.id)">
          <h2>{{ ASKS[topic.id] }}</h2>

          <template v-if="topic.id === 'activity'">
            <ChoiceField
              v-model="draft.activity"
              label="Activity level"
              :options="options(ACTIVITIES)"
              :hint="activityHint"
              :message="messages.activity"
            />
            <TickField
              v-model="draft.slowMile"
              :label="`Cannot cover ${mileText()} in 12 min: counts as one activity level lower`"
              name="slowMile"
            />
          </template>

          <div v-else-if="topic.id === 'symptoms'" class="ticks">
            <TickList v-model="draft.symptoms" :options="questions.symptoms" />
          </div>

          <div v-else-if="topic.id === 'conditions'" class="groups">
            <fieldset v-for="[name, all] in groups" :key="name">
              <legend>{{ name }}</legend>
              <TickList v-model="draft.conditions" :options="all" />
            </fieldset>
          </div>

          <MedicineRows
            v-else-if="topic.id === 'medicines'"
            v-model="draft.medicines"
            :options="questions.medicines"
            :conditions="questions.conditions"
            :messages="messages"
          />

          <template v-else-if="topic.id === 'body'">
            <div class="ticks">
              <TickList v-model="draft.conditions" :options="body" />
            </div>
          </template>

          <LimitRows
            v-else-if="topic.id === 'limits'"
            v-model="draft.limits"
            :options="questions.limits"
            :conditions="questions.conditions"
            :messages="messages"
          />

          <template v-else>
            <ChoiceField
              v-model="draft.goal"
              label="Goal"
              :options="questions.goals.map((goal) => ({ value: goal.id, name: goal.name }))"
            />
            <ChoiceField
              v-model="draft.days"
              label="Days they can train"
              :options="fromWeekStart(options(DAYS))"
              multiple
            />
            <ChoiceField
              v-model="draft.equipment"
              label="With"
              :options="questions.equipment.map(({ id, name }) => ({ value: id, name }))"
              multiple
            />
            <div class="three">
              <HeightField
                v-model="draft.heightCm"
                label="Height"
                name="heightCm"
                :message="messages.heightCm"
              />
              <WeightField
                v-model="draft.weightKg"
                label="Weight"
                name="weightKg"
                :message="messages.weightKg"
              />
              <TextField
                v-model="draft.usualRestingBpm"
                label="Usual resting pulse"
                name="usualRestingBpm"
                number
                hint="bpm, as they know it"
                :message="messages.usualRestingBpm"
              />
            </div>
          </template>

          <p v-if="theirs" class="fault" role="alert">
            Someone else saved answers meanwhile. Theirs are loaded; yours on this question are
            kept. Review and save.
          </p>
          <p v-else-if="general" class="fault" role="alert">{{ general }}</p>
          <div class="buttons">
            <Button type="submit" :label="label" :loading="saving" />
            <button v-if="asked.has(topic.id)" type="button" class="link" @click="leave">
              Cancel
            </button>
          </div>
        </form>
      </li>
    </ol>
    <div v-if="!open && !closed" class="ways">
      <Button
        :label="record.decision.due ? 'Go through it again now' : 'Go through it again'"
        :outlined="!record.decision.due"
        @click="goThrough"
      />
      <span class="quiet small">Confirm or change each answer.</span>
    </div>
  </div>
</template>

<style scoped>
.intake {
  display: grid;
  gap: 12px;
}

ol > li {
  border-top: 1px solid var(--line);
  padding: 6px 0;
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr) auto;
  gap: 4px 16px;
  align-items: baseline;
  min-height: var(--touch);
}

ol > li:first-child {
  border-top: 0;
}

ol > li.open {
  display: block;
  background: var(--paper);
  border: 1.5px solid var(--teal);
  border-radius: var(--radius);
  padding: 16px 18px;
  margin: 6px 0;
}

ol > li.open + li {
  border-top: 0;
}

ol > li > button {
  min-height: 36px;
}

form {
  display: grid;
  gap: 14px;
}

h3 {
  font-weight: 650;
}

.ticks {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 24px;
}

.groups {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px 24px;
  align-items: start;
}

.groups fieldset:first-child {
  grid-row: span 2;
}

legend {
  font-weight: 650;
  font-size: 0.92rem;
  padding: 0;
}

.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px;
}

.buttons,
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}

@media (max-width: 640px) {
  ol > li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  ol > li > p {
    grid-column: 1 / -1;
    grid-row: 2;
  }

  .ticks,
  .groups,
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
