<script setup lang="ts">
import { computed } from 'vue'
import type { Prescription } from '../api/korvel'
import MethodLink from '../shared/MethodLink.vue'

/** A week's moderate-equivalent minutes against the guideline. */
const props = defineProps<{ week: Prescription['week'] }>()
const top = computed(
  () =>
    Math.max(
      props.week.upperMinutes ?? props.week.markMinutes,
      props.week.moderateEquivalentMinutes,
      1,
    ) * 1.12,
)
const percent = (minutes: number) => `${Math.min(100, (minutes / top.value) * 100)}%`
const parts = computed(() =>
  [
    props.week.lightMinutes && `${props.week.lightMinutes} light`,
    props.week.moderateMinutes && `${props.week.moderateMinutes} moderate`,
    props.week.vigorousMinutes && `${props.week.vigorousMinutes} vigorous`,
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <div>
    <p class="figures">
      <b class="num">{{ week.moderateEquivalentMinutes }}</b>
      {{ ' ' }}<MethodLink to="moderate-equivalent">moderate-equivalent min</MethodLink>{{ ' ' }}
      <span class="quiet">from {{ parts }}</span>
    </p>
    <div class="bar" aria-hidden="true">
      <i
        v-if="week.upperMinutes"
        class="range"
        :style="{
          left: percent(week.markMinutes),
          width: `calc(${percent(week.upperMinutes)} - ${percent(week.markMinutes)})`,
        }"
      />
      <i class="filled" :style="{ width: percent(week.moderateEquivalentMinutes) }" />
      <b class="mark num" :style="{ left: percent(week.markMinutes) }">{{ week.markMinutes }}</b>
      <b v-if="week.upperMinutes" class="mark num" :style="{ left: percent(week.upperMinutes) }">{{
        week.upperMinutes
      }}</b>
    </div>
    <p v-if="week.upperMinutes" class="quiet small">
      <span class="num">{{ week.markMinutes }}–{{ week.upperMinutes }}</span> min moderate, or
      <span class="num">{{ week.vigorousMarkMinutes }}–{{ week.vigorousUpperMinutes }}</span>
      vigorous, or a mix
    </p>
  </div>
</template>

<style scoped>
.figures b {
  font-size: 1.3rem;
}

.bar {
  position: relative;
  height: 38px;
  margin-top: 4px;
}

.bar::before {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  top: 2px;
  height: 14px;
  border-radius: 4px;
  background: var(--ground-2);
}

.bar i {
  position: absolute;
  top: 2px;
  height: 14px;
  border-radius: 4px;
}

.range {
  forced-color-adjust: none;
  background: var(--teal-wash);
  box-shadow: inset 0 0 0 1px color-mix(in oklab, var(--teal) 45%, transparent);
}

.filled {
  left: 0;
  forced-color-adjust: none;
  background: var(--teal);
}

.mark {
  position: absolute;
  top: 18px;
  transform: translateX(-50%);
  font-size: 0.78rem;
  font-weight: 500;
  color: var(--ink-quiet);
}
</style>
