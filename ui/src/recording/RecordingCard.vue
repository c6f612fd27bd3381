<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import {
  keepRecording,
  lookAtRecording,
  type CsvColumns,
  type Mode,
  type RateSource,
  type RecordingPreview,
  type RecordingSaid,
} from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import SelectField from '../shared/SelectField.vue'
import ZoneTimes from '../shared/ZoneTimes.vue'
import { useSave } from '../shared/save'
import { day, MODES, options } from '../shared/words'
import { onClock, ratings } from '../live/cues'
import ColumnChoices from './ColumnChoices.vue'
import RatePicture from './RatePicture.vue'

/** A recording as it would be kept: what is in it, and what it is of. */
const props = defineProps<{
  preview: RecordingPreview
  /** How the columns of a CSV were read; null for other formats. */
  csv: CsvColumns | null
  writtenAt: Date
}>()
const emit = defineEmits<{
  shown: [preview: RecordingPreview]
  kept: [recording: string, words: string]
  discard: []
  said: [said: RecordingSaid]
}>()

const SOURCES = [
  { value: 'strap', name: 'Chest strap' },
  { value: 'wrist', name: 'Wrist, or not known' },
]
const mode = ref<Mode>(props.preview.mode)
const source = ref<RateSource | null>(props.preview.sourceKnown ? props.preview.source : null)
/** Empty while several could be it and nobody has said which. */
const planned = ref<number | null>(
  props.preview.joins ?? (props.preview.planned.length > 1 ? null : 0),
)
const rpe = ref<number | null>(null)
const otherwise = ref(false)
const named = (column: number) => `“${props.csv?.names[column] ?? ''}”`
const chosen = () => ({ mode: mode.value, source: source.value, planned: planned.value })
watch([mode, source, planned], async ([now], [before]) => {
  const other = now !== before
  const preview = await lookAtRecording(props.preview.id, {
    ...chosen(),
    planned: other ? null : planned.value,
  })
  if (other) planned.value = preview.joins ?? (preview.planned.length > 1 ? null : 0)
  emit('shown', preview)
})
const sessions = computed(() => [
  { value: 0, name: 'None of them: unplanned' },
  ...props.preview.planned.map(({ number, words }) => ({ value: number, name: words })),
])
const second = computed(() => props.preview.same[0] ?? null)
const { save, saving, general, refused } = useSave(
  () =>
    keepRecording(props.preview.id, {
      ...chosen(),
      planned: second.value ? null : planned.value,
      secondOf: second.value?.session ?? null,
      rpe20: rpe.value,
    }),
  {
    saved: ({ recording }) =>
      emit(
        'kept',
        recording,
        second.value
          ? 'Kept as the second recording of its session.'
          : `The session of ${day(props.preview.startedAt)} is kept and logged.`,
      ),
  },
)
const start = computed(() =>
  new Date(props.preview.startedAt).toLocaleTimeString('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
  }),
)
defineExpose({ save })
</script>

<template>
  <article class="sheet stack" :aria-label="preview.fileName">
    <header class="heading">
      <div>
        <h3>
          {{ day(preview.startedAt) }}, {{ start }},
          <span class="num">{{ onClock(preview.seconds) }}</span> long
        </h3>
        <p class="quiet small">
          {{ preview.fileName }} · {{ preview.formatName }} ·
          <span class="num">{{ preview.points }}</span> points{{
            preview.withSteps ? ', with step rate' : ''
          }}
        </p>
      </div>
    </header>
    <template v-if="csv">
      <p class="quiet small">
        Heart rate from {{ named(csv.rate) }}, time from
        {{ csv.date >= 0 ? `${named(csv.date)} and ` : '' }}{{ named(csv.time)
        }}{{ csv.steps >= 0 ? `, step rate from ${named(csv.steps)}` : '' }}.
        <button type="button" class="link" @click="otherwise = !otherwise">
          {{ otherwise ? 'Cancel' : 'Change' }}
        </button>
      </p>
      <ColumnChoices
        v-if="otherwise"
        :csv="csv"
        :asked="[]"
        :written-at="writtenAt"
        @said="(said) => emit('said', said)"
      />
    </template>
    <RatePicture
      :traces="[{ name: 'Heart rate', bpm: preview.trace.bpm }]"
      :gaps="preview.gaps"
      :aside="preview.setAside"
      :label="`Heart rate over ${onClock(preview.seconds)}, average ${preview.averageBpm ?? 'none'}, ${preview.gaps.length} gaps`"
    />
    <p v-if="preview.gaps.length || preview.setAside.length" class="quiet small keys">
      <span v-if="preview.gaps.length"><i class="gap" /> no heart rate</span>
      <span v-if="preview.setAside.length"
        ><i class="aside" /> set aside for the peak: {{ preview.setAside[0]!.why }}</span
      >
    </p>
    <div class="halves">
      <div class="stack">
        <dl class="figures">
          <div>
            <dt>Average</dt>
            <dd class="num">{{ preview.averageBpm ?? '–' }}</dd>
          </div>
          <div>
            <dt>Peak</dt>
            <dd class="num">{{ preview.peakBpm ?? '–' }}</dd>
          </div>
          <div>
            <dt>Minutes of work</dt>
            <dd class="num">{{ preview.workMinutes }}</dd>
          </div>
        </dl>
        <ZoneTimes v-if="preview.zones.length" :zones="preview.zones" :words="onClock" />
        <p v-if="preview.zones.length" class="quiet small">
          On the span of its day, {{ preview.spanRestingBpm }} to {{ preview.spanMaximumBpm }} bpm.
        </p>
        <p v-else class="quiet small">No rate led on that day: no zones are worked out from it.</p>
      </div>
      <div class="stack">
        <SelectField v-model="mode" label="Activity" :options="options(MODES)" />
        <ChoiceField v-model="source" label="What read the heart" :options="SOURCES" />
        <p v-if="second" class="same">
          Looks like the session of {{ day(second.startedAt) }} that is on record: it is kept as its
          second recording, and the stronger of the two is used.
        </p>
        <template v-else>
          <SelectField
            v-if="preview.planned.length"
            v-model="planned"
            label="Which planned session it is"
            :options="sessions"
            :message="planned === null ? 'Several sessions of that day could be it.' : undefined"
          />
          <div class="rating">
            <span :id="`rpe-${preview.id}`">RPE of the session (6–20), if it was asked</span>
            <div role="group" :aria-labelledby="`rpe-${preview.id}`">
              <button
                v-for="value in ratings(9, 16)"
                :key="value"
                type="button"
                class="num"
                :aria-pressed="rpe === value"
                @click="rpe = rpe === value ? null : value"
              >
                {{ value }}
              </button>
            </div>
          </div>
        </template>
      </div>
    </div>
    <Findings
      v-if="preview.findings.length || preview.peak"
      :findings="[...(preview.peak ? [preview.peak.finding] : []), ...preview.findings]"
    />
    <Findings v-if="refused.length" :findings="refused" />
    <div class="ways">
      <Button
        :label="second ? 'Keep as second recording' : 'Keep and log it'"
        :loading="saving"
        :disabled="!second && planned === null"
        @click="save()"
      />
      <Button label="Discard" outlined severity="secondary" @click="emit('discard')" />
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
    </div>
  </article>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px 36px;
  align-items: start;
}

.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 32px;
}

dt {
  font-size: 0.84rem;
  color: var(--ink-quiet);
}

dd {
  font-size: 1.5rem;
  font-weight: 650;
}

.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}

.keys i {
  display: inline-block;
  width: 18px;
  height: 11px;
  margin-right: 4px;
  forced-color-adjust: none;
}

.keys .gap {
  background: var(--ground-2);
  border: 1px solid var(--line);
}

.keys .aside {
  background: color-mix(in oklch, var(--ochre) 30%, transparent);
}

.same {
  border-left: 4px solid var(--ochre);
  padding-left: 12px;
}

.rating {
  display: grid;
  gap: 6px;
}

.rating span {
  font-weight: 650;
}

.rating div {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}

.rating button {
  min-width: 44px;
  min-height: 44px;
  font: inherit;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}

.rating button[aria-pressed='true'] {
  background: var(--teal);
  border-color: var(--teal);
  color: var(--paper);
  font-weight: 750;
}

@media (max-width: 760px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
