<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import type { Programme, ProgrammeWeek } from '../api/korvel'
import { day } from '../shared/words'

/** Week by week: minutes as bars, by how hard they are, with what each week may have at most. */
const props = defineProps<{ programme: Programme }>()
const week = defineModel<number>('week', { required: true })

const top = computed(
  () =>
    Math.max(
      60,
      ...props.programme.weeks.flatMap((each) => [each.minutes, each.limitMinutes ?? 0]),
    ) * 1.06,
)
const tall = (minutes: number) => `${(100 * minutes) / top.value}%`
const KINDS: Record<ProgrammeWeek['kind'], { mark: string; word: string }> = {
  start: { mark: 'start', word: 'the start' },
  minutes: { mark: '+ min', word: 'minutes grow' },
  day: { mark: '+ day', word: 'one more day' },
  intensity: { mark: '+ %', word: 'intensity grows' },
  lighter: { mark: 'lighter', word: 'a lighter week' },
  eased: { mark: 'eased', word: 'eased to what was done' },
  held: { mark: '=', word: 'held' },
  back: { mark: 'back', word: 'a step down' },
  own: { mark: 'own', word: 'your own' },
  resumed: { mark: 'on again', word: 'restarted after a break' },
}
const broken = (each: ProgrammeWeek) => each.findings.some((finding) => finding.severity !== 'info')
const spoken = (each: ProgrammeWeek) =>
  `Week ${each.number}, from ${day(each.startsOn)}: ${each.minutes} minutes of work, ` +
  `${each.lowPercent} to ${each.highPercent} percent of reserve, ${KINDS[each.kind].word}` +
  (each.limitMinutes === null ? '' : `, at most ${each.limitMinutes} minutes`) +
  (broken(each) ? ', a rule is broken' : '')

const list = ref<HTMLElement | null>(null)
const STEPS: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1 }
async function onKey(event: KeyboardEvent) {
  const to =
    event.key === 'Home'
      ? 1
      : event.key === 'End'
        ? props.programme.weeks.length
        : week.value + (STEPS[event.key] ?? NaN)
  if (!(to >= 1 && to <= props.programme.weeks.length) || event.altKey) return
  event.preventDefault()
  week.value = to
  await nextTick()
  list.value?.querySelector<HTMLElement>('[tabindex="0"]')?.focus()
}
</script>

<template>
  <figure>
    <div class="scroll">
      <ol ref="list" class="weeks" aria-label="Weeks of the programme">
        <li v-for="each in programme.weeks" :key="each.number">
          <button
            type="button"
            :class="{ on: each.number === week, broken: broken(each) }"
            :tabindex="each.number === week ? 0 : -1"
            :aria-pressed="each.number === week"
            :aria-label="spoken(each)"
            @click="week = each.number"
            @keydown="onKey"
          >
            <span class="flag" aria-hidden="true">{{ broken(each) ? '▲' : '' }}</span>
            <span class="column" aria-hidden="true">
              <i
                v-if="each.limitMinutes !== null"
                class="limit"
                :style="{ bottom: tall(each.limitMinutes) }"
              />
              <i
                class="intensity"
                :style="{
                  bottom: `${each.lowPercent}%`,
                  height: `${each.highPercent - each.lowPercent}%`,
                }"
              />
              <i class="vigorous" :style="{ height: tall(each.vigorousMinutes) }" />
              <i class="moderate" :style="{ height: tall(each.moderateMinutes) }" />
              <i class="light" :style="{ height: tall(each.lightMinutes) }" />
            </span>
            <b class="num" aria-hidden="true">{{ each.minutes }}</b>
            <span class="num percent" aria-hidden="true"
              >{{ each.lowPercent }}–{{ each.highPercent }}</span
            >
            <span class="kind" aria-hidden="true">{{ KINDS[each.kind].mark }}</span>
            <span class="num number" aria-hidden="true">{{ each.number }}</span>
          </button>
        </li>
      </ol>
    </div>
    <figcaption class="quiet small">
      Minutes of work a week:
      <span class="key"><i class="light" /> light</span>
      <span class="key"><i class="moderate" /> moderate</span>
      <span class="key"><i class="vigorous" /> vigorous</span>
      <span class="key"><i class="line" /> maximum allowed</span>
      <span class="key"><i class="bar" /> intensity, from rest to maximum</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.scroll {
  padding: 4px;
  margin: -4px;
}

.weeks {
  display: flex;
  gap: 2px;
}

li {
  flex: 1 1 0;
  min-width: 37px;
  max-width: 86px;
}

button {
  font: inherit;
  color: inherit;
  width: 100%;
  display: grid;
  justify-items: center;
  background: none;
  border: 0;
  border-radius: 6px;
  padding: 2px 2px 5px;
  cursor: pointer;
  line-height: 1.25;
}

button.on {
  background: var(--teal-wash);
  box-shadow: inset 0 0 0 2px var(--teal);
}

.flag {
  height: 1.1rem;
  color: var(--fault);
}

.column {
  position: relative;
  width: 62%;
  height: 150px;
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  border-bottom: 1.5px solid var(--ink-quiet);
  margin-bottom: 3px;
}

.light {
  forced-color-adjust: none;
  background: var(--band-1);
}

.moderate {
  forced-color-adjust: none;
  background: var(--band-2);
}

.vigorous {
  forced-color-adjust: none;
  background: var(--band-4);
}

.column i {
  display: block;
}

.limit {
  position: absolute;
  left: -5px;
  right: -5px;
  border-top: 2px solid var(--teal);
}

.broken .limit {
  border-color: var(--fault);
}

/* From rest at the foot to the maximum at the top: what of it the week asks for. */
.intensity {
  position: absolute;
  right: -7px;
  width: 4px;
  min-height: 3px;
  border-radius: 2px;
  forced-color-adjust: none;
  background: var(--mark);
}

.percent {
  font-size: 0.68rem;
  letter-spacing: -0.05em;
  white-space: nowrap;
}

.kind {
  font-size: 0.72rem;
  color: var(--ink-quiet);
}

.number {
  font-size: 0.78rem;
  margin-top: 2px;
  padding: 0 6px;
  border-radius: 9px;
  background: var(--ground-2);
}

figcaption {
  margin-top: 8px;
}

.key {
  white-space: nowrap;
  margin-right: 10px;
}

.key i {
  display: inline-block;
  width: 12px;
  height: 12px;
  border-radius: 2px;
}

.key .bar {
  width: 4px;
  forced-color-adjust: none;
  background: var(--mark);
}

.key .line {
  height: 0;
  border-top: 2px solid var(--teal);
  border-radius: 0;
  vertical-align: 4px;
}
</style>
