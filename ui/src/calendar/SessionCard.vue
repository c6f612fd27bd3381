<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { asProblem } from '../api/http'
import {
  changeSession,
  programmeSheet,
  takeBackProgramme,
  type CalendarSession,
} from '../api/korvel'
import TextField from '../shared/TextField.vue'
import { useFieldMessages } from '../shared/fields'
import { offerUndo } from '../shared/undo'
import { clock, figureSpan, MODES, SESSION_STATES, weekday } from '../shared/words'

/** A session of the calendar: what it is, and put on another day or hour. */
const props = defineProps<{ session: CalendarSession; today: string }>()
const emit = defineEmits<{ changed: []; close: [] }>()

const date = ref(props.session.date)
const time = ref(clock(props.session.time))
const same = computed(
  () => date.value === props.session.date && time.value === clock(props.session.time),
)
const movable = computed(
  () =>
    props.session.number !== null && ['planned', 'open', 'skipped'].includes(props.session.state),
)
const { messages, general, clear, show } = useFieldMessages()
const moving = ref(false)
async function move() {
  if (moving.value || !date.value) return
  moving.value = true
  const { clientId, number, name } = props.session
  try {
    const { programme } = await programmeSheet(clientId)
    const before = programme!.version!
    const after = await changeSession(clientId, before, number!, {
      date: date.value,
      time: time.value || null,
      untimed: !time.value,
    })
    clear()
    offerUndo(
      `${name}: ${weekday(props.session.date)} is moved to ${weekday(date.value)}${
        time.value ? `, ${time.value}` : ''
      }.`,
      async () => void (await takeBackProgramme(clientId, after.version!, before)),
    )
    emit('changed')
    emit('close')
  } catch (thrown) {
    show(asProblem(thrown))
  } finally {
    moving.value = false
  }
}
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
    <p>
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
      Nothing of the prescription may be used today: see why under
      <RouterLink :to="`/clients/${session.clientId}/screening`">Screening</RouterLink>.
    </p>
    <div class="ways">
      <form v-if="movable" novalidate aria-label="Move it" @submit.prevent="move">
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
.heading {
  display: flex;
  justify-content: space-between;
  align-items: center;
}

.ways {
  display: flex;
  flex-wrap: wrap;
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
