<script setup lang="ts">
import { watch } from 'vue'
import { progress, talk } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import CsvLink from '../shared/CsvLink.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { theStudio } from '../shared/studio'
import { undone } from '../shared/undo'
import { day, effort, figureSpan, MODES, POSTURES, SOURCES, VOICES } from '../shared/words'
import ForecastRecordSheet from '../forecast/ForecastRecordSheet.vue'
import LastTests from '../assessment/LastTests.vue'
import WitnessesSheet from '../talk/WitnessesSheet.vue'
import MinutesPicture from './MinutesPicture.vue'
import TrendLine from './TrendLine.vue'

/** What has come of it: minutes, adherence, resting rate, effort; changes only beyond noise. */
const { id } = useClient()
const { data, problem, load } = useAnswer(progress)
const said = useAnswer(talk)
watch(
  [id, undone],
  () => {
    void load(id.value)
    void said.load(id.value)
  },
  { immediate: true },
)

const names = Object.values(VOICES).map((voice) => voice.slice(2))
</script>

<template>
  <ProblemNote v-if="problem && !data" :problem="problem" @retry="load(id)" />
  <div v-else-if="data" class="stack">
    <p class="ways">
      <RouterLink :to="`/clients/${id}/months`">Month by month</RouterLink>
      <RouterLink :to="`/clients/${id}/recordings`">Recordings</RouterLink>
      <RouterLink :to="`/clients/${id}/tests`">Tests</RouterLink>
      <RouterLink :to="`/clients/${id}/recoveries`">Recoveries, by posture</RouterLink>
      <RouterLink :to="`/clients/${id}/bands/talk`">Talk checks</RouterLink>
    </p>
    <LastTests :client="id" />
    <WitnessesSheet
      v-if="said.data.value?.witnesses?.rows.length"
      :witnesses="said.data.value.witnesses"
    />
    <section v-if="!data.logs" class="sheet stack">
      <h2>Nothing logged yet</h2>
      <p>
        Minutes, adherence and RPE appear here once sessions are logged.
        <RouterLink :to="`/clients/${id}/sessions`">To the sessions</RouterLink>
      </p>
    </section>
    <section v-else class="sheet stack" aria-labelledby="minutes-title">
      <div class="heading">
        <h2 id="minutes-title">Minutes by level, week by week</h2>
        <CsvLink
          name="minutes by level"
          :rows="
            () => [
              ['week from', ...names, 'moderate-equivalent', 'planned', 'done'],
              ...data!.weeks.map((week) => [
                week.startsOn,
                ...week.minutes,
                week.moderateEquivalentMinutes,
                week.planned,
                week.done,
              ]),
            ]
          "
        />
      </div>
      <dl class="figures">
        <div>
          <dt>Sessions done, 12 weeks</dt>
          <dd>
            <b class="num">{{ data.done }}</b> of
            <span class="num">{{ data.planned }}</span><template
              v-if="data.adherencePercent !== null"
              >, <b class="num">{{ data.adherencePercent }}</b> %</template
            >
          </dd>
        </div>
        <div>
          <dt>The last 4 weeks</dt>
          <dd>
            <b class="num">{{ data.lately.done }}</b> of
            <span class="num">{{ data.lately.planned }}</span>,
            <span class="num">{{ data.lately.extra }}</span> unplanned
          </dd>
        </div>
        <div>
          <dt>Moderate-equivalent, a week</dt>
          <dd>
            <b class="num">{{ data.lately.moderateEquivalentMinutes }}</b>
            min of <span class="num">{{ data.markMinutes ?? '–' }}</span>
          </dd>
        </div>
      </dl>
      <MinutesPicture
        :weeks="data.weeks"
        :goal="data.goalMinutes"
        :today="theStudio?.today ?? ''"
      />
      <p class="quiet small">
        A session’s minutes count at one level: the middle one of rate, RPE and voice, the higher of
        two. Moderate minutes count once, vigorous ones (Phrases and up) twice, light ones not.
      </p>
    </section>
    <div class="columns">
      <section class="sheet stack" aria-labelledby="resting-title">
        <h2 id="resting-title">Resting rate</h2>
        <template v-if="data.resting">
          <p class="big">
            <b class="num">{{ data.resting.thenBpm }}</b>
            <span aria-hidden="true">→</span>
            <b class="num">{{ data.resting.nowBpm }}</b>
            <span class="quiet"
              >bpm, {{ POSTURES[data.resting.posture].toLowerCase() }},
              {{ SOURCES[data.resting.source].toLowerCase() }}</span
            >
          </p>
          <Findings :findings="[data.resting.finding]" />
          <TrendLine
            :points="data.resting.readings.map(({ on, bpm }) => ({ on, value: bpm }))"
            unit="bpm"
            label="Resting rate over the year"
          />
        </template>
        <p v-else class="quiet">
          Six readings taken alike are needed: three early, three recent.
          <RouterLink :to="`/clients/${id}/pulse`">To the pulse</RouterLink>
        </p>
      </section>
      <section class="sheet stack" aria-labelledby="effort-title">
        <h2 id="effort-title">RPE at the same target</h2>
        <template v-if="data.targets.length">
          <ul class="targets">
            <li v-for="target in data.targets.slice(0, 4)" :key="target.lowPercent + target.mode">
              <p>
                {{ MODES[target.mode] }},
                <b class="num">{{ figureSpan(target.lowPercent, target.highPercent) }}</b> % of
                reserve: average RPE <b class="num">{{ target.mean }}</b> (6–20), target
                <span class="num">{{ effort(target.rpe, 6) }}</span>
              </p>
              <TrendLine
                :points="target.felt.map(({ on, rpe }) => ({ on, value: rpe }))"
                unit="RPE"
                :band="[target.rpe[0]!, target.rpe[1]!]"
                :label="`RPE at ${target.lowPercent} to ${target.highPercent} percent`"
                low
              />
            </li>
          </ul>
          <p class="quiet small">
            How small a difference in RPE means something is not known, so none is called a change;
            look for lower RPE at the same target over weeks.
          </p>
        </template>
        <p v-else class="quiet">
          Log the RPE of the same target twice, and how it changes appears here.
        </p>
      </section>
    </div>
    <p v-if="data.logs" class="quiet small levels">
      <span v-for="(name, at) in names" :key="name"
        ><LevelStrokes :level="at + 1" /> {{ name }}</span
      >
      <span>Since {{ day(data.weeks[0]!.startsOn) }}</span>
    </p>
    <ForecastRecordSheet :client="id" />
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.heading {
  align-items: baseline;
}

.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 40px;
}

dt {
  font-size: 0.84rem;
  color: var(--ink-quiet);
}

dd {
  font-size: 1.05rem;
}

.big {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
}

.big b {
  font-size: 1.6rem;
}

.targets li + li {
  margin-top: 10px;
}

.levels {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: center;
}
</style>
