<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, reactive, ref, watch } from 'vue'
import { asProblem } from '../api/http'
import type { ClientDetails, ClientView, Typed } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import TextField from '../shared/TextField.vue'
import { useDraft } from '../shared/draft'
import { useFieldMessages } from '../shared/fields'
import { options, SEXES } from '../shared/words'
import { editable, type EditableDetails } from './details'
import VersionConflict from './VersionConflict.vue'

/** Who a client is: for adding and for changing. */
const props = defineProps<{
  client?: ClientView
  /** Saves over the version that was read; for a new client that is 0. */
  save: (details: Typed<ClientDetails>, version: number) => Promise<void>
  label: string
}>()
const emit = defineEmits<{ reread: [] }>()

const before = editable(props.client)
const details = reactive(editable(props.client))

const { messages, general, clear, show } = useFieldMessages()
// A field that is being mended loses its message.
watch(
  () => ({ ...details }),
  (now, before) => {
    for (const key of Object.keys(now) as (keyof typeof now)[]) {
      if (now[key] !== before[key]) delete messages.value[key]
    }
  },
)
const saving = ref(false)
const draft = useDraft(
  () => `details ${props.client?.id ?? 'new'} ${props.client?.version ?? 0}`,
  () => ({ ...details }),
  (kept) => Object.assign(details, kept),
  () => saving.value,
)
draft.begin()
const theirs = ref<ClientView | null>(null)

const nameField = ref<InstanceType<typeof TextField> | null>(null)
// Somebody new is typed in at once.
onMounted(() => props.client || nameField.value?.focus())

async function submit(version = props.client?.version ?? 0) {
  if (saving.value) return
  saving.value = true
  clear()
  try {
    await props.save({ ...details, birthDate: details.birthDate || null }, version)
    theirs.value = null
    draft.done()
  } catch (thrown) {
    const problem = asProblem(thrown)
    theirs.value = problem.current as ClientView | null
    show(problem)
    requestAnimationFrame(() =>
      document.querySelector<HTMLElement>('form [aria-invalid="true"]')?.focus(),
    )
  } finally {
    saving.value = false
  }
}

function resolve(picked: EditableDetails, version: number) {
  Object.assign(details, picked)
  void submit(version)
}
</script>

<template>
  <form class="form" novalidate @submit.prevent="submit()">
    <div class="two">
      <TextField
        ref="nameField"
        v-model="details.name"
        label="Name"
        name="name"
        :message="messages.name"
      />
      <TextField
        v-model="details.birthDate"
        label="Birth date"
        name="birthDate"
        type="date"
        :message="messages.birthDate"
      />
    </div>
    <TextField
      v-model="details.note"
      label="Note"
      name="note"
      hint="Work, habits, what to remember. May stay empty."
      :message="messages.note"
    />
    <ChoiceField
      v-model="details.sex"
      label="Sex"
      :options="options(SEXES)"
      hint="Used only where an equation needs it."
      :message="messages.sex"
    />
    <VersionConflict
      v-if="theirs"
      :mine="details"
      :theirs="theirs"
      :before="before"
      @resolved="resolve"
      @theirs="emit('reread')"
    />
    <p v-else-if="general" class="general" role="alert">{{ general }}</p>

    <div v-if="!theirs" class="ways">
      <Button type="submit" :label="label" :loading="saving" />
      <slot />
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 18px;
  max-width: 720px;
}

.two {
  display: grid;
  grid-template-columns: 1fr 220px;
  gap: 18px;
}

.general {
  color: var(--wine);
  font-weight: 600;
}

.ways {
  display: flex;
  gap: 16px;
  align-items: center;
}

@media (max-width: 640px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
