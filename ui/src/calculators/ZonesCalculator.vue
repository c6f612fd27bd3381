<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { zonesWorking } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import ShowWorking from '../shared/ShowWorking.vue'
import MethodLink from '../shared/MethodLink.vue'
import type { RulerRow } from '../shared/ruler/layout'
import Ruler from '../shared/ruler/Ruler.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import { loadMethods, theMethods } from '../shared/methods'
import ZoneTable from '../zone/ZoneTable.vue'
import { useBands } from './zones'
import CalculatorSheet from './CalculatorSheet.vue'
import SpanFields from './SpanFields.vue'
import ThresholdFields from './ThresholdFields.vue'

/** A scheme's bands on the ruler, beside another's if asked. */
const router = useRouter()
const { form, scheme, family, request, one, other } = useBands()
const { answer, behind, refused, messages, general } = one
onMounted(loadMethods)

const FAMILIES = [
  { value: 'ratio', name: 'Ratio: moderate is 3–4' },
  { value: 'linear', name: 'Linear: moderate is 5–6' },
]
const schemes = computed(() =>
  (theMethods.value?.schemes ?? []).map(({ id, name }) => ({ value: id, name })),
)
/** Whether a scheme counts from measured thresholds. */
const counts = (id: string) =>
  ['threshold', 'measured'].includes(
    theMethods.value?.schemes.find((each) => each.id === id)?.basis ?? '',
  )
const cursor = ref<number>()
const rows = computed<RulerRow[]>(() => {
  if (!answer.value) return []
  const first = { zones: answer.value, label: form.compare ? answer.value.name : '' }
  const second = other.answer.value
  return form.compare && second ? [first, { zones: second, label: second.name }] : [first]
})
const band = computed(() => {
  const bands = answer.value?.bands ?? []
  return (
    bands.find((each) => each.id === form.band) ??
    bands.find((each) => each.level > 1) ??
    bands.at(-1)
  )
})
</script>

<template>
  <div class="stack">
    <section
      v-if="rows.length"
      class="sheet"
      :class="{ behind }"
      aria-label="The zones on the ruler"
    >
      <Ruler v-model:cursor="cursor" :rows="rows" />
    </section>
    <CalculatorSheet
      label="A span and a zone system"
      :behind="behind"
      :general="general"
      :refused="refused"
      wide
    >
      <template #form>
        <SpanFields
          v-model:rest="form.rest"
          v-model:max="form.max"
          v-model:cap="form.cap"
          :messages="messages"
        />
        <SelectField
          v-model="scheme"
          label="Zone system"
          :options="schemes"
          :message="messages.scheme"
        />
        <ThresholdFields
          v-if="counts(scheme) || counts(form.compare)"
          v-model:lower="form.lower"
          v-model:upper="form.upper"
          :messages="messages"
        />
        <SelectField
          v-model="form.compare"
          label="Beside it"
          :options="[{ value: '', name: 'None' }, ...schemes]"
          hint="A second zone system on the same axis."
        />
        <div class="pair">
          <TextField
            v-model="form.maxerror"
            label="Maximum ±"
            name="maxerror"
            number
            hint="bpm; 10 if left empty"
            :message="messages.maximumStandardErrorBpm"
          />
          <TextField
            v-model="form.resterror"
            label="Resting ±"
            name="resterror"
            number
            hint="bpm; 2 if left empty"
            :message="messages.restingStandardErrorBpm"
          />
        </div>
        <ChoiceField
          v-model="family"
          label="RPE 0–10 scale"
          :options="FAMILIES"
          :message="messages.rpeFamily"
        />
      </template>
      <template #answer>
        <template v-if="answer">
          <div class="heading">
            <h2>{{ answer.name }}</h2>
            <span class="quiet">
              <MethodLink to="reserve"
                >reserve <span class="num">{{ answer.reserveBpm }}</span></MethodLink
              >
              ·
              <MethodLink :to="answer.scheme">{{ answer.serves }}</MethodLink>
            </span>
            <Button
              class="no-print"
              label="Wall screen"
              outlined
              @click="router.push({ path: '/calculators/bands/wall', query: { ...form } })"
            />
          </div>
          <ZoneTable
            :zones="answer"
            :at="cursor"
            :working="(id) => ({ query: { ...form, band: id } })"
          />
          <template v-if="form.compare && other.answer.value">
            <h2>{{ other.answer.value.name }}</h2>
            <ZoneTable
              :zones="other.answer.value"
              :at="cursor"
              :working="
                (id) => ({
                  query: { ...form, scheme: form.compare, compare: scheme, band: id },
                })
              "
            />
          </template>
        </template>
      </template>
    </CalculatorSheet>
    <ShowWorking
      v-if="band"
      :title="`${band.name}: the working`"
      :of="[request, band.id]"
      :ask="(figures) => zonesWorking(request, band!.id, figures)"
    />
  </div>
</template>

<style scoped>
.heading {
  justify-content: start;
}

.heading > span {
  flex: 1 1 200px;
}

.behind {
  opacity: 0.45;
}
</style>
