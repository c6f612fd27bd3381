<script setup lang="ts">
import { computed } from 'vue'
import SheetFrame from '../sheet/SheetFrame.vue'
import { useSheet } from '../sheet/useSheet'
import ChoiceField from '../shared/ChoiceField.vue'
import { theStudio } from '../shared/studio'
import { FAMILIES, options, PAPERS } from '../shared/words'
import { useAddress } from './calculators'

/** The five voice levels for the wall. */
const form = useAddress({}, { paper: 'a3', scale: '' })
const scale = computed({
  get: () => form.scale || (theStudio.value?.rpeFamily ?? 'ratio'),
  set: (chosen) => (form.scale = chosen),
})
const request = computed(() => ({ paper: form.paper, rpeFamily: form.scale || null }))
const sheet = useSheet('poster', () => request.value)
const { page, behind, making, messages, general } = sheet
const SCALES = Object.entries(FAMILIES).map(([value, { name, meaning }]) => ({
  value,
  name: `${name}: ${meaning}`,
}))
</script>

<template>
  <div class="form-and-sheet">
    <form class="sheet stack" novalidate aria-label="The poster" @submit.prevent>
      <p>
        What the voice can still do at each level, with both RPE scales. Hang it where everyone can
        see it while they train.
      </p>
      <ChoiceField
        v-model="form.paper"
        label="Paper"
        :options="options(PAPERS)"
        :message="messages.paper"
      />
      <ChoiceField
        v-model="scale"
        label="0–10 scale"
        :options="SCALES"
        :message="messages.rpeFamily"
      />
      <p v-if="general" class="fault" role="alert">{{ general }}</p>
    </form>
    <SheetFrame
      :page="page"
      title="Poster of the voice levels"
      :behind="behind"
      :making="making"
      @pdf="sheet.pdf()"
      >As it is printed.</SheetFrame
    >
  </div>
</template>
