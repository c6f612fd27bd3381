<script setup lang="ts">
import { computed } from 'vue'
import type { Decision } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import { day, MEASURES } from '../shared/words'

/** May they exercise, how hard, and what must be watched: the answer, the reasons, what is next. */
const props = defineProps<{
  decision: Decision
  /** What is to be done next with the client, if it is not here. */
  next: { to: string; words: string } | null
}>()

const TONES = {
  nothing: 'no',
  'light-to-moderate': 'some',
  moderate: 'some',
  vigorous: 'all',
} as const
const HEADLINES = {
  nothing: 'No exercise yet',
  'light-to-moderate': 'Light to moderate',
  moderate: 'Moderate',
  vigorous: 'Moderate and vigorous',
} as const
const tone = computed(() => (props.decision.decided ? TONES[props.decision.allows] : 'some'))
const headline = computed(() =>
  props.decision.decided ? HEADLINES[props.decision.allows] : 'Not decided yet',
)
/** What holds for the work, a line each; only what differs from everyone's. */
const lines = computed(() => {
  const { decision } = props
  const lines: [string, string][] = [['Steered by', decision.steeringWords]]
  if (decision.cap) lines.push(['Cap', `${decision.cap.bpm} bpm. ${decision.cap.because}.`])
  if (decision.highestEffort < 20) lines.push(['RPE', `up to ${decision.highestEffort} (6–20)`])
  lines.push([
    'Warm up, cool down',
    `${decision.warmUpMinutes} min, ${decision.coolDownMinutes} min`,
  ])
  if (decision.supervised) lines.push(['Supervised', 'at the start at least; never alone'])
  if (decision.leaveOut.length) lines.push(['Leave out', decision.leaveOut.join('; ')])
  if (decision.carry.length) lines.push(['Carry', decision.carry.join('; ')])
  if (decision.ask.length)
    lines.push(['Before a session', decision.ask.map((each) => MEASURES[each]).join(', ')])
  if (decision.stopAlso.length) lines.push(['Stop also for', decision.stopAlso.join('; ')])
  return lines
})
</script>

<template>
  <section class="stack" aria-labelledby="decision-title">
    <div class="headline" :class="tone">
      <p class="small">May they exercise, and how hard?</p>
      <h2 id="decision-title">{{ headline }}</h2>
      <p>{{ decision.decision }}</p>
      <p v-if="decision.byTable !== decision.decision" class="small">
        Without this clearance: {{ decision.byTable }}
      </p>
    </div>
    <p class="next">
      <template v-if="next"
        >{{ decision.next }} <b>Next:</b>
        <RouterLink :to="next.to" data-next>{{ next.words }}</RouterLink></template
      >
      <template v-else><b>Next:</b> {{ decision.next }}</template>
    </p>
    <Findings :findings="decision.findings" />
    <dl>
      <template v-for="[name, value] in lines" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ value }}</dd>
      </template>
    </dl>
    <Findings :findings="decision.cautions" />
    <p v-if="decision.rescreenOn" class="quiet small">
      Full re-screening due on {{ day(decision.rescreenOn) }}, or at once when a condition, symptom
      or medication changes.
    </p>
  </section>
</template>

<style scoped>
.headline {
  border-left: 5px solid var(--teal);
  background: var(--teal-wash);
  border-radius: 0 var(--radius) var(--radius) 0;
  padding: 12px 16px;
}

.headline h2 {
  font-size: 1.45rem;
  line-height: 1.2;
}

.headline.some {
  border-color: var(--ochre);
  background: var(--ochre-wash);
}

.headline.no {
  border-color: var(--wine);
  background: var(--wine-wash);
}

dl {
  display: grid;
  grid-template-columns: 9.2rem minmax(0, 1fr);
  align-items: baseline;
  gap: 5px 12px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}

dt {
  font-weight: 650;
  font-size: 0.92rem;
}
</style>
