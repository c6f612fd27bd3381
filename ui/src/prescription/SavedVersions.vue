<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SavedPrescriptions } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import { day } from '../shared/words'
import VersionCompare from './VersionCompare.vue'

/** Every version of a client's prescription: whether the present one holds, and two side by side. */
const props = defineProps<{ id: string; saved: SavedPrescriptions }>()

const HAS_CARD = ['issued', 'rate-suspended']
const STANDINGS = {
  issued: '',
  'rate-suspended': 'rates suspended',
  suspended: 'suspended',
  draft: 'draft',
}
const versions = computed(() => props.saved.versions)
/** Why the present version does not hold, or not whole. */
const standing = computed(() => [
  ...(props.saved.review ? [props.saved.review] : []),
  ...(versions.value[0]?.standing.findings ?? []),
])

/** Two are compared; a third one ticked takes the place of the first. */
const picked = ref<number[]>([])
function pick(version: number, on: boolean) {
  const others = picked.value.filter((each) => each !== version)
  picked.value = on ? [...others, version].slice(-2) : others
}
const pair = computed(() => {
  const both = versions.value.filter(({ version }) => picked.value.includes(version))
  return both.length === 2 ? both.reverse() : null
})
</script>

<template>
  <section class="sheet stack">
    <h2>Saved versions</h2>
    <Findings :findings="standing" />
    <p v-if="saved.renewal" :class="{ due: saved.renewal.due }">
      <b>{{ saved.renewal.due ? 'Review now' : 'Review' }}</b>,
      {{ saved.renewal.due ? 'since' : 'by' }} {{ day(saved.renewal.on) }}:
      {{ saved.renewal.because }}.
    </p>
    <ul v-if="versions.length" class="versions">
      <li v-for="version in versions" :key="version.id">
        <input
          v-if="versions.length > 1"
          type="checkbox"
          :checked="picked.includes(version.version)"
          :aria-label="`Compare version ${version.version}`"
          @change="pick(version.version, ($event.target as HTMLInputElement).checked)"
        />
        <b class="num">{{ version.version }}</b>
        <span>
          {{ day(version.prescription.date) }} · {{ version.prescription.parts.goalName }} ·
          <span class="num"
            >{{ version.prescription.parts.lowPercent }}–{{
              version.prescription.parts.highPercent
            }}</span
          >
          %, <span class="num">{{ version.prescription.parts.minutes }}</span> min ×
          <span class="num">{{ version.prescription.parts.days }}</span>
        </span>
        <RouterLink
          v-if="HAS_CARD.includes(version.standing.state)"
          :to="`/clients/${id}/card/${version.version}`"
          :aria-label="`Card of version ${version.version}`"
          >Card</RouterLink
        >
        <span v-if="version.standing.state !== 'issued'" :class="version.standing.state">{{
          STANDINGS[version.standing.state]
        }}</span>
      </li>
    </ul>
    <p v-else class="quiet">None yet. Save the one above and its card can be printed.</p>
    <VersionCompare
      v-if="pair"
      :one="pair[0]!.prescription"
      :other="pair[1]!.prescription"
      :labels="[`Version ${pair[0]!.version}`, `Version ${pair[1]!.version}`]"
    />
    <p v-else-if="versions.length > 1" class="quiet small">Select two to compare.</p>
  </section>
</template>

<style scoped>
.versions li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  min-height: var(--touch);
  padding: 4px 0;
  border-top: 1px solid var(--line);
  font-size: 0.94rem;
}

.versions li > span:nth-of-type(1) {
  flex: 1;
}

input {
  width: 20px;
  height: 20px;
  flex: none;
}

.due b,
.suspended,
.rate-suspended {
  color: var(--wine);
  font-weight: 650;
}

.draft {
  color: var(--ink-quiet);
}
</style>
