<script setup lang="ts">
import Button from 'primevue/button'
import { reactive, watch } from 'vue'
import { resetTalk, switchTalk, type TalkPage } from '../api/korvel'
import { useClient } from '../clients/useClient'
import TextField from '../shared/TextField.vue'
import { useFieldMessages } from '../shared/fields'
import { useRecords } from '../shared/records'
import { useSave } from '../shared/save'
import { theStudio } from '../shared/studio'
import { day } from '../shared/words'
import { undoLatest } from './decisions'

/** What was decided, each with its undo; learning restarted, or switched off. */
const props = defineProps<{ page: TalkPage; archived: boolean }>()
const emit = defineEmits<{ changed: [page: TalkPage]; reload: [] }>()
const { id } = useClient()
const form = useFieldMessages()
const records = useRecords(
  'talk-decisions',
  () => id.value,
  async () => emit('reload'),
  form.show,
)
const entry = reactive({ from: '', reason: '' })
watch(theStudio, (studio) => (entry.from ||= studio?.today ?? ''), { immediate: true })
const { save: reset, saving } = useSave(
  () => resetTalk(id.value, props.page.mode, entry.from || null, entry.reason),
  {
    form,
    undo: (page) => ({
      said: 'Learning is restarted.',
      back: () => undoLatest(id.value, page),
    }),
    saved(page) {
      entry.reason = ''
      emit('changed', page)
    },
  },
)
const { save: turn } = useSave((on: boolean) => switchTalk(id.value, props.page.mode, on), {
  form,
  undo: (page, on) => ({
    said: on ? 'Learning is switched on.' : 'Learning is switched off.',
    back: () => undoLatest(id.value, page),
  }),
  saved: (page) => emit('changed', page),
})
</script>

<template>
  <section class="sheet">
    <details>
      <summary><h2 id="decisions">Decisions</h2></summary>
      <div class="stack inner">
        <ul v-if="page.decisions.length">
          <li v-for="act in page.decisions" :key="act.id">
            <span>{{ day(act.at) }}</span>
            <span>
              <b>{{ act.words }}</b><template v-if="act.frozen">
                {{ act.frozen.bpm }} for {{ act.upTo }}, ± {{ act.frozen.plusMinusBpm }}, from
                {{ act.frozen.checks }} checks on {{ act.frozen.days }} days</template
              ><template v-if="act.from"> from {{ day(act.from) }}</template
              ><template v-if="act.reason"> · {{ act.reason }}</template
              ><span v-if="act.by" class="quiet"> · {{ act.by }}</span>
            </span>
            <Button
              v-if="!archived"
              label="Undo"
              text
              size="small"
              :aria-label="`Undo: ${act.words}, ${day(act.at)}`"
              @click="records.takeBack(`${act.words}: undone.`, act.id)"
            />
          </li>
        </ul>
        <p v-else class="quiet">Nothing decided yet.</p>
        <template v-if="!archived">
          <form novalidate @submit.prevent="reset()">
            <TextField
              v-model="entry.from"
              label="Restart learning from"
              name="from"
              type="date"
              :message="form.messages.value.from"
            />
            <TextField
              v-model="entry.reason"
              label="Because"
              name="reset-reason"
              :message="form.messages.value.reason"
            />
            <Button type="submit" label="Restart" outlined :disabled="saving" />
          </form>
          <div v-if="page.studioLearns">
            <Button
              :label="
                page.switchedOff
                  ? 'Learn from this client’s talk again'
                  : 'Switch learning off for this client'
              "
              outlined
              @click="turn(page.switchedOff)"
            />
          </div>
          <p v-else class="quiet">
            Switched off for everyone, in the <RouterLink to="/studio">Studio</RouterLink>.
          </p>
        </template>
        <p v-if="form.general.value" class="fault" role="alert">{{ form.general.value }}</p>
      </div>
    </details>
  </section>
</template>

<style scoped>
.inner {
  margin-top: 12px;
}

h2 {
  display: inline;
}

li {
  display: grid;
  grid-template-columns: 7.5rem minmax(0, 1fr) auto;
  gap: 4px 16px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: end;
}

@media (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
