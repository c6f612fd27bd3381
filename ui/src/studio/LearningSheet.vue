<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted } from 'vue'
import { chooseLearning, studioLearning } from '../api/korvel'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'

/** Whether zones are learned from talk checks at all. */
const emit = defineEmits<{ changed: [] }>()
const { data, load } = useAnswer(studioLearning)
onMounted(load)
const { save, saving, general } = useSave(
  (on: boolean) => chooseLearning(data.value!.version, on),
  {
    saved(now) {
      data.value = now
      emit('changed')
    },
    undo: (now, on) => ({
      said: on ? 'Zones are learned from talk.' : 'Nothing is learned from talk.',
      back: async () => {
        data.value = await chooseLearning(now.version, !on)
        emit('changed')
      },
    }),
    wrong: () => load(),
  },
)
</script>

<template>
  <section v-if="data" class="sheet stack" aria-labelledby="learning-title">
    <h2 id="learning-title">Learning from talk</h2>
    <p class="quiet">
      Talk checks show where each client’s whole sentences end. What is learned is offered, with its
      reasons; nothing is used before you accept it, for each client by itself.
    </p>
    <div class="ways">
      <Button
        :label="data.on ? 'Switch it off for everyone' : 'Switch it on'"
        outlined
        :disabled="saving"
        @click="load().then(() => save(!data!.on))"
      />
      <span class="quiet">{{ data.on ? 'On' : 'Off: checks are kept, nothing is learned' }}</span>
    </div>
    <p v-if="general" class="fault" role="alert">{{ general }}</p>
  </section>
</template>
