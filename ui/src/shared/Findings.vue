<script setup lang="ts">
import { useRoute } from 'vue-router'
import type { Finding } from '../api/http'
import { FINDING_PLACES } from './findingPlaces'

/** Judgements, each with its reason and source on demand, and where what it misses is corrected. */
defineProps<{ findings: Finding[] }>()
const route = useRoute()
/** On a client's pages only: anywhere else nobody knows whose. */
function place(finding: Finding) {
  const found = FINDING_PLACES[finding.code]
  if (!found || !route.path.startsWith('/clients/') || !route.params.id) return null
  const [step, hash] = found.to.split('#')
  const path = `/clients/${String(route.params.id)}/${step}`
  // Whoever is there already needs no way to it.
  if (path === route.path && !hash) return null
  return { words: found.words, to: { path, hash: hash ? `#${hash}` : '' } }
}
const WORDS = { info: 'Note', caution: 'Watch', block: 'First' }
</script>

<template>
  <ul v-if="findings.length" class="findings">
    <li v-for="finding in findings" :key="finding.code + finding.message" :class="finding.severity">
      <span class="mark">{{ WORDS[finding.severity] }}</span>
      <div>
        <span class="said">{{ finding.message }}</span>
        <RouterLink v-if="place(finding)" :to="place(finding)!.to" class="place">{{
          place(finding)!.words
        }}</RouterLink>
        <details>
          <summary>Why?</summary>
          <p>
            {{ finding.because }}
            <RouterLink :to="{ path: '/methods', hash: '#' + finding.code }" class="source">{{
              finding.source
            }}</RouterLink>
          </p>
        </details>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.findings {
  display: grid;
  gap: 8px;
}

li {
  display: grid;
  grid-template-columns: 3.6rem 1fr;
  gap: 8px;
  align-items: baseline;
}

.mark {
  font-size: 0.78rem;
  font-weight: 700;
  text-align: center;
  border-radius: 5px;
  padding: 1px 4px;
  color: var(--teal-deep);
  background: var(--teal-wash);
}

.caution .mark {
  color: var(--ochre-deep);
  background: var(--ochre-wash);
  box-shadow: inset 0 0 0 1px var(--ochre);
}

.block .mark {
  color: white;
  forced-color-adjust: none;
  background: var(--wine);
}

.caution .said,
.block .said {
  font-weight: 650;
}

.place {
  margin-left: 8px;
  font-size: 0.9rem;
}

details {
  display: inline;
  margin-left: 8px;
  font-size: 0.9rem;
}

details[open] {
  display: block;
  margin: 4px 0 2px;
}

summary {
  display: inline-block;
  cursor: pointer;
  color: var(--teal-deep);
  text-decoration: underline;
  text-underline-offset: 3px;
  padding: 2px 4px;
  margin: -2px -4px;
  list-style: none;
}

summary::-webkit-details-marker {
  display: none;
}

details p {
  color: var(--ink-quiet);
  max-width: 60ch;
}

.source {
  white-space: normal;
}
</style>
