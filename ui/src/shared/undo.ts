import { ref, shallowRef } from 'vue'
import { asProblem } from '../api/http'

/** What was just done, and how to take it back: offered until it is used, closed or replaced. */
export interface UndoOffer {
  text: string
  undo: () => Promise<void>
}

export const undoOffer = shallowRef<UndoOffer | null>(null)

/** Counts what has been taken back: whoever shows records reads them anew. */
export const undone = ref(0)

export function offerUndo(text: string, undo: () => Promise<void>) {
  undoOffer.value = { text, undo }
}

/** Takes the last thing back; says in its place if that is no longer possible. */
export async function undoLast() {
  const offer = undoOffer.value
  if (!offer) return
  undoOffer.value = null
  try {
    await offer.undo()
    undone.value++
  } catch (thrown) {
    undoOffer.value = { ...offer, text: `Not undone. ${asProblem(thrown).message}` }
  }
}
