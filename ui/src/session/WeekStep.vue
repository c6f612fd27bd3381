<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref } from 'vue'
import { decideWeek, type Programme, type WeekReview } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import PrincipleNote from '../shared/PrincipleNote.vue'
import TextField from '../shared/TextField.vue'
import { typed } from '../shared/fields'
import { figureSpan } from '../shared/words'
import { useSave } from '../shared/save'

/** A week is over: what the next one is to be, why, and what the instructor makes of it. */
const props = defineProps<{ clientId: string; version: number; review: WeekReview }>()
const emit = defineEmits<{ decided: [after: Programme, words: string]; stale: [] }>()

const EARNED = {
  step: { word: 'A step', mark: '▲' },
  hold: { word: 'Hold', mark: '●' },
  back: { word: 'Step down', mark: '▼' },
}
const way = ref<'changed' | 'refused' | null>(null)
const form = reactive({
  lowPercent: String(props.review.proposed.lowPercent),
  highPercent: String(props.review.proposed.highPercent),
  minutes: String(props.review.proposed.minutes),
  days: String(props.review.proposed.days),
  reason: '',
})
const next = computed(() => props.review.week + 1)
const dose = (of: WeekReview['proposed']) =>
  `${figureSpan(of.lowPercent, of.highPercent)} %, ${of.minutes} min × ${of.days}`

const WORDS = {
  accepted: 'is as proposed; later weeks are rebuilt.',
  changed: 'is as you decided; later weeks are rebuilt.',
  refused: 'stays the same as the week before.',
}
const {
  save: decide,
  saving: deciding,
  messages,
  general,
  refused,
} = useSave(
  (taken: keyof typeof WORDS) => {
    const own = taken === 'changed'
    return decideWeek(props.clientId, next.value, {
      version: props.version,
      taken,
      reason: form.reason,
      lowPercent: own ? typed(form.lowPercent) : null,
      highPercent: own ? typed(form.highPercent) : null,
      minutes: own ? typed(form.minutes) : null,
      days: own ? typed(form.days) : null,
    })
  },
  {
    saved: (after, taken) => emit('decided', after, `Week ${next.value} ${WORDS[taken]}`),
    wrong: ({ status }) => status === 409 && emit('stale'),
  },
)
</script>

<template>
  <section class="sheet stack step" :class="review.earned" aria-labelledby="step-title">
    <h2 id="step-title">
      Week <span class="num">{{ review.week }}</span> is over:
      <span aria-hidden="true">{{ EARNED[review.earned].mark }}</span>
      {{ EARNED[review.earned].word.toLowerCase() }}
    </h2>
    <p class="doses">
      <span
        ><span class="quiet small">week {{ review.week }}</span>
        <b class="num">{{ dose(review.before) }}</b></span
      >
      <span aria-hidden="true" class="arrow">→</span>
      <span
        ><span class="quiet small">week {{ next }}, proposed</span>
        <b class="num">{{ dose(review.proposed) }}</b></span
      >
    </p>
    <Findings :findings="[review.step, ...review.because]" />
    <p v-if="review.open" class="small">
      <RouterLink to="/log">Log what is missing</RouterLink>
    </p>
    <form
      v-if="way"
      class="stack"
      novalidate
      :aria-label="way === 'changed' ? 'Override' : 'Why'"
      @submit.prevent="decide(way)"
    >
      <div class="fields">
        <template v-if="way === 'changed'">
          <TextField
            v-model="form.lowPercent"
            label="From"
            name="lowPercent"
            number
            hint="% of reserve"
            :message="messages.lowPercent"
          />
          <TextField
            v-model="form.highPercent"
            label="To"
            name="highPercent"
            number
            hint="% of reserve"
            :message="messages.highPercent"
          />
          <TextField
            v-model="form.minutes"
            label="Minutes"
            name="minutes"
            number
            hint="a session"
            :message="messages.minutes"
          />
          <TextField
            v-model="form.days"
            label="Days"
            name="days"
            number
            hint="a week"
            :message="messages.days"
          />
        </template>
        <TextField
          v-model="form.reason"
          label="Reason"
          name="reason"
          hint="kept with the decision"
          :message="messages.reason"
          class="reason"
        />
      </div>
      <div class="ways">
        <Button
          type="submit"
          :label="way === 'changed' ? 'Use my own' : `Keep week ${review.week}’s dose`"
          :loading="deciding"
        />
        <Button label="Back to the proposal" text @click="way = null" />
      </div>
    </form>
    <div v-else class="ways">
      <Button :label="`Accept for week ${next}`" :loading="deciding" @click="decide('accepted')" />
      <Button label="Change it" outlined @click="way = 'changed'" />
      <Button label="Keep last week's dose" outlined @click="way = 'refused'" />
    </div>
    <Findings :findings="refused" />
    <p v-if="general && !refused.length" class="fault" role="alert">{{ general }}</p>
    <PrincipleNote of="progression" />
  </section>
</template>

<style scoped>
.step {
  border-left: 5px solid var(--teal);
}

.step.back {
  border-left-color: var(--ochre);
}

.doses {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 22px;
  align-items: flex-end;
}

.doses > span:not(.arrow) {
  display: grid;
}

.doses b {
  font-size: 1.25rem;
}

.arrow {
  font-size: 1.25rem;
  color: var(--ink-quiet);
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8rem, 1fr));
  gap: 12px 14px;
  max-width: 860px;
}

.fields :deep(input) {
  width: 100%;
}

.reason {
  grid-column: span 2;
}
</style>
