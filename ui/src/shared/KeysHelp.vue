<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import Dialog from 'primevue/dialog'
import { singleKeys } from './keys'
import { keysHere } from './shortcuts'

/** The keys of the present screen. */
const open = defineModel<boolean>({ required: true })
</script>

<template>
  <Dialog v-model:visible="open" modal header="Keys on this screen" :style="{ width: '26rem' }">
    <dl>
      <template v-for="[key, what] in keysHere" :key="key + what">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <div class="single">
      <Checkbox v-model="singleKeys" binary input-id="single-keys" />
      <label for="single-keys">Single-key shortcuts (? always works)</label>
    </div>
  </Dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 9px 16px;
  align-items: center;
}

kbd {
  font-family: var(--mono);
  font-size: 0.86rem;
  border: 1px solid var(--line);
  border-radius: 5px;
  padding: 2px 7px;
  background: var(--ground-2);
  white-space: nowrap;
}

.single {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
  margin-top: 14px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
  font-size: 0.92rem;
}

.single label {
  flex: 1;
  padding: 8px 0;
}
</style>
