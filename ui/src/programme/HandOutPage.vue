<script setup lang="ts">
import { regional } from '../shared/units'
import { computed, ref } from 'vue'
import { overview } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import { useAnswer } from '../shared/answer'
import { useTitle } from '../shared/title'
import { options, PAPERS } from '../shared/words'
import SheetFrame from '../sheet/SheetFrame.vue'
import { useSheet } from '../sheet/useSheet'

/** What the client takes home for the next four weeks. */
const props = defineProps<{ id: string }>()
const whose = useAnswer(overview)
void whose.load(props.id)
useTitle(() => whose.data.value?.client.name)
const paper = ref(regional.value.paper)
const request = computed(() => ({ clientId: props.id, paper: paper.value }))
const { page, behind, making, refused, general, messages, pdf } = useSheet(
  'hand-out',
  () => request.value,
)
</script>

<template>
  <div class="stack">
    <header>
      <h1>
        Hand-out<template v-if="whose.data.value"> of {{ whose.data.value.client.name }}</template>
      </h1>
      <p><RouterLink :to="`/clients/${id}/sessions`">Back to the sessions</RouterLink></p>
    </header>
    <section v-if="refused.length" class="sheet stack refused">
      <h2>No hand-out today</h2>
      <Findings :findings="refused" />
      <p>
        <RouterLink :to="`/clients/${id}/sessions`">To the sessions</RouterLink> ·
        <RouterLink :to="`/clients/${id}/screening`">To the screening</RouterLink>
      </p>
    </section>
    <div v-else class="form-and-sheet">
      <form class="sheet stack" novalidate aria-label="Hand-out layout" @submit.prevent>
        <p>
          The next four weeks: what to aim at and how to check it, when to stop, what to carry, and
          a log to fill in by hand.
        </p>
        <ChoiceField
          v-model="paper"
          label="Paper"
          :options="options(PAPERS, ['a4', 'letter'])"
          :message="messages.paper"
        />
        <p v-if="general" class="fault" role="alert">{{ general }}</p>
      </form>
      <SheetFrame title="Hand-out" :page="page" :behind="behind" :making="making" @pdf="pdf()"
        >The next four weeks, as they are printed.</SheetFrame
      >
    </div>
  </div>
</template>

<style scoped>
header {
  display: flex;
  gap: 16px;
  align-items: baseline;
  flex-wrap: wrap;
}
</style>
