import { onBeforeUnmount, onMounted, watch } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate } from 'vue-router'
import { offerUndo } from './undo'

const KEPT = 'korvel.draft.'

/** What was typed is for a reload of the page; who comes by an address begins afresh. */
export function forgetDraftsUnlessReloaded() {
  const [how] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[]
  if (how?.type !== 'navigate') return
  for (const key of Object.keys(sessionStorage)) {
    if (key.startsWith(KEPT)) sessionStorage.removeItem(key)
  }
}

const WARNING = 'What you typed here is not saved yet. Leave anyway?'

/** What is typed in a long form: kept over a reload of the page, and warned of before it is left. */
export interface KeptDraft {
  /** Once the form is filled from the record: what was typed before a reload is laid over it. */
  begin: () => void
  /** What stands in the form is saved, or was never typed. */
  done: () => void
}

/**
 * @param name of the form, the same after a reload and another one for every record and version
 * @param read all that is typed
 * @param write lays it out again
 * @param saving whether the page is being left because it is saved
 */
export function useDraft<T>(
  name: () => string,
  read: () => T,
  write: (kept: T) => void,
  saving: () => boolean = () => false,
): KeptDraft {
  const text = () => JSON.stringify(read())
  let filled: string | null = null
  let key = ''
  const typed = () => filled !== null && text() !== filled
  const forget = () => sessionStorage.removeItem(key)

  watch(text, () => {
    if (typed()) sessionStorage.setItem(key, text())
    else forget()
  })
  function onUnload(event: BeforeUnloadEvent) {
    if (typed()) event.preventDefault()
  }
  onMounted(() => addEventListener('beforeunload', onUnload))
  // A reload does not come by here: what is given up or saved does.
  onBeforeUnmount(() => {
    removeEventListener('beforeunload', onUnload)
    forget()
  })
  const mayLeave = () => saving() || !typed() || confirm(WARNING)
  onBeforeRouteLeave(mayLeave)
  onBeforeRouteUpdate((to, from) => to.path === from.path || mayLeave())

  function done() {
    forget()
    key = KEPT + name()
    filled = text()
  }
  return {
    begin() {
      key = KEPT + name()
      const kept = sessionStorage.getItem(key)
      const before = text()
      filled = before
      if (kept === null || kept === before) return
      write(JSON.parse(kept) as T)
      offerUndo('What you typed before is restored, but not saved yet.', async () =>
        write(JSON.parse(before) as T),
      )
    },
    done,
  }
}
