import { useEventListener } from '@vueuse/core'
import { computed, onScopeDispose, shallowReactive } from 'vue'
import { meantForField, singleKeys } from './keys'

type Act = (event: KeyboardEvent) => unknown

/** Keys of one part of the screen, for as long as it is there. */
export interface Shortcuts {
  /** What stands in the list of keys: the keys as they are read, and what they do. */
  list: [keys: string, does: string][]
  /** What is done, by the key's name ("m", "Escape", "Ctrl+z"); nothing where the part itself hears. */
  act?: Record<string, Act> | ((key: string) => Act | undefined)
  /** Whether they act while something is typed too. */
  inFields?: boolean
}

const present = shallowReactive<Shortcuts[]>([])

/** The innermost part first: what is opened on a page comes before the page, and that before all. */
const innermostFirst = computed(() => [...present].reverse())

/** Every key of the present screen, each once. */
export const keysHere = computed(() => [
  ...new Map(
    innermostFirst.value.flatMap(({ list }) => list).map((row) => [row.join(), row]),
  ).values(),
])

/** Adds keys to the screen and to the list of keys, until the part that has them is gone. */
export function useShortcuts(shortcuts: Shortcuts) {
  present.push(shortcuts)
  onScopeDispose(() => present.splice(present.indexOf(shortcuts), 1))
}

/** Opens the step before or after the present one. */
function goAlong(by: -1 | 1) {
  const steps = [...document.querySelectorAll<HTMLElement>('[data-steps] a')]
  const here = steps.findIndex((step) => step.classList.contains('here'))
  steps[here + by]?.click()
}

/** The keys of a page with steps. */
export const useSteps = () =>
  useShortcuts({
    list: [['[ ]', 'the step before, the step after']],
    act: { '[': () => goAlong(-1), ']': () => goAlong(1) },
  })

const CHARACTER = /^[^ ]$/
const OWN_USE_OF_SPACE_AND_ENTER = 'button, a, summary, label, [role="slider"], [role="option"]'

function actOf(event: KeyboardEvent): Act | undefined {
  const { key, target } = event
  if (event.altKey || event.defaultPrevented || document.querySelector('[role="dialog"]')) return
  const held = event.ctrlKey || event.metaKey
  if (!held && CHARACTER.test(key) && key !== '?' && !singleKeys.value) return
  if ((key === ' ' || key === 'Enter') && (target as Element).closest(OWN_USE_OF_SPACE_AND_ENTER)) {
    return
  }
  const name = held ? `Ctrl+${key.toLowerCase()}` : key
  const inField = meantForField(target)
  for (const { act, inFields } of innermostFirst.value) {
    const found =
      inField && !inFields ? undefined : typeof act === 'function' ? act(name) : act?.[name]
    if (found) return found
  }
}

/** Hears the keys; once for the whole application. */
export function hearShortcuts() {
  useEventListener(window, 'keydown', (event) => {
    const act = actOf(event)
    if (!act) return
    event.preventDefault()
    void act(event)
  })
}
