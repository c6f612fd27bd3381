import { reactive, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { asProblem, type Finding } from '../api/http'
import { useFieldMessages } from '../shared/fields'

/** The calculators of the desk, in the order of the job. */
export const TOOLS = [
  { id: 'pulse', name: 'Pulse' },
  { id: 'maximum', name: 'Maximum' },
  { id: 'target', name: 'Target' },
  { id: 'bands', name: 'Bands' },
  { id: 'schools', name: 'Schools' },
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

/** A sum that follows its form: the latest answer wins; while something is wrong the last stands. */
export function useSum<R, A>(request: () => R, fetch: (request: R) => Promise<A>) {
  const answer = shallowRef<A | null>(null)
  const behind = ref(false)
  const refused = ref<Finding[]>([])
  const { messages, general, clear, show } = useFieldMessages()
  let latest = 0
  watch(
    request,
    async (asked) => {
      const mine = ++latest
      try {
        const got = await fetch(asked)
        if (mine !== latest) return
        answer.value = got
        behind.value = false
        refused.value = []
        clear()
      } catch (thrown) {
        if (mine !== latest) return
        const problem = asProblem(thrown)
        behind.value = true
        refused.value = problem.findings
        if (problem.findings.length) answer.value = null
        show(problem)
      }
    },
    { immediate: true, deep: true },
  )
  return { answer, behind, refused, messages, general }
}
