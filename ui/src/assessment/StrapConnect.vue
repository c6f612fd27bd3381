<script setup lang="ts">
import Button from 'primevue/button'
import { canReachStraps, WITHOUT_BLUETOOTH, type StrapConnection } from '../live/useStrap'

/** The strap of a test: connected, or what to do. Rates can be typed all the same. */
defineProps<{ strap: StrapConnection }>()
</script>

<template>
  <section v-if="strap.state.value !== 'on'" class="connect" aria-label="Strap">
    <Button
      :label="strap.state.value === 'lost' ? 'Connect again' : 'Connect a strap'"
      :loading="strap.state.value === 'connecting'"
      :disabled="!canReachStraps()"
      @click="strap.connect()"
    />
    <p role="status">
      {{ strap.trouble.value || (canReachStraps() ? '' : WITHOUT_BLUETOOTH) }}
      Until then enter what is counted or read off.
    </p>
  </section>
</template>

<style scoped>
.connect {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}
</style>
