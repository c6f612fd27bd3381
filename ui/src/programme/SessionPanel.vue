<script setup lang="ts">
import { timeOfDay } from '../shared/units'
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import type { Mode, NamedOutline, PlannedSession, Programme, SessionChange } from '../api/korvel'
import OutlineStrip from '../outline/OutlineStrip.vue'
import OutlineTable from '../outline/OutlineTable.vue'
import Findings from '../shared/Findings.vue'
import PrincipleNote from '../shared/PrincipleNote.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import { minutes, MODES, options, weekday } from '../shared/words'

/** One session: what is done in it, and what can be changed. */
const props = defineProps<{
  programme: Programme
  session: PlannedSession
  library: NamedOutline[]
  messages: Record<string, string>
}>()
const emit = defineEmits<{ change: [to: SessionChange] }>()

const outline = computed(() => props.programme.outlines[props.session.outline]!)
/** What may be asked of someone can have become less since this was laid out. */
const rules = computed(() => [
  ...new Map(outline.value.broken.map(({ finding }) => [finding.message, finding])).values(),
])
const brokenAt = computed(() =>
  outline.value.broken.flatMap(({ block, step: at }) =>
    block === null || at === null ? [] : [{ block, step: at }],
  ),
)
const step = ref<{ block: number; step: number } | null>(null)
watch(
  () => props.session.number,
  () => (step.value = null),
)
const date = ref('')
const time = ref('')
watch(
  () => props.session,
  (session) => {
    date.value = session.date
    time.value = timeOfDay(session.time)
  },
  { immediate: true },
)
const same = computed(
  () => date.value === props.session.date && time.value === timeOfDay(props.session.time),
)
const USUAL = 'usual'
const outlineChoices = computed(() => [
  { value: USUAL, name: 'The usual one of its week' },
  ...props.library.map((named) => ({ value: named.id, name: named.name })),
])
/** The library knows an outline by its id, the session by the name it had when it was taken. */
const chosenOutline = computed(
  () => props.library.find((named) => named.name === props.session.ownOutline)?.id ?? USUAL,
)
</script>

<template>
  <section class="stack" :aria-label="`Session of ${weekday(session.date)}`">
    <div class="heading">
      <h3>
        {{ weekday(session.date) }}, week {{ session.week }}
        <span v-if="session.date !== session.laidOn" class="quiet"
          >moved from {{ weekday(session.laidOn) }}</span
        >
      </h3>
      <Button
        :label="session.skipped ? 'Include again' : 'Skip this session'"
        outlined
        size="small"
        @click="emit('change', { skipped: !session.skipped })"
      />
    </div>
    <p class="figures">
      <b class="num">{{ minutes(outline.workSeconds) }}</b> min of work in
      <b class="num">{{ minutes(outline.seconds) }}</b><template v-if="outline.bandGoal"
        >; aim: <b class="num">{{ outline.bandGoal.minutes }}</b> min at
        {{ outline.bandGoal.name }}</template
      ><template v-if="session.easier && !session.ownOutline"
        >; one of the easier days of a vigorous week</template
      >
    </p>
    <OutlineStrip v-model:selected="step" :blocks="outline.blocks" :broken="brokenAt" />
    <Findings :findings="rules" />
    <div class="ways">
      <form @submit.prevent="date && emit('change', { date, time: time || null, untimed: !time })">
        <TextField
          v-model="date"
          label="On"
          name="date"
          type="date"
          :message="messages.to ?? messages.date"
        />
        <TextField v-model="time" label="At" name="time" type="time" :message="messages.time" />
        <Button type="submit" label="Move" outlined :disabled="!date || same" />
      </form>
      <SelectField
        :model-value="session.mode"
        label="Activity"
        :options="options(MODES)"
        :message="messages.mode"
        @update:model-value="(mode: Mode) => emit('change', { mode })"
      />
      <SelectField
        :model-value="chosenOutline"
        label="Outline"
        :options="outlineChoices"
        :hint="session.ownOutline ? `“${session.ownOutline}”, made to fit` : 'from the library'"
        :message="messages.outline"
        @update:model-value="(id: string) => emit('change', { outline: id === USUAL ? null : id })"
      />
    </div>
    <PrincipleNote of="specificity" />
    <OutlineTable :outline="outline" :name="`session of ${weekday(session.date)}`" />
  </section>
</template>

<style scoped>
h3 .quiet {
  font-weight: 400;
  margin-left: 8px;
}

.ways {
  display: grid;
  grid-template-columns: minmax(22rem, auto) minmax(9rem, 1fr) minmax(11rem, 1fr);
  gap: 12px 16px;
  align-items: start;
}

form {
  display: flex;
  gap: 8px;
  align-items: flex-end;
}

@media (max-width: 760px) {
  .ways {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
