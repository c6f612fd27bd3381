import type { Outline, StepKind } from '../api/korvel'
import { typed } from '../shared/fields'
import { minutes } from '../shared/words'

/** A step as it stands in the editor: figures as they were typed. */
export interface StepDraft {
  key: number
  kind: StepKind
  /** “12”, or “2:40”. */
  length: string
  low: string
  high: string
  waits: boolean
}

export interface BlockDraft {
  key: number
  times: string
  apart: boolean
  steps: StepDraft[]
}

export type Level = NonNullable<Outline['bandGoal']>['level']

export interface OutlineDraft {
  blocks: BlockDraft[]
  goalLevel: Level | 'none'
  goalMinutes: string
}

/** Where a step stands. */
export interface Place {
  block: number
  step: number
}

export const STEP_KINDS: Record<StepKind, { name: string; ranged: boolean }> = {
  'warm-up': { name: 'Warm-up', ranged: true },
  mobility: { name: 'Mobility', ranged: false },
  work: { name: 'Work', ranged: true },
  easy: { name: 'Easy', ranged: true },
  burst: { name: 'Burst', ranged: true },
  'cool-down': { name: 'Cool-down', ranged: true },
  stretch: { name: 'Stretch', ranged: false },
}

let keys = 0
export function newStep(kind: StepKind, length: string, low = '', high = ''): StepDraft {
  return { key: keys++, kind, length, low, high, waits: false }
}
export function newBlock(times: string, ...steps: StepDraft[]): BlockDraft {
  return { key: keys++, times, apart: false, steps }
}

/** Something to begin with: what no session is without, and work to be changed. */
export const emptyOutline = (): OutlineDraft => ({
  blocks: [
    newBlock('1', newStep('warm-up', '5', '20', '40')),
    newBlock('1', newStep('mobility', '2')),
    newBlock('1', newStep('work', '20', '40', '55')),
    newBlock('1', newStep('cool-down', '5', '20', '40')),
    newBlock('1', newStep('stretch', '5')),
  ],
  goalLevel: 'none',
  goalMinutes: '',
})

/** An outline laid out to be changed. */
export const draftOf = (outline: Outline): OutlineDraft => ({
  blocks: outline.blocks.map(({ times, apart, steps }) => ({
    key: keys++,
    times: String(times),
    apart,
    steps: steps.map((step) => ({
      key: keys++,
      kind: step.kind,
      length: minutes(step.seconds),
      low: step.lowPercent === null ? '' : String(step.lowPercent),
      high: step.highPercent === null ? '' : String(step.highPercent),
      waits: step.waits,
    })),
  })),
  goalLevel: outline.bandGoal?.level ?? 'none',
  goalMinutes: outline.bandGoal ? String(outline.bandGoal.minutes) : '',
})

/** The seconds of “12” or “2:40”; what reads as neither is sent as it stands. */
export function seconds(length: string): number | string | null {
  const read = /^\s*(\d+)(?::([0-5]\d))?\s*$/.exec(length)
  return read ? 60 * Number(read[1]) + Number(read[2] ?? 0) : typed(length)
}

/** For drawing: what cannot be read has no length. */
export const drawnSeconds = (step: StepDraft) => {
  const read = seconds(step.length)
  return typeof read === 'number' ? read : 0
}

/** What is sent. */
export const requestOf = (draft: OutlineDraft) => ({
  blocks: draft.blocks.map(({ times, apart, steps }) => ({
    times: typed(times),
    apart,
    steps: steps.map((step) => ({
      kind: step.kind,
      seconds: seconds(step.length),
      lowPercent: STEP_KINDS[step.kind].ranged ? typed(step.low) : null,
      highPercent: STEP_KINDS[step.kind].ranged ? typed(step.high) : null,
      waits: step.waits && step.kind === 'work',
    })),
  })),
  bandGoal:
    draft.goalLevel !== 'none'
      ? { level: draft.goalLevel, minutes: typed(draft.goalMinutes) }
      : null,
})

/** Lengths are dragged in steps that suit them: bursts in 5 s, the rest in half minutes. */
export function stretch(step: StepDraft, to: number) {
  const grain = step.kind === 'burst' ? 5 : 30
  step.length = minutes(Math.max(grain, Math.round(to / grain) * grain))
}

/** Both edges by so much, as wide as before, within what is accepted. */
export function harder(
  step: StepDraft,
  by: number,
  accepted: { lowest: number; highest: number } | undefined,
) {
  const low = Number(step.low)
  const high = Number(step.high)
  if (!STEP_KINDS[step.kind].ranged || Number.isNaN(low) || Number.isNaN(high)) return
  const moved = accepted
    ? Math.max(accepted.lowest - low, Math.min(accepted.highest - high, by))
    : by
  step.low = String(low + moved)
  step.high = String(high + moved)
}

/** Puts a step one place earlier or later, into the block beside it or past it. */
export function reorder(draft: OutlineDraft, { block, step }: Place, by: -1 | 1): Place {
  const from = draft.blocks[block]!
  const to = step + by
  if (from.steps.length > 1 && to >= 0 && to < from.steps.length) {
    from.steps.splice(to, 0, ...from.steps.splice(step, 1))
    return { block, step: to }
  }
  const beyond = block + by
  if (beyond < 0 || beyond >= draft.blocks.length) return { block, step }
  draft.blocks.splice(beyond, 0, ...draft.blocks.splice(block, 1))
  return { block: beyond, step }
}

/** Takes a step away, and its block with the last one. */
export function remove(draft: OutlineDraft, { block, step }: Place): Place {
  const from = draft.blocks[block]!
  from.steps.splice(step, 1)
  if (!from.steps.length) draft.blocks.splice(block, 1)
  const at = Math.min(block, draft.blocks.length - 1)
  return { block: at, step: 0 }
}
