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
import { day } from '../shared/words'
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

const VOICES = [
  { value: 1, name: '1 Sing: could sing it' },
  { value: 2, name: '2 Talk: whole sentences' },
  { value: 3, name: '3 Phrases: a few words, a breath' },
  { value: 4, name: '4 Words: one or two at a time' },
  { value: 5, name: '5 Silent: not at all' },
]
const BY = [
  { value: 'count15', name: '15 s count, at once after' },
  { value: 'count10', name: '10 s count' },
  { value: 'count30', name: '30 s count' },
  { value: 'count60', name: '60 s count' },
  { value: 'tap', name: 'Taps' },
  { value: 'strap', name: 'Strap, before the passage' },
  { value: 'wrist', name: 'Wrist, before the passage' },
]
const SECONDS: Record<string, number> = { count10: 10, count15: 15, count30: 30, count60: 60 }
const HOW = [
  { value: 'heard', name: 'I heard it' },
  { value: 'told', name: 'They told me' },
]
const asked = (name: string) => String(route.query[name] ?? '')
const blank = () => ({
  source: 'count15',
  reading: '',
  voice: null as number | null,
  how: 'heard',
  rpe20: '',
  steady: true,
  odd: [] as string[],
  on: theStudio.value?.today ?? '',
  note: '',
})
const entry = reactive(blank())
const open = ref(false)
onMounted(async () => {
  entry.odd = [...props.page.todayOdd]
  if (!asked('voice')) return
  // What was logged is told: it only has to be confirmed.
  open.value = true
  Object.assign(entry, {
    source: 'count15',
    reading: asked('beats'),
    voice: Number(asked('voice')),
    how: 'told',
    rpe20: asked('rpe'),
    on: asked('on') || entry.on,
  })
  await nextTick()
  document.getElementById('talk-check')?.scrollIntoView()
})
watch(
  () => props.editing,
  async (check) => {
    if (!check) return
    open.value = true
    const window = SECONDS[check.source]
    Object.assign(entry, {
      ...blank(),
      source: check.source,
      reading: String(window ? Math.round((check.bpm * window) / 60) : check.bpm),
      voice: check.voice,
      how: check.how,
      rpe20: String(check.rpe20 ?? ''),
      odd: [...check.odd],
      on: check.on,
      note: check.note,
    })
    await nextTick()
    document.getElementById('talk-check')?.scrollIntoView()
  },
)
watch(theStudio, (studio) => (entry.on ||= studio?.today ?? ''))

/** Counts are entered as beats, since that is what was counted. */
const seconds = computed(() => SECONDS[entry.source] ?? 0)
const bpm = computed(() => {
  const value = typed(entry.reading)
  return typeof value === 'number' && seconds.value
    ? Math.round((value * 60) / seconds.value)
    : value
})
const at = computed(() => {
  if (props.editing?.on === entry.on) return props.editing.at
  // Today is now, by the studio's clock: that of this device may be ahead of it.
  return !entry.on || entry.on === theStudio.value?.today ? null : `${entry.on}T12:00:00Z`
})
let sent = crypto.randomUUID()
const form = useFieldMessages()
const { messages, general } = form
const { save, saving } = useSave(
  () =>
    (props.editing ? correctTalkCheck : addTalkCheck)(id.value, {
      id: props.editing?.id ?? sent,
      mode: props.page.mode,
      at: at.value,
      bpm: bpm.value,
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
      Object.assign(entry, blank(), { odd: [...page.todayOdd] })
      emit('saved', page)
    },
  },
)
function cancel() {
  Object.assign(entry, blank(), { odd: [...props.page.todayOdd] })
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
          :options="VOICES"
          :message="messages.voice"
        />
        <div class="row">
          <SelectField v-model="entry.source" label="Rate by" :options="BY" />
          <TextField
            v-model="entry.reading"
            :label="seconds ? `Beats in ${seconds} s` : 'Rate'"
            name="reading"
            number
            :hint="seconds && typeof bpm === 'number' ? `= ${bpm} bpm` : 'bpm'"
            :message="messages.bpm"
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
