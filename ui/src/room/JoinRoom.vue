<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, ref } from 'vue'
import { joinRoom, roomStart, type RoomView } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'

/** Somebody comes late: their own warm-up in full, then what the room does. */
const props = defineProps<{ room: string }>()
const emit = defineEmits<{ joined: [view: RoomView]; close: [] }>()
const { data, problem, load } = useAnswer(roomStart)
onMounted(load)
const source = ref<'strap' | 'count'>('strap')
const { save, saving, refused, general } = useSave(
  (clientId: string) => joinRoom(props.room, { clientId, source: source.value }),
  { saved: (view) => emit('joined', view) },
)
useShortcuts({
  list: [['Esc', 'back to the board']],
  act: { Escape: () => emit('close') },
})
</script>

<template>
  <section class="stack" aria-labelledby="join-title">
    <header>
      <h2 id="join-title">Who joins?</h2>
      <Button label="Back to the board" text @click="emit('close')" />
    </header>
    <p class="quiet">They begin with their own warm-up in full, then do what the room does.</p>
    <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
    <Findings v-if="refused.length" :findings="refused" />
    <p v-else-if="general" class="fault" role="alert">{{ general }}</p>
    <ul v-if="data">
      <li v-for="each in data.people" :key="each.clientId">
        <Button
          v-if="each.ready"
          :label="each.name"
          outlined
          :loading="saving"
          @click="save(each.clientId)"
        />
        <template v-else
          ><RouterLink :to="`/clients/${each.clientId}/check-in`">{{ each.name }}</RouterLink>
          <span class="quiet small">{{ each.whyNot?.message }}</span></template
        >
      </li>
    </ul>
    <p v-if="data && !data.people.length" class="quiet">
      Nobody else is checked in. <RouterLink to="/today">To today</RouterLink>
    </p>
  </section>
</template>

<style scoped>
header {
  display: flex;
  gap: 16px;
  align-items: center;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 8px 20px;
}

li {
  display: grid;
  align-content: center;
}
</style>
