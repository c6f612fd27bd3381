import { ref, watch } from 'vue'

/** Whether single keys act; kept on this machine. Someone who dictates may want them off. */
const KEPT = 'korvel.single-keys'
export const singleKeys = ref(localStorage.getItem(KEPT) !== 'off')
watch(singleKeys, (on) => localStorage.setItem(KEPT, on ? 'on' : 'off'))

/** Whether a key press is meant for a field or for the page as it stands. */
export function meantForField(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (/^(TEXTAREA|SELECT)$/.test(target.tagName) ||
      target.isContentEditable ||
      (target instanceof HTMLInputElement && !/^(checkbox|radio|button)$/.test(target.type)))
  )
}

/** Opens the step before or after the present one, where a page has steps. */
export function goAlong(by: -1 | 1) {
  const steps = [...document.querySelectorAll<HTMLElement>('[data-steps] a')]
  const here = steps.findIndex((step) => step.classList.contains('here'))
  steps[here + by]?.click()
}
