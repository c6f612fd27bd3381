import { afterEach, describe, expect, it } from 'vitest'
import { daysOf, turned } from '../src/calendar/days'
import { typed, useFieldMessages } from '../src/shared/fields'
import { Problem } from '../src/api/http'
import { theStudio } from '../src/shared/studio'
import {
  cut,
  day,
  daysLater,
  effort,
  figureSpan,
  minutes,
  oneOf,
  within,
  options,
  schemeFigures,
  span,
  studioDay,
} from '../src/shared/words'

afterEach(() => (theStudio.value = null))

describe('figures in words', () => {
  it('says a span, a single rate and the lowest effort', () => {
    expect(span([18, 22])).toBe('18–22')
    expect(span([18, 18])).toBe('exactly 18')
    expect(span(undefined)).toBe('')
    expect(figureSpan(131, 131)).toBe('131')
    expect(effort([6, 11], 6)).toBe('up to 11')
    expect(effort([12, 13], 6)).toBe('12–13')
  })

  it('says minutes, and the seconds that are left over', () => {
    expect([minutes(720), minutes(160), minutes(65)]).toEqual(['12', '2:40', '1:05'])
  })

  it('takes a number for a number, and everything else as it was typed', () => {
    expect(['64', ' 64.5 ', '-3', '', '1e3', '64 bpm'].map(typed)).toEqual([
      64,
      64.5,
      -3,
      null,
      '1e3',
      '64 bpm',
    ])
  })

  it('names the bands of a scheme, without figures where they are still to be measured', () => {
    const bands = [
      { name: 'Easy', low: 50, high: 60, rpe20: [9, 11] },
      { name: 'Race', low: 85, high: 85, rpe20: null },
    ]
    expect(schemeFigures({ basis: 'maximum', bands })).toBe('Easy 50–60 (RPE 9–11), Race 85')
    expect(schemeFigures({ basis: 'measured', bands })).toBe('Easy, Race')
  })

  it('puts a sentence within another one, but leaves RPE as it is', () => {
    expect(within('Rate first, checked by RPE and talk')).toBe(
      'rate first, checked by RPE and talk',
    )
    expect(within('RPE and talk only')).toBe('RPE and talk only')
  })

  it('knows the words it is asked for, and no others', () => {
    const MODES = { run: 'Run', swim: 'Swim' }
    expect([oneOf(MODES, 'swim'), oneOf(MODES, 'fly'), oneOf(MODES, ['run'])]).toEqual([
      'swim',
      undefined,
      undefined,
    ])
    expect(oneOf(MODES, 'toString')).toBeUndefined()
    expect(options(MODES, ['swim'])).toEqual([{ value: 'swim', name: 'Swim' }])
  })
})

describe('days', () => {
  it('are the studio’s, wherever the browser is', () => {
    theStudio.value = { today: '2026-05-14', timeZone: 'Pacific/Kiritimati' } as never
    expect(studioDay('2026-05-13T11:00:00Z')).toBe('2026-05-14')
    expect(studioDay('2026-05-13')).toBe('2026-05-13')
    theStudio.value = { today: '2026-05-14', timeZone: 'America/New_York' } as never
    expect(studioDay('2026-05-14T03:00:00Z')).toBe('2026-05-13')
  })

  it('are counted over the ends of months and the change of clocks', () => {
    expect(daysLater('2026-03-28', 2)).toBe('2026-03-30')
    expect(daysLater('2028-02-28', 1)).toBe('2028-02-29')
    expect(daysLater('2026-01-01', -1)).toBe('2025-12-31')
  })

  it('show their year only where it is not this one', () => {
    theStudio.value = { today: '2026-05-14', timeZone: 'UTC' } as never
    expect([day('2026-03-02'), day('2025-03-02')]).toEqual(['2 Mar', '2 Mar 2025'])
  })

  it('fill the weeks of a view', () => {
    expect(daysOf('day', '2026-05-14')).toEqual(['2026-05-14'])
    expect(daysOf('week', '2026-05-14')).toHaveLength(7)
    const may = daysOf('month', '2026-05-14')
    expect([may[0], may.at(-1)]).toEqual(['2026-04-27', '2026-05-31'])
    // A February of four whole weeks, and a month that needs six.
    expect(daysOf('month', '2027-02-10')).toHaveLength(28)
    expect(daysOf('month', '2026-08-10')).toHaveLength(42)
  })

  it('are turned by a month, a week, a day', () => {
    expect(turned('month', '2026-12-31', 1)).toBe('2027-01-01')
    expect(turned('month', '2026-03-31', -1)).toBe('2026-02-01')
    expect(turned('week', '2026-05-14', -1)).toBe('2026-05-07')
    expect(turned('day', '2026-05-31', 1)).toBe('2026-06-01')
  })
})

describe('the messages of a form', () => {
  it('stand at the fields that are named, else over the form', () => {
    const { messages, general, show, clear } = useFieldMessages()
    show(
      new Problem(400, 'invalid', 'Two fields', [
        { field: 'beats', message: 'is too high', accepted: '5–60' },
      ]),
    )
    expect(messages.value).toEqual({ beats: 'Is too high. Accepted: 5–60.' })
    expect(general.value).toBe('')
    show(new Problem(409, 'taken', 'That name is taken.'))
    expect([messages.value, general.value]).toEqual([{}, 'That name is taken.'])
    clear()
    expect(general.value).toBe('')
  })
})

describe('cut', () => {
  it('leaves what fits, and says where something is left off', () => {
    expect([cut('Fifths', 6), cut('Fifths of maximum', 8)]).toEqual(['Fifths', 'Fifths…'])
  })
})
