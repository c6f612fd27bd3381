import { nextTick, ref, shallowRef } from 'vue'
import type { Router } from 'vue-router'
import { asProblem } from '../api/http'

/**
 * What was just done on a page, and how to take it back: offered until it is used, closed or
 * replaced. Without a way to take it back it only says what has become of it.
 */
export interface UndoOffer {
  text: string
  undo: (() => Promise<void>) | null
  page: string
}

export const undoOffer = shallowRef<UndoOffer | null>(null)

let router: Router
const here = () => router.currentRoute.value

/** Every offer belongs to the page it was made on; what was said of one is over with its page. */
export function keepUndoToPages(pages: Router) {
  router = pages
  router.afterEach((to) => {
    const offer = undoOffer.value
    if (offer && !offer.undo && offer.page !== to.fullPath) undoOffer.value = null
  })
}

/** Counts what has been withdrawn: whoever shows records reads them anew. */
export const undone = ref(0)

/** Called as soon as the server has answered, before the change is shown: `u` is never too early. */
export function offerUndo(text: string, undo: () => Promise<void>) {
  undoOffer.value = { text, undo, page: here().fullPath }
}

export function closeUndo() {
  undoOffer.value = null
}

/** Says what has become of something, with nothing to undo. */
export function say(text: string) {
  undoOffer.value = { text, undo: null, page: here().fullPath }
}

/**
 * Takes the last thing back, on the page where it was done, so that what it does is seen; says what
 * it did, or why it is no longer possible.
 */
export async function undoLast() {
  const offer = undoOffer.value
  if (!offer?.undo) {
    say('There is nothing left to undo.')
    return
  }
  undoOffer.value = null
  if (here().path !== offer.page.split('?')[0]) {
    await router.push(offer.page)
    await nextTick()
  }
  try {
    await offer.undo()
    undone.value++
    say(`Undone: ${offer.text}`)
  } catch (thrown) {
    say(`Not undone: ${offer.text} ${asProblem(thrown).message}`)
  }
}
