<script setup lang="ts">
import { computed } from 'vue'
import type { Lane, RoomPerson, SwapQuestion } from '../api/korvel'
import { onClock } from '../live/cues'

/** Who needs you, in the order of the rules; each with the one thing to do. */
const props = defineProps<{
  queue: string[]
  lanes: Map<string, Lane>
  people: Map<string, RoomPerson>
  questions: SwapQuestion[]
}>()
const emit = defineEmits<{
  open: [session: string]
  seen: [session: string]
  goOn: [session: string]
  swap: [question: SwapQuestion]
  keep: [question: SwapQuestion]
  askAll: []
}>()

const MOST = 9
const waiting = computed(() =>
  props.queue
    .map((session) => ({ lane: props.lanes.get(session), person: props.people.get(session) }))
    .filter(({ lane, person }) => person && lane?.needs && lane.needs.what !== 'hold'),
)
/** More are asked all at once. */
const ONE_BY_ONE = 3
const due = computed(() => waiting.value.filter(({ lane }) => lane!.needs!.what === 'rating-due'))
const together = computed(() => due.value.length > ONE_BY_ONE)
const singly = computed(() =>
  waiting.value.filter(({ lane }) => !together.value || lane!.needs!.what !== 'rating-due'),
)
const shown = computed(() => singly.value.slice(0, MOST))
const well = computed(
  () => props.queue.filter((session) => props.lanes.get(session)?.needs?.what === 'hold').length,
)
const asked = (session: string) =>
  props.questions.some(({ one, other }) => one === session || other === session)
const since = (lane: Lane) => onClock(lane.second - lane.needs!.sinceSecond)
/** The one thing to do about it. */
function deed(lane: Lane): { label: string; act: () => void } | null {
  const { session, needs, workStopped } = lane
  if (needs!.seen || lane.phase === 'ended') return null
  if (workStopped) return { label: 'Asked: go on', act: () => emit('goOn', session) }
  switch (needs!.what) {
    case 'no-signal':
    case 'in-doubt':
      return { label: 'Count', act: () => emit('open', session) }
    case 'rating-due':
      return { label: 'Rate', act: () => emit('open', session) }
    case 'over-cap':
      return { label: 'Open', act: () => emit('open', session) }
    default:
      return { label: 'Seen', act: () => emit('seen', session) }
  }
}
</script>

<template>
  <aside class="queue" aria-label="Who needs you">
    <h2>Needs you</h2>
    <section v-for="each in questions" :key="each.one" class="swap">
      <p>
        <b>{{ each.finding.message }}</b>
      </p>
      <p class="small quiet">{{ each.finding.because }}</p>
      <div>
        <button type="button" class="deed" @click="emit('swap', each)">Yes, swapped</button>
        <button type="button" class="deed" @click="emit('keep', each)">No</button>
      </div>
    </section>
    <ol>
      <li
        v-for="{ lane, person } in shown"
        :key="lane!.session"
        :class="[lane!.needs!.what, { seen: lane!.needs!.seen }]"
      >
        <button type="button" class="who" @click="emit('open', lane!.session)">
          <b>{{ person!.name }}</b>
          <span
            >{{ lane!.needs!.words
            }}<template v-if="lane!.phase !== 'ended'">
              · <span class="num">{{ since(lane!) }}</span></template
            ><template v-if="lane!.needs!.seen"> · seen</template></span
          >
        </button>
        <button
          v-if="deed(lane!) && !(asked(lane!.session) && lane!.needs!.what === 'in-doubt')"
          type="button"
          class="deed"
          @click="deed(lane!)!.act()"
        >
          {{ deed(lane!)!.label }}
        </button>
      </li>
      <li v-if="together" class="rating-due">
        <span class="who">
          <b>{{ due.length }} people</b>
          <span>Rating due</span>
        </span>
        <button type="button" class="deed" @click="emit('askAll')">Ask all</button>
      </li>
    </ol>
    <p v-if="singly.length > MOST" class="quiet">and {{ singly.length - MOST }} more</p>
    <p v-if="well" class="quiet">{{ well }} on target</p>
    <p v-else-if="!waiting.length" class="quiet">Nobody yet.</p>
  </aside>
</template>

<style scoped>
.queue {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
  overflow: auto;
}

h2 {
  font-size: 1rem;
  color: var(--ink-quiet);
}

ol {
  display: grid;
  gap: 6px;
}

li,
.swap {
  display: flex;
  gap: 8px;
  align-items: stretch;
  border-left: 5px solid var(--ochre);
  background: var(--sheet);
  border-radius: 6px;
}

.swap {
  display: grid;
  padding: 8px 10px;
}

.swap div {
  display: flex;
  gap: 8px;
}

li.stop,
li.over-cap {
  border-color: var(--wine);
  background: var(--wine-wash);
}

li.pick-up {
  border-color: var(--teal);
}

li.seen {
  border-color: var(--line);
  color: var(--ink-quiet);
}

.who {
  flex: 1;
  min-width: 0;
  min-height: 56px;
  font: inherit;
  text-align: left;
  color: inherit;
  background: none;
  border: 0;
  padding: 4px 8px;
  display: grid;
  align-content: center;
  line-height: 1.15;
}

.who b {
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}

.who span {
  font-size: 0.9rem;
}

.deed {
  font: inherit;
  font-weight: 650;
  min-height: 56px;
  min-width: 76px;
  padding: 0 12px;
  color: var(--teal);
  background: none;
  border: 1px solid var(--line);
  border-radius: 6px;
}
</style>
