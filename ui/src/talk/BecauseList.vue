<script setup lang="ts">
import Button from 'primevue/button'
import { ref, shallowRef } from 'vue'
import { asProblem } from '../api/http'
import {
  putTalkCheckOut,
  talkLongHand,
  type Learned,
  type Mode,
  type TalkPage,
  type TalkCheck,
} from '../api/korvel'
import { useClient } from '../clients/useClient'
import { useFieldMessages } from '../shared/fields'
import { useSave } from '../shared/save'
import { day } from '../shared/words'
import ReasonForm from './ReasonForm.vue'
import { undoLatest } from './decisions'

/** Why: what was believed at the start, what each day made of it, and what is left out. */
const props = defineProps<{ learned: Learned; mode: Mode; archived: boolean }>()
const emit = defineEmits<{ changed: [page: TalkPage]; edit: [check: TalkCheck] }>()
const { id } = useClient()

type LongHand = Awaited<ReturnType<typeof talkLongHand>>
const open = ref('')
const hand = shallowRef<LongHand | null>(null)
async function show(check: string) {
  open.value = open.value === check ? '' : check
  hand.value = null
  if (!open.value) return
  try {
    hand.value = await talkLongHand(id.value, check, props.mode)
  } catch (thrown) {
    form.show(asProblem(thrown))
  }
}

const form = useFieldMessages()
const { save: use, saving } = useSave(
  (check: string, out: boolean, reason: string) =>
    putTalkCheckOut(id.value, check, props.mode, out, reason),
  {
    form,
    undo: (page, _check, out) => ({
      said: out ? 'The check is taken out.' : 'The check is put back.',
      back: () => undoLatest(id.value, page),
    }),
    saved(page) {
      open.value = ''
      emit('changed', page)
    },
  },
)
</script>

<template>
  <section class="sheet stack" aria-labelledby="because-title">
    <h2 id="because-title">Why</h2>
    <ol>
      <li>
        <span class="on quiet">Start</span>
        <span>{{ learned.start }}</span>
      </li>
      <li v-for="each in learned.days" :key="each.on">
        <span class="on">{{ day(each.on) }}</span>
        <div>
          <p>
            {{ each.words }} <span class="quiet">± {{ each.plusMinusBpm }}</span>
          </p>
          <p class="checks">
            <button
              v-for="{ check, chancePercent, surprise } in each.checks"
              :key="check.id"
              type="button"
              :aria-expanded="open === check.id"
              @click="show(check.id)"
            >
              {{ check.words }} · <template v-if="check.rpe20">RPE {{ check.rpe20 }} · </template
              >{{ chancePercent }} of 100<b v-if="surprise"> · surprise</b>
            </button>
          </p>
          <template v-for="{ check } in each.checks" :key="check.id">
            <div v-if="open === check.id && hand" class="hand">
              <p>
                How likely {{ hand.words }} is, if sentences end at
                <template v-for="(chance, at) in hand.chances" :key="chance.lowerBpm"
                  ><template v-if="at">, </template><b class="num">{{ chance.lowerBpm }}</b
                  >: <b class="num">{{ chance.percent }}</b> of 100</template
                >.
              </p>
              <p>{{ hand.sentence }}</p>
              <div v-if="!archived">
                <Button label="Edit the check" text size="small" @click="emit('edit', check)" />
              </div>
              <ReasonForm
                v-if="!archived"
                label="Take it out, because"
                action="Take out"
                :message="form.messages.value.reason"
                :busy="saving"
                @save="(reason) => use(check.id, true, reason)"
              />
            </div>
          </template>
        </div>
      </li>
    </ol>
    <details v-if="learned.leftOut.length">
      <summary>
        Left out: <span class="num">{{ learned.leftOut.length }}</span>
      </summary>
      <ul>
        <li v-for="{ check, why, takenOut } in learned.leftOut" :key="check.id">
          <span class="on">{{ day(check.on) }}</span>
          <div>
            <p>{{ check.bpm ? check.words : 'no rate' }}: {{ why }}</p>
            <ReasonForm
              v-if="takenOut && !archived"
              label="Put it back, because"
              action="Put back"
              :message="form.messages.value.reason"
              :busy="saving"
              @save="(reason) => use(check.id, false, reason)"
            />
          </div>
        </li>
      </ul>
    </details>
    <p v-if="form.general.value" class="fault" role="alert">{{ form.general.value }}</p>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 7.5rem minmax(0, 1fr);
  gap: 4px 16px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}

.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  margin-top: 4px;
}

.checks button {
  min-height: var(--touch);
  padding: 2px 12px;
  font: inherit;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}

.checks button[aria-expanded='true'] {
  border-color: var(--teal);
  background: var(--teal-wash);
}

.hand {
  margin-top: 8px;
  padding: 10px 14px;
  border-left: 4px solid var(--teal);
  background: var(--ground-2);
  display: grid;
  gap: 6px;
}

@media (max-width: 600px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
