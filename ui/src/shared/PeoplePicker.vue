<script setup lang="ts">
import { computed, ref } from 'vue'
import TextField from './TextField.vue'

/** Who of many: ticked one by one, or found by typing. */
const props = defineProps<{ people: { id: string; name: string }[] }>()
const chosen = defineModel<string[]>({ required: true })

const search = ref('')
const fold = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
const found = computed(() => {
  const words = fold(search.value).split(/\s+/).filter(Boolean)
  return props.people.filter((each) => words.every((word) => fold(each.name).includes(word)))
})
const isChosen = (id: string) => chosen.value.includes(id)
function toggle(id: string) {
  chosen.value = isChosen(id) ? chosen.value.filter((each) => each !== id) : [...chosen.value, id]
}
/** All that are shown; those whom the search leaves out stay as they are. */
function tickShown(on: boolean) {
  const shown = found.value.map((each) => each.id)
  const others = chosen.value.filter((each) => !shown.includes(each))
  chosen.value = on ? [...others, ...shown] : others
}
const what = computed(() => (search.value.trim() ? `these ${found.value.length}` : 'all'))
function toggleFound() {
  const first = found.value[0]
  if (!search.value.trim() || !first) return
  toggle(first.id)
  search.value = ''
}
</script>

<template>
  <div class="picker">
    <div class="find">
      <TextField
        v-model="search"
        label="Find by name"
        name="search"
        @keydown.enter.prevent="toggleFound"
      />
      <button type="button" class="link" @click="tickShown(true)">Tick {{ what }}</button>
      <button type="button" class="link" @click="tickShown(false)">Untick {{ what }}</button>
    </div>
    <ul>
      <li v-for="(each, at) in found" :key="each.id">
        <button
          type="button"
          role="checkbox"
          :aria-checked="isChosen(each.id)"
          :class="{ here: isChosen(each.id), next: at === 0 && search.trim() !== '' }"
          @click="toggle(each.id)"
        >
          <span class="tick" aria-hidden="true">{{ isChosen(each.id) ? '✓' : '' }}</span>
          {{ each.name }}
        </button>
      </li>
    </ul>
    <p v-if="found.length === 0" class="quiet">No name contains “{{ search }}”.</p>
  </div>
</template>

<style scoped>
.picker {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}

.find {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: end;
}

.find > :first-child {
  flex: 1;
  max-width: 320px;
}

.find .link {
  min-height: var(--touch);
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 6px 12px;
}

li button {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
  min-height: var(--touch);
  padding: 4px 12px;
  font: inherit;
  text-align: left;
  color: var(--ink);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-radius: 6px;
  cursor: pointer;
}

li button.here {
  background: var(--teal-wash);
  border-color: var(--teal);
  font-weight: 650;
}

li button.next {
  box-shadow: 0 0 0 2px var(--ochre);
}

.tick {
  width: 1.1em;
  color: var(--teal-deep);
  font-weight: 800;
}
</style>
