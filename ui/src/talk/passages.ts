import { ref, shallowRef } from 'vue'
import { passages, type Passages } from '../api/korvel'

/** What is said aloud: the same everywhere, so asked for once. */
const all = shallowRef<Passages | null>(null)
const chosen = ref('')

/** The passages, and the one that is used on this device. */
export function usePassages() {
  if (!all.value) {
    void passages().then((answer) => {
      all.value = answer
      chosen.value ||= answer.usual
    })
  }
  return { all, chosen }
}
