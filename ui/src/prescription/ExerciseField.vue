<script setup lang="ts">
import { computed } from 'vue'
import type { Exercise, Mode } from '../api/korvel'
import PrincipleNote from '../shared/PrincipleNote.vue'
import SelectField from '../shared/SelectField.vue'
import { figureSpan, MODES, options } from '../shared/words'

/** Activity: the mode, and one exercise of it; one that is not for this client says so here. */
const props = defineProps<{
  exercises: Exercise[]
  messages: Record<string, string>
}>()
const mode = defineModel<Mode>('mode', { required: true })
const exercise = defineModel<string | null>('exercise', { required: true })

const ANY = 'any'
const ofMode = computed(() => props.exercises.filter((each) => each.mode === mode.value))
const choices = computed(() => [
  { value: ANY, name: 'Any exercise of this kind' },
  ...ofMode.value.map((each) => ({
    value: each.exercise as string,
    name: each.notFor ? `${each.name}, not allowed` : each.name,
  })),
])
const picked = computed({
  get: () => exercise.value ?? ANY,
  set: (to: string) => (exercise.value = to === ANY ? null : to),
})
const chosen = computed(() => ofMode.value.find((each) => each.exercise === exercise.value))
function changeMode(to: Mode) {
  mode.value = to
  exercise.value = null
}
</script>

<template>
  <div class="pair">
    <SelectField
      :model-value="mode"
      label="Activity"
      :options="options(MODES)"
      hint="Each activity has its own maximum."
      :message="messages.mode"
      @update:model-value="changeMode"
    />
    <SelectField
      v-model="picked"
      label="Exercise"
      :options="choices"
      :message="messages.exercise"
    />
  </div>
  <div v-if="chosen" class="about" aria-live="polite">
    <p>
      <b>{{ chosen.typeName }}:</b> {{ chosen.typeMeaning }}.
      <template v-if="chosen.lowMet !== null && chosen.highMet !== null"
        >Usually <span class="num">{{ figureSpan(chosen.lowMet, chosen.highMet) }}</span> MET
        <span class="quiet">({{ chosen.source }})</span>.</template
      >
      <template v-else><span class="quiet">No usual MET range is on record for it.</span></template>
    </p>
    <p v-if="chosen.notFor && !messages.exercise" class="fault">It {{ chosen.notFor }}.</p>
    <p v-else-if="chosen.mindFor" class="mind">▲ Mind {{ chosen.mindFor }}.</p>
  </div>
  <PrincipleNote of="specificity" />
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px;
}

.about {
  font-size: 0.9rem;
  display: grid;
  gap: 4px;
}

.mind {
  color: var(--ochre-deep);
  font-weight: 650;
}

@media (max-width: 640px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
