<script setup lang="ts">
import { computed } from 'vue'
import type { SessionForecast } from '../api/korvel'
import { onClock } from '../live/cues'
import Findings from '../shared/Findings.vue'
import ForecastPicture from './ForecastPicture.vue'

/** A session's heart rate over its forecast, and step by step how far they were apart. */
const props = defineProps<{ ahead: SessionForecast; trace: number[] }>()
const signed = (bpm: number | null) =>
  bpm === null ? '–' : bpm > 0 ? `+${bpm}` : bpm < 0 ? `−${-bpm}` : '0'
const review = computed(() => props.ahead.review!)
</script>

<template>
  <section class="stack" aria-labelledby="foreseen-title">
    <h2 id="foreseen-title">Forecast and actual</h2>
    <Findings v-if="review.finding" :findings="[review.finding]" />
    <ForecastPicture
      :forecast="ahead.forecast!"
      :record="trace"
      label="Heart rate over its forecast"
    />
    <div class="scroll" tabindex="0" role="region" aria-label="Each step against its forecast">
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">the end of</th>
            <th scope="col">at</th>
            <th scope="col">forecast</th>
            <th scope="col">actual</th>
            <th scope="col">difference, bpm</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(step, n) in review.steps" :key="n">
            <th scope="row">{{ step.name }}</th>
            <td class="num">{{ onClock(step.toSecond) }}</td>
            <td class="num">{{ step.foreseenBpm }}</td>
            <td class="num">{{ step.wasBpm ?? '–' }}</td>
            <td class="num">{{ signed(step.offBpm) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="quiet small">
      <span class="num">{{ review.within }}</span> % of the seconds lay within the shaded range.
      Nothing is decided by a forecast.
    </p>
  </section>
</template>

<style scoped>
.scroll {
  max-height: 320px;
  overflow-y: auto;
}
</style>
