import { ref, shallowRef, watch, type Ref } from 'vue'
import { asProblem, type Finding, type Problem } from '../api/http'
import { useFieldMessages, type FieldMessages } from './fields'
import { onNewDay } from './studio'

/** Whether what was asked is still the latest question: answers may come in any order. */
function useLatest() {
  let latest = 0
  return () => {
    const mine = ++latest
    return () => mine === latest
  }
}

/** Something fetched: the latest answer wins, whatever the order in which answers come. */
export interface Answer<T, A extends unknown[]> {
  data: Ref<T | null>
  problem: Ref<Problem | null>
  loading: Ref<boolean>
  /** Whether what came is what is shown now: it may fail, and a later question may have been asked. */
  load: (...args: A) => Promise<boolean>
}

/** What a page shows, fetched when it asks for it, and anew when another day has begun. */
export function useAnswer<T, A extends unknown[]>(fetch: (...args: A) => Promise<T>): Answer<T, A> {
  const data = shallowRef<T | null>(null)
  const problem = shallowRef<Problem | null>(null)
  const loading = ref(false)
  const begin = useLatest()
  let asked: A | null = null
  async function load(...args: A) {
    const isLatest = begin()
    asked = args
    loading.value = true
    try {
      const answer = await fetch(...args)
      if (!isLatest()) return false
      data.value = answer
      problem.value = null
      return true
    } catch (thrown) {
      if (isLatest()) problem.value = asProblem(thrown)
      return false
    } finally {
      if (isLatest()) loading.value = false
    }
  }
  onNewDay(() => asked && void load(...asked))
  return { data, problem, loading, load }
}

/** What comes of a form while it is being filled in. */
export interface AnswerTo<T> extends FieldMessages {
  /** May be replaced by what is known to come next. */
  answer: Ref<T | null>
  /** Whether the answer is that to an earlier question, since this one is at fault. */
  behind: Ref<boolean>
  /** Why there can be no answer. */
  refused: Ref<Finding[]>
  /** Once the latest question is answered. */
  settled: () => Promise<void>
}

/**
 * The answer to a question that changes: asked anew with every change, at once. While the question
 * is at fault its messages are shown, and the last answer stands.
 *
 * @param question null where there is nothing to ask; then there is no answer either
 * @param form where the messages are shown, if a form has its own
 * @param stands whether the last answer stands meanwhile; not where it would be taken for this one's
 * @param pause how long a question waits for the next change, in milliseconds
 */
export function useAnswerTo<Q, T>(
  question: () => Q | null,
  ask: (question: Q) => Promise<T>,
  options: { form?: FieldMessages; stands?: boolean; pause?: () => number } = {},
): AnswerTo<T> {
  const { form = useFieldMessages(), stands = true, pause = () => 0 } = options
  const answer = shallowRef<T | null>(null)
  const behind = ref(false)
  const refused = shallowRef<Finding[]>([])
  const begin = useLatest()
  let settling = Promise.resolve()
  let waiting: ReturnType<typeof setTimeout> | undefined

  function is(now: T | null) {
    answer.value = now
    behind.value = false
    refused.value = []
    form.clear()
  }
  async function look(asked: Q | null) {
    const isLatest = begin()
    if (asked === null) return is(null)
    try {
      const now = await ask(asked)
      if (isLatest()) is(now)
    } catch (thrown) {
      if (!isLatest()) return
      const problem = asProblem(thrown)
      behind.value = true
      refused.value = problem.findings
      if (!stands || problem.findings.length) answer.value = null
      form.show(problem)
    }
  }
  watch(
    question,
    (asked) => {
      clearTimeout(waiting)
      const wait = asked === null ? 0 : pause()
      if (wait) waiting = setTimeout(() => void (settling = look(asked)), wait)
      else settling = look(asked)
    },
    { immediate: true, deep: true },
  )
  return { answer, behind, refused, settled: () => settling, ...form }
}
