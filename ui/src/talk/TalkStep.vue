<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { bands, decideTalk, talk, type Mode, type TalkCheck, type TalkPage } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import Ruler from '../shared/ruler/Ruler.vue'
import { useAnswer } from '../shared/answer'
import { useFieldMessages } from '../shared/fields'
import { useSave } from '../shared/save'
import { undone } from '../shared/undo'
import { capital, MODES, oneOf, options } from '../shared/words'
import BecauseList from './BecauseList.vue'
import ReasonForm from './ReasonForm.vue'
import TalkCheckForm from './TalkCheckForm.vue'
import TalkDecisions from './TalkDecisions.vue'
import WitnessesSheet from './WitnessesSheet.vue'
import { undoLatest } from './decisions'

/** Where this client's talk ends: what the checks say, why, and what is decided about it. */
const { id, overview, refresh } = useClient()
const route = useRoute()
const mode = ref<Mode | undefined>(oneOf(MODES, route.query.mode))
const { data, problem, load } = useAnswer(talk)
const zones = useAnswer(bands)
const cursor = ref<number>()
/** The check that is edited. */
const editing = shallowRef<TalkCheck | null>(null)
const fetchAll = () => load(id.value, mode.value)
watch([id, mode, undone], fetchAll, { immediate: true })
watch(data, (page) => {
  if (!page) return
  mode.value ??= page.mode
  void zones.load(id.value, 'voice-ladder', page.mode)
})
const archived = computed(() => overview.value?.client.archived ?? true)
const learned = computed(() => data.value?.learned ?? null)
const ruler = computed(() => zones.data.value)
/** Checks with nothing decided yet stand as a bracket; what is decided is the edge itself. */
const offers = computed(() =>
  [learned.value?.lower, learned.value?.upper].flatMap((side) =>
    side?.offer ? [{ side, offer: side.offer }] : [],
  ),
)

function changed(page: TalkPage) {
  editing.value = null
  data.value = page
  return refresh()
}
const reload = () => Promise.all([fetchAll(), refresh()])
const form = useFieldMessages()
const refusing = ref('')
const { save: decide, saving } = useSave(
  (which: 'lower' | 'upper', bpm: number, accept: boolean, reason: string) =>
    decideTalk(id.value, data.value!.mode, which, bpm, accept, reason),
  {
    form,
    undo: (page, _which, bpm, accept) => ({
      said: accept ? `${bpm} is in use from now on.` : `${bpm} is refused.`,
      back: () => undoLatest(id.value, page),
    }),
    saved(page) {
      refusing.value = ''
      return changed(page)
    },
  },
)
</script>

<template>
  <ProblemNote v-if="problem && !data" :problem="problem" @retry="fetchAll" />
  <div v-else-if="data" class="stack">
    <section class="sheet stack" aria-labelledby="talk-title">
      <div class="heading">
        <h2 id="talk-title">Talk checks</h2>
        <Select
          v-model="mode"
          :options="options(MODES)"
          option-label="name"
          option-value="value"
          aria-label="Activity"
        />
      </div>
      <p v-if="learned" class="sentence">{{ learned.sentence }}</p>
      <Ruler
        v-if="ruler?.zones"
        v-model:cursor="cursor"
        :rows="[{ zones: ruler.zones, ceilingBpm: ruler.ceilingBpm, talk: ruler.talk }]"
      />
      <div v-for="{ side, offer } in offers" :key="side.which" class="offer">
        <p>
          <b
            >{{ capital(side.upTo) }} up to <span class="num">{{ offer.bpm }}</span></b
          >
          <span class="quiet"
            >± {{ offer.plusMinusBpm }} · now <span class="num">{{ side.edgeBpm }}</span> · by the
            equation <span class="num">{{ side.equationBpm }}</span></span
          >
        </p>
        <details>
          <summary>Why?</summary>
          <p>{{ side.offerBecause }}</p>
        </details>
        <div v-if="!archived" class="ways">
          <Button
            :label="`Accept ${offer.bpm}`"
            :disabled="saving"
            @click="decide(side.which, offer.bpm, true, '')"
          />
          <Button
            v-if="refusing !== side.which"
            label="Refuse"
            outlined
            @click="refusing = side.which"
          />
        </div>
        <ReasonForm
          v-if="refusing === side.which"
          label="Why not"
          action="Refuse it"
          :message="form.messages.value.reason"
          :busy="saving"
          @save="(reason) => decide(side.which, offer.bpm, false, reason)"
        >
          <Button label="Cancel" text @click="refusing = ''" />
        </ReasonForm>
      </div>
      <p v-if="form.general.value" class="fault" role="alert">{{ form.general.value }}</p>
      <Findings :findings="[...data.findings, ...(learned?.findings ?? [])]" />
      <p v-if="learned?.nextBpm" class="quiet small">
        The next useful check is near <b class="num">{{ learned.nextBpm }}</b>, inside the target.
        Nobody works harder so that something may be learned. A talk rate is what the voice can do;
        it is no ventilatory or lactate threshold.
      </p>
    </section>
    <TalkCheckForm
      v-if="!archived"
      :page="data"
      :editing="editing"
      @saved="changed"
      @cancel="editing = null"
    />
    <BecauseList
      v-if="learned && (learned.days.length || learned.leftOut.length)"
      :learned="learned"
      :mode="data.mode"
      :archived="archived"
      @changed="changed"
      @edit="(check) => (editing = check)"
    />
    <WitnessesSheet v-if="data.witnesses" :witnesses="data.witnesses" />
    <TalkDecisions :page="data" :archived="archived" @changed="changed" @reload="reload" />
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.sentence {
  font-size: 1.15rem;
  font-weight: 650;
}

.offer {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  justify-content: space-between;
  align-items: center;
  border: 2px solid var(--teal);
  border-radius: var(--radius);
  background: var(--teal-wash);
  padding: 12px 16px;
}

.offer p {
  display: grid;
}

.offer form {
  flex: 1 1 100%;
}
</style>
