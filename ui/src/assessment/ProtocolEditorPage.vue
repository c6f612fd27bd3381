<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { addProtocol, archiveProtocol, changeProtocol, protocols } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import TextField from '../shared/TextField.vue'
import { useAnswer } from '../shared/answer'
import { useSave } from '../shared/save'
import { another, FIGURES, fresh, from, KINDS, written, type Kind } from './protocolDraft'

/** A studio's own protocol of a graded test: its stages, none easier than the one before. */
const props = defineProps<{ protocol: string }>()
const router = useRouter()
const { data, problem, load } = useAnswer(protocols)
const saved = computed(() => data.value?.find(({ id }) => id === props.protocol) ?? null)
const draft = ref(fresh())
watch(
  () => props.protocol,
  async () => {
    await load()
    draft.value = saved.value ? from(saved.value) : fresh()
  },
  { immediate: true },
)
function done(kind: Kind) {
  draft.value = { ...fresh(kind), name: draft.value.name }
}
const EVERY = [
  { value: 1, name: 'In every stage' },
  { value: 2, name: 'In every second' },
  { value: 3, name: 'In every third' },
]
const own = computed(() => saved.value?.version ?? null)
const { save, saving, messages, general } = useSave(
  () =>
    own.value === null
      ? addProtocol(written(draft.value))
      : changeProtocol(props.protocol, own.value, written(draft.value)),
  { saved: () => router.push('/studio#protocols') },
)
const { save: archive } = useSave(() => archiveProtocol(props.protocol, own.value!, true), {
  saved: () => router.push('/studio#protocols'),
})
const faultOf = (at: number) =>
  Object.entries(messages.value ?? {}).find(([field]) => field.startsWith(`stages[${at}]`))?.[1]
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
  <form v-else-if="data" class="stack" novalidate @submit.prevent="save()">
    <header>
      <p><RouterLink to="/studio#protocols">Studio</RouterLink></p>
      <h1>{{ own === null ? 'A protocol of your own' : saved!.name }}</h1>
    </header>
    <section class="sheet stack">
      <TextField v-model="draft.name" label="Name" name="name" :message="messages.name" />
      <ChoiceField
        :model-value="draft.kind"
        label="Done on"
        :options="KINDS"
        @update:model-value="(kind) => done(kind as Kind)"
      />
      <ChoiceField v-model="draft.pressureEvery" label="A pressure is due" :options="EVERY" />
    </section>
    <section class="sheet stack" aria-labelledby="stages-title">
      <h2 id="stages-title">Stages</h2>
      <ol>
        <li v-for="(stage, at) in draft.stages" :key="at">
          <b class="num">{{ at + 1 }}</b>
          <TextField v-model="stage.minutes" label="minutes" :name="`minutes${at}`" number />
          <TextField
            v-for="(figure, place) in FIGURES[draft.kind]"
            :key="figure.field"
            v-model="stage.figures[place]!"
            :label="figure.label"
            :name="`${figure.field}${at}`"
            number
          />
          <Button
            label="Delete"
            text
            :aria-label="`Delete stage ${at + 1}`"
            :disabled="draft.stages.length < 3"
            @click="draft.stages.splice(at, 1)"
          />
          <p v-if="faultOf(at)" class="fault" role="alert">{{ faultOf(at) }}</p>
        </li>
      </ol>
      <div><Button label="One more stage" outlined @click="another(draft)" /></div>
    </section>
    <p v-if="general || messages.stages" class="fault" role="alert">
      {{ general || messages.stages }}
    </p>
    <div class="ways">
      <Button
        type="submit"
        :label="own === null ? 'Save' : 'Save changes'"
        size="large"
        :loading="saving"
      />
      <Button v-if="own !== null" label="Archive" text @click="archive()" />
    </div>
  </form>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 2rem repeat(3, minmax(6rem, 10rem)) auto;
  gap: 6px 14px;
  align-items: end;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}

li b {
  padding-bottom: 12px;
}

li .fault {
  grid-column: 2 / -1;
}

.ways {
  display: flex;
  gap: 12px;
}

@media (max-width: 640px) {
  li {
    grid-template-columns: 1.6rem repeat(2, minmax(0, 1fr));
  }
}
</style>
