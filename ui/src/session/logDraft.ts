import type { Mode, SessionLog, SessionLogRequest, Typed } from '../api/korvel'
import { typed } from '../shared/fields'

export const NO_VOICE = 'none' as const
export const AS_PLANNED = 'as planned' as const

/** What a log is about: a planned session, or one that was not planned. */
export interface LogOf {
  clientId: string
  number: number | null
  on: string
  minutes: number
}

/** A log while it is typed: text or nothing in every field. */
export interface LogDraft {
  done: boolean
  on: string
  mode: Mode | typeof AS_PLANNED
  minutes: string
  bpm: string
  rateKind: 'counted' | 'average'
  rpe: string
  voice: NonNullable<SessionLog['voice']> | typeof NO_VOICE
  warnings: SessionLog['warnings']
  note: string
}

/** As it is proposed: done, as long as was planned. */
export const freshLog = (of: LogOf): LogDraft => ({
  done: true,
  on: of.on,
  mode: AS_PLANNED,
  minutes: String(of.minutes),
  bpm: '',
  rateKind: 'counted',
  rpe: '',
  voice: NO_VOICE,
  warnings: [],
  note: '',
})

/** One that is kept, to be corrected. */
export const draftOf = (log: SessionLog): LogDraft => ({
  done: log.done,
  on: log.on,
  mode: log.mode,
  minutes: log.done ? String(log.minutes) : '',
  bpm: log.bpm === null ? '' : String(log.bpm),
  rateKind: log.rateKind ?? 'counted',
  rpe: log.rpe === null ? '' : String(log.rpe),
  voice: log.voice ?? NO_VOICE,
  warnings: [...log.warnings],
  note: log.note,
})

/** What a session that was not done has no figures of is left out. */
export function requestOf(of: LogOf, draft: LogDraft): Typed<SessionLogRequest> {
  return {
    clientId: of.clientId,
    number: of.number,
    on: draft.on || null,
    mode: draft.mode === AS_PLANNED ? null : draft.mode,
    done: draft.done,
    minutes: draft.done ? typed(draft.minutes) : null,
    bpm: draft.done ? typed(draft.bpm) : null,
    rateKind: draft.done && draft.bpm.trim() ? draft.rateKind : null,
    rpe: draft.done ? typed(draft.rpe) : null,
    voice: draft.done && draft.voice !== NO_VOICE ? draft.voice : null,
    warnings: draft.warnings,
    note: draft.note,
  }
}
