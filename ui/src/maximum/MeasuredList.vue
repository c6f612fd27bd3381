<script setup lang="ts">
import Button from 'primevue/button'
import type { MeasuredMaximum } from '../api/korvel'
import MethodLink from '../shared/MethodLink.vue'
import { day, GRADES, MAXIMUM_STATES } from '../shared/words'

/** The measured values of a mode, each with what it is good for and why. */
defineProps<{ values: MeasuredMaximum[]; closed: boolean }>()
defineEmits<{ correct: [value: MeasuredMaximum]; takeBack: [value: MeasuredMaximum] }>()
</script>

<template>
  <ul class="measured">
    <li v-for="value in values" :key="value.id" :class="value.state">
      <span class="bpm"
        ><b class="num">{{ value.bpm }}</b>
        <MethodLink :to="value.method" class="quiet num small"
          >± {{ value.standardErrorBpm }}</MethodLink
        ></span
      >
      <span class="what">
        <span
          ><b>{{ value.protocol || value.standsAs }}</b
          ><template v-if="value.protocol && value.standsAs !== value.protocol">
            · {{ value.standsAs.toLowerCase() }}</template
          ><template v-if="value.grade"> · graded {{ GRADES[value.grade].toLowerCase() }}</template>
          · {{ day(value.measuredOn) }}</span
        >
        <span v-if="value.note" class="quiet small">{{ value.note }}</span>
      </span>
      <span class="stands">
        <span class="state"
          ><span aria-hidden="true">{{ MAXIMUM_STATES[value.state].mark }}</span>
          {{ MAXIMUM_STATES[value.state].name }}</span
        >
        <span class="quiet small">{{ value.reason }}</span>
      </span>
      <span class="ways">
        <RouterLink
          v-if="value.fieldTest"
          :to="
            value.kind === 'graded-test'
              ? `/floor/tests/${value.fieldTest}`
              : `/field-tests/${value.fieldTest}`
          "
          class="small"
          >The test</RouterLink
        >
        <template v-if="!closed">
          <Button
            v-if="!value.fieldTest"
            label="Edit"
            text
            size="small"
            :aria-label="`Edit the ${value.bpm}`"
            @click="$emit('correct', value)"
          />
          <Button
            label="Delete"
            text
            size="small"
            :aria-label="`Delete the ${value.bpm}`"
            @click="$emit('takeBack', value)"
          />
        </template>
      </span>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 7.4rem minmax(0, 1.2fr) minmax(0, 1.3fr) auto;
  gap: 4px 18px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}

li:first-child {
  border-top: 0;
}

.bpm b {
  font-size: 1.5rem;
  margin-right: 6px;
}

.what,
.stands {
  display: grid;
  gap: 1px;
}

.state {
  font-weight: 700;
}

.working .state {
  color: var(--teal-deep);
}

.proposal .state {
  color: var(--ochre-deep);
}

.stale .state {
  color: var(--fault);
}

.not-reached .bpm b,
.stale .bpm b {
  font-weight: 450;
  color: var(--ink-quiet);
}

.ways {
  gap: 0 4px;
  justify-content: end;
}

@media (max-width: 980px) {
  li {
    grid-template-columns: 6.4rem minmax(0, 1fr);
  }

  .stands,
  .ways {
    grid-column: 2;
    justify-content: start;
  }
}
</style>
