<script setup lang="ts">
import { chooseRegional, type Regional } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import { useFieldMessages } from '../shared/fields'
import { useSave } from '../shared/save'
import { loadStudio, theStudio } from '../shared/studio'
import { regional } from '../shared/units'
import { options } from '../shared/words'

/** The units and customs of the studio: chosen once, read and entered everywhere. */
const emit = defineEmits<{ changed: [] }>()

interface Custom {
  id: keyof Regional
  label: string
  options: { value: string; name: string }[]
  hint?: string
}
const CUSTOMS: Custom[] = [
  { id: 'weight', label: 'Weight', options: options({ kg: 'kg', lb: 'lb' }) },
  { id: 'height', label: 'Height', options: options({ cm: 'cm', 'ft-in': 'ft and in' }) },
  {
    id: 'glucose',
    label: 'Blood glucose',
    options: options({ 'mmol-l': 'mmol/L', 'mg-dl': 'mg/dL' }),
    hint: 'A reading can be entered in the other unit, as the client’s meter shows it.',
  },
  {
    id: 'distance',
    label: 'Distance',
    options: options({ km: 'km and m', miles: 'miles and ft' }),
  },
  { id: 'clock', label: 'Time of day', options: options({ h24: '18:30', h12: '6:30 pm' }) },
  {
    id: 'weekStart',
    label: 'First day of the week',
    options: options({ monday: 'Monday', sunday: 'Sunday', saturday: 'Saturday' }),
  },
  {
    id: 'paper',
    label: 'Paper',
    options: options({ a4: 'A4', letter: 'Letter' }),
    hint: 'For cards and hand-outs, unless another is chosen there.',
  },
]

const form = useFieldMessages()
const { general } = form
const readAnew = async () => {
  await loadStudio()
  emit('changed')
}
const { save } = useSave(
  async (id: keyof Regional, value: string) => {
    const before = regional.value
    const now = { ...before, [id]: value } as Regional
    return { before, after: await chooseRegional(theStudio.value!.version, now) }
  },
  {
    form,
    undo: ({ before, after }) => ({
      said: 'Units and customs are changed.',
      async back() {
        await chooseRegional(after.version, before)
        await readAnew()
      },
    }),
    saved: readAnew,
    wrong: readAnew,
  },
)
</script>

<template>
  <section class="sheet stack" aria-labelledby="regional-title">
    <h2 id="regional-title">Units and customs</h2>
    <p v-if="general" class="fault" role="alert">{{ general }}</p>
    <div class="customs">
      <ChoiceField
        v-for="each in CUSTOMS"
        :key="each.id"
        :model-value="regional[each.id] as string"
        :label="each.label"
        :options="each.options"
        :hint="each.hint"
        @update:model-value="save(each.id, $event)"
      />
    </div>
  </section>
</template>

<style scoped>
.customs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(16rem, 1fr));
  gap: 18px 28px;
}
</style>
