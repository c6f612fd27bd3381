/** A shape beside every word: what to do with one person of a class. */
export const CALL_MARKS: Record<string, string> = {
  'not-today': '■',
  'count-again': '↻',
  'light-only': '▼',
  'as-usual': '●',
  'no-usual-value': '○',
  'screen-first': '○',
  'ease-next': '▼',
  again: '↻',
  unknown: '?',
  back: '●',
}
