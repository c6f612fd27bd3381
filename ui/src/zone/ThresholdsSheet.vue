<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref, watch } from 'vue'
import { keepThresholds, thresholds, type Mode, type Thresholds } from '../api/korvel'
import { useClient } from '../clients/useClient'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import TextField from '../shared/TextField.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { useAnswer } from '../shared/answer'
import { theStudio } from '../shared/studio'
import { undone } from '../shared/undo'
import { day, MODES } from '../shared/words'
import { useSave } from '../shared/save'
import { useRecords } from '../shared/records'

/** The two measured rates some zone systems count from: on record, and entered. */
const props = defineProps<{ mode: Mode }>()
const emit = defineEmits<{ changed: [] }>()
const { id, overview } = useClient()
const { data, load } = useAnswer(thresholds)
const fetchThem = () => load(id.value, props.mode)
watch([id, () => props.mode, undone], fetchThem, { immediate: true })

const KINDS = [
  { value: 'talk-steps', name: 'Talk-step test' },
  { value: 'laboratory', name: 'Laboratory' },
]
const entry = reactive({ kind: 'talk-steps', lower: '', upper: '', measuredOn: '', note: '' })
watch(theStudio, (studio) => (entry.measuredOn ||= studio?.today ?? ''), { immediate: true })
const form = useFieldMessages()
const { messages, general } = form
const open = ref(false)

async function changed() {
  await fetchThem()
  emit('changed')
}
const { save: keep } = useSave(
  () =>
    keepThresholds(id.value, {
      mode: props.mode,
      kind: entry.kind,
      lowerThresholdBpm: typed(entry.lower),
      upperThresholdBpm: typed(entry.upper),
      measuredOn: entry.measuredOn || null,
      note: entry.note,
    }),
  {
    form,
    saved() {
      Object.assign(entry, { lower: '', upper: '', note: '' })
      return changed()
    },
  },
)
const records = useRecords('thresholds', () => id.value, changed, form.show)
const takeBack = (value: Thresholds) =>
  records.takeBack(`Thresholds ${value.lowerBpm} and ${value.upperBpm} are deleted.`, value.id)
const used = computed(() => data.value?.thresholds.find((each) => each.id === data.value?.inUse))
</script>

<template>
  <section class="sheet">
    <details :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>
        <h2>Measured thresholds</h2>
        <span v-if="used" class="num">{{ used.lowerBpm }} · {{ used.upperBpm }}</span>
        <span v-else class="quiet">none in {{ MODES[mode].toLowerCase() }}</span>
      </summary>
      <div class="stack inner">
        <p class="quiet small">
          The last rate of comfortable talk and the first rate without any. Zone systems that count
          from thresholds need both, in the same activity.
        </p>
        <Findings
          v-if="data?.finding && data.finding.code !== 'thresholds-missing'"
          :findings="[data.finding]"
        />
        <ul v-if="data?.thresholds.length">
          <li v-for="value in data.thresholds" :key="value.id">
            <span
              ><b class="num">{{ value.lowerBpm }} · {{ value.upperBpm }}</b
              ><template v-if="value.id === data.inUse"> in use</template></span
            >
            <span
              >{{ MODES[value.mode] }} · {{ value.kindName.toLowerCase() }} ·
              {{ day(value.measuredOn)
              }}<template v-if="value.note"> · {{ value.note }}</template></span
            >
            <Button
              v-if="!overview?.client.archived"
              label="Delete"
              text
              size="small"
              :aria-label="`Delete the thresholds ${value.lowerBpm} and ${value.upperBpm}`"
              @click="takeBack(value)"
            />
          </li>
        </ul>
        <form v-if="!overview?.client.archived" novalidate @submit.prevent="keep">
          <TextField
            v-model="entry.lower"
            label="Last comfortable talk"
            name="lower"
            number
            hint="bpm"
            :message="messages.lowerThresholdBpm"
          />
          <TextField
            v-model="entry.upper"
            label="First without talk"
            name="upper"
            number
            hint="bpm"
            :message="messages.upperThresholdBpm"
          />
          <ChoiceField v-model="entry.kind" label="From" :options="KINDS" />
          <TextField
            v-model="entry.measuredOn"
            label="On"
            name="measuredOn"
            type="date"
            :message="messages.measuredOn"
          />
          <TextField v-model="entry.note" label="Note" name="note" :message="messages.note" />
          <Button type="submit" :label="`Save for ${MODES[mode].toLowerCase()}`" />
        </form>
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
      </div>
    </details>
  </section>
</template>

<style scoped>
summary {
  cursor: pointer;
  min-height: 32px;
}

summary h2 {
  display: inline;
  margin-right: 12px;
}

.inner {
  margin-top: 10px;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  align-items: center;
  border-top: 1px solid var(--line);
}

li :deep(.p-button) {
  margin-left: auto;
}

form {
  display: grid;
  grid-template-columns: 10rem 10rem auto 10.5rem minmax(9rem, 1fr) auto;
  gap: 10px 14px;
  align-items: start;
}

form > :deep(.p-button) {
  margin-top: 27px;
}

@media (max-width: 1180px) {
  form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
