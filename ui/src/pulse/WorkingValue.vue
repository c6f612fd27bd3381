<script setup lang="ts">
import type { RestingRecord } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import SumLines from '../shared/SumLines.vue'
import { day } from '../shared/words'

/** The resting value everything starts from, what it stands on, and what rates at rest mean. */
defineProps<{ record: RestingRecord; age: number }>()
</script>

<template>
  <section class="sheet stack" aria-labelledby="working-title">
    <h2 id="working-title">Working resting value</h2>
    <template v-if="record.working">
      <p class="working">
        <b class="num">{{ record.working.bpm }}</b> bpm
        <MethodLink to="resting-error" class="quiet num"
          >± {{ record.working.standardErrorBpm.toFixed(1) }}</MethodLink
        >
      </p>
      <Findings :findings="record.working.findings" />
      <p v-if="!record.working.due && !record.working.stale" class="quiet small">
        <MethodLink to="resting-due">Due again</MethodLink> on {{ day(record.working.dueOn) }}.
      </p>
      <SumLines :lines="record.working.longHand" />
    </template>
    <p v-else class="quiet">
      None yet. Seat the client, both feet on the floor, quiet for 5 minutes; then count for 30 or
      60 s. The first good reading becomes the working value, with three it is their median.
    </p>
    <div class="usual">
      <h3>At rest, at {{ age }} years</h3>
      <dl>
        <template v-for="span in record.spans" :key="span.rates">
          <dt class="num" :class="{ at: span.usual }">{{ span.rates }}</dt>
          <dd>{{ span.advice }}</dd>
        </template>
      </dl>
    </div>
  </section>
</template>

<style scoped>
.working b {
  font-size: 2.6rem;
  line-height: 1;
}

.usual {
  border-top: 1px solid var(--line);
  padding-top: 12px;
}

dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 6px 14px;
  font-size: 0.88rem;
  margin-top: 6px;
}

dt {
  white-space: nowrap;
}

.at {
  font-weight: 700;
  color: var(--teal-deep);
}
</style>
