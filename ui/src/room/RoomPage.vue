<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, onScopeDispose, ref, shallowReactive, toRef } from 'vue'
import { showOnWall, type LiveEvent, type SwapQuestion } from '../api/korvel'
import { strapConnection, type StrapConnection } from '../live/useStrap'
import ProblemNote from '../shared/ProblemNote.vue'
import SwitchButton from '../shared/SwitchButton.vue'
import { clock } from '../shared/clock'
import FloorNotes from '../live/FloorNotes.vue'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'
import { CUE_SOUNDS, cuesHeard } from '../shared/sound'
import AskAll from './AskAll.vue'
import JoinRoom from './JoinRoom.vue'
import LaneRow from './LaneRow.vue'
import NeedsQueue from './NeedsQueue.vue'
import PersonPanel from './PersonPanel.vue'
import RoomOver from './RoomOver.vue'
import RoomTimeBar from './RoomTimeBar.vue'
import { doing } from './doing'
import { layoutFor } from './layout'
import { lettersOf, type Asked } from './letters'
import { RoomSounds } from './roomSounds'
import { useRoom } from './useRoom'
import { floorLight, useScreenAwake } from '../live/floorScreen'

/** The board of a room: a lane for each, and who needs you at the side. */
const props = defineProps<{ room: string }>()
const board = useRoom(toRef(props, 'room'))
const { sheet, lanes, time, queue, questions, problem, refused, waiting, connected, now } = board
const { load, happened, roomHappened } = board

useScreenAwake()

const people = computed(() => sheet.value?.people ?? [])
const byId = computed(() => new Map(people.value.map((person) => [person.session, person])))
const over = computed(() => !!time.value?.endedAt)
const begun = computed(() => !!time.value?.begunAt)
const roomStep = computed(() => {
  const row = time.value?.leg?.row
  return row === undefined ? null : (sheet.value?.steps[row]?.name ?? null)
})

const area = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(area, { width: 980, height: 640 })
const layout = computed(() => layoutFor(people.value.length, width.value, height.value))
const laneHeight = computed(() => Math.max(32, height.value / layout.value.rows))
/** A lane narrower than this has short names, px. */
const NARROW = 520
const narrow = computed(() => width.value / layout.value.columns < NARROW)
const fill = computed(() => ({
  gridTemplateRows: `repeat(${layout.value.rows}, minmax(32px, ${Math.min(110, laneHeight.value)}px))`,
  gridTemplateColumns: `repeat(${layout.value.columns}, minmax(0, 1fr))`,
  '--lane-font': `${Math.min(1.7, Math.max(0.86, laneHeight.value / 44)).toFixed(2)}rem`,
}))

// What is open over the board
const opened = ref<string | null>(null)
const asked = ref<Asked | null>(null)
const joining = ref(false)
const person = computed(() => (opened.value ? byId.value.get(opened.value) : undefined))
const lane = computed(() => (opened.value ? lanes.get(opened.value) : undefined))
const open = (session: string) => (opened.value = session)

// Straps that this device reaches
const straps = shallowReactive(new Map<string, StrapConnection>())
function connect(session: string) {
  const strap =
    straps.get(session) ??
    strapConnection(
      (bytes) => board.packet(session, bytes),
      (name) => happened(session, { kind: 'strap-given', strap: name }),
    )
  straps.set(session, strap)
  void strap.connect()
}
onScopeDispose(() => straps.forEach((strap) => strap.stop()))

function swap({ one, other, from }: SwapQuestion) {
  happened(one, { kind: 'straps-swapped', with: other, from })
}
function keep({ one, other }: SwapQuestion) {
  for (const session of [one, other]) happened(session, { kind: 'seen' })
}
const { save: saveWall } = useSave(
  (session: string, shown: { nickname: string | null; rate: boolean }) =>
    showOnWall(props.room, session, shown),
  { saved: board.show },
)

// What the whole room does
const begin = () => roomHappened({ kind: 'begun' })
const pause = () => roomHappened({ kind: time.value?.paused ? 'resumed' : 'paused' })
const step = (kind: LiveEvent['kind'], seconds?: number) =>
  time.value?.leg && roomHappened({ kind, leg: time.value.legs, seconds })
const end = () => roomHappened({ kind: 'ended', reason: 'planned' })
const undoAll = () => board.undo(props.room, time.value?.undo)

// One sound at a time
const sounds = new RoomSounds()
onScopeDispose(
  clock.every(250, () => {
    for (const each of lanes.values()) sounds.hear(each)
    const apart = 1000 * (sheet.value?.soundsApartSeconds ?? 0)
    const sound = sounds.next(clock.now(), queue.value, apart)
    if (sound) CUE_SOUNDS[sound]?.()
  }),
)

/** Letters typed so far, where a person has two. */
let typed = ''
function letter(key: string) {
  typed += key
  const found = people.value.find(({ place }) => lettersOf(place, people.value.length) === typed)
  if (found) open(found.session)
  if (found || typed.length > 1) typed = ''
}
const first = computed(() =>
  queue.value.find((session) => lanes.get(session)?.needs?.what !== 'hold'),
)
const seeFirst = () =>
  first.value && lanes.get(first.value)?.needs?.canBeSeen && happened(first.value, { kind: 'seen' })
useShortcuts({
  list: [
    ['a … z', 'open a person'],
    ['Enter', 'open who needs you first'],
    ['.', 'mark them as seen'],
    ['Space', 'begin, pause, go on: all'],
    ['1 2 3', 'talk check, RPE, count: all'],
    ['Ctrl+z', 'undo what was done to all'],
  ],
  act: (key) => {
    if (!sheet.value || over.value) return undefined
    if (/^[a-z]$/.test(key)) return () => letter(key)
    const ask: Record<string, Asked> = { '1': 'talk', '2': 'rpe', '3': 'count' }
    if (/^\d$/.test(key)) return () => ask[key] && begun.value && (asked.value = ask[key])
    return {
      ' ': begun.value ? pause : begin,
      Enter: () => first.value && open(first.value),
      '.': seeFirst,
      'Ctrl+z': undoAll,
    }[key]
  },
})
</script>

<template>
  <main id="content" class="floor-page room" :class="{ 'dark-ground': !floorLight }" tabindex="-1">
    <ProblemNote v-if="problem" :problem="problem" @retry="load" />
    <template v-else-if="sheet && time">
      <header>
        <RoomTimeBar
          :sheet="sheet"
          :time="time"
          :now="now"
          :doing="doing(people, lanes)"
          class="clock"
        />
        <template v-if="!over">
          <Button v-if="!begun" label="Begin" size="large" @click="begin" />
          <Button v-else :label="time.paused ? 'Go on' : 'Pause all'" @click="pause" />
          <template v-if="time.leg">
            <Button label="Next step" outlined @click="step('step-ended')" />
            <Button label="+ 1 min" outlined @click="step('lengthened', 60)" />
          </template>
          <template v-if="begun">
            <Button label="Talk check" outlined @click="asked = 'talk'" />
            <Button label="RPE" outlined @click="asked = 'rpe'" />
            <Button label="Count" outlined @click="asked = 'count'" />
          </template>
          <Button v-if="time.undo" :label="`Undo: ${time.undo.words}`" text @click="undoAll" />
        </template>
        <nav>
          <RouterLink :to="`/floor/rooms/${room}/recovery`" class="floor-link">Recovery</RouterLink>
          <a :href="`/floor/rooms/${room}/wall`" target="_blank" class="floor-link">Wall</a>
          <button
            v-if="!over && sheet.speed === 1"
            type="button"
            class="floor-link"
            @click="joining = true"
          >
            Join late
          </button>
          <SwitchButton v-model="cuesHeard" on="Cues heard" off="Cues silent">
            <path class="full" d="M4 9.5h3.5L12 6v12l-4.5-3.5H4z" />
            <path v-if="cuesHeard" d="M15 9.2a4 4 0 0 1 0 5.6M17.6 6.8a7.4 7.4 0 0 1 0 10.4" />
            <path v-else d="M15.5 9.5l5 5m0-5l-5 5" />
          </SwitchButton>
          <button type="button" class="floor-link" @click="floorLight = !floorLight">
            {{ floorLight ? 'Dark' : 'Light' }}
          </button>
          <RouterLink v-if="over" to="/floor">To the floor</RouterLink>
        </nav>
        <Button v-if="!over" label="End room" outlined class="end" @click="end" />
      </header>

      <FloorNotes
        :offline="!connected"
        :waiting="{ events: waiting, seconds: 0 }"
        :refused="refused"
        @close="refused = null"
      >
        The lanes show what was known last: go by RPE and talk.
      </FloorNotes>

      <RoomOver
        v-if="over"
        :room="room"
        :people="people"
        :lanes="lanes"
        @logged="load"
        @undo="undoAll"
      />
      <AskAll
        v-else-if="asked"
        :asked="asked"
        :people="people"
        :lanes="lanes"
        :now="now"
        :happen="happened"
        @close="asked = null"
        @undo="(session) => board.undo(session, lanes.get(session)?.undo)"
      />
      <JoinRoom
        v-else-if="joining"
        :room="room"
        @joined="
          (view) => {
            board.show(view)
            joining = false
          }
        "
        @close="joining = false"
      />
      <div v-else class="board">
        <div ref="area" class="area">
          <div class="lanes" :style="fill">
            <LaneRow
              v-for="each in people"
              :key="each.session"
              :person="each"
              :lanes="lanes"
              :letters="lettersOf(each.place, people.length)"
              :room-step="roomStep"
              :levels="sheet.levels"
              :narrow="narrow"
              @open="open(each.session)"
            />
          </div>
        </div>
        <NeedsQueue
          :queue="queue"
          :lanes="lanes"
          :people="byId"
          :questions="questions"
          @open="open"
          @seen="(session) => happened(session, { kind: 'seen' })"
          @go-on="(session) => happened(session, { kind: 'work-resumed' })"
          @swap="swap"
          @keep="keep"
          @ask-all="asked = 'talk'"
        />
      </div>
      <PersonPanel
        v-if="person && lane && !over"
        :key="person.session"
        :sheet="sheet"
        :person="person"
        :lane="lane"
        :now="now"
        :strap="straps.get(person.session) ?? null"
        :happen="(what) => happened(person!.session, what)"
        @close="opened = null"
        @undo="board.undo(person.session, lane.undo)"
        @connect="connect(person.session)"
        @swap="(other) => happened(person!.session, { kind: 'straps-swapped', with: other })"
        @wall="(shown) => saveWall(person!.session, shown)"
      />
    </template>
    <p v-else class="quiet" role="status">Loading…</p>
  </main>
</template>

<style scoped>
.room {
  height: 100vh;
  padding: 8px 16px 10px;
  gap: 8px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}

.clock {
  margin-right: 8px;
}

nav {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
  margin-left: auto;
}

.board {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 272px;
  gap: 18px;
}

.area {
  min-height: 0;
  overflow: auto;
}

.lanes {
  display: grid;
  grid-auto-flow: column;
  column-gap: 18px;
}

@media (max-width: 600px) {
  .room :deep(header .p-button) {
    padding-inline: 10px;
  }
}

@media (max-width: 900px) {
  .room {
    height: auto;
    min-height: 100vh;
  }

  .board {
    grid-template-columns: minmax(0, 1fr);
  }

  .board > .queue {
    grid-row: 1;
    max-height: 40vh;
  }
}
</style>
