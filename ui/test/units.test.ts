import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { Regional, Studio } from '../src/api/korvel'
import { daysOf } from '../src/calendar/days'
import { theStudio } from '../src/shared/studio'
import {
  clock,
  fromCentimetres,
  fromKilograms,
  fromWeekStart,
  inStudioUnits,
  reachText,
  regional,
  toCentimetres,
  toKilograms,
  weekOf,
  weightText,
} from '../src/shared/units'

const metric = regional.value
const choose = (more: Partial<Regional>) => {
  theStudio.value = { regional: { ...metric, ...more } } as Studio
}
const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

describe('the units of a studio', () => {
  beforeEach(() => choose({}))
  afterEach(() => (theStudio.value = null))

  it('are sent as they are entered where they are metric', () => {
    expect([toKilograms('81,5'), fromKilograms('81.5'), weightText(81.5)]).toEqual([
      '81,5',
      '81.5',
      '81.5 kg',
    ])
    expect(inStudioUnits('9 is outside. Accepted: 15 to 350 kg.')).toContain('15 to 350 kg')
  })

  it('come back as entered in pounds, to a tenth', () => {
    choose({ weight: 'lb' })
    expect(toKilograms('180')).toBe('81.65')
    for (let tenths = 330; tenths <= 7700; tenths++) {
      const pounds = String(tenths / 10)
      expect(fromKilograms(toKilograms(pounds))).toBe(pounds)
    }
    expect([toKilograms(''), toKilograms('heavy')]).toEqual(['', 'heavy'])
    expect(weightText(81.65)).toBe('180 lb')
    expect(inStudioUnits('408.23 is outside the accepted range. Accepted: 15 to 350 kg.')).toBe(
      'This is outside the accepted range. Accepted: 34 to 771 lb.',
    )
  })

  it('come back as entered in feet and inches', () => {
    choose({ height: 'ft-in' })
    expect(toCentimetres('5', '10')).toBe('178')
    expect(toCentimetres('5', '')).toBe('152')
    expect(toCentimetres('', '')).toBe('')
    expect(toCentimetres('tall', '')).toContain('tall')
    for (let inches = 20; inches < 100; inches++) {
      const [feet, over] = [String(Math.floor(inches / 12)), String(inches % 12)]
      expect(fromCentimetres(toCentimetres(feet, over))).toEqual([feet, over])
    }
  })

  it('write times and reaches as is the custom', () => {
    expect([clock('18:30:00'), clock(null), reachText(8)]).toEqual(['18:30', '', '8 m'])
    choose({ clock: 'h12', distance: 'miles' })
    expect(['00:05', '12:00', '18:30'].map(clock)).toEqual(['12:05 am', '12:00 pm', '6:30 pm'])
    expect(reachText(8)).toBe('26 ft')
  })

  it('begin the week on its first day', () => {
    // 17 May 2026 is a Sunday.
    expect([weekOf('2026-05-17'), fromWeekStart(DAYS)[0]]).toEqual(['2026-05-11', 'Mon'])
    choose({ weekStart: 'sunday' })
    expect([weekOf('2026-05-17'), fromWeekStart(DAYS)[0]]).toEqual(['2026-05-17', 'Sun'])
    expect(daysOf('month', '2026-05-14')[0]).toBe('2026-04-26')
    choose({ weekStart: 'saturday' })
    expect([weekOf('2026-05-17'), fromWeekStart(DAYS)[0]]).toEqual(['2026-05-16', 'Sat'])
  })
})
