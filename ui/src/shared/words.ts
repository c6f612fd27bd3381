import type { Mode } from '../api/korvel'
import { theStudio } from './studio'

/** Words of the interface for words of the server. */
export const MODES: Record<Mode, string> = {
  run: 'Walk or run',
  cycle: 'Cycle',
  row: 'Row',
  swim: 'Swim',
  stairs: 'Stairs',
  other: 'Other',
}

export const ACTIVITIES = {
  none: 'None',
  little: 'Little',
  some: 'Some',
  regular: 'Regular',
  high: 'High',
} as const

export const SEXES = { 'not-given': 'Not given', female: 'Female', male: 'Male' } as const

export const DISTURBANCES = {
  caffeine: 'Caffeine',
  nicotine: 'Nicotine',
  exercise: 'Exercise',
  illness: 'Illness',
  stress: 'Stress',
  heat: 'Heat',
} as const

export const APPROACHES = { cautious: 'Cautious', guideline: 'Guideline' } as const

export const POSTURES = { seated: 'Seated', lying: 'Lying', standing: 'Standing' } as const

export const SOURCES = {
  count: 'Counted',
  strap: 'Strap',
  wrist: 'Wrist',
  overnight: 'Overnight',
  tap: 'Tapped',
} as const

export const RHYTHMS = {
  steady: 'Steady',
  uneven: 'Uneven',
  'too-short': 'Too short to tell',
} as const

export const STRENGTHS = {
  weak: 'Weak',
  normal: 'Normal',
  strong: 'Strong',
  bounding: 'Bounding',
} as const

/** What a target may be counted in: its name, the unit of its figures, its entry among the methods. */
export const BASES = {
  reserve: { name: 'Reserve', unit: '% of reserve', method: 'rate-of-reserve' },
  maximum: { name: 'Maximum', unit: '% of maximum', method: 'rate-of-maximum' },
  resting: { name: 'Above rest', unit: 'bpm above rest', method: 'rate-above-resting' },
  threshold: {
    name: 'Threshold',
    unit: '% of the upper threshold',
    method: 'rate-of-threshold',
  },
  measured: {
    name: 'Measured rates',
    unit: 'below, between and above two measured rates',
    method: 'rate-of-threshold',
  },
} as const

/** How the bands of a scheme relate. */
export const KINDS = {
  ladder: { name: 'Ladder', meaning: 'Each zone ends where the next begins.' },
  goals: { name: 'Goals', meaning: 'Ranges for a purpose: gaps and overlaps are meant.' },
  points: { name: 'Single rates', meaning: 'One figure for each zone.' },
} as const

/** A figure, or what stands in its field. */
type Figure = number | string | null

/** The bands of a scheme as its zone system writes them down. */
export function schemeFigures(scheme: {
  basis: keyof typeof BASES
  bands: { name: string; low: Figure; high: Figure; rpe20?: number[] | null }[]
}): string {
  return scheme.bands
    .map(({ name, low, high, rpe20 }) => {
      // Measured rates have no figures until they are measured.
      if (scheme.basis === 'measured') return name
      const figures = low === high ? `${name} ${low}` : `${name} ${low}–${high}`
      return rpe20 ? `${figures} (RPE ${rpe20[0]}–${rpe20[1]})` : figures
    })
    .join(', ')
}

/** The two families of 0–10 scales of effort. */
export const FAMILIES = {
  ratio: { name: 'Ratio', meaning: 'moderate is 3–4' },
  linear: { name: 'Linear', meaning: 'moderate is 5–6' },
} as const

export const CLASSES = {
  light: 'light',
  moderate: 'moderate',
  vigorous: 'vigorous',
  'near-maximal': 'near maximal',
} as const

export const ALLOWS = {
  'light-to-moderate': 'Light to moderate',
  moderate: 'Moderate',
  vigorous: 'Vigorous too',
} as const

export const MEASURES = {
  'blood-pressure': 'blood pressure',
  glucose: 'glucose',
  weight: 'weight',
} as const

/** What a check-in comes to: a shape beside every word, never colour alone. */
export const OUTCOMES = {
  go: { name: 'Go', mark: '●' },
  'light-only': { name: 'Light only', mark: '▼' },
  'count-again': { name: 'Count again', mark: '↻' },
  'not-today': { name: 'Not today', mark: '■' },
} as const

export const GRADES = { good: 'Good', fair: 'Fair', poor: 'Poor' } as const

/** What a measured maximum is good for: a shape beside every word. */
export const MAXIMUM_STATES = {
  working: { name: 'In use', mark: '●' },
  qualifies: { name: 'Qualifies', mark: '○' },
  proposal: { name: 'Proposal', mark: '◇' },
  'not-reached': { name: 'Not reached', mark: '·' },
  kept: { name: 'Kept as it was', mark: '·' },
  stale: { name: 'Out of date', mark: '○' },
} as const

/** Whether a maximum stands on something measured, in its own mode or running. */
export const standsOnMeasured = (maximum: { origin: string } | null | undefined) =>
  maximum?.origin === 'measured' || maximum?.origin === 'borrowed'

export const STEPS = {
  screening: 'Screening',
  pulse: 'Pulse',
  maximum: 'Maximum',
  bands: 'Zones',
  prescription: 'Prescription',
  sessions: 'Sessions',
  progress: 'Progress',
} as const

/** “Pulse: none counted yet”, for the step that is next. */
export const nextWords = ({ step, detail }: { step: keyof typeof STEPS; detail: string }) =>
  `${STEPS[step]}: ${detail}`

/** What the voice can do, as its level. */
export const VOICES = {
  sing: '1 Sing',
  talk: '2 Talk',
  phrases: '3 Phrases',
  words: '4 Words',
  silent: '5 Silent',
} as const

/** Where a session stands: a shape beside every word. */
export const SESSION_STATES = {
  planned: { name: 'planned', mark: '○' },
  done: { name: 'done', mark: '✓' },
  'not-done': { name: 'not done', mark: '–' },
  open: { name: 'not logged', mark: '?' },
  skipped: { name: 'skipped', mark: '×' },
  rests: { name: 'on hold', mark: '■' },
} as const

/** Counting windows as options, all of them or some. */
export const countWindows = (seconds = [6, 10, 15, 30, 60]) =>
  seconds.map((value) => ({ value, name: `${value} s` }))

/** Papers that sheets are printed on. */
export const PAPERS = {
  a4: 'A4',
  letter: 'Letter',
  a3: 'A3',
  tabloid: 'Tabloid',
} as const

export const CARD_SIZES = { wallet: 'Wallet', a6: 'A6', a5: 'A5' } as const

export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** As much of a text as there is room for, in characters. */
export const cut = (text: string, most: number) =>
  text.length > most ? `${text.slice(0, most - 1).trimEnd()}…` : text

/** A sentence within another one: its first letter small, unless it begins with letters like RPE. */
export const within = (sentence: string) =>
  /^[A-Z]{2}/.test(sentence) ? sentence : sentence.charAt(0).toLowerCase() + sentence.slice(1)

/** What was said, where it is one of these words. */
export const oneOf = <K extends string>(words: Record<K, unknown>, said: unknown): K | undefined =>
  typeof said === 'string' && Object.hasOwn(words, said) ? (said as K) : undefined

/** The words as options to choose from, all of them or those of some keys. */
export function options<K extends string>(
  words: Readonly<Record<K, string>>,
  keys: readonly K[] = Object.keys(words) as K[],
): { value: K; name: string }[] {
  return keys.map((value) => ({ value, name: words[value] as string }))
}

/** “18–22”, or “exactly 18” where both ends are one number. */
export function span(pair: readonly number[] | undefined): string {
  if (!pair) return ''
  return pair[0] === pair[1] ? `exactly ${pair[0]}` : `${pair[0]}–${pair[1]}`
}

/** “120–142”, or “131” for a single figure. */
export const figureSpan = (low: number, high: number) =>
  low === high ? String(low) : `${low}–${high}`

/** Effort on 6–20: the lowest level has no lower end worth saying. */
export function effort(pair: readonly number[], bottom: number): string {
  return pair[0] === bottom ? `up to ${pair[1]}` : span(pair)
}

/** “12”, or “2:40” where seconds are left over. */
export const minutes = (seconds: number) =>
  seconds % 60 === 0
    ? String(seconds / 60)
    : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`

/** Days are the studio's, wherever the browser is: a day without a time is written out as it is. */
const dayFormat = (parts: Intl.DateTimeFormatOptions) => {
  const format = new Intl.DateTimeFormat('en-GB', { ...parts, timeZone: 'UTC' })
  return (iso: string) => format.format(new Date(`${studioDay(iso)}T00:00:00Z`))
}

/** The studio's day, as “2026-05-14”, of a moment or of a day. */
export function studioDay(iso: string): string {
  if (iso.length <= 10) return iso
  const parts = new Intl.DateTimeFormat('en-GB', {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    timeZone: theStudio.value?.timeZone ?? 'UTC',
  }).formatToParts(new Date(iso))
  const part = (type: string) => parts.find((each) => each.type === type)?.value ?? ''
  return `${part('year').padStart(4, '0')}-${part('month')}-${part('day')}`
}

const DAY = dayFormat({ day: 'numeric', month: 'short' })
const DAY_AND_YEAR = dayFormat({ day: 'numeric', month: 'short', year: 'numeric' })

/** “Mon 14 May”. */
export const weekday = dayFormat({ weekday: 'short', day: 'numeric', month: 'short' })

/** “Monday 14 May”. */
export const longWeekday = dayFormat({ weekday: 'long', day: 'numeric', month: 'long' })

/** “14 May 2026”, with the month in full. */
export const longDay = dayFormat({ day: 'numeric', month: 'long', year: 'numeric' })

/** A day without a time, so many days later. */
export function daysLater(iso: string, days: number): string {
  const date = new Date(`${iso}T00:00:00Z`)
  date.setUTCDate(date.getUTCDate() + days)
  return date.toISOString().slice(0, 10)
}

/** “May 2026”, for a day of it. */
export const month = dayFormat({ month: 'long', year: 'numeric' })

const MONTH = dayFormat({ month: 'short' })
const MONTH_AND_YEAR = dayFormat({ month: 'short', year: '2-digit' })
/** “May”; of January with its year, “Jan 25”. For a month such as 2025-05. */
export function monthName(month: string): string {
  return (month.endsWith('-01') ? MONTH_AND_YEAR : MONTH)(`${month}-01`)
}

/** “14 May”, with the year where it is not this one. */
export function day(iso: string): string {
  const thisYear = (theStudio.value?.today ?? studioDay(new Date().toISOString())).slice(0, 4)
  return (studioDay(iso).slice(0, 4) === thisYear ? DAY : DAY_AND_YEAR)(iso)
}
