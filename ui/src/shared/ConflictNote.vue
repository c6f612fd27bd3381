<script setup lang="ts">
import Button from 'primevue/button'

/** Somebody else saved meanwhile: what they did, and the two ways on. Nothing is lost by either. */
withDefaults(
  defineProps<{
    title: string
    /** Saves what is here over it, or does it once more. */
    mine?: string
    theirs?: string
  }>(),
  { mine: 'Overwrite with mine', theirs: 'Take theirs' },
)
defineEmits<{ mine: []; theirs: [] }>()
</script>

<template>
  <section class="stack conflict" role="alert">
    <h2>{{ title }}</h2>
    <slot />
    <div class="ways">
      <Button :label="mine" @click="$emit('mine')" />
      <Button :label="theirs" outlined @click="$emit('theirs')" />
    </div>
  </section>
</template>
