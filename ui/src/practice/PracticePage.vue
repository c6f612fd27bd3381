<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import {
  givePulse,
  keepTry,
  practice,
  type GivenPulse,
  type PracticeLevel,
  type PracticeTry,
} from '../api/korvel'
import ClockFace from '../pulse/ClockFace.vue'
import { COUNT_IN, useCount } from '../pulse/useCount'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SoundSwitch from '../shared/SoundSwitch.vue'
import TextField from '../shared/TextField.vue'
import { clock } from '../shared/clock'
import { typed, useFieldMessages } from '../shared/fields'
import { useAnswer } from '../shared/answer'
import { beatSound, soundOn } from '../shared/sound'
import { countWindows, options, RHYTHMS } from '../shared/words'
import ThrobSwitch from './ThrobSwitch.vue'
import PracticeSheet from '../assessment/PracticeSheet.vue'
import TryTrend from './TryTrend.vue'
import { throbOn } from './throb'
import { useShortcuts } from '../shared/shortcuts'
import { useSave } from '../shared/save'

/** Learn to count: a pulse is played at a hidden rate, counted, and told. */
const progress = useAnswer(practice)
const level = ref<PracticeLevel['id'] | null>(null)
const seconds = ref(30)
const levels = computed(() => progress.data.value?.levels ?? [])
const chosen = computed(() => levels.value.find((each) => each.id === level.value) ?? null)

onMounted(async () => {
  await progress.load()
  choose(progress.data.value?.next ?? levels.value[0]?.id ?? null)
})
function choose(id: PracticeLevel['id'] | null) {
  if (id === level.value) return
  putAway()
  level.value = id
  seconds.value = chosen.value?.windowSeconds ?? 30
}
const WINDOWS = countWindows()
watch(seconds, putAway)

const given = ref<GivenPulse | null>(null)
const told = ref<PracticeTry | null>(null)
const beats = ref('')
const rhythm = ref('')
const form = useFieldMessages()
const { messages, general, clear } = form

const field = ref<InstanceType<typeof TextField> | null>(null)
const count = useCount(() => seconds.value, {
  async done() {
    hush()
    await nextTick()
    field.value?.focus()
  },
  stopped: putAway,
})
const { phase, left, elapsed, busy } = count
const SAYS = { ready: 'seconds', lead: 'get ready', running: 'count', done: 'time' }
const share = computed(() =>
  phase.value === 'lead' ? (COUNT_IN - left.value) / COUNT_IN : elapsed.value / seconds.value,
)

/** The pulse itself: sound a little ahead of time, the throb and the buzz on the beat. */
const AHEAD = 160
let silence: (() => void)[] = []
let stopPlaying: (() => void) | undefined
const artery = ref<HTMLElement | null>(null)
const throbs = ref(0)
function play(pulse: GivenPulse) {
  const opens = clock.now() + COUNT_IN * 1000
  let heard = 0
  let seen = 0
  stopPlaying = clock.every(16, () => {
    const at = clock.now() - opens
    for (; (pulse.beatMillis[heard] ?? Infinity) <= at + AHEAD; heard++) {
      const after = (pulse.beatMillis[heard]! - at) / 1000
      if (after > -0.05) silence.push(beatSound(pulse.loudness[heard]!, after))
    }
    for (; (pulse.beatMillis[seen] ?? Infinity) <= at; seen++) {
      if (at - pulse.beatMillis[seen]! < 400) throb(pulse.loudness[seen]!)
      if (pulse.beatMillis[seen]! >= 0) throbs.value++
    }
  })
}
function throb(loudness: number) {
  if (!throbOn.value) return
  const strong = loudness / 100
  artery.value?.animate(
    [
      { transform: 'scale(0.62)', opacity: 0.25 },
      { transform: `scale(${0.66 + 0.34 * strong})`, opacity: 0.3 + 0.7 * strong },
      { transform: 'scale(0.62)', opacity: 0.25 },
    ],
    { duration: 240, easing: 'ease-out' },
  )
  navigator.vibrate?.(Math.round(15 + 35 * strong))
}
function hush() {
  stopPlaying?.()
  stopPlaying = undefined
  silence.forEach((stop) => stop())
  silence = []
}
onBeforeUnmount(hush)

function putAway() {
  hush()
  count.reset()
  given.value = null
  told.value = null
  beats.value = ''
  rhythm.value = ''
  throbs.value = 0
  clear()
}

const { save: start, saving: starting } = useSave(
  () => {
    putAway()
    return givePulse(level.value!, seconds.value)
  },
  {
    form,
    saved(pulse) {
      given.value = pulse
      count.start()
      play(pulse)
    },
  },
)

const nextButton = ref<{ $el: HTMLElement } | null>(null)
const { save: tell, saving: telling } = useSave(
  ({ level: tried, seed, windowSeconds }: GivenPulse) =>
    keepTry({
      level: tried,
      seed,
      windowSeconds,
      beats: typed(beats.value),
      rhythm: rhythm.value || null,
    }),
  {
    form,
    async saved(answer) {
      told.value = answer
      await progress.load()
      await nextTick()
      nextButton.value?.$el.focus()
    },
    wrong: () => !messages.value.rhythm && field.value?.focus(),
  },
)
const working = computed(() => starting.value || telling.value)

const silent = computed(() => !soundOn.value && !throbOn.value)
const signed = (bpm: number) => (bpm > 0 ? `+${bpm}` : bpm < 0 ? `−${-bpm}` : '0')
const trend = computed(() => {
  const known = progress.data.value
  if (!known || known.lately === null) return ''
  const lately = `Your last ${known.trendOf} were off by ${known.lately.toFixed(1)} bpm on average`
  return known.before === null
    ? `${lately}.`
    : `${lately}, the ${known.trendOf} before by ${known.before.toFixed(1)}.`
})
const passed = computed(() => levels.value.filter((each) => each.passed).length)

useShortcuts({
  list: [
    ['0–9 Enter', 'what you counted'],
    ['Enter', 'after it: the next pulse'],
  ],
})
</script>

<template>
  <div class="stack">
    <header>
      <h1>Practice</h1>
      <p class="quiet">
        A simulated pulse at a hidden rate. Count it, then see how close you were.
      </p>
    </header>
    <ProblemNote
      v-if="progress.problem.value"
      :problem="progress.problem.value"
      @retry="progress.load()"
    />
    <div v-else-if="progress.data.value && chosen" class="columns">
      <div class="stack">
        <section class="sheet stage" aria-labelledby="level-title">
          <div class="top">
            <h2 id="level-title">
              <span class="num quiet">{{ chosen.number }}</span> {{ chosen.name }}
            </h2>
            <div class="switches"><SoundSwitch /><ThrobSwitch /></div>
          </div>
          <ChoiceField v-model="seconds" label="Count for" :options="WINDOWS" />
          <div class="play">
            <div class="artery" :class="{ off: !throbOn }" :data-throbs="throbs">
              <div ref="artery" class="beat"></div>
              <p v-if="!throbOn" class="quiet small">by ear alone</p>
            </div>
            <ClockFace :phase="phase" :share="share" :shown="left" :says="SAYS[phase]" />
          </div>
          <p v-if="silent" class="fault" role="alert">Sound and throb are both off: turn one on.</p>
          <form
            v-if="phase === 'done' && !told"
            class="tell"
            novalidate
            @submit.prevent="given && tell(given)"
          >
            <TextField
              ref="field"
              v-model="beats"
              :label="`Beats in ${seconds} s`"
              name="beats"
              number
              :message="messages.beats"
            />
            <ChoiceField
              v-if="chosen.asksRhythm"
              v-model="rhythm"
              label="Rhythm"
              :options="options(RHYTHMS, ['steady', 'uneven'])"
              :message="messages.rhythm"
            />
            <Button type="submit" label="Tell me" :loading="working" />
          </form>
          <div v-else-if="told" class="told" aria-live="polite">
            <dl>
              <div>
                <dt>You</dt>
                <dd class="num">{{ told.bpm }}</dd>
              </div>
              <div>
                <dt>The pulse</dt>
                <dd class="num">{{ told.pulseBpm }}</dd>
              </div>
              <div class="off" :class="{ right: told.right }">
                <dt>Off by</dt>
                <dd class="num">{{ signed(told.errorBpm) }}</dd>
              </div>
              <div>
                <dt><MethodLink to="count">The counting time</MethodLink></dt>
                <dd class="num">{{ signed(told.windowErrorBpm) }}</dd>
              </div>
              <div>
                <dt>You, alone</dt>
                <dd class="num">{{ signed(told.ownErrorBpm) }}</dd>
              </div>
            </dl>
            <Findings :findings="told.findings" />
          </div>
          <p v-if="general" class="fault" role="alert">{{ general }}</p>
          <Button
            v-if="phase !== 'done' || told"
            ref="nextButton"
            :label="busy ? 'Stop' : told ? 'Next pulse' : 'Play a pulse'"
            :outlined="busy"
            :disabled="silent && !busy"
            :loading="working"
            size="large"
            class="go"
            data-clock
            @click="busy ? count.stop() : start()"
          />
        </section>
        <section class="sheet stack" aria-labelledby="trend-title">
          <h2 id="trend-title">Your tries</h2>
          <template v-if="progress.data.value.tries.length">
            <TryTrend :tries="progress.data.value.tries" :levels="levels" />
            <p v-if="trend" class="small">{{ trend }}</p>
            <p v-if="passed === levels.length" class="small">Every level is passed.</p>
          </template>
          <p v-else class="quiet small">None yet. Play a pulse and count it.</p>
        </section>
      </div>
      <aside class="sheet stack" aria-labelledby="levels-title">
        <h2 id="levels-title">Levels</h2>
        <ol class="levels">
          <li v-for="each in levels" :key="each.id">
            <button
              type="button"
              :class="{ here: each.id === level }"
              :aria-pressed="each.id === level"
              :disabled="busy"
              @click="choose(each.id)"
            >
              <span class="num">{{ each.number }}</span>
              <span>{{ each.name }}</span>
              <span class="state">{{
                each.passed ? '✓ passed' : each.id === progress.data.value.next ? 'next' : ''
              }}</span>
            </button>
          </li>
        </ol>
        <p class="quiet small">
          {{ progress.data.value.runToPass }} in a row within one beat, counted for
          {{ chosen.windowSeconds }} s or longer, pass this level. You can try any level.
        </p>
      </aside>
    </div>
    <p v-else class="quiet" role="status">Loading…</p>
    <PracticeSheet />
    <section class="sheet stack" aria-labelledby="practice-session-title">
      <h2 id="practice-session-title">A whole session</h2>
      <p class="quiet">
        Somebody made up does an outline at 60× speed: see where the rate goes, what they say, and
        how near the forecast came.
      </p>
      <p><RouterLink to="/practice/session">Try an outline on somebody</RouterLink></p>
    </section>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1.9fr) minmax(300px, 1fr);
}

.stage {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}

.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  justify-content: space-between;
  align-items: center;
}

.top h2 {
  font-size: 1.2rem;
}

.switches {
  display: flex;
  flex-wrap: wrap;
}

.play {
  display: flex;
  flex-wrap: wrap;
  gap: 24px 48px;
  align-items: center;
  justify-content: center;
  padding: 10px 0;
}

.artery {
  width: 200px;
  height: 200px;
  border-radius: 50%;
  background: var(--ground-2);
  display: grid;
  place-items: center;
  position: relative;
}

.beat {
  width: 170px;
  height: 170px;
  border-radius: 50%;
  background: var(--band-4);
  transform: scale(0.62);
  opacity: 0.25;
}

.off .beat {
  visibility: hidden;
}

.artery p {
  position: absolute;
}

.tell {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 22px;
  align-items: start;
}

.tell :deep(input) {
  font-size: 1.6rem;
  font-weight: 700;
  width: 8rem;
}

.tell > button {
  margin-top: 27px;
  min-height: 54px;
  min-width: 8rem;
}

.told {
  display: grid;
  gap: 14px;
}

dl {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 30px;
}

dt {
  font-size: 0.86rem;
  color: var(--ink-quiet);
}

dd {
  font-size: 1.9rem;
  line-height: 1.1;
  font-weight: 700;
}

.off dd {
  color: var(--ochre-deep);
}

.off.right dd {
  color: var(--teal-deep);
}

.go {
  justify-self: start;
  min-width: 220px;
}

.levels {
  display: grid;
  gap: 2px;
}

.levels button {
  display: grid;
  grid-template-columns: 1.4rem minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 10px;
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 1px solid transparent;
  border-radius: 6px;
  cursor: pointer;
}

.levels button.here {
  background: var(--teal-wash);
  border-color: var(--teal);
  font-weight: 650;
}

.levels button:disabled {
  cursor: default;
  opacity: 0.7;
}

.state {
  font-size: 0.84rem;
  color: var(--teal-deep);
}

@media (max-width: 520px) {
  .play {
    gap: 12px;
    flex-wrap: nowrap;
  }

  .artery,
  .play :deep(.face) {
    width: min(200px, 42vw);
    height: min(200px, 42vw);
  }

  .beat {
    width: 84%;
    height: 84%;
  }
}
</style>
