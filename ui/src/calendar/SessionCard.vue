<script setup lang="ts">
import { clock, timeOfDay } from '../shared/units'
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import {
  changeSession,
  programmeSheet,
  sessionLogs,
  takeBackProgramme,
  type CalendarSession,
} from '../api/korvel'
import TextField from '../shared/TextField.vue'
import LoggedSession from '../session/LoggedSession.vue'
import { useAnswer } from '../shared/answer'
import { figureSpan, MODES, SESSION_STATES, weekday } from '../shared/words'
import { useSave } from '../shared/save'

/** A session of the calendar: what it is, and put on another day or hour. */
const props = defineProps<{ session: CalendarSession; today: string }>()
const emit = defineEmits<{ changed: []; close: [] }>()

const date = ref(props.session.date)
const time = ref(timeOfDay(props.session.time))
const same = computed(
  () => date.value === props.session.date && time.value === timeOfDay(props.session.time),
)
/** What was logged, to be corrected here; asked for where there is a log. */
const logs = useAnswer(sessionLogs)
watch(
  () => props.session.log,
  (log) => log && logs.load(props.session.clientId),
  { immediate: true },
)
const logged = computed(() => logs.data.value?.logs.find(({ id }) => id === props.session.log))

const movable = computed(
  () =>
    props.session.number !== null && ['planned', 'open', 'skipped'].includes(props.session.state),
)
const {
  save: move,
  saving: moving,
  messages,
  general,
} = useSave(
  async ({ clientId, number }: CalendarSession) => {
    const { programme } = await programmeSheet(clientId)
    const before = programme!.version!
    const to = { date: date.value, time: time.value || null, untimed: !time.value }
    return { before, after: await changeSession(clientId, before, number!, to) }
  },
  {
    undo: ({ before, after }, { clientId, name, date: from }) => ({
      said: `${name}: ${weekday(from)} is moved to ${weekday(date.value)}${
        time.value ? `, ${time.value}` : ''
      }.`,
      back: () => takeBackProgramme(clientId, after.version!, before),
    }),
    saved() {
      emit('changed')
      emit('close')
    },
  },
)
</script>

<template>
  <section
    class="sheet stack"
    tabindex="-1"
    :aria-label="`${session.name}, ${weekday(session.date)}`"
  >
    <div class="heading">
      <h2>
        {{ session.name }}, {{ weekday(session.date) }}
        <template v-if="session.time">{{ clock(session.time) }}</template>
      </h2>
      <Button label="Close" text size="small" @click="emit('close')" />
    </div>
    <LoggedSession
      v-if="logged"
      :log="logged"
      :signs="logs.data.value!.warnings"
      @changed="emit('changed')"
    >
      <p>
        <span aria-hidden="true">{{ SESSION_STATES[session.state].mark }}</span>
        {{ SESSION_STATES[session.state].name }}: {{ session.words }}
      </p>
    </LoggedSession>
    <p v-else>
      <span aria-hidden="true">{{ SESSION_STATES[session.state].mark }}</span>
      {{ SESSION_STATES[session.state].name }}:
      <template v-if="session.words">{{ session.words }}</template>
      <template v-else>
        {{ MODES[session.mode] }}, <b class="num">{{ session.minutes }}</b> min of work in
        <span class="num">{{ session.wholeMinutes }}</span>,
        <span class="num">{{ figureSpan(session.lowPercent, session.highPercent) }}</span> % of
        reserve
      </template>
    </p>
    <p v-if="session.state === 'rests'" class="fault">
      The prescription may not be used today: see why under
      <RouterLink :to="`/clients/${session.clientId}/screening`">Screening</RouterLink>.
    </p>
    <div class="ways">
      <form v-if="movable" novalidate aria-label="Move it" @submit.prevent="date && move(session)">
        <TextField
          v-model="date"
          label="On"
          name="date"
          type="date"
          :message="messages.to ?? messages.date"
        />
        <TextField v-model="time" label="At" name="time" type="time" :message="messages.time" />
        <Button type="submit" label="Move" outlined :disabled="same || !date" :loading="moving" />
      </form>
      <RouterLink
        v-if="session.number !== null && session.date <= today && !session.words"
        to="/log"
        >Log it</RouterLink
      >
      <RouterLink :to="`/clients/${session.clientId}/sessions`">To the sessions</RouterLink>
    </div>
    <p v-if="general || messages.session" class="fault" role="alert">
      {{ general || messages.session }}
    </p>
  </section>
</template>

<style scoped>
.ways {
  gap: 12px 22px;
  align-items: flex-end;
}

.ways a {
  padding: 10px 0;
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: flex-end;
}
</style>
