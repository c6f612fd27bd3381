import { ref } from 'vue'
import { studio, type Studio } from '../api/korvel'

/** What every page needs to know, asked for once. */
export const theStudio = ref<Studio | null>(null)

export async function loadStudio() {
  theStudio.value = await studio().catch(() => null)
}
