<script setup lang="ts">
import { regional } from '../shared/units'
import Button from 'primevue/button'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { cardsOf, clientNames } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import PeoplePicker from '../shared/PeoplePicker.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer, useAnswerTo } from '../shared/answer'
import { day } from '../shared/words'
import CardLook from './CardLook.vue'
import SheetFrame from './SheetFrame.vue'
import { useCardsRequest, useLook } from './cardLook'
import { useSheet } from './useSheet'
import { useShortcuts } from '../shared/shortcuts'

/** Everyone's latest card on as few sheets as hold them, to cut out before the class. */
const route = useRoute()
const router = useRouter()
const everyone = useAnswer(clientNames)
onMounted(() => everyone.load())
const people = computed(() => everyone.data.value?.clients ?? [])

const chosen = ref<string[]>([route.query.client ?? []].flat().map(String))
watch(chosen, () => void router.replace({ query: { ...route.query, client: chosen.value } }))

const look = useLook(regional.value.paper)
const request = useCardsRequest(look, chosen, null)
/** Who has a card comes first, then the sheet; there is none where no card would lie on it. */
const cards = useAnswerTo(
  () => (request.value.clients.length ? request.value : null),
  async (asked) => ({ asked, ...(await cardsOf(asked)) }),
  { stands: false },
)
const found = cards.answer
const sheet = useSheet('cards', () => (found.value?.cards.length ? found.value.asked : null))
const { page, behind, making } = sheet
const messages = computed(() => ({ ...sheet.messages.value, ...cards.messages.value }))
const general = computed(() => cards.general.value || sheet.general.value)

const late = computed(() => found.value?.cards.filter((each) => each.renewDue) ?? [])
const held = computed(() => found.value?.cards.filter((each) => each.ratesSuspended.length) ?? [])
const many = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`

useShortcuts({
  list: [['Enter', 'in the search: tick the one found, or untick them']],
})
</script>

<template>
  <div class="stack">
    <header>
      <h1>Cards for a class</h1>
      <p class="quiet">Tick who is coming; print, cut along the marks, hand out.</p>
    </header>
    <ProblemNote
      v-if="everyone.problem.value"
      :problem="everyone.problem.value"
      @retry="everyone.load()"
    />
    <section v-else-if="everyone.data.value && people.length === 0" class="sheet stack first">
      <h2>Nobody to make a card for yet</h2>
      <p>A card says what was prescribed. Add a client, then make their prescription.</p>
      <Button label="Add the first client" @click="router.push('/clients/new')" />
    </section>
    <div v-else-if="everyone.data.value" class="columns">
      <div class="stack">
        <section class="sheet stack" aria-labelledby="who-title">
          <h2 id="who-title">Attending</h2>
          <PeoplePicker v-model="chosen" :people="people" />
          <p v-if="messages.clients" class="fault" role="alert">{{ messages.clients }}</p>
        </section>
        <section v-if="found?.leftOut.length" class="sheet stack left" aria-labelledby="left-title">
          <h2 id="left-title">No card today: {{ found.leftOut.length }}</h2>
          <ul class="stack">
            <li v-for="each in found.leftOut" :key="each.clientId">
              <RouterLink :to="`/clients/${each.clientId}/prescription`">{{
                each.name
              }}</RouterLink>
              <Findings :findings="each.findings" />
            </li>
          </ul>
        </section>
        <section v-if="late.length || held.length" class="sheet stack" aria-labelledby="look-title">
          <h2 id="look-title">Check before you print</h2>
          <ul>
            <li v-for="each in held" :key="`held-${each.clientId}`">
              <RouterLink :to="`/clients/${each.clientId}/prescription`">{{
                each.name
              }}</RouterLink>: {{ each.ratesSuspended[0]!.message }}
            </li>
            <li v-for="each in late" :key="each.clientId">
              <RouterLink :to="`/clients/${each.clientId}/prescription`">{{
                each.name
              }}</RouterLink>: was due for review by {{ day(each.renewOn) }};
              {{ each.renewBecause }}.
            </li>
          </ul>
        </section>
      </div>
      <div class="stack">
        <form class="sheet look" novalidate aria-label="Card layout" @submit.prevent>
          <CardLook v-model="look" :messages="messages" counts />
          <p v-if="general" class="fault" role="alert">{{ general }}</p>
        </form>
        <SheetFrame
          :page="page"
          title="Sheet of cards"
          :behind="behind"
          :making="making"
          @pdf="sheet.pdf()"
        >
          <template v-if="found">
            {{ many(found.cards.length, 'card', 'cards') }} on
            {{ many(found.pages, 'sheet', 'sheets') }}.
          </template>
          <template #nothing>{{
            Object.keys(messages).length
              ? 'Correct the highlighted field, and the cards appear here.'
              : found && !found.cards.length
                ? 'None of them has a card today.'
                : chosen.length
                  ? 'Loading…'
                  : 'Tick who is coming and their cards appear here.'
          }}</template>
        </SheetFrame>
      </div>
    </div>
    <p v-else class="quiet" role="status">Loading…</p>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1fr) minmax(0, 1.15fr);
}

.look {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 26px;
}

.left {
  border-left: 4px solid var(--fault);
}

.first {
  justify-items: start;
  max-width: 560px;
}
</style>
