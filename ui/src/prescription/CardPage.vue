<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted } from 'vue'
import { card } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useLoad } from '../shared/load'
import { effort, FAMILIES, MODES, span } from '../shared/words'

/** What the client carries: what to aim at, how it feels and sounds, when to stop. One page. */
const props = defineProps<{ id: string; version: string }>()
const { data, problem, load } = useLoad(card)
onMounted(() => load(props.id, props.version))
const onThem = computed(() => {
  const made = data.value?.prescription
  if (!made) return []
  const lines: [string, string][] = [
    ['Not alone', made.supervised ? 'someone is there, at the start at least' : ''],
    ['Always carry', made.carry.join('; ')],
    ['Leave out', made.leaveOut.join('; ')],
  ]
  return lines.filter(([, what]) => what)
})
const print = () => window.print()
const longDay = (iso: string) =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' }).format(
    new Date(iso),
  )
</script>

<template>
  <div v-if="problem?.findings.length" class="sheet stack refused">
    <h1>No card today</h1>
    <Findings :findings="problem.findings" />
    <p>
      <RouterLink :to="`/clients/${id}/screening`">To the screening</RouterLink> ·
      <RouterLink :to="`/clients/${id}/prescription`">To the prescription</RouterLink>
    </p>
  </div>
  <ProblemNote v-else-if="problem" :problem="problem" @retry="load(id, version)" />
  <div v-else-if="data" class="page">
    <div class="ways no-print">
      <RouterLink :to="`/clients/${id}/prescription`">Back to {{ data.clientName }}</RouterLink>
      <Button label="Print" @click="print" />
    </div>
    <section v-if="data.ratesSuspended.length" class="sheet stack suspended no-print">
      <h2>Rates are suspended: the card shows effort and talk</h2>
      <Findings :findings="data.ratesSuspended" />
    </section>
    <article class="card">
      <header>
        <h1>{{ data.clientName }}</h1>
        <p>
          <b>{{ data.prescription.parts.days }}</b> days a week ·
          <b>{{ data.prescription.parts.minutes }}</b> min ·
          {{ MODES[data.prescription.parts.mode].toLowerCase() }}
        </p>
      </header>

      <section class="aim">
        <div v-if="data.prescription.target" class="rate">
          <p class="bpm num">
            {{ data.prescription.target.lowBpm }}–{{ data.prescription.target.highBpm }}
          </p>
          <p class="unit">
            beats a minute<template v-if="data.prescription.target.capped"
              >, never above <b class="num">{{ data.prescription.target.highBpm }}</b></template
            >
          </p>
          <dl>
            <div v-for="seconds in ['10', '15']" :key="seconds">
              <dt>in {{ seconds }} s</dt>
              <dd class="num">{{ span(data.prescription.target.counts[seconds]) }}</dd>
            </div>
          </dl>
        </div>
        <div class="feel">
          <h2>How it feels and sounds</h2>
          <p v-for="feel in data.prescription.feel" :key="feel.level">
            <LevelStrokes :level="feel.level" /> <b>{{ feel.name }}:</b> {{ feel.voice }}; breathing
            {{ feel.breathing }}.
          </p>
          <p>
            Effort <b class="num">{{ effort(data.prescription.rpe20, 6) }}</b> of 20, or
            <b class="num">{{ effort(data.prescription.rpe10, 0) }}</b> of 10 ({{
              FAMILIES[data.prescription.rpeFamily].name.toLowerCase()
            }}
            scale), for the whole body.
          </p>
          <p class="steer">{{ data.prescription.steeringWords }}.</p>
        </div>
      </section>

      <ol class="parts">
        <li>
          <b
            ><span class="num">{{ data.prescription.warmUp.minutes }}</span> min warm-up.</b
          >
          {{ data.prescription.warmUp.how }}
        </li>
        <li>
          <b
            ><span class="num">{{ data.prescription.parts.minutes }}</span> min of work:
            {{ data.prescription.parts.typeName.toLowerCase() }}.</b
          >
          {{ data.prescription.parts.typeHow }}
        </li>
        <li>
          <b
            ><span class="num">{{ data.prescription.coolDown.minutes }}</span> min cool-down.</b
          >
          {{ data.prescription.coolDown.how }}
        </li>
      </ol>

      <ul v-if="onThem.length" class="on-them">
        <li v-for="[name, what] in onThem" :key="name">
          <b>{{ name }}:</b> {{ what }}.
        </li>
      </ul>

      <section class="stop">
        <h2>■ Stop at once</h2>
        <ul>
          <li v-for="sign in [...data.prescription.stopAlso, ...data.stopSigns]" :key="sign">
            {{ sign }}
          </li>
        </ul>
        <p>{{ data.stopAction }}</p>
      </section>

      <footer>
        <p>{{ data.notice }}</p>
        <p>
          Version <span class="num">{{ data.version }}</span>, made
          {{ longDay(data.prescription.date)
          }}<template v-if="data.prescription.basis">
            · stands on {{ data.prescription.basis.restingBpm }} at rest and a maximum of about
            {{ data.prescription.basis.maximumBpm }} (±
            {{ data.prescription.basis.maximumStandardErrorBpm }})</template
          >
          · Korvel
        </p>
      </footer>
    </article>
  </div>
  <p v-else class="quiet" role="status">Fetching the card…</p>
</template>

<style scoped>
.page {
  display: grid;
  gap: 14px;
  justify-items: center;
}

.ways {
  width: min(760px, 100%);
  display: flex;
  justify-content: space-between;
  align-items: center;
}

.card {
  width: min(760px, 100%);
  background: white;
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 30px 36px;
  display: grid;
  gap: 20px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  justify-content: space-between;
  align-items: baseline;
  border-bottom: 2.5px solid var(--ink);
  padding-bottom: 10px;
}

.aim {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 32px;
  align-items: start;
}

.bpm {
  font-family: var(--text);
  font-size: 4rem;
  font-weight: 750;
  line-height: 1;
  white-space: nowrap;
}

.unit {
  color: var(--ink-quiet);
}

.rate dl {
  display: flex;
  gap: 24px;
  margin-top: 12px;
}

.rate dt {
  color: var(--ink-quiet);
  font-size: 0.9rem;
}

.rate dd {
  font-size: 1.7rem;
  font-weight: 700;
}

.feel {
  display: grid;
  gap: 7px;
}

.steer {
  font-weight: 650;
}

.parts {
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--line);
  padding-top: 16px;
}

.on-them {
  display: grid;
  gap: 4px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
}

.suspended,
.refused {
  width: min(760px, 100%);
  border-left: 4px solid var(--wine);
}

.stop {
  border: 2.5px solid var(--wine);
  border-radius: 8px;
  padding: 14px 18px;
  display: grid;
  gap: 8px;
}

.stop h2 {
  color: var(--wine);
  font-size: 1.15rem;
}

.stop ul {
  list-style: disc;
  padding-left: 20px;
  columns: 2;
  column-gap: 32px;
}

.stop p {
  font-weight: 650;
}

footer {
  color: var(--ink-quiet);
  font-size: 0.84rem;
  display: grid;
  gap: 3px;
}

@media (max-width: 640px) {
  .card {
    padding: 18px;
  }

  .aim {
    grid-template-columns: minmax(0, 1fr);
    gap: 18px;
  }

  .stop ul {
    columns: 1;
  }
}

@media print {
  @page {
    margin: 14mm;
  }

  .card {
    border: 0;
    padding: 0;
    width: 100%;
  }

  .card * {
    print-color-adjust: exact;
  }
}
</style>
