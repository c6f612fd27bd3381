<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { methods } from '../api/korvel'
import ProblemNote from '../shared/ProblemNote.vue'
import { useLoad } from '../shared/load'
import { effort } from '../shared/words'

/** Every formula, scheme, scale, limit and rule in use, with its source; found by typing. */
const { data, problem, load } = useLoad(methods)
const route = useRoute()
const q = ref('')
onMounted(load)
watch([data, () => route.hash], async () => {
  await nextTick()
  if (route.hash) document.getElementById(route.hash.slice(1))?.scrollIntoView({ block: 'center' })
})

interface Entry {
  id: string
  name: string
  text: string
  source: string
}
const groups = computed<{ name: string; entries: Entry[] }[]>(() => {
  if (!data.value) return []
  const { equations, schemes, scales, protocols, activities, limits, findings } = data.value
  return [
    {
      name: 'Equations for the maximum',
      entries: equations.map((row) => ({
        id: row.id,
        name: row.formula,
        text: `${row.population}. Standard error ${row.error} bpm. ${row.errorNote}`,
        source: row.source,
      })),
    },
    {
      name: 'Schemes of zones',
      entries: schemes.map((row) => ({
        id: row.id,
        name: `${row.name}, by ${row.basis}`,
        text: `${row.serves} ${row.bands
          .map(
            (band) =>
              `${band.name} ${band.low === band.high ? band.low : `${band.low}–${band.high}`}`,
          )
          .join(', ')}.`,
        source: row.source,
      })),
    },
    {
      name: 'Levels of effort',
      entries: scales.map((row) => ({
        id: `level-${row.level}`,
        name: `${row.level} ${row.name}`,
        text:
          `${row.voice}. Breathing: ${row.breathing}. Like ${row.like}. ` +
          `Effort ${effort(row.rpe20, 6)} of 20; of 10: ${effort(row.rpe10Ratio, 0)} on ratio scales, ` +
          `${effort(row.rpe10Linear, 0)} on linear ones.`,
        source: 'Borg, Med Sci Sports Exerc 1982; Foster et al. 2008',
      })),
    },
    {
      name: 'Counting windows',
      entries: protocols.map((row) => ({
        id: `window-${row.seconds}`,
        name: `${row.seconds} s`,
        text: `Beats × ${row.multiplyBy}, ± ${row.uncertaintyBpm} bpm. For: ${row.use}.`,
        source: 'Arithmetic: one beat either way',
      })),
    },
    {
      name: 'Present activity',
      entries: activities.map((row) => ({
        id: `activity-${row.activity}`,
        name: row.activity[0]!.toUpperCase() + row.activity.slice(1),
        text: `${row.definition}.`,
        source: 'Riebe et al., Med Sci Sports Exerc 2015',
      })),
    },
    {
      name: 'What is accepted',
      entries: limits.map((row) => ({
        id: `limit-${row.id}`,
        name: row.id.replaceAll('-', ' '),
        text: `${row.lowest} to ${row.highest} ${row.unit}.`,
        source: "Korvel's own rule",
      })),
    },
    {
      name: 'Rules and what they say',
      entries: findings.map((row) => ({
        id: row.code,
        name: row.message,
        text: row.because,
        source: row.source,
      })),
    },
  ]
})
const found = computed(() => {
  const words = q.value.toLowerCase().split(/\s+/).filter(Boolean)
  return groups.value
    .map((group) => ({
      name: group.name,
      entries: group.entries.filter((entry) => {
        const text =
          `${group.name} ${entry.id} ${entry.name} ${entry.text} ${entry.source}`.toLowerCase()
        return words.every((word) => text.includes(word))
      }),
    }))
    .filter((group) => group.entries.length)
})
</script>

<template>
  <ProblemNote v-if="problem" :problem="problem" @retry="load" />
  <div v-else class="stack">
    <header>
      <h1>Methods</h1>
      <InputText
        v-model="q"
        type="search"
        placeholder="Find a formula, a rule, an author"
        aria-label="Find a method"
        autocomplete="off"
      />
    </header>
    <p class="quiet intro">
      Everything Korvel computes and decides, with where it comes from. Every rate is rounded half
      up, and each later step starts from the number you saw, so you can check it with a pencil.
    </p>
    <p v-if="data && !found.length" role="status">Nothing holds “{{ q }}”.</p>
    <section v-for="group in found" :key="group.name" class="sheet">
      <h2>{{ group.name }}</h2>
      <ul>
        <li
          v-for="entry in group.entries"
          :id="entry.id"
          :key="entry.id"
          :class="{ here: route.hash === '#' + entry.id }"
        >
          <b>{{ entry.name }}</b>
          <span>{{ entry.text }}</span>
          <cite>{{ entry.source }}</cite>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  justify-content: space-between;
  align-items: center;
}

header input {
  width: min(360px, 100%);
}

.intro {
  max-width: 76ch;
}

li {
  display: grid;
  grid-template-columns: minmax(180px, 1fr) minmax(0, 2fr) minmax(160px, 0.9fr);
  gap: 20px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
  font-size: 0.94rem;
}

h2 {
  margin-bottom: 8px;
}

li.here {
  background: var(--teal-wash);
  box-shadow: 0 0 0 8px var(--teal-wash);
}

cite {
  font-style: normal;
  color: var(--ink-quiet);
}

@media (max-width: 860px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
  }
}
</style>
