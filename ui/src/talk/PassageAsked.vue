<script setup lang="ts">
import Button from 'primevue/button'
import { nextTick, onMounted, ref } from 'vue'
import { useShortcuts } from '../shared/shortcuts'
import PassageText from './PassageText.vue'
import { usePassages } from './passages'

/**
 * A talk check while somebody moves: the passage is begun, said aloud, and answered. The rate is
 * taken from before it was begun, since saying it costs some beats.
 */
const props = defineProps<{
  name: string
  /** The time of the session, in which what happens in it is told. */
  now: number
}>()
const emit = defineEmits<{ voice: [voice: number, from: string]; close: [] }>()
const { all } = usePassages()
const moment = () => new Date(Math.floor(props.now)).toISOString()
const begun = ref(moment())
const again = () => (begun.value = moment())
const answer = (voice: number) => emit('voice', voice, begun.value)
const box = ref<HTMLElement | null>(null)
onMounted(() => nextTick(() => box.value?.focus()))
useShortcuts({
  list: [
    ['1 … 5', 'talk check: what the voice could do'],
    ['Esc', 'talk check: close without an answer'],
  ],
  act: (key) => {
    if (key === 'Escape') return () => emit('close')
    return /^[1-5]$/.test(key) ? () => answer(Number(key)) : undefined
  },
})
</script>

<template>
  <section ref="box" class="passage" tabindex="-1" aria-labelledby="passage-title">
    <header>
      <h2 id="passage-title">Talk check, {{ name }}</h2>
      <p class="quiet">Keep the pace. Say this aloud, then answer.</p>
      <span class="ways">
        <Button label="Begin again" text @click="again" />
        <Button label="Close" outlined @click="emit('close')" />
      </span>
    </header>
    <PassageText large>
      <ol aria-label="What could the voice do?">
        <li v-for="{ voice, name: word, words } in all?.voices" :key="voice">
          <button type="button" @click="answer(voice)">
            <kbd aria-hidden="true">{{ voice }}</kbd>
            <b>{{ word }}</b>
            <span>{{ words }}</span>
          </button>
        </li>
      </ol>
    </PassageText>
  </section>
</template>

<style scoped>
.passage {
  display: grid;
  gap: 14px;
  padding: 16px 20px;
  border: 2px solid var(--teal);
  border-radius: var(--radius);
  background: var(--sheet);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}

header p {
  flex: 1 1 200px;
}

ol {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px;
}

li button {
  width: 100%;
  min-height: 72px;
  padding: 8px 12px;
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: var(--paper);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 8px;
  align-content: center;
}

li button span {
  grid-column: 1 / -1;
  line-height: 1.2;
}

li button:hover {
  border-color: var(--teal);
}

@media (max-width: 600px) {
  ol {
    grid-template-columns: minmax(0, 1fr);
  }

  li button {
    min-height: 56px;
  }
}
</style>
