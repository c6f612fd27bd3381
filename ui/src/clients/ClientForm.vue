<script setup lang="ts">
import Button from 'primevue/button'
import { onMounted, reactive, ref, watch } from 'vue'
import type { ClientDetails, ClientView, Typed } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import TextField from '../shared/TextField.vue'
import { useDraft, type KeptDraft } from '../shared/draft'
import { useFieldMessages } from '../shared/fields'
import { options, SEXES } from '../shared/words'
import { editable, type EditableDetails } from './details'
import VersionConflict from './VersionConflict.vue'
import { useShortcuts } from '../shared/shortcuts'
import { toFirstFault, useSave } from '../shared/save'

/** Who a client is: for adding and for changing. */
const props = defineProps<{
  client?: ClientView
  /** Saves over the version that was read; for a new client that is 0. */
  write: (details: Typed<ClientDetails>, version: number) => Promise<void>
  label: string
}>()
const emit = defineEmits<{ reread: [] }>()

const before = editable(props.client)
const details = reactive(editable(props.client))

const form = useFieldMessages()
const { messages, general } = form
// A field that is being mended loses its message.
watch(
  () => ({ ...details }),
  (now, before) => {
    for (const key of Object.keys(now) as (keyof typeof now)[]) {
      if (now[key] !== before[key]) delete messages.value[key]
    }
  },
)
const draft: KeptDraft = useDraft(
  () => `details ${props.client?.id ?? 'new'} ${props.client?.version ?? 0}`,
  () => ({ ...details }),
  (kept) => Object.assign(details, kept),
  () => saving.value,
)
draft.begin()

const nameField = ref<InstanceType<typeof TextField> | null>(null)
// Somebody new is typed in at once.
onMounted(() => props.client || nameField.value?.focus())

const { save, saving, theirs } = useSave<[version: number], void, ClientView>(
  (version) => props.write({ ...details, birthDate: details.birthDate || null }, version),
  { form, saved: () => draft.done(), wrong: toFirstFault },
)

function resolve(picked: EditableDetails, version: number) {
  Object.assign(details, picked)
  void save(version)
}

useShortcuts({
  list: [['Enter', 'in a field: save the details']],
})
</script>

<template>
  <form class="form" novalidate @submit.prevent="save(client?.version ?? 0)">
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
      hint="Work, habits, what to remember. Optional."
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
  color: var(--fault);
  font-weight: 600;
}

@media (max-width: 640px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
