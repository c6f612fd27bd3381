import { ref } from 'vue'
import { Problem } from '../api/http'
import { capital } from './words'

/** What was typed into a number field: a number if it reads as one, else the text as it stands. */
export function typed(text: string): number | string | null {
  const trimmed = text.trim()
  if (trimmed === '') return null
  return /^-?\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : trimmed
}

export type FieldMessages = ReturnType<typeof useFieldMessages>

/** The messages at the fields of one form. */
export function useFieldMessages() {
  const messages = ref<Record<string, string>>({})
  const general = ref('')
  return {
    messages,
    general,
    clear() {
      messages.value = {}
      general.value = ''
    },
    /** Lays a problem out over the fields it names; the rest is a message of the whole form. */
    show(problem: Problem) {
      messages.value = Object.fromEntries(
        problem.errors.map((fault) => [
          fault.field,
          `${capital(fault.message)}. Accepted: ${fault.accepted}.`,
        ]),
      )
      general.value = problem.errors.length ? '' : problem.message
    },
  }
}
