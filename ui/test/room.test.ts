import { describe, expect, it } from 'vitest'
import type { Lane, RoomPerson } from '../src/api/korvel'
import { countWords } from '../src/room/countDown'
import { doing } from '../src/room/doing'
import { layoutFor } from '../src/room/layout'
import { lettersOf, typedAnswer, type Asked } from '../src/room/letters'
import { RoomSounds } from '../src/room/roomSounds'

/** Types keys one after the other; the answers that came of it. */
function type(asked: Asked, people: number, keys: string[]) {
  let typed = ''
  const entries: string[] = []
  for (const key of keys) {
    const next = typedAnswer(asked, people, typed, key)
    typed = next.typed
    if (next.entry) entries.push(`${next.entry.place}:${next.entry.value}`)
  }
  return { entries, typed }
}

describe('answers called out by a room', () => {
  it('letters are one each, and two each for more people than letters', () => {
    expect(lettersOf(0, 12)).toBe('a')
    expect(lettersOf(25, 26)).toBe('z')
    expect(lettersOf(0, 27)).toBe('aa')
    expect(lettersOf(59, 60)).toBe('ch')
  })
  it('a voice is a letter and a figure', () => {
    expect(type('talk', 12, ['c', '2', 'a', '5']).entries).toEqual(['2:2', '0:5'])
    expect(type('talk', 12, ['c', '6', 'c', '0']).entries).toEqual([])
    expect(type('talk', 60, ['c', 'h', '3']).entries).toEqual(['59:3'])
  })
  it('an RPE ends by itself', () => {
    expect(type('rpe', 12, ['b', '9', 'b', '1', '3', 'd', '2', '0']).entries).toEqual([
      '1:9',
      '1:13',
      '3:20',
    ])
    expect(type('rpe', 12, ['b', '5', 'b', '2', '1']).entries).toEqual([])
  })
  it('beats end with Enter or with the next letter', () => {
    expect(type('count', 12, ['a', '3', '3', 'Enter', 'b', '2', '8', 'c']).entries).toEqual([
      '0:33',
      '1:28',
    ])
  })
  it('what is wrong can be taken back, and nobody is nobody', () => {
    expect(type('count', 12, ['a', '3', '3', 'Backspace', '0', 'Enter']).entries).toEqual(['0:30'])
    expect(type('talk', 3, ['k', '2']).entries).toEqual([])
    expect(type('talk', 12, ['2']).typed).toBe('')
  })
})

describe('a board', () => {
  it('fills the screen for 1, 6, 20 and 60', () => {
    expect(layoutFor(1, 980, 640)).toEqual({ columns: 1, rows: 1 })
    expect(layoutFor(6, 980, 640)).toEqual({ columns: 1, rows: 6 })
    expect(layoutFor(20, 980, 640)).toEqual({ columns: 2, rows: 10 })
    expect(layoutFor(60, 1600, 960)).toEqual({ columns: 3, rows: 20 })
    expect(layoutFor(60, 390, 700)).toEqual({ columns: 1, rows: 60 })
  })
  it('says how many do what', () => {
    const steps = [{ name: 'Warm-up' }, { name: 'Work' }]
    const people = ['a', 'b', 'c'].map((session) => ({ session, steps }) as unknown as RoomPerson)
    const lanes = new Map(
      [1, 0, 1].map((row, n) => ['abc'[n]!, { leg: { row } } as unknown as Lane]),
    )
    expect(doing(people, lanes)).toBe('Work 2 · Warm-up 1')
  })
})

describe('the sounds of a room', () => {
  const lane = (session: string, what: string, sinceSecond = 1, seen = false) =>
    ({ session, needs: { what, sinceSecond, seen } }) as unknown as Lane

  it('come one at a time, three seconds apart, the most urgent first', () => {
    const sounds = new RoomSounds()
    sounds.hear(lane('a', 'pick-up'))
    sounds.hear(lane('b', 'over-cap'))
    sounds.hear(lane('c', 'stop'))
    const next = (now: number) => sounds.next(now, ['c', 'b', 'a'], 3000)
    expect(next(0)).toBe('stop-work')
    expect(next(2999)).toBeNull()
    expect(next(3000)).toBe('ease-off')
    expect(next(6000)).toBe('pick-up')
    expect(next(9000)).toBeNull()
  })
  it('are not given for what is over, was seen, or was heard', () => {
    const sounds = new RoomSounds()
    sounds.hear(lane('a', 'ease-off'))
    sounds.hear(lane('a', 'hold'))
    sounds.hear(lane('b', 'ease-off', 1, true))
    const next = (now: number) => sounds.next(now, ['a', 'b'], 3000)
    expect(next(0)).toBeNull()
    sounds.hear(lane('a', 'ease-off', 9))
    expect(next(0)).toBe('ease-off')
    sounds.hear(lane('a', 'ease-off', 9))
    expect(next(5000)).toBeNull()
  })
})

describe('a recovery by counts', () => {
  it('is counted at once, after one minute and after two', () => {
    const words = (since: number) => countWords(since, [0, 60, 120], 45)
    expect(words(3)).toBe('Count now: 15 s')
    expect(words(50)).toBe('Next count in 10 s')
    expect(words(61)).toContain('again')
    expect(words(125)).toContain('last')
    expect(words(200)).toBe('All counts are done')
  })
})
