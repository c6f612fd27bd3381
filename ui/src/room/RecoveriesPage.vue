<script setup lang="ts">
import { computed, onMounted, ref, toRef, watch } from 'vue'
import { clientRecoveries } from '../api/korvel'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { day } from '../shared/words'
import FallLines from './FallLines.vue'
import RecoveryTable from './RecoveryTable.vue'

/** How a client's heart comes down after effort: over time, each posture by itself. */
const props = defineProps<{ id: string }>()
const { data, problem, load } = useAnswer(() => clientRecoveries(props.id))
onMounted(load)
watch(toRef(props, 'id'), () => void load())
const open = ref(0)
const trend = computed(() => data.value?.trends[open.value] ?? null)
const key = (session: string, endedAt: string) => `${session} ${endedAt}`
const sets = computed(() => {
  const wanted = new Set(trend.value?.points.map((point) => key(point.session, point.endedAt)))
  return (data.value?.sets ?? [])
    .filter((set) => wanted.has(key(set.session, set.endedAt)))
    .sort((a, b) => +new Date(a.endedAt) - +new Date(b.endedAt))
})
const postures = computed(
  () => new Map<string, string>(data.value?.postures.map(({ posture, name }) => [posture, name])),
)
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
  <article v-else-if="data" class="stack">
    <header>
      <h1>Recoveries</h1>
      <p class="quiet">
        <RouterLink :to="`/clients/${id}`">{{ data.clientName }}</RouterLink> · each posture by
        itself: posture alone changes the fall greatly
      </p>
    </header>
    <section v-if="!data.trends.length && data.sets.length" class="sheet stack">
      <h2>Before the change of medication</h2>
      <p>
        Medication that touches the heart rate was changed since: a new series begins, and these are
        not compared with it.
      </p>
      <FallLines :sets="data.sets" :tall="280" />
      <RecoveryTable :sets="data.sets" :names="false" :postures="postures" />
    </section>
    <section v-else-if="!data.trends.length" class="sheet stack">
      <h2>None yet</h2>
      <p>
        In a session or a room, open Recovery and press “Effort ends now” when the work stops. The
        drop after one and two minutes is kept here.
      </p>
    </section>
    <template v-else>
      <section class="sheet" aria-labelledby="trend">
        <h2 id="trend">The drop in 60 s</h2>
        <ul>
          <li v-for="(each, at) in data.trends" :key="`${each.posture}-${each.source}`">
            <button type="button" :aria-pressed="at === open" @click="open = at">
              <b>{{ each.name }}</b>
              <span class="quiet">{{ each.source === 'strap' ? 'by strap' : 'by counts' }}</span>
              <span class="num"
                >{{ each.points[0]!.drop60
                }}<template v-if="each.points.length > 1">
                  → {{ each.points.at(-1)!.drop60 }}</template
                >
                bpm</span
              >
              <span>{{ each.words }}</span>
            </button>
          </li>
        </ul>
      </section>
      <section v-if="trend" class="sheet stack" :aria-label="trend.name">
        <p class="quiet">
          {{ trend.name }}, {{ trend.points.length }}
          {{ trend.points.length === 1 ? 'recovery' : 'recoveries' }},
          {{ day(trend.points[0]!.endedAt)
          }}<template v-if="trend.points.length > 1">
            to {{ day(trend.points.at(-1)!.endedAt) }}</template
          >. The last one stands out.
        </p>
        <FallLines :sets="sets" :tall="280" />
        <RecoveryTable :sets="sets" :names="false" :postures="postures" />
      </section>
    </template>
  </article>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
li button {
  width: 100%;
  min-height: 56px;
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 0;
  border-top: 1px solid var(--line);
  display: grid;
  grid-template-columns: 12rem 7rem 9rem minmax(0, 1fr);
  gap: 4px 16px;
  align-items: center;
  padding: 6px 10px;
}

li button[aria-pressed='true'] {
  background: var(--teal-wash);
}

@media (max-width: 600px) {
  li button {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
