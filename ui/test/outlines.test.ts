import { beforeEach, describe, expect, it } from 'vitest'
import {
  drawnSeconds,
  emptyOutline,
  harder,
  newBlock,
  newStep,
  remove,
  reorder,
  requestOf,
  seconds,
  stretch,
  type OutlineDraft,
} from '../src/outline/outlineDraft'

let draft: OutlineDraft
const kinds = () => draft.blocks.map(({ steps }) => steps.map(({ kind }) => kind))
beforeEach(() => {
  draft = emptyOutline()
})

describe('an outline in the editor', () => {
  it('reads minutes, and minutes and seconds', () => {
    expect(['12', ' 2:40 ', '0:20', '', 'long', '2:75'].map(seconds)).toEqual([
      720,
      160,
      20,
      null,
      'long',
      '2:75',
    ])
    expect(drawnSeconds(newStep('work', 'long'))).toBe(0)
  })

  it('sends a range only of steps that have one, and waits only in work', () => {
    draft.blocks = [
      newBlock('2', newStep('work', '3', '60', '75'), newStep('mobility', '2', '1', '2')),
    ]
    for (const step of draft.blocks[0]!.steps) step.waits = true
    expect(requestOf(draft).blocks).toEqual([
      {
        times: 2,
        apart: false,
        steps: [
          { kind: 'work', seconds: 180, lowPercent: 60, highPercent: 75, waits: true },
          { kind: 'mobility', seconds: 120, lowPercent: null, highPercent: null, waits: false },
        ],
      },
    ])
    expect(requestOf(draft).bandGoal).toBeNull()
    draft.goalLevel = 'words'
    draft.goalMinutes = '20'
    expect(requestOf(draft).bandGoal).toEqual({ level: 'words', minutes: 20 })
  })

  it('stretches by half minutes, bursts by five seconds, and nothing to nothing', () => {
    const work = newStep('work', '3')
    stretch(work, 200)
    expect(work.length).toBe('3:30')
    stretch(work, -90)
    expect(work.length).toBe('0:30')
    const burst = newStep('burst', '0:20')
    stretch(burst, 23)
    expect(burst.length).toBe('0:25')
  })

  it('gets harder as wide as it is, within what is accepted', () => {
    const step = newStep('work', '3', '60', '75')
    harder(step, 5, { lowest: 0, highest: 100 })
    expect([step.low, step.high]).toEqual(['65', '80'])
    harder(step, 50, { lowest: 0, highest: 100 })
    expect([step.low, step.high]).toEqual(['85', '100'])
    harder(step, -200, { lowest: 20, highest: 100 })
    expect([step.low, step.high]).toEqual(['20', '35'])
    const rest = newStep('mobility', '2')
    harder(rest, 5, undefined)
    expect(rest.low).toBe('')
  })

  it('moves a step within its block, and a block past the others', () => {
    draft.blocks[2] = newBlock('4', newStep('work', '1'), newStep('easy', '2'))
    expect(reorder(draft, { block: 2, step: 0 }, 1)).toEqual({ block: 2, step: 1 })
    expect(kinds()[2]).toEqual(['easy', 'work'])
    expect(reorder(draft, { block: 2, step: 1 }, 1)).toEqual({ block: 3, step: 1 })
    expect(kinds()[3]).toEqual(['easy', 'work'])
    expect(reorder(draft, { block: 0, step: 0 }, -1)).toEqual({ block: 0, step: 0 })
  })

  it('takes a block away with its last step', () => {
    expect(remove(draft, { block: 4, step: 0 })).toEqual({ block: 3, step: 0 })
    expect(kinds()).toEqual([['warm-up'], ['mobility'], ['work'], ['cool-down']])
  })
})
