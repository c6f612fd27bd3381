import { effectScope, nextTick, ref } from 'vue'
import { describe, expect, it, vi } from 'vitest'
import { Problem } from '../src/api/http'
import { useAnswer, useAnswerTo } from '../src/shared/answer'
import { theStudio } from '../src/shared/studio'
import { gate, settled } from './gate'

const fault = (field: string) =>
  new Problem(400, 'invalid', 'Not accepted', [{ field, message: 'is high', accepted: '1–9' }])
const inScope = <T>(use: () => T) => effectScope().run(use)!

describe('useAnswer', () => {
  it('shows the answer to the latest question, whatever comes last', async () => {
    const first = gate<string>()
    const second = gate<string>()
    const { data, loading, load } = useAnswer((n: number) => (n === 1 ? first : second).promise)
    const one = load(1)
    const two = load(2)
    second.open('of the second')
    await settled()
    first.open('of the first')
    expect([await one, await two]).toEqual([false, true])
    expect(data.value).toBe('of the second')
    expect(loading.value).toBe(false)
  })

  it('keeps what it shows where asking again fails, and says why', async () => {
    const fetch = vi.fn<() => Promise<string>>().mockResolvedValueOnce('there')
    const { data, problem, load } = useAnswer(fetch)
    await load()
    fetch.mockRejectedValueOnce(new Problem(503, 'busy', 'Try again.'))
    await load()
    expect(data.value).toBe('there')
    expect(problem.value?.message).toBe('Try again.')
    fetch.mockResolvedValueOnce('here')
    await load()
    expect(problem.value).toBeNull()
  })

  it('asks the same again when another day has begun', async () => {
    const fetch = vi.fn(async (client: string) => `${client} on ${theStudio.value?.today}`)
    theStudio.value = { today: '2026-05-14' } as never
    const { data, load } = inScope(() => useAnswer(fetch))
    await load('Ines')
    theStudio.value = { today: '2026-05-15' } as never
    await settled()
    expect(data.value).toBe('Ines on 2026-05-15')
    theStudio.value = null
  })
})

describe('useAnswerTo', () => {
  it('asks with every change, and not where there is nothing to ask', async () => {
    const typed = ref<number | null>(null)
    const ask = vi.fn(async (n: number) => n * 2)
    const { answer, settled: done } = inScope(() => useAnswerTo(() => typed.value, ask))
    expect(answer.value).toBeNull()
    typed.value = 3
    await nextTick()
    await done()
    expect(answer.value).toBe(6)
    typed.value = null
    await nextTick()
    expect(answer.value).toBeNull()
    expect(ask).toHaveBeenCalledTimes(1)
  })

  it('lets the last answer stand behind a fault, unless it would be taken for this one', async () => {
    for (const stands of [true, false]) {
      const typed = ref(1)
      const ask = async (n: number) => {
        if (n > 9) throw fault('rest')
        return n
      }
      const sum = inScope(() => useAnswerTo(() => typed.value, ask, { stands }))
      await sum.settled()
      typed.value = 10
      await nextTick()
      await sum.settled()
      expect(sum.answer.value).toBe(stands ? 1 : null)
      expect(sum.behind.value).toBe(true)
      expect(sum.messages.value).toEqual({ rest: 'Is high. Accepted: 1–9.' })
      typed.value = 2
      await nextTick()
      await sum.settled()
      expect([sum.answer.value, sum.behind.value, sum.messages.value]).toEqual([2, false, {}])
    }
  })

  it('has no answer where it is refused, and keeps the reasons', async () => {
    const finding = { code: 'heart-condition', message: 'Not by rate.' } as never
    const typed = ref(1)
    const ask = async (n: number) => {
      if (n > 1) throw new Problem(422, 'refused', 'Refused', [], [finding])
      return n
    }
    const sum = inScope(() => useAnswerTo(() => typed.value, ask))
    await sum.settled()
    expect(sum.answer.value).toBe(1)
    typed.value = 2
    await nextTick()
    await sum.settled()
    expect(sum.answer.value).toBeNull()
    expect(sum.refused.value).toEqual([finding])
  })

  it('waits for a pause, but not to forget', async () => {
    vi.useFakeTimers()
    const typed = ref<number | null>(null)
    const ask = vi.fn(async (n: number) => n)
    const { answer } = inScope(() => useAnswerTo(() => typed.value, ask, { pause: () => 500 }))
    for (const n of [1, 2, 3]) {
      typed.value = n
      await nextTick()
      vi.advanceTimersByTime(400)
    }
    expect(ask).not.toHaveBeenCalled()
    await vi.advanceTimersByTimeAsync(100)
    expect(ask.mock.calls).toEqual([[3]])
    expect(answer.value).toBe(3)
    typed.value = null
    await nextTick()
    expect(answer.value).toBeNull()
    vi.useRealTimers()
  })
})
