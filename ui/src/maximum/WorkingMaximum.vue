<script setup lang="ts">
import Select from 'primevue/select'
import type { MaximumSheet, Mode } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import MethodLink from '../shared/MethodLink.vue'
import SumLines from '../shared/SumLines.vue'
import { day, MODES, options } from '../shared/words'

/** The maximum everything starts from, what it stands on, and what to know about it. */
defineProps<{ sheet: MaximumSheet }>()
const mode = defineModel<Mode>('mode', { required: true })
defineSlots<{ ways(): unknown; more(): unknown }>()

const ORIGINS = {
  measured: 'measured',
  borrowed: 'borrowed from running',
  estimated: 'estimated',
  chosen: 'estimated, your choice of equation',
} as const
</script>

<template>
  <section class="sheet summary">
    <div class="value">
      <div class="top">
        <h2>Maximum</h2>
        <Select
          v-model="mode"
          :options="options(MODES)"
          option-label="name"
          option-value="value"
          aria-label="Mode"
        />
      </div>
      <template v-if="sheet.working">
        <p class="big">
          <span v-if="sheet.working.origin !== 'measured'" class="quiet">about</span>{{ ' ' }}
          <b class="num">{{ sheet.working.bpm }}</b> bpm
          <MethodLink :to="sheet.working.method" class="num quiet"
            >± {{ sheet.working.standardErrorBpm }}</MethodLink
          >
        </p>
        <p class="origin">
          {{ ORIGINS[sheet.working.origin] }}<span class="quiet">: {{ sheet.working.words }}</span>
        </p>
        <p v-if="sheet.birthday" class="quiet small">
          Recalculated at every birthday: on {{ day(sheet.birthday.on) }} it is
          <span class="num">{{ sheet.birthday.bpm }}</span>.
        </p>
        <SumLines v-if="sheet.longHand.length" :lines="sheet.longHand" />
      </template>
      <p v-else class="big none">none by rule</p>
      <slot name="ways" />
    </div>
    <div class="stack known">
      <Findings :findings="sheet.findings" />
      <slot name="more" />
    </div>
  </section>
</template>

<style scoped>
.summary {
  display: grid;
  grid-template-columns: minmax(260px, 1fr) minmax(0, 2.1fr);
  gap: 28px;
}

.value {
  display: grid;
  gap: 6px;
  align-content: start;
}

.known {
  gap: 10px;
}

.top {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}

.big b {
  font-size: 2.8rem;
  line-height: 1.05;
}

.big.none {
  font-size: 1.6rem;
  font-weight: 700;
}

.origin {
  font-weight: 650;
}

.origin .quiet {
  font-weight: 400;
}

@media (max-width: 980px) {
  .summary {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
}
</style>
