import { ref } from 'vue'
import { methods, type Methods } from '../api/korvel'

/** The tables of the rules, asked for once. */
export const theMethods = ref<Methods | null>(null)
let asked: Promise<void> | undefined

export function loadMethods(): Promise<void> {
  asked ??= methods().then(
    (known) => {
      theMethods.value = known
    },
    () => {
      asked = undefined
    },
  )
  return asked
}
