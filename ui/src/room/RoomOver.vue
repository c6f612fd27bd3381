<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Lane, RoomPerson } from '../api/korvel'
import { logRoom } from '../api/korvel'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'

/** The room is over: what each did, and one key that logs them all. */
const props = defineProps<{ room: string; people: RoomPerson[]; lanes: Map<string, Lane> }>()
const emit = defineEmits<{ logged: []; undo: [] }>()
const rows = computed(() =>
  props.people.map((person) => ({ person, lane: props.lanes.get(person.session) })),
)
const open = computed(() => rows.value.filter(({ lane }) => lane && !lane.log && lane.second > 0))
const { save, saving, general } = useSave(() => logRoom(props.room), {
  saved: () => emit('logged'),
})
useShortcuts({
  list: [['l', 'log all of them']],
  act: { l: () => open.value.length && save() },
})
</script>

<template>
  <section class="over stack" aria-labelledby="over-title">
    <header>
      <h1 id="over-title">The room is over</h1>
      <Button label="Undo" text @click="emit('undo')" />
    </header>
    <p v-if="!open.length" role="status">
      <b>{{ rows.filter(({ lane }) => lane?.log).length }} logged.</b>
      <RouterLink to="/log">To the log</RouterLink>
    </p>
    <template v-else>
      <Button :label="`Log all ${open.length}`" size="large" :loading="saving" @click="save()" />
      <p class="quiet">
        Each as it was recorded: minutes, heart rate, ratings. What is special to one is entered on
        their own page first.
      </p>
    </template>
    <p v-if="general" class="fault" role="alert">{{ general }}</p>
    <ol>
      <li v-for="{ person, lane } in rows" :key="person.session">
        <RouterLink :to="`/floor/sessions/${person.session}`">{{ person.name }}</RouterLink>
        <span>{{ lane?.endedBecause ?? '' }}</span>
        <span :class="{ quiet: !lane?.log }">{{
          lane?.log ? lane.log.words : lane?.second ? 'not logged yet' : 'never began'
        }}</span>
      </li>
    </ol>
    <p><RouterLink :to="`/floor/rooms/${room}/recovery`">Recoveries of this room</RouterLink></p>
  </section>
</template>

<style scoped>
header {
  display: flex;
  gap: 16px;
  align-items: center;
}

ol {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 520px), 1fr));
  gap: 0 32px;
}

li {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr) minmax(0, 1.4fr);
  gap: 12px;
  padding: 9px 0;
  border-top: 1px solid var(--line);
}

@media (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
