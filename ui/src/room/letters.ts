const ALPHABET = 'abcdefghijklmnopqrstuvwxyz'

/**
 * The letters by which the people of a room are called from the keyboard: one each, and two each
 * where there are more people than letters.
 */
export function lettersOf(place: number, people: number): string {
  if (people <= ALPHABET.length) return ALPHABET[place] ?? ''
  return (ALPHABET[Math.floor(place / ALPHABET.length)] ?? '') + ALPHABET[place % ALPHABET.length]!
}

/** What is asked of a whole room, and the answers that it takes. */
export type Asked = 'talk' | 'rpe' | 'count'

export interface Entry {
  place: number
  value: number
}
interface Typed {
  /** What stands typed and is not an answer yet. */
  typed: string
  entry: Entry | null
}

const LOWEST_RPE = 6
const HIGHEST_RPE = 20
const MOST_BEATS = 999

/**
 * Answers as they are typed: letters, then a number. A voice is one figure; an RPE ends by itself;
 * beats end with Enter, or with the next letters.
 */
export function typedAnswer(asked: Asked, people: number, before: string, key: string): Typed {
  if (key === 'Backspace') return { typed: before.slice(0, -1), entry: null }
  const letters = /^[a-z]*/.exec(before)![0]
  const figures = before.slice(letters.length)
  const whole = people <= ALPHABET.length ? 1 : 2
  const answer = (text: string): Entry | null => {
    const place = placeOf(letters, people)
    const value = Number(text)
    return place === null || !text || !allowed(asked, value) ? null : { place, value }
  }
  if (key === 'Enter') return { typed: '', entry: answer(figures) }
  if (/^[a-z]$/.test(key)) {
    if (figures) return { typed: key, entry: asked === 'count' ? answer(figures) : null }
    return { typed: letters.length < whole ? letters + key : key, entry: null }
  }
  if (!/^\d$/.test(key) || letters.length < whole) return { typed: before, entry: null }
  const text = figures + key
  const ends = asked === 'talk' || (asked === 'rpe' && (text.length > 1 || Number(text) > 2))
  if (!ends) return { typed: letters + text, entry: null }
  return { typed: '', entry: answer(text) }
}

function placeOf(letters: string, people: number): number | null {
  for (let place = 0; place < people; place++) {
    if (lettersOf(place, people) === letters) return place
  }
  return null
}

function allowed(asked: Asked, value: number): boolean {
  if (asked === 'talk') return value >= 1 && value <= 5
  if (asked === 'rpe') return value >= LOWEST_RPE && value <= HIGHEST_RPE
  return value > 0 && value <= MOST_BEATS
}
