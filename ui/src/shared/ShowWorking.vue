<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, ref, watch } from 'vue'
import { asProblem } from '../api/http'
import type { Working } from '../api/korvel'
import MethodLink from './MethodLink.vue'
import { typed } from './fields'
import { useShortcuts } from './shortcuts'
import { useAnswerTo } from './answer'

/**
 * The working of a number, as a person would write it; or the other way round: write your own
 * figures and be shown the first one that is off.
 */
const props = defineProps<{
  title: string
  /** Works the sum out, and checks figures where some are given. */
  ask: (figures: (number | string | null)[] | null) => Promise<Working>
  /** Changes when there is another sum to work out. */
  of: unknown
}>()

const { answer: working } = useAnswerTo(
  () => ({ of: props.of }),
  // The form beside it says what is wrong; there is no sum until it is mended.
  () => props.ask(null),
  { stands: false },
)
const checking = ref(false)
const figures = ref<string[]>([])
const check = ref<Working['check']>(null)
const fault = ref('')

watch(working, (sum) => {
  if (!sum) return
  figures.value = sum.lines.map(() => '')
  check.value = null
  fault.value = ''
})

const inputs = ref<HTMLInputElement[]>([])
async function begin() {
  checking.value = true
  await nextTick()
  inputs.value[0]?.focus()
}

async function lookOver() {
  fault.value = ''
  try {
    check.value = (await props.ask(figures.value.map(typed))).check
    if (check.value?.firstOff) inputs.value[check.value.firstOff.line]?.focus()
  } catch (thrown) {
    check.value = null
    const said = asProblem(thrown).errors[0]
    fault.value = said
      ? 'Enter plain numbers, with a point for decimals; leave a step empty to skip it.'
      : asProblem(thrown).message
  }
}

function stateOf(line: number) {
  if (!check.value) return ''
  if (check.value.firstOff?.line === line) return 'off'
  return check.value.right.includes(line) ? 'right' : ''
}
const verdict = computed(() => {
  if (!check.value || check.value.firstOff) return ''
  if (check.value.complete) return 'Every figure is correct.'
  return check.value.right.length
    ? 'Correct so far; empty steps were skipped.'
    : 'Nothing entered yet.'
})

useShortcuts({
  list: [['Enter', 'in “Check my sum”: check the figures']],
})
</script>

<template>
  <section v-if="working" class="sheet long" :aria-label="title">
    <div class="heading">
      <h2>{{ title }}</h2>
      <Button
        v-if="!checking"
        class="no-print"
        label="Check my sum"
        outlined
        size="small"
        @click="begin"
      />
      <Button
        v-else
        class="no-print"
        label="Show the sums"
        outlined
        size="small"
        @click="checking = false"
      />
    </div>
    <ol v-if="!checking">
      <li v-for="(line, n) in working.lines" :key="n">
        <span class="what">{{ line.label }}</span>
        <span class="sum num"
          >{{ line.sum }} = <b v-if="!line.rounded">{{ line.answer }}</b><template v-else
            >{{ `${line.exact} → ` }}<b>{{ line.answer }}</b></template
          >
          <span class="quiet">&nbsp;{{ line.unit }}</span></span
        >
        <MethodLink :to="line.method" class="why">rule</MethodLink>
      </li>
    </ol>
    <form v-else novalidate @submit.prevent="lookOver">
      <p class="quiet small">
        Work it out by hand and enter your figure at each step. The first wrong one is shown.
      </p>
      <ol>
        <li v-for="(line, n) in working.lines" :key="n" :class="stateOf(n)">
          <label :for="`figure-${n}`" class="what">{{ line.label }}</label>
          <span class="write">
            <input
              :id="`figure-${n}`"
              ref="inputs"
              v-model="figures[n]"
              class="num"
              inputmode="decimal"
              autocomplete="off"
              :name="`figure-${n}`"
              :aria-invalid="stateOf(n) === 'off'"
              :aria-describedby="stateOf(n) === 'off' ? 'figure-hint' : undefined"
            />
            <span class="quiet">{{ line.unit }}</span>
            <span v-if="stateOf(n) === 'right'" class="mark" role="img" aria-label="right">✓</span>
          </span>
          <p v-if="stateOf(n) === 'off'" id="figure-hint" class="hint" role="alert">
            The first wrong figure. {{ check!.firstOff!.hint }}
          </p>
        </li>
      </ol>
      <div class="ways">
        <Button type="submit" label="Check" />
        <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
        <p v-else role="status">{{ verdict }}</p>
      </div>
    </form>
  </section>
</template>

<style scoped>
.long {
  display: grid;
  gap: 10px;
}

ol {
  display: grid;
}

li {
  display: grid;
  grid-template-columns: minmax(9rem, 0.8fr) minmax(0, 1.6fr) auto;
  gap: 2px 16px;
  align-items: baseline;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}

form li {
  grid-template-columns: minmax(9rem, 0.8fr) minmax(0, 1.6fr);
  align-items: center;
}

.what {
  font-size: 0.94rem;
}

.sum {
  overflow-wrap: anywhere;
}

.sum b {
  font-size: 1.08em;
}

.why {
  font-size: 0.82rem;
  color: var(--ink-quiet);
}

.write {
  display: flex;
  gap: 8px;
  align-items: center;
}

input {
  font: inherit;
  font-family: var(--mono);
  width: 8rem;
  min-height: var(--touch);
  padding: 4px 10px;
  border: 1px solid oklch(62% 0.02 80);
  border-radius: 6px;
  background: white;
  color: var(--ink);
}

.right input {
  border-color: var(--teal);
  background: var(--teal-wash);
}

.off input {
  border: 2px solid var(--fault);
}

.mark {
  color: var(--teal-deep);
  font-weight: 700;
}

.hint {
  grid-column: 1 / -1;
  color: var(--fault);
  font-weight: 600;
  font-size: 0.92rem;
}

.ways {
  margin-top: 10px;
}

@media (max-width: 640px) {
  li,
  form li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .sum {
    grid-row: 2;
    grid-column: 1 / -1;
  }

  form li .what,
  form li .write {
    grid-column: 1 / -1;
  }
}
</style>
