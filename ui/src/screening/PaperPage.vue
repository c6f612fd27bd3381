<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive } from 'vue'
import {
  bands,
  overview as fetchOverview,
  prescriptions,
  questions as whatIsAsked,
  readings,
  screening,
} from '../api/korvel'
import TickField from '../shared/TickField.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { useTitle } from '../shared/title'
import { theStudio } from '../shared/studio'
import { summary } from './intake'
import { longDay, standsOnMeasured } from '../shared/words'

/** One page to take to a doctor: what is known, or a letter that asks for clearance. */
const props = defineProps<{ id: string; paper: string }>()

const loaded = useAnswer(async (id: string) => {
  const [client, asked, record, resting, issued, span] = await Promise.all([
    fetchOverview(id),
    whatIsAsked(),
    screening(id),
    readings(id),
    prescriptions(id),
    bands(id, 'guideline-classes', 'run'),
  ])
  return { client, asked, record, resting, issued, span }
})
onMounted(() => loaded.load(props.id))
useTitle(() => loaded.data.value?.client.client.name)

const letter = computed(() => props.paper === 'letter')
const print = () => window.print()

const wish = reactive({ vigorous: false })
/** What is asked for, as the guideline classes it, with this client's rates where any are used. */
const askedFor = computed(() => {
  const all = loaded.data.value?.span.zones?.bands ?? []
  const range = (from: string, to: string) => {
    const low = all.find((band) => band.id === from)
    const high = all.find((band) => band.id === to)
    return low && high
      ? `, ${low.low}–${high.high} % of heart rate reserve: about ${low.lowBpm}–${high.highBpm} bpm`
      : ''
  }
  return [
    { name: 'Light to moderate work', range: range('light', 'moderate') },
    ...(wish.vigorous
      ? [{ name: 'Vigorous work as well', range: range('vigorous', 'vigorous') }]
      : []),
  ]
})
const measured = computed(() => standsOnMeasured(loaded.data.value?.client.maximum))
const latest = computed(() => loaded.data.value?.issued.versions[0]?.prescription ?? null)
const answered = computed(() => {
  const data = loaded.data.value
  if (!data) return []
  return data.asked.topics
    .filter((topic) => data.record.answers.asked.includes(topic.id))
    .map((topic) => ({
      id: topic.id,
      name: topic.name,
      said: summary(topic.id, data.record.answers, data.asked),
    }))
})
</script>

<template>
  <ProblemNote
    v-if="loaded.problem.value"
    :problem="loaded.problem.value"
    @retry="loaded.load(id)"
  />
  <div v-else-if="loaded.data.value" class="page">
    <div class="ways no-print">
      <RouterLink :to="`/clients/${id}/screening`"
        >Back to {{ loaded.data.value.client.client.name }}</RouterLink
      >
      <TickField
        v-if="letter"
        v-model="wish.vigorous"
        label="Ask for vigorous work as well"
        name="vigorous"
      />
      <Button label="Print" @click="print" />
    </div>
    <article>
      <header>
        <h1>{{ letter ? 'Request for medical clearance to exercise' : 'Exercise screening' }}</h1>
        <p v-if="theStudio">{{ longDay(theStudio.today) }}</p>
      </header>
      <p class="who">
        <b>{{ loaded.data.value.client.client.name }}</b>, born
        {{ longDay(loaded.data.value.client.client.birthDate) }},
        <span class="num">{{ loaded.data.value.client.client.age }}</span> years
      </p>

      <template v-if="letter">
        <p>
          I am an exercise instructor. The person named above wants to train with me. By the
          pre-participation rules I work to (Riebe et al., Med Sci Sports Exerc 2015) the decision
          is: <b>{{ loaded.data.value.record.decision.byTable }}</b> Please give your decision and
          any limits you want observed.
        </p>
      </template>

      <section>
        <h2>What the client reported</h2>
        <dl>
          <template v-for="topic in answered" :key="topic.id">
            <dt>{{ topic.name }}</dt>
            <dd>{{ topic.said }}</dd>
          </template>
        </dl>
        <p v-if="!answered.length">Nothing has been asked yet.</p>
      </section>

      <section>
        <h2>What was measured and estimated</h2>
        <dl>
          <dt>Resting pulse</dt>
          <dd>
            <template v-if="loaded.data.value.resting.working">
              <span class="num">{{ loaded.data.value.resting.working.bpm }}</span> bpm (±
              <span class="num">{{
                loaded.data.value.resting.working.standardErrorBpm.toFixed(1)
              }}</span>)<template v-if="loaded.data.value.resting.working.stale"
                >, taken before the current medication</template
              >
            </template>
            <template v-else>not counted yet</template>
          </dd>
          <dt>Maximum</dt>
          <dd>
            <template v-if="loaded.data.value.client.maximum">
              <template v-if="measured">
                <span class="num">{{ loaded.data.value.client.maximum.bpm }}</span> bpm, measured:
                {{ loaded.data.value.client.maximum.words }}
              </template>
              <template v-else>
                about <span class="num">{{ loaded.data.value.client.maximum.bpm }}</span> bpm,
                estimated by {{ loaded.data.value.client.maximum.words }}
              </template>
              (± {{ loaded.data.value.client.maximum.standardErrorBpm }})
            </template>
            <template v-else>not estimated: the numbers come from the cardiac team</template>
          </dd>
          <template v-if="latest">
            <dt>{{ latest.status === 'issued' ? 'Prescribed' : 'Planned' }}</dt>
            <dd>
              <span class="num">{{ latest.parts.lowPercent }}–{{ latest.parts.highPercent }}</span>
              % of reserve<template v-if="latest.target"
                >,
                <span class="num">{{ latest.target.lowBpm }}–{{ latest.target.highBpm }}</span>
                bpm</template
              >, <span class="num">{{ latest.parts.minutes }}</span> min,
              <span class="num">{{ latest.parts.days }}</span> days a week
            </dd>
          </template>
        </dl>
      </section>

      <section v-if="!letter">
        <h2>Conclusion</h2>
        <p>
          <b>{{ loaded.data.value.record.decision.decision }}</b>
          {{ loaded.data.value.record.decision.next }}
        </p>
        <ul class="plain">
          <li
            v-for="finding in [
              ...loaded.data.value.record.decision.findings,
              ...loaded.data.value.record.decision.cautions,
            ]"
            :key="finding.code"
          >
            {{ finding.message }} <span class="quiet">{{ finding.because }}</span>
          </li>
        </ul>
        <dl>
          <template v-for="each in loaded.data.value.record.clearances" :key="each.id">
            <dt>Clearance</dt>
            <dd>
              {{ each.allowsWords }}, {{ each.issuer }}, {{ longDay(each.issuedOn) }},
              {{ each.inForce ? 'until' : 'lapsed' }} {{ longDay(each.until) }}
            </dd>
          </template>
        </dl>
      </section>

      <section v-else class="answer">
        <h2>Your answer</h2>
        <p v-for="each in askedFor" :key="each.name">
          <span class="box" /> {{ each.name }}{{ each.range }}
        </p>
        <p><span class="box" /> Not yet. Reason: <i class="line" /></p>
        <p>
          Highest rate <i class="line short" /> bpm · Highest RPE (6–20) <i class="line short" /> ·
          <span class="box" /> supervised only
        </p>
        <p>Medication expected to change <i class="line" /></p>
        <p>This clearance holds until <i class="line" /></p>
        <p class="sign">
          <span><i class="line" /> Name, practice</span>
          <span><i class="line" /> Date, signature</span>
        </p>
      </section>

      <footer>
        <p>
          An instructor may measure, calculate and record, but may not diagnose, change or stop a
          medication, or decide whether a sign, symptom or disease allows exercise. That is the
          clinician's decision, and what the clinician writes overrides every rule here.
        </p>
        <p>{{ theStudio?.notice }}</p>
      </footer>
    </article>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
.page {
  display: grid;
  gap: 14px;
  justify-items: center;
}

.ways {
  width: min(760px, 100%);
  justify-content: space-between;
}

article {
  width: min(760px, 100%);
  background: white;
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 30px 36px;
  display: grid;
  gap: 15px;
  font-size: 0.95rem;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  justify-content: space-between;
  align-items: baseline;
  border-bottom: 2.5px solid var(--ink);
  padding-bottom: 8px;
}

h1 {
  font-size: 1.4rem;
}

section {
  display: grid;
  gap: 6px;
}

dl {
  display: grid;
  grid-template-columns: 11.5rem minmax(0, 1fr);
  gap: 3px 14px;
}

dt {
  color: var(--ink-quiet);
}

.plain {
  list-style: disc;
  padding-left: 18px;
}

.answer {
  border: 1.5px solid var(--ink);
  border-radius: 8px;
  padding: 14px 16px;
  gap: 11px;
}

.box {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1.5px solid var(--ink);
  vertical-align: -2px;
  margin-right: 6px;
}

.line {
  display: inline-block;
  border-bottom: 1px solid var(--ink);
  width: min(320px, 60%);
}

.line.short {
  width: 60px;
}

.sign {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
  margin-top: 18px;
}

.sign span {
  display: grid;
  gap: 3px;
}

.sign .line {
  width: 100%;
}

footer {
  color: var(--ink-quiet);
  font-size: 0.86rem;
  display: grid;
  gap: 4px;
  border-top: 1px solid var(--line);
  padding-top: 10px;
}

@media (max-width: 640px) {
  article {
    padding: 18px;
  }

  dl {
    grid-template-columns: minmax(0, 1fr);
  }

  dd {
    margin-bottom: 6px;
  }
}

@media print {
  @page {
    margin: 13mm;
  }

  article {
    border: 0;
    padding: 0;
    width: 100%;
    font-size: 10pt;
    gap: 10px;
  }
}
</style>
