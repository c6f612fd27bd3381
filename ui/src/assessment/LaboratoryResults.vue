<script setup lang="ts">
import Button from 'primevue/button'
import { reactive } from 'vue'
import { addLaboratory, type Mode, type TestStart } from '../api/korvel'
import { useClient } from '../clients/useClient'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import { typed, useFieldMessages } from '../shared/fields'
import { useRecords } from '../shared/records'
import { toFirstFault, useSave } from '../shared/save'
import { day, MODES, options } from '../shared/words'

/** What a laboratory measured besides maximum and thresholds, entered by its report. */
defineProps<{ start: TestStart }>()
const emit = defineEmits<{ saved: [start: TestStart]; changed: [] }>()
const { id } = useClient()
const blank = () => ({ mode: 'run' as Mode, vo2max: '', measuredOn: '', laboratory: '', note: '' })
const entry = reactive(blank())
const form = useFieldMessages()
const { messages, general } = form
const records = useRecords(
  'laboratory-uptakes',
  () => id.value,
  async () => emit('changed'),
  form.show,
)
const { save, saving } = useSave(
  () =>
    addLaboratory(id.value, {
      ...entry,
      vo2max: typed(entry.vo2max),
      measuredOn: entry.measuredOn || null,
    }),
  {
    form,
    wrong: toFirstFault,
    saved(start) {
      Object.assign(entry, blank())
      emit('saved', start)
      // Ids rise with time: the last one is what was saved now.
      const added = start.laboratory
        .map((each) => each.id)
        .sort()
        .at(-1)
      if (added) void records.kept('Result saved', added)
    },
  },
)
</script>

<template>
  <section class="sheet">
    <details>
      <summary>
        <h2>Results of a laboratory</h2>
        <span v-if="start.laboratory[0]" class="quiet">
          VO₂max {{ start.laboratory[0].vo2max }} on {{ day(start.laboratory[0].measuredOn) }}</span
        >
      </summary>
      <div class="inner stack">
        <ul v-if="start.laboratory.length">
          <li v-for="each in start.laboratory" :key="each.id">
            <b class="num">{{ each.vo2max }}</b> ml/kg/min, {{ MODES[each.mode].toLowerCase() }},
            {{ day(each.measuredOn) }},
            {{ each.laboratory }}
            <Button
              label="Delete"
              text
              size="small"
              :aria-label="`Delete the result of ${day(each.measuredOn)}`"
              @click="records.takeBack('Result deleted', each.id)"
            />
          </li>
        </ul>
        <form class="row" novalidate @submit.prevent="save()">
          <SelectField v-model="entry.mode" label="Activity" :options="options(MODES)" />
          <TextField
            v-model="entry.vo2max"
            label="VO₂max"
            name="vo2max"
            number
            hint="ml/kg/min, by the report"
            :message="messages.vo2max"
          />
          <TextField
            v-model="entry.measuredOn"
            label="Measured on"
            name="measuredOn"
            type="date"
            :message="messages.measuredOn"
          />
          <TextField
            v-model="entry.laboratory"
            label="Laboratory"
            name="laboratory"
            :message="messages.laboratory"
          />
          <p v-if="general" class="fault" role="alert">{{ general }}</p>
          <div><Button type="submit" label="Save the result" :loading="saving" outlined /></div>
        </form>
        <p class="quiet small">
          Its maximum is entered under
          <RouterLink :to="`/clients/${id}/maximum`">Maximum</RouterLink>, its thresholds under
          <RouterLink :to="`/clients/${id}/bands`">Zones</RouterLink>.
        </p>
      </div>
    </details>
  </section>
</template>

<style scoped>
h2 {
  display: inline;
}

summary .quiet {
  margin-left: 14px;
}

.inner {
  margin-top: 14px;
}

.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px 20px;
  align-items: start;
}
</style>
