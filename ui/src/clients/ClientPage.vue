<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, provide, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { archiveClient, overview } from '../api/korvel'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { useTitle } from '../shared/title'
import { undone } from '../shared/undo'
import { OUTCOMES, nextWords, STEPS } from '../shared/words'
import { CLIENT } from './useClient'
import { useShortcuts, useSteps } from '../shared/shortcuts'
import { useSave } from '../shared/save'

/** A client: who, what to watch, and the path of the job with where each step stands. */
const props = defineProps<{ id: string }>()
const route = useRoute()
const router = useRouter()
const { data, problem, load } = useAnswer(overview)

watch([() => props.id, undone], ([id]) => load(id), { immediate: true })
provide(CLIENT, {
  id: computed(() => props.id),
  overview: data,
  refresh: () => load(props.id),
})

useTitle(() => data.value?.client.name)

const pathBar = ref<HTMLElement | null>(null)
// On a phone the path is wider than the screen: the present step is brought into view.
watch([data, () => route.path], async () => {
  await nextTick()
  const here = pathBar.value?.querySelector<HTMLElement>('.here')
  // Along the path only: what was just saved stays where it is.
  if (here)
    pathBar.value!.scrollLeft =
      here.offsetLeft - (pathBar.value!.clientWidth - here.offsetWidth) / 2
})

const again = () => load(props.id)
const { save: bringBack, general: fault } = useSave(
  () => archiveClient(props.id, data.value!.client.version, false),
  { saved: again, wrong: again },
)

const MARKS = { done: '✓', due: '○', later: '·', blocked: '■' }
const MEANS = { done: 'done', due: 'due', later: 'not yet', blocked: 'blocked' }

useSteps()
useShortcuts({
  list: [['n', 'what is next with this client']],
  act: {
    n: () => data.value?.next && router.push(`/clients/${props.id}/${data.value.next.step}`),
  },
})
</script>

<template>
  <ProblemNote v-if="problem && !data" :problem="problem" @retry="load(id)" />
  <div v-else-if="data" class="stack">
    <a class="skip no-print" href="#step">To the step</a>
    <header>
      <div class="who">
        <h1>{{ data.client.name }}</h1>
        <p class="quiet">
          <span class="num">{{ data.client.age }}</span>
          <template v-if="data.client.note"> · {{ data.client.note }}</template>
        </p>
      </div>
      <div class="ways no-print">
        <RouterLink
          v-if="data.next && !data.client.archived && data.next.step !== route.meta.step"
          :to="`/clients/${id}/${data.next.step}`"
          class="next"
          ><b>Next:</b> {{ nextWords(data.next) }}</RouterLink
        >
        <RouterLink :to="`/clients/${id}/details`">Details</RouterLink>
        <RouterLink
          v-if="!data.client.archived"
          :to="`/clients/${id}/check-in`"
          class="check-in"
          :class="data.checkedToday?.outcome"
        >
          <template v-if="data.checkedToday">
            <span aria-hidden="true">{{ OUTCOMES[data.checkedToday.outcome].mark }}</span>
            Today: {{ data.checkedToday.words.toLowerCase() }}
          </template>
          <template v-else>Check in</template>
        </RouterLink>
      </div>
      <ul v-if="data.watch.length" class="watch" aria-label="What to watch">
        <li v-for="watched in data.watch" :key="watched.words" :title="watched.because">
          {{ watched.words }}
        </li>
      </ul>
    </header>

    <section v-if="data.client.archived" class="sheet archived" aria-label="Archived">
      <p><b>Archived.</b> The records are kept and can be read; nothing is added to them.</p>
      <Button label="Restore" @click="bringBack" />
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    </section>

    <nav ref="pathBar" class="path" aria-label="Client workflow" data-steps>
      <RouterLink
        v-for="step in data.steps"
        :key="step.step"
        :to="`/clients/${id}/${step.step}`"
        :class="[step.state, { here: route.meta.step === step.step }]"
      >
        <span class="detail">{{ step.detail }}</span>
        <span class="step"
          >{{ STEPS[step.step] }}
          <span class="mark" aria-hidden="true">{{ MARKS[step.state] }}</span><span
            class="visually-hidden"
            >, {{ MEANS[step.state] }}</span
          ></span
        >
      </RouterLink>
    </nav>

    <div id="step" tabindex="-1">
      <RouterView :key="id" />
    </div>
  </div>
  <p v-else class="quiet" role="status">Loading…</p>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: center;
  justify-content: space-between;
}

.who {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
}

.check-in {
  border: 1.5px solid var(--teal);
  border-radius: 6px;
  padding: 0 14px;
  min-height: var(--touch);
  display: inline-flex;
  gap: 7px;
  align-items: center;
  font-weight: 650;
  text-decoration: none;
  background: var(--sheet);
}

.check-in.router-link-active {
  background: var(--teal-wash);
}

.check-in.count-again,
.check-in.light-only {
  border-color: var(--ochre);
  color: var(--ochre-deep);
}

.check-in.not-today {
  border-color: var(--wine);
  color: var(--wine);
}

.watch {
  width: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.watch li {
  border: 1.5px solid var(--ochre);
  background: var(--ochre-wash);
  border-radius: 6px;
  padding: 4px 10px;
  font-weight: 650;
  font-size: 0.9rem;
}

.archived {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: center;
  justify-content: space-between;
  border-left: 4px solid var(--ochre);
}

.path {
  /* What only a screen reader reads is laid out absolutely: it has to be clipped here as well. */
  position: relative;
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  overflow: hidden;
}

.path a {
  display: grid;
  gap: 1px;
  padding: 9px 14px;
  min-height: 58px;
  color: var(--ink);
  text-decoration: none;
  border-left: 1px solid var(--line);
}

.path a:first-child {
  border-left: 0;
}

.path a:hover {
  background: var(--ground-2);
}

.path a:focus-visible {
  outline-offset: -3px;
}

.detail {
  font-size: 0.82rem;
  color: var(--ink-quiet);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.step {
  font-weight: 700;
}

.due .mark {
  color: var(--teal-deep);
}

.later .mark,
.later .detail {
  color: var(--ink-quiet);
}

.blocked .mark,
.blocked .detail {
  color: var(--wine);
}

.path a.here {
  background: var(--ink);
  color: var(--paper);
}

.path a.here .detail,
.path a.here .mark {
  color: oklch(86% 0.02 85);
}

@media (max-width: 640px) {
  .path {
    display: flex;
    overflow-x: auto;
  }

  .path a {
    flex: 1 0 auto;
    padding: 8px 11px;
  }
}
</style>
