import { ref, shallowRef, type Ref } from 'vue'
import { asProblem, type Problem } from '../api/http'
import { onNewDay } from './studio'

/** Something fetched: the latest answer wins, whatever the order in which answers come. */
export interface Loaded<T, A extends unknown[]> {
  data: Ref<T | null>
  problem: Ref<Problem | null>
  loading: Ref<boolean>
  load: (...args: A) => Promise<void>
}

export function useLoad<T, A extends unknown[]>(fetch: (...args: A) => Promise<T>): Loaded<T, A> {
  const data = shallowRef<T | null>(null) as Ref<T | null>
  const problem = shallowRef<Problem | null>(null)
  const loading = ref(false)
  let latest = 0
  let asked: A | null = null
  async function load(...args: A) {
    const mine = ++latest
    asked = args
    loading.value = true
    try {
      const answer = await fetch(...args)
      if (mine === latest) {
        data.value = answer
        problem.value = null
      }
    } catch (thrown) {
      if (mine === latest) problem.value = asProblem(thrown)
    } finally {
      if (mine === latest) loading.value = false
    }
  }
  // What a page shows is as of today: tomorrow it is fetched anew.
  onNewDay(() => asked && void load(...asked))
  return { data, problem, loading, load }
}
