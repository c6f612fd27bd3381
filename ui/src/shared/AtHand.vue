<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'

/** What a long form ends with. On a phone it stays at hand, above the bar of places. */
const phone = useMediaQuery('(max-width: 640px)')
</script>

<template>
  <Teleport to="#at-hand" :disabled="!phone" defer>
    <div class="ways at-hand">
      <slot :phone="phone" />
    </div>
  </Teleport>
</template>
