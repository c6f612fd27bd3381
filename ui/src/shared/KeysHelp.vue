<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed } from 'vue'
import { useRoute } from 'vue-router'

/** The keys of the present screen. */
const open = defineModel<boolean>({ required: true })
const route = useRoute()

const EVERYWHERE: [string, string][] = [
  ['/', 'find a client'],
  ['?', 'this list'],
  ['Tab', 'next field or button'],
]
const RULER: [string, string][] = [
  ['← →', 'move the cursor by 1 bpm'],
  ['Page ↑ ↓', 'by 10 bpm'],
  ['Home End', 'to rest, to maximum'],
]
const BY_PAGE: Record<string, [string, string][]> = {
  clients: [
    ['↓ ↑', 'from the search to a client and on'],
    ['Enter', 'open the client'],
  ],
  pulse: [
    ['Space or Enter', 'on the clock: start or stop the count'],
    ['0–9 Enter', 'after the count: enter the beats and keep'],
  ],
  bands: RULER,
  prescription: RULER,
}
const keys = computed(() => [...(BY_PAGE[String(route.meta.keys ?? '')] ?? []), ...EVERYWHERE])
</script>

<template>
  <Dialog v-model:visible="open" modal header="Keys on this screen" :style="{ width: '24rem' }">
    <dl>
      <template v-for="[key, what] in keys" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px 16px;
  align-items: center;
}

kbd {
  font-family: var(--mono);
  font-size: 0.86rem;
  border: 1px solid var(--line);
  border-radius: 5px;
  padding: 2px 7px;
  background: var(--ground-2);
}
</style>
