<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { methods } from '../api/korvel'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { found, groups } from './entries'
import { useShortcuts } from '../shared/shortcuts'

/** Every formula, scheme, scale, threshold and finding in use, with its source; found by typing. */
const { data, problem, load } = useAnswer(methods)
const route = useRoute()
const router = useRouter()
const q = ref(String(route.query.q ?? ''))
onMounted(load)
watch(q, (typed) => router.replace({ query: typed ? { q: typed } : {} }))

const all = computed(() => (data.value ? groups(data.value) : []))
const shown = computed(() => found(all.value, q.value))
const count = (of: { entries: unknown[] }[]) =>
  of.reduce((sum, group) => sum + group.entries.length, 0)

watch([data, () => route.hash], async () => {
  await nextTick()
  if (!route.hash) return
  const entry = document.getElementById(route.hash.slice(1))
  entry?.scrollIntoView({ block: 'center' })
  entry?.focus({ preventScroll: true })
})

useShortcuts({
  list: [['Esc', 'in the search: show everything again']],
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
        @keydown.esc="q = ''"
      />
    </header>
    <p class="quiet intro">
      Everything Korvel calculates and decides, with its source. Every rate is rounded half up, and
      each later step starts from the rounded number, so you can check it by hand.
    </p>
    <div class="columns">
      <nav class="sheet contents no-print" aria-label="Groups of methods">
        <p class="quiet small" role="status">
          <template v-if="data"
            ><span class="num">{{ count(shown) }}</span> of
            <span class="num">{{ count(all) }}</span></template
          >
        </p>
        <ul>
          <li v-for="group in shown" :key="group.id">
            <RouterLink :to="{ query: route.query, hash: `#group-${group.id}` }">{{
              group.name
            }}</RouterLink>
            <span class="num quiet">{{ group.entries.length }}</span>
          </li>
        </ul>
      </nav>
      <div class="stack">
        <p v-if="data && !shown.length" class="sheet" role="status">
          Nothing contains “{{ q }}”.
          <button type="button" class="link" @click="q = ''">Show everything</button>
        </p>
        <section v-for="group in shown" :key="group.id" class="sheet">
          <h2 :id="`group-${group.id}`" tabindex="-1">{{ group.name }}</h2>
          <ul>
            <li
              v-for="entry in group.entries"
              :id="entry.id"
              :key="entry.id"
              tabindex="-1"
              class="entry"
              :class="{ here: route.hash === '#' + entry.id }"
            >
              <b>{{ entry.name }}</b>
              <div class="what">
                <p v-if="entry.figures" class="num figures">{{ entry.figures }}</p>
                <p v-if="entry.serves">{{ entry.serves }}</p>
                <dl v-if="entry.population || entry.error">
                  <template v-if="entry.population">
                    <dt>derived from</dt>
                    <dd>{{ entry.population }}</dd>
                  </template>
                  <template v-if="entry.error">
                    <dt>error</dt>
                    <dd>{{ entry.error }}</dd>
                  </template>
                </dl>
              </div>
              <cite>{{ entry.source }}</cite>
            </li>
          </ul>
        </section>
      </div>
    </div>
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

.columns {
  --columns: 230px minmax(0, 1fr);
}

.contents {
  position: sticky;
  top: 16px;
  padding: 14px 16px;
}

.contents li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: baseline;
  font-size: 0.92rem;
}

.contents a {
  padding: 6px 0;
  color: var(--ink);
  text-decoration: none;
}

.contents a:hover {
  text-decoration: underline;
}

.entry {
  display: grid;
  grid-template-columns: minmax(170px, 1fr) minmax(0, 2.2fr) minmax(150px, 0.9fr);
  gap: 20px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  font-size: 0.94rem;
}

h2 {
  margin-bottom: 8px;
  scroll-margin-top: 16px;
}

.what {
  display: grid;
  gap: 3px;
  align-content: start;
}

.figures {
  font-weight: 600;
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  font-size: 0.88rem;
}

dt {
  color: var(--ink-quiet);
}

.entry.here {
  background: var(--teal-wash);
  box-shadow: 0 0 0 8px var(--teal-wash);
}

.entry:focus-visible {
  outline-offset: 6px;
}

cite {
  font-style: normal;
  color: var(--ink-quiet);
  font-size: 0.88rem;
}

@media (max-width: 1000px) {
  .contents {
    position: static;
  }
}

@media (max-width: 860px) {
  .contents ul {
    display: none;
  }

  .entry {
    grid-template-columns: minmax(0, 1fr);
    gap: 3px;
  }
}
</style>
