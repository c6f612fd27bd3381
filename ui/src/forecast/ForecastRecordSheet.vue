<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { forecastRecord } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { scale } from '../shared/chart/scale'
import { undone } from '../shared/undo'
import { day } from '../shared/words'

/** How well a client's last sessions were foreseen, and how fast their heart follows. */
const props = defineProps<{ client: string }>()
const { data, problem, load } = useAnswer(forecastRecord)
watch([() => props.client, undone], () => void load(props.client), { immediate: true })

const sessions = computed(() => data.value?.sessions ?? [])
const settled = computed(() => sessions.value.filter((each) => each.settledOffBpm !== null))

const box = ref<HTMLElement | null>(null)
const { width } = useElementSize(box, { width: 700, height: 0 })
const wide = computed(() => Math.max(280, Math.round(width.value)))
const TALL = 150
const most = computed(() =>
  Math.max(16, ...settled.value.map((each) => Math.abs(each.settledOffBpm!) + 4)),
)
const x = computed(() => scale(0, Math.max(1, settled.value.length - 1), 62, wide.value - 34))
const y = computed(() => scale(-most.value, most.value, TALL - 24, 8))
const signed = (bpm: number) => (bpm > 0 ? `+${bpm}` : bpm < 0 ? `−${-bpm}` : '0')
const times = computed(() => {
  const { up, down } = data.value!.kinetics
  return [
    { way: 'up', what: 'rises', ...up },
    { way: 'down', what: 'falls', ...down },
  ]
})
</script>

<template>
  <ProblemNote v-if="problem && !data" :problem="problem" @retry="load(client)" />
  <section v-else-if="data" class="sheet stack" aria-labelledby="record-title">
    <h2 id="record-title">Forecast and actual, the last sessions</h2>
    <Findings v-if="data.finding" :findings="[data.finding]" />
    <p v-if="!sessions.length" class="quiet">
      No session with a strap is recorded yet. Afterwards you see here how near its forecast came,
      and how fast the heart rate responds.
    </p>
    <template v-else>
      <div v-if="settled.length" ref="box" class="picture">
        <svg
          :viewBox="`0 0 ${wide} ${TALL}`"
          :width="wide"
          :height="TALL"
          role="img"
          :aria-label="`Work settled over or under its forecast: ${settled.map((each) => `${day(each.on)} ${signed(each.settledOffBpm!)} bpm`).join(', ')}`"
        >
          <rect class="near" :x="46" :width="wide - 50" :y="y(3)" :height="y(-3) - y(3)" />
          <g v-for="bpm in [-10, 0, 10]" :key="bpm">
            <line x1="46" :x2="wide - 4" :y1="y(bpm)" :y2="y(bpm)" class="grid" />
            <text x="40" :y="y(bpm) + 4" text-anchor="end">{{ signed(bpm) }}</text>
          </g>
          <g v-for="(each, n) in settled" :key="each.session">
            <line :x1="x(n)" :x2="x(n)" :y1="y(0)" :y2="y(each.settledOffBpm!)" class="stem" />
            <circle :cx="x(n)" :cy="y(each.settledOffBpm!)" r="5" class="dot" />
            <text
              :x="x(n) + 9"
              :y="y(each.settledOffBpm!) + (each.settledOffBpm! < 0 ? 10 : -2)"
              class="figure"
            >
              {{ signed(each.settledOffBpm!) }}
            </text>
            <text
              v-if="n === 0 || n === settled.length - 1 || wide / settled.length > 90"
              :x="x(n)"
              :y="TALL - 6"
              text-anchor="middle"
            >
              {{ day(each.on).replace(/ \d{4}$/, '') }}
            </text>
          </g>
        </svg>
        <p class="quiet small">
          bpm by which the work settled above its forecast, session by session; shaded is as
          forecast.
        </p>
      </div>
      <p v-else class="quiet">No work of these sessions lasted long enough to settle.</p>
      <ul class="list small">
        <li v-for="each in [...sessions].reverse()" :key="each.session">
          <RouterLink :to="`/floor/sessions/${each.session}`">{{ day(each.on) }}</RouterLink>
          <span v-if="each.meanOffBpm === null" class="quiet">no rate was used</span>
          <span v-else
            ><span class="num">{{ each.meanOffBpm }}</span> bpm apart on average,
            <span class="num">{{ each.within }}</span> % within one standard error</span
          >
        </li>
      </ul>
      <p>
        Heart rate response:
        <template v-for="(time, n) in times" :key="time.way"
          >{{ n ? '; ' : '' }}{{ time.way }} in <b class="num">{{ time.seconds }}</b> s,
          <template v-if="time.fits"
            >the median of <span class="num">{{ time.fits }}</span> {{ time.what }}</template
          ><MethodLink v-else to="time-constant"
            >usual until three {{ time.what }} are recorded</MethodLink
          ></template
        >.
      </p>
    </template>
  </section>
</template>

<style scoped src="../shared/chart/picture.css"></style>

<style scoped>
.figure {
  fill: var(--ink);
  font-weight: 650;
}

.near {
  fill: var(--teal-wash);
}

.stem {
  stroke: var(--ink-quiet);
}

.dot {
  fill: var(--teal-deep);
}

.list {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
  gap: 4px 24px;
}

.list li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
}
</style>
