<script setup lang="ts">
import ChoiceField from '../shared/ChoiceField.vue'
import { CARD_SIZES, countWindows, options } from '../shared/words'
import { CARD_PAPERS, type Look } from './cardLook'

/** How cards are to look: their size, what they are cut from, and the counts on them. */
defineProps<{ messages: Record<string, string>; counts: boolean }>()
const look = defineModel<Look>({ required: true })
</script>

<template>
  <ChoiceField
    v-model="look.size"
    label="Size"
    :options="options(CARD_SIZES)"
    :message="messages.size"
    :hint="look.size === 'wallet' ? 'Two sides next to each other: fold once.' : ''"
  />
  <ChoiceField
    v-model="look.paper"
    label="Paper"
    :options="CARD_PAPERS"
    :message="messages.paper"
    :hint="look.paper === 'own' ? 'A page as large as the card.' : 'With marks to cut along.'"
  />
  <ChoiceField
    v-if="counts"
    v-model="look.windows"
    label="Counts for"
    :options="countWindows([6, 10, 15, 30])"
    multiple
    :message="messages.windows"
  />
</template>
