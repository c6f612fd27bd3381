<script setup lang="ts">
import Button from 'primevue/button'
import { useEventListener } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { Problem } from '../api/http'
import { recordings, restoreRecording, withdrawRecording, type RecordingRow } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'
import { offerUndo, undone } from '../shared/undo'
import { capital, day, MODES } from '../shared/words'
import { onClock } from '../live/cues'
import ColumnChoices from './ColumnChoices.vue'
import RecordingCard from './RecordingCard.vue'
import { useBring, type Brought } from './useBring'

/** What a client brings from their own device: dropped, chosen or pasted, looked at, kept. */
const { id, overview } = useClient()
const { data, problem, load } = useAnswer(() => recordings(id.value))
watch([id, undone], () => void load(), { immediate: true })
const { files, add, read, remove, discard, shown } = useBring(id)

const picker = ref<HTMLInputElement | null>(null)
function picked(event: Event) {
  const input = event.target as HTMLInputElement
  add(input.files ?? [])
  input.value = ''
}
const over = ref(0)
function dropped(event: DragEvent) {
  over.value = 0
  add(event.dataTransfer?.files ?? [])
}
/** Pasted as files, or as text that is a recording itself. */
useEventListener(document, 'paste', (event: ClipboardEvent) => {
  const inField = event.target instanceof HTMLElement && event.target.closest('input, textarea')
  const pasted = event.clipboardData
  if (inField || !pasted) return
  const text = pasted.getData('text/plain')
  if (pasted.files.length) add(pasted.files)
  else if (text.trim()) add([new File([text], 'Pasted', { type: 'text/plain' })])
})

/** Where the fault is, and what is accepted. */
const whyNot = ({ findings, errors, message }: Problem) =>
  findings[0]?.message ??
  (errors[0] ? `${capital(errors[0].message)}. Accepted: ${errors[0].accepted}.` : message)

const done = computed(
  () => files.value.filter(({ state }) => state !== 'waiting' && state !== 'reading').length,
)
const reading = computed(() => files.value.find(({ state }) => state === 'reading') ?? null)

async function kept(item: Brought, recording: string, words: string) {
  remove(item)
  offerUndo(words, async () => {
    await withdrawRecording(recording)
    await load()
  })
  await load()
}
const { save: back, general } = useSave((row: RecordingRow) => withdrawRecording(row.id), {
  undo: (row) => ({
    said: `The recording of ${day(row.on)} is removed.`,
    back: () => restoreRecording(row.id),
  }),
  saved: () => load(),
})
const { save: restore, general: notRestored } = useSave(
  (row: RecordingRow) => restoreRecording(row.id),
  { saved: () => load() },
)
const cards = useTemplateRef<InstanceType<typeof RecordingCard>[]>('cards')
useShortcuts({
  list: [
    ['o', 'choose files'],
    ['k', 'keep the first recording'],
  ],
  act: {
    o: () => picker.value?.click(),
    k: () => void cards.value?.[0]?.save(),
  },
})
const SOURCE_WORDS: Record<RecordingRow['source'], string> = {
  strap: 'strap',
  wrist: 'wrist',
  count: 'counted',
}
</script>

<template>
  <div class="stack">
    <section
      v-if="!overview?.client.archived"
      class="sheet stack drop"
      :class="{ over: over > 0 }"
      aria-labelledby="bring-title"
      @dragenter.prevent="over++"
      @dragleave="over--"
      @dragover.prevent
      @drop.prevent="dropped"
    >
      <h2 id="bring-title">Bring in recordings</h2>
      <p>
        Drop files here, choose them, or paste. GPX 1.1 with a heart rate, CSV, FHIR R4, or Korvel’s
        own JSON; several at once. Each is shown first, and nothing is kept until you say so.
      </p>
      <div class="ways">
        <Button label="Choose files" @click="picker?.click()" />
        <input
          ref="picker"
          type="file"
          multiple
          accept=".gpx,.csv,.tsv,.txt,.json,.xml,application/gpx+xml,text/csv,application/json"
          class="visually-hidden"
          tabindex="-1"
          aria-label="Recordings"
          @change="picked"
        />
        <span v-if="files.length" role="status">
          <progress v-if="reading" :value="done" :max="files.length" aria-label="Files read" />
          {{ reading ? `Reading ${reading.file.name}: ` : ''
          }}<span class="num">{{ done }}</span> of <span class="num">{{ files.length }}</span> read
        </span>
      </div>
    </section>

    <template v-for="item in files" :key="item.key">
      <RecordingCard
        v-if="item.state === 'read' && item.read?.preview"
        ref="cards"
        :key="item.read.preview.id"
        :preview="item.read.preview"
        :csv="item.read.csv"
        :written-at="new Date(item.file.lastModified)"
        @said="(said) => read(item, said)"
        @shown="(preview) => shown(item, preview)"
        @kept="(recording, words) => kept(item, recording, words)"
        @discard="discard(item)"
      />
      <section
        v-else-if="item.state === 'asked' && item.read?.csv"
        class="sheet stack"
        :aria-label="item.file.name"
      >
        <h3>{{ item.file.name }}: how is it to be read?</h3>
        <p class="quiet">
          What could be guessed is filled in. It is remembered for files with the same headings.
        </p>
        <ColumnChoices
          :csv="item.read.csv"
          :asked="item.read.asked"
          :written-at="new Date(item.file.lastModified)"
          @said="(said) => read(item, said)"
        />
        <div>
          <button type="button" class="link" @click="remove(item)">Skip this file</button>
        </div>
      </section>
      <section
        v-else-if="item.state === 'refused' && item.problem"
        class="sheet stack refused"
        :aria-label="item.file.name"
      >
        <h3>{{ item.file.name }} was not read</h3>
        <p role="alert">{{ whyNot(item.problem) }}</p>
        <p class="quiet">Nothing of it was kept, and nothing else has changed.</p>
        <div class="ways">
          <Button label="Try again" outlined @click="read(item, { csv: null, startedAt: null })" />
          <button type="button" class="link" @click="remove(item)">Skip it</button>
        </div>
      </section>
    </template>

    <ProblemNote v-if="problem && !data" :problem="problem" @retry="load()" />
    <section v-else-if="data" class="sheet stack" aria-labelledby="kept-title">
      <h2 id="kept-title">On record</h2>
      <p v-if="!data.length" class="quiet">
        None yet. A recording that is kept becomes a session: with its minutes in each zone, its
        log, and its part in the months.
      </p>
      <table v-else>
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col" class="activity">Activity</th>
            <th scope="col">Length</th>
            <th scope="col">Read by</th>
            <th scope="col" class="file">File</th>
            <th scope="col"><span class="visually-hidden">What can be done</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in data" :key="row.id" :class="{ gone: row.withdrawn }">
            <th scope="row">
              <RouterLink v-if="!row.withdrawn" :to="`/floor/sessions/${row.session}`">{{
                day(row.on)
              }}</RouterLink>
              <template v-else>{{ day(row.on) }}</template>
            </th>
            <td class="activity">{{ MODES[row.mode] }}</td>
            <td class="num">{{ onClock(row.seconds) }}</td>
            <td>
              {{ SOURCE_WORDS[row.source] }}{{ row.sourceKnown ? '' : ', not known'
              }}{{ row.second ? ', second recording' : ''
              }}{{ row.withdrawn ? ', removed' : row.used ? '' : ', not used' }}
            </td>
            <td class="file quiet">{{ row.fileName }}</td>
            <td class="acts">
              <RouterLink
                v-if="row.compared && !row.withdrawn"
                :to="`/clients/${id}/recordings/${row.session}/compared`"
                >Compare</RouterLink
              >
              <button v-if="row.withdrawn" type="button" class="link" @click="restore(row)">
                Restore
              </button>
              <button v-else type="button" class="link" @click="back(row)">Remove</button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="general || notRestored" class="fault" role="alert">{{ general || notRestored }}</p>
    </section>
  </div>
</template>

<style scoped>
.drop {
  border: 2px dashed var(--line);
}

.drop.over {
  border-color: var(--teal);
  background: var(--teal-wash);
}

.refused {
  border-left: 4px solid var(--ochre);
}

progress {
  accent-color: var(--teal);
}

table {
  width: 100%;
}

th {
  text-align: left;
}

tbody th {
  font-weight: 500;
  white-space: nowrap;
}

th,
td {
  padding: 7px 12px 7px 0;
  vertical-align: baseline;
}

tbody tr {
  border-top: 1px solid var(--line);
}

.gone {
  color: var(--ink-quiet);
}

.file {
  max-width: 16rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  justify-content: flex-end;
}

@media (max-width: 760px) {
  .file,
  .activity {
    display: none;
  }
}
</style>
