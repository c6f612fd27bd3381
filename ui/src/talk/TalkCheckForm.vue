<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, onMounted, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { addTalkCheck, correctTalkCheck, type TalkCheck, type TalkPage } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ChoiceField from '../shared/ChoiceField.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import TickField from '../shared/TickField.vue'
import TickList from '../shared/TickList.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { toFirstFault, useSave } from '../shared/save'
import { theStudio } from '../shared/studio'
import { capital, day } from '../shared/words'
import PassageText from './PassageText.vue'

/** A talk check by hand: with a counted pulse, alone with a client, or as they tell it. */
const props = defineProps<{
  page: TalkPage
  /** One that is edited; null for a new one. */
  editing: TalkCheck | null
}>()
const emit = defineEmits<{ saved: [page: TalkPage]; cancel: [] }>()
const { id } = useClient()
const route = useRoute()

const voices = computed(() =>
  props.page.passages.voices.map(({ voice, name, words }) => ({
    value: voice,
    name: `${voice} ${name}: ${words}`,
  })),
)
const sources = computed(() =>
  props.page.sources.map(({ id: value, name }) => ({ value, name: capital(name) })),
)
const HOW = [
  { value: 'heard', name: 'I heard it' },
  { value: 'told', name: 'They told me' },
]
const asked = (name: string) => String(route.query[name] ?? '')
const blank = () => ({
  source: 'count15' as TalkCheck['source'],
  reading: '',
  /** A rate is given though it was counted: it was counted before, or is edited. */
  asRate: false,
  voice: null as number | null,
  how: 'heard',
  rpe20: '',
  steady: true,
  odd: [...props.page.todayOdd],
  on: theStudio.value?.today ?? '',
  time: '',
  note: '',
})
const entry = reactive(blank())
const open = ref(false)
async function fill(what: Partial<ReturnType<typeof blank>>) {
  open.value = true
  Object.assign(entry, blank(), what, { asRate: true })
  await nextTick()
  document.getElementById('talk-check')?.scrollIntoView()
}
onMounted(() => {
  if (!asked('voice')) return
  // What was logged is told: it only has to be confirmed.
  void fill({
    reading: asked('bpm'),
    voice: Number(asked('voice')),
    how: 'told',
    rpe20: asked('rpe'),
    on: asked('on') || entry.on,
  })
})
watch(
  () => props.editing,
  (check) =>
    check &&
    void fill({
      source: check.source,
      reading: String(check.bpm),
      voice: check.voice,
      how: check.how,
      rpe20: String(check.rpe20 ?? ''),
      odd: [...check.odd],
      on: check.on,
      time: check.time.slice(0, 5),
      note: check.note,
    }),
)
watch(
  () => entry.source,
  () => (entry.asRate = entry.asRate && entry.source === props.editing?.source),
)
watch(theStudio, (studio) => (entry.on ||= studio?.today ?? ''))

/** Counts are entered as beats, since that is what was counted. */
const seconds = computed(() =>
  entry.asRate
    ? null
    : (props.page.sources.find(({ id: source }) => source === entry.source)?.windowSeconds ?? null),
)
let sent = crypto.randomUUID()
const form = useFieldMessages()
const { messages, general } = form
const { save, saving } = useSave(
  () =>
    (props.editing ? correctTalkCheck : addTalkCheck)(id.value, {
      id: props.editing?.id ?? sent,
      mode: props.page.mode,
      on: entry.on || null,
      time: entry.time || null,
      bpm: seconds.value ? null : typed(entry.reading),
      beats: seconds.value ? typed(entry.reading) : null,
      source: entry.source,
      voice: entry.voice,
      how: entry.how,
      rpe20: typed(entry.rpe20),
      steady: entry.steady,
      odd: entry.odd,
      note: entry.note,
    }),
  {
    form,
    wrong: toFirstFault,
    saved(page) {
      sent = crypto.randomUUID()
      Object.assign(entry, blank())
      emit('saved', page)
    },
  },
)
function cancel() {
  Object.assign(entry, blank())
  form.clear()
  emit('cancel')
}
</script>

<template>
  <section id="talk-check" class="sheet">
    <details :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>
        <h2>{{ editing ? `Edit the check of ${day(editing.on)}` : 'Add a talk check' }}</h2>
      </summary>
      <form class="stack inner" novalidate @submit.prevent="save()">
        <PassageText />
        <p class="quiet">{{ page.passages.how }}</p>
        <ChoiceField
          v-model="entry.voice"
          label="What could the voice do?"
          :options="voices"
          :message="messages.voice"
        />
        <div class="row">
          <SelectField v-model="entry.source" label="Rate by" :options="sources" />
          <TextField
            v-model="entry.reading"
            :label="seconds ? `Beats in ${seconds} s` : 'Rate'"
            name="reading"
            number
            :hint="seconds ? 'at once after the passage' : 'bpm, before the passage'"
            :message="messages.bpm ?? messages.beats"
          />
          <TextField
            v-model="entry.rpe20"
            label="RPE (6–20)"
            name="rpe20"
            number
            hint="if asked"
            :message="messages.rpe20"
          />
          <TextField v-model="entry.on" label="Day" name="on" type="date" :message="messages.at" />
          <TextField
            v-model="entry.time"
            label="Time"
            name="time"
            type="time"
            hint="empty for now"
            :message="messages.time"
          />
        </div>
        <ChoiceField v-model="entry.how" label="How is it known?" :options="HOW" />
        <TickField
          v-model="entry.steady"
          label="The pace was held for 2 minutes before"
          name="steady"
        />
        <fieldset>
          <legend>Anything unusual that day?</legend>
          <div class="ticks">
            <TickList v-model="entry.odd" :options="page.oddDays" />
          </div>
        </fieldset>
        <TextField v-model="entry.note" label="Note" name="note" :message="messages.note" />
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
        <div class="ways">
          <Button
            type="submit"
            :label="editing ? 'Save changes' : 'Save the check'"
            :disabled="saving"
          />
          <Button v-if="editing" label="Cancel" text @click="cancel" />
        </div>
      </form>
    </details>
  </section>
</template>

<style scoped>
h2 {
  display: inline;
}

.inner {
  margin-top: 14px;
}

.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 10px 16px;
  align-items: start;
}

.ticks {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
}
</style>
