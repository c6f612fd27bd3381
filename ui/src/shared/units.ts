import { computed } from 'vue'
import type { Regional } from '../api/korvel'
import { theStudio } from './studio'
import { daysLater } from './words'

/** The units and customs of the studio: what is shown and entered. What is sent and kept is in SI. */
export const regional = computed<Regional>(
  () =>
    theStudio.value?.regional ?? {
      weight: 'kg',
      height: 'cm',
      glucose: 'mmol-l',
      distance: 'km',
      clock: 'h24',
      weekStart: 'monday',
      paper: 'a4',
    },
)

const KG_IN_A_POUND = 0.45359237
const CM_IN_AN_INCH = 2.54
const FEET_IN_A_METRE = 1 / 0.3048

const rounded = (value: number, places: number) => String(Number(value.toFixed(places)))
/** What is a number is converted; what is none is passed on, for the server to say what is accepted. */
const converted = (text: string, to: (value: number) => string) => {
  const value = Number(text.trim().replace(',', '.'))
  return text.trim() === '' || Number.isNaN(value) ? text : to(value)
}

/** A weight entered in the studio's unit, in kilograms to a hundredth. */
export const toKilograms = (text: string) =>
  regional.value.weight === 'kg'
    ? text
    : converted(text, (pounds) => rounded(pounds * KG_IN_A_POUND, 2))

/** A weight in kilograms, as it is entered in the studio's unit. */
export const fromKilograms = (kilograms: string) =>
  regional.value.weight === 'kg'
    ? kilograms
    : converted(kilograms, (value) => rounded(value / KG_IN_A_POUND, 1))

/** “81.5 kg” or “179.7 lb”. */
export const weightText = (kilograms: number) =>
  `${fromKilograms(String(kilograms))} ${regional.value.weight}`

/** A height in feet and inches, in whole centimetres; what is left empty is none. */
export function toCentimetres(feet: string, inches: string): string {
  if (feet.trim() === '' && inches.trim() === '') return ''
  const [whole, part] = [Number(feet || 0), Number((inches || '0').replace(',', '.'))]
  return Number.isNaN(whole) || Number.isNaN(part)
    ? `${feet} ft ${inches} in`
    : rounded((12 * whole + part) * CM_IN_AN_INCH, 0)
}

/** A height in centimetres, in feet and whole inches. */
export function fromCentimetres(centimetres: string): [feet: string, inches: string] {
  const value = Number(centimetres)
  if (centimetres.trim() === '' || Number.isNaN(value)) return ['', '']
  const inches = Math.round(value / CM_IN_AN_INCH)
  return [String(Math.floor(inches / 12)), String(inches % 12)]
}

/** What the server says of kilograms or centimetres, in the studio's units. */
export function inStudioUnits(message: string | undefined): string | undefined {
  const { weight, height } = regional.value
  let said = message
  if (weight === 'lb') {
    said = said?.replace(
      /(\d+(?:\.\d+)?)( to |–)(\d+(?:\.\d+)?) kg/g,
      (_, low: string, to: string, high: string) =>
        `${Math.ceil(Number(low) / KG_IN_A_POUND)}${to}${Math.floor(Number(high) / KG_IN_A_POUND)} lb`,
    )
  }
  if (height === 'ft-in') {
    said = said?.replace(/(\d+)( to |–)(\d+) cm/g, (_, low: string, to: string, high: string) =>
      [low, high]
        .map((each) => fromCentimetres(each))
        .map(([feet, inches]) => `${feet} ft ${inches} in`)
        .join(to),
    )
  }
  return said === message ? said : said?.replace(/^[\d.]+ is outside/, 'This is outside')
}

/** “8 m” or “26 ft”: from how far something is read. */
export const reachText = (metres: number) =>
  regional.value.distance === 'km' ? `${metres} m` : `${Math.floor(metres * FEET_IN_A_METRE)} ft`

/** The distance of the twelve-minute question at intake, in words. */
export const mileText = () => (regional.value.distance === 'km' ? '1.6 km' : '1 mile')

const DAYS_BEFORE_MONDAY = { monday: 0, sunday: 1, saturday: 2 } as const

const daysBeforeMonday = () =>
  DAYS_BEFORE_MONDAY[regional.value.weekStart as keyof typeof DAYS_BEFORE_MONDAY]

/** The first day of the studio's week a day lies in. */
export function weekOf(iso: string): string {
  const days = (new Date(`${iso}T00:00:00Z`).getUTCDay() + 6 + daysBeforeMonday()) % 7
  return daysLater(iso, -days)
}

/** A list of seven that begins with Monday's, from the first day of the studio's week on. */
export function fromWeekStart<T>(days: readonly T[]): T[] {
  const first = (7 - daysBeforeMonday()) % 7
  return [...days.slice(first), ...days.slice(0, first)]
}

/** “18:30”, for a field of a time of day. */
export const timeOfDay = (time: string | null) => (time ? time.slice(0, 5) : '')

/** “18:30” or “6:30 pm”, for a time of day as the server writes it. */
export function clock(time: string | null): string {
  if (!time) return ''
  if (regional.value.clock === 'h24') return timeOfDay(time)
  const hours = Number(time.slice(0, 2))
  return `${hours % 12 || 12}:${time.slice(3, 5)} ${hours < 12 ? 'am' : 'pm'}`
}
