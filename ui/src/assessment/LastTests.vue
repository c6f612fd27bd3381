<script setup lang="ts">
import { computed, watch } from 'vue'
import { testStart } from '../api/korvel'
import { useAnswer } from '../shared/answer'
import { day } from '../shared/words'
import RetestTable from './RetestTable.vue'

/** The last test of each kind, beside the same one before. */
const props = defineProps<{ client: string }>()
const { data, load } = useAnswer(testStart)
watch(
  () => props.client,
  (id) => load(id),
  { immediate: true },
)
const last = computed(() => {
  const done = data.value?.tests.filter(({ open, figures }) => !open && figures.length) ?? []
  return done.filter(({ kind }, at) => done.findIndex((each) => each.kind === kind) === at)
})
</script>

<template>
  <section v-if="last.length" class="sheet stack" aria-labelledby="last-tests">
    <h2 id="last-tests">Tests</h2>
    <article v-for="each in last" :key="each.id">
      <p>
        <RouterLink :to="`/floor/tests/${each.id}`">{{ each.name }}</RouterLink>,
        {{ day(each.openedAt) }}
        <span class="quiet">{{ each.setup }}</span>
      </p>
      <p class="num">{{ each.figures.join(' · ') }}</p>
      <RetestTable :test="each.id" />
    </article>
  </section>
</template>
