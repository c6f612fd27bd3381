import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Problem } from '../src/api/http'
import { ratings, onClock } from '../src/live/cues'
import { Outbox } from '../src/live/outbox'
import { planned } from '../src/live/useLive'
import { toldRate } from '../src/live/useStrap'

const server = vi.hoisted(() => ({ add: vi.fn(), take: vi.fn() }))
vi.mock('../src/api/korvel', () => ({ addToLive: server.add, sendSamples: server.take }))

const kept = new Map<string, string>()
vi.stubGlobal('localStorage', {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => kept.set(key, value),
  removeItem: (key: string) => kept.delete(key),
})

const away = () => Promise.reject(new Problem(0, 'unreachable', 'away'))
const done = async () => {
  for (let turn = 0; turn < 20; turn++) await Promise.resolve()
}

function outbox() {
  const refused: Problem[] = []
  const box = new Outbox('s', {
    refused: (problem) => refused.push(problem),
    changed: () => {},
  })
  return { box, refused }
}

beforeEach(() => {
  kept.clear()
  server.add.mockReset().mockResolvedValue({})
  server.take.mockReset().mockResolvedValue({})
})

describe('what has not reached the server', () => {
  it('is sent in order, events first, and then kept no more', async () => {
    const { box } = outbox()
    box.packet(1000, '0640')
    box.event({ at: 't', kind: 'paused' })
    box.flush()
    await done()
    box.flush()
    await done()
    expect(server.add).toHaveBeenCalledTimes(1)
    expect(server.take).toHaveBeenCalledTimes(1)
    expect(box.waiting).toEqual({ events: 0, seconds: 0 })
  })

  it('waits while nobody answers, and survives a reload with its numbers', async () => {
    server.add.mockImplementation(away)
    server.take.mockImplementation(away)
    const { box } = outbox()
    box.event({ at: 't', kind: 'rated', rpe20: 13 })
    box.packet(1000, '0640')
    box.flush()
    await done()
    expect(box.waiting).toEqual({ events: 1, seconds: 1 })
    server.add.mockResolvedValue({})
    server.take.mockResolvedValue({})
    const again = outbox().box
    await again.send()
    expect(server.add.mock.calls.at(-1)![1]).toBe(server.add.mock.calls[0]![1])
    expect(again.waiting).toEqual({ events: 0, seconds: 0 })
  })

  it('joins nothing to what the server may have already', async () => {
    server.take.mockImplementation(away)
    const { box } = outbox()
    for (const at of [1000, 2000, 3000, 4000]) {
      box.packet(at, '0640')
      box.flush()
      await done()
    }
    server.take.mockReset().mockResolvedValue({})
    await box.send()
    // The first was tried alone; the others wait together.
    expect(server.take.mock.calls.map(([, , samples]) => samples.at)).toEqual([
      [1000],
      [2000, 3000, 4000],
    ])
    const numbers = server.take.mock.calls.map(([, sequence]) => sequence as number)
    expect(numbers[1]! - numbers[0]!).toBe(1)
    expect(numbers.every(Number.isSafeInteger)).toBe(true)
  })

  it('says what was refused, and goes on with the next', async () => {
    server.add.mockRejectedValueOnce(new Problem(400, 'invalid', 'no')).mockResolvedValue({})
    const { box, refused } = outbox()
    box.event({ at: 't', kind: 'paused' })
    box.event({ at: 't', kind: 'resumed' })
    await done()
    expect(refused).toHaveLength(1)
    expect(box.waiting.events).toBe(0)
  })

  it('undoes what still waits: dropped, or withdrawn where the server may have it', async () => {
    server.add.mockImplementation(away)
    const { box } = outbox()
    expect(box.undo('t')).toBe(false)
    const tried = box.event({ at: 't', kind: 'paused' })
    await done()
    box.event({ at: 't', kind: 'resumed' })
    expect(box.undo('t')).toBe(true)
    expect(box.waiting.events).toBe(1)
    expect(box.undo('t')).toBe(true)
    await done()
    server.add.mockReset().mockResolvedValue({})
    await box.send()
    expect(server.add.mock.calls.map(([, , happened]) => happened.kind)).toEqual([
      'paused',
      'withdrawn',
    ])
    expect(server.add.mock.calls[1]![2].of).toBe(tried)
  })

  it('makes batches that the server takes', async () => {
    server.take.mockImplementation(away)
    const { box } = outbox()
    for (let second = 0; second < 600; second++) {
      box.packet(second * 1000, '0640')
      box.flush()
      await done()
    }
    expect(box.waiting.seconds).toBe(600)
    server.take.mockReset().mockResolvedValue({})
    await box.send()
    for (const [, , { at }] of server.take.mock.calls) {
      expect(at.at(-1) - at[0]).toBeLessThan(120_000)
    }
    expect(server.take.mock.calls.flatMap(([, , { at }]) => at)).toHaveLength(600)
  })
})

describe('what stands on the pad and the clock', () => {
  it('lets the steps follow each other by the plan while nobody answers', () => {
    const at = (seconds: number) => new Date(1_000_000 + 1000 * seconds).toISOString()
    const leg = {
      row: 0,
      from: at(0),
      clockFrom: at(0),
      until: at(300),
      seconds: 300,
      ended: false,
      byItself: false,
    }
    const steps = [300, 120, 600].map((seconds) => ({ seconds }) as never)
    const on = (seconds: number) => planned(leg, steps, 1_000_000 + 1000 * seconds).leg
    expect(on(299).row).toBe(0)
    expect(on(300)).toMatchObject({ row: 1, from: at(300), until: at(420) })
    expect(on(500)).toMatchObject({ row: 2, until: at(1020) })
    expect(on(5000).row).toBe(2)
  })

  it('offers the ratings around the prescribed ones', () => {
    expect(ratings(12, 13)).toEqual([9, 10, 11, 12, 13, 14, 15, 16, 17, 18])
    expect(ratings(6, 11)[0]).toBe(6)
    expect(ratings(18, 20).at(-1)).toBe(20)
    expect(ratings(null, null)).toHaveLength(13)
  })

  it('shows minutes and seconds', () => {
    expect([onClock(0), onClock(59.6), onClock(600), onClock(-3)]).toEqual([
      '0:00',
      '1:00',
      '10:00',
      '0:00',
    ])
  })

  it('reads the rate of a packet for a page nobody answers', () => {
    expect([toldRate('0640'), toldRate('072c01')]).toEqual([64, 300])
  })
})
