<script setup lang="ts">
import { computed } from 'vue'
import type { Forecast, Remedy } from '../api/korvel'
import { onClock } from '../live/cues'
import MethodLink from '../shared/MethodLink.vue'
import ZoneTimes from '../shared/ZoneTimes.vue'
import ForecastAdvice from './ForecastAdvice.vue'
import ForecastPicture from './ForecastPicture.vue'

/** What an outline would do to somebody's heart rate, and what may not be meant. */
const props = defineProps<{
  forecast: Forecast
  /** Whose it is: “Maren”, or how somebody made up is thought of. */
  whose: string
  inPercent?: boolean
  does?: string
  /** Whether what is shown is older than what is typed. */
  behind?: boolean
}>()
const emit = defineEmits<{ mend: [remedy: Remedy] }>()

const waiting = computed(() => props.forecast.steps.find((step) => step.waitsSeconds > 0))
const first = computed(() =>
  props.forecast.steps.find((step) => step.kind === 'work' && step.reachedAfterSeconds !== null),
)
const cools = computed(() => props.forecast.steps.some(({ kind }) => kind === 'cool-down'))
const { up, down } = {
  up: computed(() => props.forecast.kinetics.up),
  down: computed(() => props.forecast.kinetics.down),
}
const own = computed(() => up.value.fits > 0 || down.value.fits > 0)
</script>

<template>
  <div class="stack ahead" :class="{ behind }">
    <ForecastPicture
      :forecast="forecast"
      :in-percent="inPercent"
      :label="`Heart rate forecast for ${whose}`"
    />
    <div class="halves">
      <div class="stack">
        <dl class="facts">
          <div v-if="waiting">
            <dt>Timer of the work starts after</dt>
            <dd class="num">
              {{ onClock(waiting.waitsSeconds)
              }}<template v-if="waiting.byItself">, by itself</template>
            </dd>
          </div>
          <div v-else-if="first">
            <dt>First target reached after</dt>
            <dd class="num">{{ onClock(first.reachedAfterSeconds!) }}</dd>
          </div>
          <div v-if="cools">
            <dt>Cool-down below 40 % of reserve after</dt>
            <dd class="num">
              {{
                forecast.cooledAfterSeconds === null
                  ? 'not before it ends'
                  : onClock(forecast.cooledAfterSeconds)
              }}
            </dd>
          </div>
          <div>
            <dt>
              Heart rate response,
              <MethodLink to="forecast">{{ own ? 'own' : 'usual' }}</MethodLink>
            </dt>
            <dd class="num">{{ up.seconds }} s up, {{ down.seconds }} s down</dd>
          </div>
        </dl>
        <ForecastAdvice :advice="forecast.advice" :does="does" @mend="emit('mend', $event)" />
      </div>
      <ZoneTimes :zones="forecast.zones" :words="onClock" />
    </div>
    <p class="quiet small">
      A forecast from {{ inPercent ? 'the outline' : 'resting and maximum heart rate' }}; shaded is
      one standard error either way. No cue, cap or target comes from it.
    </p>
  </div>
</template>

<style scoped>
.ahead {
  container-type: inline-size;
}

.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 14px 36px;
  align-items: start;
}

.facts {
  display: grid;
  gap: 4px;
  margin: 0;
}

.facts div {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  justify-content: space-between;
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}

dd {
  margin: 0;
  font-weight: 650;
}

.behind {
  opacity: 0.55;
}

@container (max-width: 600px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
