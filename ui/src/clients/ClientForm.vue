<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import { asProblem, type Problem } from '../api/http'
import { methods, type ClientDetails, type ClientView, type Typed } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import TextField from '../shared/TextField.vue'
import { useFieldMessages } from '../shared/fields'
import { ACTIVITIES, options, SEXES } from '../shared/words'

/** Who a client is and what is known of their health: for adding and for changing. */
const props = defineProps<{
  client?: ClientView
  save: (details: Typed<ClientDetails>) => Promise<void>
  label: string
}>()

const details = reactive({
  name: props.client?.name ?? '',
  note: props.client?.note ?? '',
  birthDate: props.client?.birthDate ?? '',
  sex: props.client?.sex ?? 'not-given',
  activity: props.client?.activity ?? (null as ClientView['activity'] | null),
  heartCondition: props.client?.heartCondition ?? false,
  heartFailure: props.client?.heartFailure ?? false,
  betaBlocker: props.client?.betaBlocker ?? false,
  guardianConsent: props.client?.guardianConsent ?? false,
})

const TICKS = [
  { key: 'heartCondition', name: 'A heart condition, or a cardiac event in the past' },
  { key: 'heartFailure', name: 'Heart failure' },
  { key: 'betaBlocker', name: 'Takes a beta-blocker or another rate-lowering medicine' },
  { key: 'guardianConsent', name: 'Under 18: a parent or guardian has agreed' },
] as const

const definitions = ref<Record<string, string>>({})
onMounted(async () => {
  const known = await methods().catch(() => null)
  definitions.value = Object.fromEntries(
    (known?.activities ?? []).map((row) => [row.activity, row.definition]),
  )
})
const activityHint = computed(() =>
  details.activity
    ? `${ACTIVITIES[details.activity]}: ${definitions.value[details.activity] ?? ''}.`
    : 'What they do now, by definition: pick one to read it.',
)

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
const stale = ref<Problem | null>(null)

async function submit() {
  if (saving.value) return
  saving.value = true
  clear()
  stale.value = null
  try {
    await props.save({ ...details, birthDate: details.birthDate || null })
  } catch (thrown) {
    const problem = asProblem(thrown)
    if (problem.status === 409) stale.value = problem
    show(problem)
    requestAnimationFrame(() =>
      document.querySelector<HTMLElement>('form [aria-invalid="true"]')?.focus(),
    )
  } finally {
    saving.value = false
  }
}
</script>

<template>
  <form class="form" novalidate @submit.prevent="submit">
    <div class="two">
      <TextField v-model="details.name" label="Name" name="name" :message="messages.name" />
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
    <ChoiceField
      v-model="details.activity"
      label="Present activity"
      :options="options(ACTIVITIES)"
      :hint="activityHint"
      :message="messages.activity"
    />
    <fieldset>
      <legend>What is known of their health</legend>
      <div v-for="tick in TICKS" :key="tick.key" class="tick">
        <Checkbox
          v-model="details[tick.key]"
          binary
          :input-id="`tick-${tick.key}`"
          :name="tick.key"
        />
        <label :for="`tick-${tick.key}`">{{ tick.name }}</label>
      </div>
    </fieldset>

    <div v-if="stale?.current" class="stale" role="alert">
      <p>
        <b>Somebody else changed this meanwhile.</b> Theirs: {{ stale.current.name }}, born
        {{ stale.current.birthDate }}, activity {{ stale.current.activity }}, “{{
          stale.current.note
        }}”. What you entered still stands above. Reload the page to keep theirs.
      </p>
    </div>
    <p v-else-if="general" class="general" role="alert">{{ general }}</p>

    <div class="ways">
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

fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
}

legend {
  font-weight: 650;
  font-size: 0.92rem;
  padding: 0;
  margin-bottom: 2px;
}

.tick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--touch);
}

.tick label {
  flex: 1;
  padding: 10px 0;
}

.general,
.stale {
  color: var(--wine);
  font-weight: 600;
}

.stale {
  border-left: 4px solid var(--wine);
  padding-left: 12px;
  font-weight: 400;
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
