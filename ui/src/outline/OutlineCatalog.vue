<script setup lang="ts">
import Button from 'primevue/button'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import { archiveOutline, outlines, type NamedOutline } from '../api/korvel'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'
import { undone } from '../shared/undo'
import { minutes } from '../shared/words'
import { useSave } from '../shared/save'

/** The studio's library of session outlines: its own, and those that ship. */
const router = useRouter()
const { data, problem, load } = useAnswer(outlines)
watch(undone, () => load(), { immediate: true })
const all = computed(() => [...(data.value?.outlines ?? [])].sort((a, b) => own(b) - own(a)))
const own = (named: NamedOutline) => (named.version === null ? 0 : 1)

const { save: putAway, general: fault } = useSave(
  ({ id, version }: NamedOutline) => archiveOutline(id, version!, true),
  {
    undo: (away, { id, name }) => ({
      said: `${name} is archived.`,
      back: () => archiveOutline(id, away.version!, false),
    }),
    saved: () => load(),
  },
)

/** As tall as it is hard, as long as it lasts: a session in a glance. */
const bars = (named: NamedOutline) =>
  named.outline.blocks.flatMap((block) =>
    Array.from({ length: Math.min(block.times, 12) }, () => block.steps).flat(),
  )
</script>

<template>
  <section class="sheet stack" aria-labelledby="outlines-title">
    <div class="heading">
      <h2 id="outlines-title">Session outlines</h2>
      <Button label="New outline" @click="router.push('/studio/outlines/new')" />
    </div>
    <p class="quiet small">
      In % of reserve, converted to bpm for each client. Programmes use them.
    </p>
    <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <ul class="outlines">
      <li v-for="named in all" :key="named.id">
        <span class="profile" aria-hidden="true">
          <i
            v-for="(step, n) in bars(named)"
            :key="n"
            :style="{
              flexGrow: step.seconds,
              height: `${step.highPercent ?? 14}%`,
              background: step.aim ? `var(--band-${step.aim.level})` : 'var(--line)',
            }"
          />
        </span>
        <span>
          <RouterLink
            :to="
              named.version === null
                ? `/studio/outlines/new?from=${named.id}`
                : `/studio/outlines/${named.id}`
            "
            class="name"
            >{{ named.name }}</RouterLink
          >
          <span class="quiet small">
            <span class="num">{{ minutes(named.outline.workSeconds) }}</span> min of work in
            <span class="num">{{ minutes(named.outline.seconds) }}</span><template
              v-if="named.outline.bandGoal"
              >; <span class="num">{{ named.outline.bandGoal.minutes }}</span> min at
              {{ named.outline.bandGoal.name }}</template
            >. {{ named.note }}</span
          >
        </span>
        <span class="ways">
          <template v-if="named.version !== null">
            <RouterLink
              :to="`/studio/outlines/new?from=${named.id}`"
              :aria-label="`Copy ${named.name}`"
              >Copy</RouterLink
            >
            <button
              type="button"
              class="link"
              :aria-label="`Archive ${named.name}`"
              @click="putAway(named)"
            >
              Archive
            </button>
          </template>
          <span v-else class="quiet small">built in; opens as a copy</span>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.outlines li {
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr) auto;
  gap: 4px 20px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 8px 0;
}

.profile {
  display: flex;
  gap: 1px;
  align-items: flex-end;
  height: 34px;
}

.profile i {
  flex: 1 1 0;
  min-width: 1px;
  border-radius: 1px 1px 0 0;
}

.name {
  font-weight: 650;
  display: block;
}

@media (max-width: 760px) {
  .outlines li {
    grid-template-columns: 84px minmax(0, 1fr);
  }

  .ways {
    grid-column: 2;
  }
}
</style>
