import { nextTick, ref, shallowRef, type Ref } from 'vue'
import { asProblem, type Finding, type Problem } from '../api/http'
import { useFieldMessages, type FieldMessages } from './fields'
import { offerUndo } from './undo'

/** Something a form does: one at a time, with what is wrong shown at its fields. */
export interface Save<A extends unknown[], C> extends FieldMessages {
  /** Does it; whether it was done. */
  save: (...what: A) => Promise<boolean>
  saving: Ref<boolean>
  /** What somebody else saved meanwhile; to be decided on before this is saved over it. */
  theirs: Ref<C | null>
  /** Why it may not be. */
  refused: Ref<Finding[]>
}

/**
 * Saving, with undo, conflict and problem.
 *
 * @param write hands it to the server
 * @param form where the messages are shown, if a form has its own
 * @param undo what is offered afterwards, at once: what was done, and what takes it back
 * @param saved what comes after it: what is shown is read anew, the form is emptied
 * @param conflict finds out what somebody else saved, where the refusal does not bring it along
 * @param wrong what else comes of a problem
 */
export function useSave<A extends unknown[], T, C = T>(
  write: (...what: A) => Promise<T>,
  options: {
    form?: FieldMessages
    undo?: (answer: T, ...what: A) => { said: string; back: () => Promise<unknown> } | null
    saved?: (answer: T, ...what: A) => unknown
    conflict?: (...what: A) => Promise<C | null>
    wrong?: (problem: Problem, ...what: A) => unknown
  } = {},
): Save<A, C> {
  const { form = useFieldMessages(), undo, saved, conflict, wrong } = options
  const saving = ref(false)
  const theirs = shallowRef<C | null>(null)
  const refused = shallowRef<Finding[]>([])

  async function failed(thrown: unknown, what: A) {
    const problem = asProblem(thrown)
    const isConflict = problem.status === 409
    theirs.value = isConflict
      ? conflict
        ? await conflict(...what)
        : ((problem.current ?? null) as C | null)
      : null
    refused.value = problem.findings
    if (theirs.value === null) form.show(problem)
    await wrong?.(problem, ...what)
  }
  async function save(...what: A): Promise<boolean> {
    if (saving.value) return false
    saving.value = true
    try {
      const answer = await write(...what)
      theirs.value = null
      refused.value = []
      form.clear()
      const offer = undo?.(answer, ...what)
      if (offer) offerUndo(offer.said, async () => void (await offer.back()))
      await saved?.(answer, ...what)
      return true
    } catch (thrown) {
      await failed(thrown, what)
      return false
    } finally {
      saving.value = false
    }
  }
  return { save, saving, theirs, refused, ...form }
}

/** Puts the focus on the first field that is at fault. */
export async function toFirstFault() {
  await nextTick()
  document.querySelector<HTMLElement>('form [aria-invalid="true"]')?.focus()
}
