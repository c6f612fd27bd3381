import { weekOf } from '../shared/units'
import { daysLater } from '../shared/words'

export type View = 'month' | 'week' | 'day'

/** The days a view shows, of the month, week or day that one lies in. */
export function daysOf(view: View, day: string): string[] {
  if (view === 'day') return [day]
  const first = weekOf(view === 'month' ? `${day.slice(0, 7)}-01` : day)
  const count = view === 'week' ? 7 : 7 * weeksOfMonth(day, first)
  return Array.from({ length: count }, (_, n) => daysLater(first, n))
}

function weeksOfMonth(day: string, first: string): number {
  let weeks = 4
  while (daysLater(first, 7 * weeks).slice(0, 7) === day.slice(0, 7)) weeks++
  return weeks
}

/** The same view, one further or back. */
export function turned(view: View, day: string, by: 1 | -1): string {
  if (view !== 'month') return daysLater(day, by * (view === 'week' ? 7 : 1))
  const [year, month] = day.split('-').map(Number) as [number, number]
  return new Date(Date.UTC(year, month - 1 + by, 1)).toISOString().slice(0, 10)
}
