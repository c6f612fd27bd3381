import { reactive, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** The calculators, in the order of the job. */
export const TOOLS = [
  { id: 'pulse', name: 'Pulse' },
  { id: 'maximum', name: 'Maximum' },
  { id: 'target', name: 'Target' },
  { id: 'bands', name: 'Zones' },
  { id: 'schools', name: 'Zone systems' },
  { id: 'forecast', name: 'Session ahead' },
  { id: 'counts', name: 'Count card' },
  { id: 'chart', name: 'Class chart' },
  { id: 'poster', name: 'Poster' },
] as const

/**
 * A calculator's form, kept in the address of the page: what is typed stands there at once, and an
 * address that is opened fills the form.
 *
 * @param figures an example to open with where the address says nothing at all; where it says
 *     something, a figure it leaves out is empty
 * @param settings what is taken for a setting the address leaves out
 */
export function useAddress<F extends Record<string, string>, S extends Record<string, string>>(
  figures: F,
  settings: S,
): F & S {
  const route = useRoute()
  const router = useRouter()
  const path = route.path
  const form = reactive<Record<string, string>>({})

  function read() {
    const said = Object.keys({ ...figures, ...settings }).some((key) => key in route.query)
    const absent = said ? Object.fromEntries(Object.keys(figures).map((key) => [key, ''])) : figures
    for (const [key, otherwise] of Object.entries({ ...absent, ...settings })) {
      const value = route.query[key]
      form[key] = typeof value === 'string' ? value : otherwise
    }
  }
  read()

  /** What the form wrote into the address and has not seen there yet. */
  let writing = 0
  watch(
    () => route.query,
    () => {
      // What is being typed is newer than any address it has written so far.
      if (route.path === path && !writing && Object.keys(route.query).length) read()
    },
    { flush: 'sync' },
  )
  watch(
    () => ({ ...form }),
    async (now) => {
      if (route.path !== path) return
      writing++
      await router.replace({ query: now })
      writing--
    },
  )
  return form as F & S
}
