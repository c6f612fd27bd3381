<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { protocols } from '../api/korvel'
import { useAnswer } from '../shared/answer'

/** The protocols of a graded test: those that ship, and the studio's own. */
const { data, load } = useAnswer(protocols)
onMounted(load)
const own = computed(() => data.value?.filter(({ version }) => version !== null) ?? [])
const shipped = computed(() => data.value?.filter(({ version }) => version === null) ?? [])
</script>

<template>
  <section v-if="data" id="protocols" class="sheet stack" aria-labelledby="protocols-title">
    <h2 id="protocols-title">Protocols of a graded test</h2>
    <p class="quiet">Built in: {{ shipped.map(({ name }) => name).join('; ') }}.</p>
    <ul v-if="own.length">
      <li v-for="each in own" :key="each.id">
        <RouterLink :to="`/studio/protocols/${each.id}`">{{ each.name }}</RouterLink>
        <span class="quiet">{{ each.stages.length }} stages</span>
      </li>
    </ul>
    <p><RouterLink to="/studio/protocols/new">A protocol of your own</RouterLink></p>
  </section>
</template>

<style scoped>
li {
  display: flex;
  gap: 16px;
  padding: 6px 0;
}
</style>
