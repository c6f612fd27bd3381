import { watch } from 'vue'
import { useRoute } from 'vue-router'

/** The title of the tab: what the page is for, and whose it is as soon as that is known. */
export const titleOf = (page: unknown, whose?: string | null) =>
  [page ?? 'Client', whose, 'Korvel'].filter(Boolean).join(' · ')

/** Puts a name into the title of the tab. */
export function useTitle(whose: () => string | null | undefined) {
  const route = useRoute()
  watch([whose, () => route.meta.title], ([name, page]) => (document.title = titleOf(page, name)), {
    immediate: true,
    flush: 'post',
  })
}
