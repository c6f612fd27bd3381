import { describe, expect, it } from 'vitest'
import { beatAfter, beatsBetween, layBeats } from '../src/assessment/metronome'
import { blank, request } from '../src/assessment/choices'
import { inTime, pressure } from '../src/assessment/prompts'

describe('the metronome', () => {
  it('lays every beat once, however a timer calls, and does not drift in ten minutes', () => {
    const heard: number[] = []
    let from = 0
    // A timer that comes every 70 to 210 ms.
    for (let call = 0; from < 600; call++) {
      const to = from + 0.07 + (call % 3) * 0.07
      heard.push(...beatsBetween(0.5, 96, from, to).map(({ at }) => at))
      from = to
    }
    expect(heard.length).toBeGreaterThanOrEqual(959)
    heard.forEach((at, number) => expect(Math.abs(at - (0.5 + number * 0.625))).toBeLessThan(1e-9))
  })

  it('keeps to the clock of the test where the audio clock is slow and once stands still', () => {
    // One in five thousand slow, and 46 ms lost at once after 200 s.
    const audio = (seconds: number) => seconds * 0.9998 - (seconds > 200 ? 0.046 : 0)
    const lay = layBeats(96)
    const heard: { number: number; at: number }[] = []
    for (let call = 0, seconds = 0; seconds < 600; call++, seconds += 0.07 + (call % 3) * 0.07) {
      for (const { number, at } of lay(audio(seconds), seconds)) {
        heard.push({ number, at: seconds + (at - audio(seconds)) })
      }
    }
    expect(heard.map(({ number }) => number)).toEqual(heard.map((_, n) => n))
    expect(heard.length).toBeGreaterThanOrEqual(959)
    // Beats that were laid before it stood still come late by that once.
    const late = heard.filter(({ number, at }) => Math.abs(at - number * 0.625) > 0.013)
    expect(late.length).toBeLessThanOrEqual(1)
  })

  it('counts from the first beat where it joins later', () => {
    expect(beatsBetween(0, 88, 60, 61).map(({ number }) => number)).toEqual([88, 89])
    expect(beatAfter(60, 88)).toEqual({ number: 88, gone: 0 })
  })
})

describe('a pressure as it is typed', () => {
  it.each(['140/80', '140 80', '140-80', ' 140 / 80 '])('%s', (text) => {
    expect(pressure(text)).toEqual({ systolic: 140, diastolic: 80 })
  })
  it.each(['140', '140/', 'a/b', '1400/80', ''])('%s is none', (text) => {
    expect(pressure(text)).toBeNull()
  })
})

describe('what is chosen before a test', () => {
  it('leaves out what does not belong to it', () => {
    const chosen = { ...blank(), present: true, ladder: '1 km/h more' }
    expect(request('mile', chosen)).toEqual({
      kind: 'mile',
      source: 'count',
      simulated: null,
      speed: 1,
      present: true,
    })
    expect(request('talk-steps', chosen)).toMatchObject({ mode: 'run', ladder: '1 km/h more' })
    expect(request('two-minute', chosen)).toMatchObject({ metronome: null })
    expect(request('two-minute', { ...chosen, own: false })).toMatchObject({ metronome: 96 })
  })

  it('knows a target, a set rate, exhaustion and none', () => {
    const graded = (aim: string, more = {}) => request('graded', { ...blank(), aim, ...more })
    expect(graded('reserve 85').target).toEqual({ kind: 'reserve', value: 85 })
    expect(graded('rate', { rate: '150' }).target).toEqual({ kind: 'rate', value: 150 })
    expect(graded('exhaustion')).toMatchObject({ target: null, exhaustion: true })
    expect(graded('none')).toMatchObject({ target: null, exhaustion: false })
    expect(graded('none').order).toBeNull()
  })
})

describe('what is due', () => {
  it('counts down, and stays due', () => {
    const prompts = [
      { what: 'rate' as const, at: '2030-03-04T09:00:10Z', words: 'Rate' },
      { what: 'rpe' as const, at: '2030-03-04T08:59:50Z', words: 'RPE' },
    ]
    const [rate, rpe] = inTime(prompts, Date.parse('2030-03-04T09:00:00Z'))
    expect(rate).toMatchObject({ left: 10, due: false })
    expect(rpe).toMatchObject({ left: -10, due: true })
  })
})
