<script setup lang="ts">
import Select from 'primevue/select'
import { computed, ref, watch } from 'vue'
import { maximum, type Estimate, type Mode } from '../api/korvel'
import { useClient } from '../clients/useClient'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useLoad } from '../shared/load'
import { tens } from '../shared/rulerDrawing'
import { MODES, options } from '../shared/words'

/** The maximum by every equation, side by side on one axis, the default first and with its reason. */
const { id, overview } = useClient()
const mode = ref<Mode>('run')
const { data, problem, load } = useLoad(maximum)
watch([id, mode, () => overview.value?.client.version], () => load(id.value, mode.value), {
  immediate: true,
})

const rows = computed(() => {
  const all = data.value?.estimates ?? []
  const rank = (row: Estimate) => (row.method === data.value?.recommended ? 0 : row.applies ? 1 : 2)
  return [...all].sort((a, b) => rank(a) - rank(b))
})
const axis = computed(() => {
  const known = rows.value.filter((row) => row.bpm !== null)
  const from = Math.min(...known.map((row) => row.bpm! - row.standardErrorBpm)) - 4
  const to = Math.max(...known.map((row) => row.bpm! + row.standardErrorBpm)) + 4
  return { from, to, marks: tens(from, to).filter((bpm) => bpm % 20 === 0) }
})
const percent = (bpm: number) => ((bpm - axis.value.from) / (axis.value.to - axis.value.from)) * 100
const chosen = computed(() => rows.value.find((row) => row.method === data.value?.recommended))
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load(id, mode)" />
  <div v-else-if="data" class="stack">
    <section class="sheet summary">
      <div>
        <h2>Maximum, {{ MODES[data.mode].toLowerCase() }}</h2>
        <p v-if="chosen" class="big">
          <span class="quiet">about</span> <b class="num">{{ chosen.bpm }}</b> bpm
          <span class="num quiet">± {{ chosen.standardErrorBpm }}</span>
        </p>
        <p v-else class="big none">none by rule</p>
        <p v-if="data.spread" class="quiet small">
          The equations that apply say
          <span class="num">{{ data.spread.lowestBpm }}</span> to
          <span class="num">{{ data.spread.highestBpm }}</span>.
        </p>
        <label class="mode">
          <span>For</span>
          <Select
            v-model="mode"
            :options="options(MODES)"
            option-label="name"
            option-value="value"
            aria-label="Mode"
          />
        </label>
      </div>
      <Findings :findings="data.findings" class="findings" />
    </section>

    <section class="sheet table" aria-label="Every equation">
      <div class="row head">
        <span>Equation</span>
        <span class="num">bpm</span>
        <span class="plot">
          <i v-for="bpm in axis.marks" :key="bpm" :style="{ left: `${percent(bpm)}%` }">{{
            bpm
          }}</i>
        </span>
        <span>Made on, and source</span>
      </div>
      <ul>
        <li
          v-for="row in rows"
          :key="row.method"
          class="row"
          :class="{ chosen: row.method === data.recommended, off: !row.applies }"
        >
          <span class="formula"
            >{{ row.name }}
            <small v-if="row.method === data.recommended">in use</small>
            <small v-else-if="!row.applies" class="off-word">does not apply</small></span
          >
          <span class="num bpm"
            ><b>{{ row.bpm ?? '–' }}</b
            >&nbsp; <span class="quiet">± {{ row.standardErrorBpm }}</span></span
          >
          <span class="plot">
            <i
              v-for="bpm in axis.marks"
              :key="bpm"
              class="line"
              :style="{ left: `${percent(bpm)}%` }"
            />
            <template v-if="row.bpm !== null">
              <i
                class="spread"
                :style="{
                  left: `${percent(row.bpm - row.standardErrorBpm)}%`,
                  right: `${100 - percent(row.bpm + row.standardErrorBpm)}%`,
                }"
              />
              <i class="dot" :style="{ left: `${percent(row.bpm)}%` }" />
            </template>
          </span>
          <span class="about">
            <span>{{ row.applies ? row.population + '.' : row.reason }} {{ row.errorNote }}</span>
            <RouterLink :to="{ path: '/methods', hash: '#' + row.method }">{{
              row.source
            }}</RouterLink>
          </span>
        </li>
      </ul>
    </section>
  </div>
  <p v-else class="quiet" role="status">Working out the equations…</p>
</template>

<style scoped>
.summary > .findings {
  align-content: start;
}

.summary {
  display: grid;
  grid-template-columns: minmax(220px, 1fr) minmax(0, 2.4fr);
  gap: 28px;
}

.big {
  margin: 4px 0;
}

.big b {
  font-size: 2.8rem;
  line-height: 1.05;
}

.big.none {
  font-size: 1.6rem;
  font-weight: 700;
}

.mode {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 12px;
  font-weight: 600;
}

.table {
  padding: 8px 20px;
}

.row {
  display: grid;
  grid-template-columns: 12.8rem 6rem minmax(150px, 1fr) minmax(220px, 1.7fr);
  gap: 18px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}

.head {
  border: 0;
  font-size: 0.8rem;
  color: var(--ink-quiet);
}

.head .plot {
  height: 16px;
}

.head .plot i {
  position: absolute;
  transform: translateX(-50%);
  font-style: normal;
  font-family: var(--mono);
}

.plot {
  position: relative;
  height: 30px;
}

.plot .line {
  position: absolute;
  top: -7px;
  bottom: -7px;
  border-left: 1px solid color-mix(in oklab, var(--line) 55%, transparent);
}

.plot .spread {
  position: absolute;
  top: 9px;
  height: 12px;
  border-radius: 6px;
  background: var(--band-2);
}

.plot .dot {
  position: absolute;
  top: 6px;
  width: 4px;
  height: 18px;
  margin-left: -2px;
  border-radius: 2px;
  background: var(--ink);
}

.formula {
  font-weight: 650;
}

small {
  font-size: 0.76rem;
  font-weight: 700;
  background: var(--teal);
  color: white;
  border-radius: 4px;
  padding: 1px 6px;
  white-space: nowrap;
}

small.off-word {
  background: none;
  color: var(--ink-quiet);
  font-weight: 500;
  padding: 0;
}

.chosen {
  background: var(--teal-wash);
  margin: 0 -20px;
  padding-left: 20px;
  padding-right: 20px;
}

.off .formula,
.off .bpm b {
  font-weight: 450;
  color: var(--ink-quiet);
}

.off .spread {
  background: none;
  box-shadow: inset 0 0 0 1.5px var(--line);
}

.off .dot {
  background: var(--ink-quiet);
}

.about {
  font-size: 0.86rem;
  display: grid;
}

.about > span {
  color: var(--ink-quiet);
}

@media (max-width: 980px) {
  .summary {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }

  .head {
    display: none;
  }

  .row {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 4px 12px;
  }

  .row .plot,
  .row .about {
    grid-column: 1 / -1;
  }
}
</style>
