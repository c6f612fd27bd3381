import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { Problem } from '../src/api/http'
import { useSave } from '../src/shared/save'
import { keepUndoToPages, undoLast, undone, undoOffer } from '../src/shared/undo'
import { gate } from './gate'

const page = { template: '' }
const router = createRouter({
  history: createMemoryHistory(),
  routes: [
    { path: '/a', component: page },
    { path: '/b', component: page },
  ],
})
keepUndoToPages(router)
beforeEach(async () => {
  undoOffer.value = null
  await router.push('/a')
})

describe('useSave', () => {
  it('saves once, however often it is pressed meanwhile', async () => {
    const answer = gate<string>()
    const write = vi.fn(() => answer.promise)
    const { save, saving } = useSave(write)
    const first = save()
    expect(await save()).toBe(false)
    expect(saving.value).toBe(true)
    answer.open('kept')
    expect(await first).toBe(true)
    expect(write).toHaveBeenCalledTimes(1)
    expect(saving.value).toBe(false)
  })

  it('offers to undo before what is shown is read anew', async () => {
    const back = vi.fn(async () => {})
    const offered: (string | undefined)[] = []
    const { save } = useSave(async (rate: number) => rate, {
      undo: (rate) => ({ said: `${rate} is saved.`, back }),
      saved: () => offered.push(undoOffer.value?.text),
    })
    await save(64)
    expect(offered).toEqual(['64 is saved.'])
    await undoLast()
    expect(back).toHaveBeenCalledTimes(1)
  })

  it('shows a problem at its fields, and the rest over the form', async () => {
    const errors = [{ field: 'beats', message: 'is missing', accepted: '20–240' }]
    const write = vi.fn<() => Promise<void>>()
    const wrong = vi.fn()
    const { save, messages, general } = useSave(write, { wrong })
    write.mockRejectedValueOnce(new Problem(400, 'invalid', 'Not accepted', errors))
    expect(await save()).toBe(false)
    expect(messages.value).toEqual({ beats: 'Is missing. Accepted: 20–240.' })
    expect(wrong).toHaveBeenCalledTimes(1)
    write.mockRejectedValueOnce(new Problem(0, 'unreachable', 'Korvel does not answer.'))
    await save()
    expect([messages.value, general.value]).toEqual([{}, 'Korvel does not answer.'])
    write.mockResolvedValueOnce()
    await save()
    expect([messages.value, general.value]).toEqual([{}, ''])
  })

  it('keeps what somebody else saved for a decision, and says nothing else of it', async () => {
    const theirs = { name: 'Theirs', version: 7 }
    const clash = new Problem(409, 'conflict', 'Changed meanwhile', [], [], theirs)
    const write = vi.fn<(over: number) => Promise<typeof theirs>>().mockRejectedValueOnce(clash)
    const { save, theirs: shown, general } = useSave(write)
    await save(6)
    expect(shown.value).toEqual(theirs)
    expect(general.value).toBe('')
    write.mockResolvedValueOnce({ ...theirs, version: 8 })
    await save(7)
    expect(shown.value).toBeNull()
  })

  it('asks for what is theirs where the refusal does not bring it, and for every conflict anew', async () => {
    const write = vi.fn<(n: number) => Promise<void>>()
    write.mockRejectedValue(new Problem(409, 'conflict', 'Changed meanwhile'))
    const { save, theirs } = useSave(write, { conflict: async (n: number) => `version ${n}` })
    await save(3)
    expect(theirs.value).toBe('version 3')
    await save(4)
    expect(theirs.value).toBe('version 4')
  })

  it('says a conflict that brings nothing over the form', async () => {
    const { save, theirs, general } = useSave(async (): Promise<void> => {
      throw new Problem(409, 'taken', 'That name is taken.')
    })
    await save()
    expect([theirs.value, general.value]).toEqual([null, 'That name is taken.'])
  })
})

describe('undo', () => {
  it('goes back to the page where it was done, and says what it did', async () => {
    const { save } = useSave(async () => {}, {
      undo: () => ({ said: '64 bpm is saved.', back: async () => {} }),
    })
    await save()
    await router.push('/b')
    const before = undone.value
    await undoLast()
    expect(router.currentRoute.value.path).toBe('/a')
    expect(undoOffer.value).toMatchObject({ text: 'Undone: 64 bpm is saved.', undo: null })
    expect(undone.value).toBe(before + 1)
    await undoLast()
    expect(undoOffer.value?.text).toBe('There is nothing left to undo.')
  })

  it('says why it is no longer possible', async () => {
    const { save } = useSave(async () => {}, {
      undo: () => ({
        said: 'Moved.',
        back: async () => {
          throw new Problem(409, 'conflict', 'Changed since.')
        },
      }),
    })
    await save()
    await undoLast()
    expect(undoOffer.value?.text).toBe('Not undone: Moved. Changed since.')
  })

  it('forgets what it said with its page, but not what it offers', async () => {
    undoOffer.value = { text: 'Undone.', undo: null, page: '/a' }
    await router.push('/b')
    expect(undoOffer.value).toBeNull()
    undoOffer.value = { text: 'Kept.', undo: async () => {}, page: '/b' }
    await router.push('/a')
    expect(undoOffer.value?.text).toBe('Kept.')
  })
})
