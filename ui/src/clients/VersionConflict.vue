<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import type { ClientView } from '../api/korvel'
import { SEXES } from '../shared/words'
import type { EditableDetails } from './details'

/**
 * Two people changed one client: what differs side by side, and the second picks, part by part. A
 * part that the second did not touch is theirs.
 */
const props = defineProps<{
  mine: EditableDetails
  theirs: ClientView
  /** As it was read, before either changed it. */
  before: EditableDetails
}>()
const emit = defineEmits<{ resolved: [details: EditableDetails, version: number]; theirs: [] }>()

const NAMES: Record<keyof EditableDetails, string> = {
  name: 'Name',
  note: 'Note',
  birthDate: 'Birth date',
  sex: 'Sex',
}
type Key = keyof EditableDetails

function words(key: Key, value: unknown): string {
  if (key === 'sex') return SEXES[value as keyof typeof SEXES] ?? 'not given'
  return String(value ?? '') || 'empty'
}

const differing = computed(() =>
  (Object.keys(NAMES) as Key[]).filter((key) => props.mine[key] !== props.theirs[key]),
)
const pick = reactive<Partial<Record<Key, 'mine' | 'theirs'>>>({})
const touched = (key: Key) => props.mine[key] !== props.before[key]
watch(
  differing,
  (keys) => keys.forEach((key) => (pick[key] ??= touched(key) ? 'mine' : 'theirs')),
  { immediate: true },
)

const section = ref<HTMLElement | null>(null)
onMounted(() => {
  section.value?.scrollIntoView({ block: 'nearest' })
  section.value?.focus({ preventScroll: true })
})

function save() {
  const resolved = { ...props.mine }
  for (const key of differing.value) {
    if (pick[key] === 'theirs') Object.assign(resolved, { [key]: props.theirs[key] })
  }
  emit('resolved', resolved, props.theirs.version)
}
</script>

<template>
  <section
    ref="section"
    class="stack conflict"
    role="alert"
    aria-label="Two versions"
    tabindex="-1"
  >
    <h2>Somebody else changed this meanwhile</h2>
    <p v-if="!differing.length">
      What they saved is the same as what you entered. There is nothing left to save.
    </p>
    <template v-else>
      <p>
        Nothing is lost: your version and theirs are below. Choose, field by field, which to keep.
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col"><span class="visually-hidden">Part</span></th>
            <th scope="col">Yours</th>
            <th scope="col">Theirs, as saved</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="key in differing" :key="key">
            <th scope="row">{{ NAMES[key] }}</th>
            <td v-for="side in ['mine', 'theirs'] as const" :key="side">
              <label :class="{ on: pick[key] === side }">
                <input v-model="pick[key]" type="radio" :name="`pick-${key}`" :value="side" />
                {{ words(key, side === 'mine' ? mine[key] : theirs[key]) }}
              </label>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
    <div class="ways">
      <Button v-if="differing.length" label="Save these choices" @click="save" />
      <Button label="Keep theirs" outlined @click="emit('theirs')" />
    </div>
  </section>
</template>

<style scoped>
table {
  table-layout: fixed;
}

th,
td {
  padding: 4px 10px 4px 0;
  border-top: 1px solid var(--line);
  overflow-wrap: anywhere;
}

thead th {
  border-top: 0;
}

tbody th {
  font-weight: 600;
}

label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
  padding: 4px 8px;
  border-radius: 6px;
  cursor: pointer;
}

label.on {
  background: var(--teal-wash);
}

input {
  width: 18px;
  height: 18px;
  flex: none;
}
</style>
