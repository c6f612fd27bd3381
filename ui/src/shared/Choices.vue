<script setup lang="ts" generic="T">
import { useTemplateRef } from 'vue'
import { useOneStop } from './oneStop'

/** One or several of a few words, all in view: one stop of the Tab key, arrows move within. */
const props = defineProps<{
  options: { value: unknown; name: string }[]
  multiple?: boolean
  /** Whether what was chosen can be pressed away again. */
  clearable?: boolean
}>()
const chosen = defineModel<T>({ required: true })

const several = () => chosen.value as unknown[]
const on = (value: unknown) => (props.multiple ? several().includes(value) : chosen.value === value)

function press(value: unknown) {
  if (props.multiple) {
    const others = several().filter((each) => each !== value)
    chosen.value = (on(value) ? others : [...several(), value]) as T
  } else if (!on(value)) {
    chosen.value = value as T
  } else if (props.clearable) {
    chosen.value = null as T
  }
}

/** As with the browser's own radios and ticks: Enter saves the form once one is chosen. */
function onEnter(event: KeyboardEvent, value: unknown) {
  const form = (event.target as HTMLElement).closest('form')
  if (!form || !(props.multiple || on(value))) return
  event.preventDefault()
  form.requestSubmit()
}

// Of several any may be on, so that moving leaves them; one of a few goes along.
useOneStop(useTemplateRef('group'), 'button', (button) => {
  if (!props.multiple) press(props.options[Number(button.dataset.at)]!.value)
})
</script>

<template>
  <div ref="group" class="choice" :role="multiple ? 'group' : 'radiogroup'">
    <button
      v-for="(option, at) in options"
      :key="String(option.value)"
      type="button"
      :data-at="at"
      :role="multiple ? undefined : 'radio'"
      :aria-pressed="multiple ? on(option.value) : undefined"
      :aria-checked="multiple ? undefined : on(option.value)"
      @click="press(option.value)"
      @keydown.enter="onEnter($event, option.value)"
    >
      <span>{{ option.name }}</span>
    </button>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  flex-wrap: wrap;
  justify-self: start;
  background: var(--ground-2);
  border-radius: var(--radius);
}

button {
  font: inherit;
  font-weight: 500;
  color: var(--ink-quiet);
  background: none;
  border: 0;
  border-radius: 6px;
  padding: 4px;
  min-height: var(--touch);
  cursor: pointer;
}

span {
  display: grid;
  place-items: center;
  min-height: 36px;
  padding: 6px 11px;
  border-radius: 6px;
}

button:hover {
  color: var(--ink);
}

button:is([aria-checked='true'], [aria-pressed='true']) span {
  background: var(--p-primary-color);
  color: var(--p-primary-contrast-color);
}
</style>
