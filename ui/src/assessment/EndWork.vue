<script setup lang="ts">
import Button from 'primevue/button'
import { nextTick, onMounted, ref } from 'vue'
import type { TestEvent } from '../api/korvel'

/** Why the work ends; a stop sign has its own button. */
defineProps<{ exhaustion: boolean }>()
const emit = defineEmits<{ end: [reason: NonNullable<TestEvent['reason']>]; cancel: [] }>()
const part = ref<HTMLElement | null>(null)
onMounted(() => nextTick(() => part.value?.querySelector('button')?.focus()))
</script>

<template>
  <section
    ref="part"
    class="sheet ends"
    aria-label="End the work"
    @keydown.esc.stop="emit('cancel')"
  >
    <h2>Why does the work end?</h2>
    <div class="ways">
      <Button
        v-if="exhaustion"
        label="As far as they could go"
        @click="emit('end', 'exhaustion')"
      />
      <Button v-else label="Target reached" @click="emit('end', 'target')" />
      <Button label="They asked" outlined @click="emit('end', 'client')" />
      <Button label="A rule of the test" outlined @click="emit('end', 'rule')" />
      <Button label="Another reason" outlined @click="emit('end', 'leader')" />
      <Button label="Go on" text @click="emit('cancel')" />
    </div>
  </section>
</template>

<style scoped>
.ends {
  display: grid;
  gap: 10px;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
