<script setup lang="ts">
import { fromWeekStart, timeOfDay } from '../shared/units'
import { computed, reactive, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Plan } from '../api/korvel'
import { DAYS } from '../screening/intake'
import ChoiceField from '../shared/ChoiceField.vue'
import PrincipleNote from '../shared/PrincipleNote.vue'
import TextField from '../shared/TextField.vue'
import { useDraft } from '../shared/draft'
import { typed } from '../shared/fields'
import { daysLater, figureSpan, options } from '../shared/words'

/** When, on which days, and what the weeks grow towards. */
const props = defineProps<{ proposal: Plan; messages: Record<string, string> }>()
const emit = defineEmits<{ changed: [request: ReturnType<typeof request>] }>()

const route = useRoute()
const form = reactive({
  startsOn: '',
  weeks: '',
  endsOn: '',
  weekdays: [] as Plan['weekdays'],
  goalMinutes: '',
  goalDays: '',
  lightWeeks: '',
  time: '',
})
watch(
  () => props.proposal,
  (plan) =>
    Object.assign(form, {
      startsOn: plan.startsOn,
      weeks: String(plan.weeks),
      endsOn: plan.endsOn,
      weekdays: [...plan.weekdays],
      goalMinutes: String(plan.goalMinutes),
      goalDays: String(plan.goalDays),
      lightWeeks: String(plan.lightWeeks),
      time: timeOfDay(plan.time),
    }),
  { immediate: true },
)
const draft = useDraft(
  () => `plan ${String(route.params.id)}`,
  () => ({ ...form }),
  (kept) => Object.assign(form, kept),
)
draft.begin()
/** Weeks set the end, and the end stands on its own. */
function setWeeks(to: string) {
  form.weeks = to
  const weeks = typed(to)
  if (typeof weeks === 'number' && form.startsOn) {
    form.endsOn = daysLater(form.startsOn, Math.round(7 * weeks) - 1)
  }
}
function setStart(to: string) {
  form.startsOn = to
  if (to) setWeeks(form.weeks)
}
function request() {
  return {
    startsOn: form.startsOn || null,
    endsOn: form.endsOn || null,
    weekdays: form.weekdays,
    goalMinutes: typed(form.goalMinutes),
    goalDays: typed(form.goalDays),
    lightWeeks: props.proposal.staysLight ? typed(form.lightWeeks) : null,
    time: form.time || null,
  }
}
watch(form, () => emit('changed', request()), { immediate: true, deep: true })

const first = computed(() => props.proposal)
</script>

<template>
  <div class="stack">
    <p>
      From
      <b class="num">{{ figureSpan(first.lowPercent, first.highPercentFirst) }}</b> %,
      <b class="num">{{ first.minutesFirst }}</b> min on
      <b class="num">{{ first.daysFirst }}</b> days, as prescribed, to at most
      <b class="num">{{ first.highPercent }}</b> %.
    </p>
    <div class="row">
      <TextField
        :model-value="form.startsOn"
        label="First day"
        name="startsOn"
        type="date"
        :message="messages.startsOn"
        @update:model-value="setStart"
      />
      <TextField
        :model-value="form.weeks"
        label="Weeks"
        name="weeks"
        number
        hint="4 to 26"
        @update:model-value="setWeeks"
      />
      <TextField
        v-model="form.endsOn"
        label="Last day"
        name="endsOn"
        type="date"
        :message="messages.endsOn"
      />
      <TextField
        v-model="form.goalMinutes"
        label="Minutes per session, final week"
        name="goalMinutes"
        number
        hint="a session"
        :message="messages.goalMinutes"
      />
      <TextField
        v-model="form.goalDays"
        label="Days per week, final week"
        name="goalDays"
        number
        hint="a week"
        :message="messages.goalDays"
      />
      <TextField
        v-model="form.time"
        label="Time of day"
        name="time"
        type="time"
        hint="if it is fixed"
        :message="messages.time"
      />
      <TextField
        v-if="first.staysLight"
        v-model="form.lightWeeks"
        label="Weeks to stay light"
        name="lightWeeks"
        number
        hint="cautious start, up to 12"
        :message="messages.lightWeeks"
      />
    </div>
    <ChoiceField
      v-model="form.weekdays"
      label="Available days"
      :options="fromWeekStart(options(DAYS))"
      multiple
      hint="Sessions are placed on the days furthest apart."
      :message="messages.weekdays"
    />
    <PrincipleNote of="progression" />
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
  gap: 12px 14px;
}

.row :deep(input) {
  width: 100%;
}
</style>
