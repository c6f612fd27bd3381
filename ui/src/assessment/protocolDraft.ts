import type { Mode, Protocol, ProtocolRequest } from '../api/korvel'
import { typed } from '../shared/fields'

/** What a stage is done on. */
export type Kind = 'treadmill' | 'cycle' | 'steps'
export const KINDS: { value: Kind; name: string; mode: Mode }[] = [
  { value: 'treadmill', name: 'Treadmill', mode: 'run' },
  { value: 'cycle', name: 'Cycle', mode: 'cycle' },
  { value: 'steps', name: 'Step', mode: 'stairs' },
]

/** The two figures of a stage, by what it is done on: their names, as asked for and as sent. */
export const FIGURES: Record<Kind, { label: string; field: string }[]> = {
  treadmill: [
    { label: 'km/h', field: 'kmh' },
    { label: 'grade, %', field: 'gradePercent' },
  ],
  cycle: [{ label: 'W', field: 'watts' }],
  steps: [
    { label: 'times a minute', field: 'cycles' },
    { label: 'height, cm', field: 'heightCm' },
  ],
}

/** A protocol as it is typed. */
export interface Draft {
  name: string
  kind: Kind
  pressureEvery: number
  stages: { minutes: string; figures: string[] }[]
}

const stage = (minutes: string, figures: string[]) => ({ minutes, figures })
/** A first ladder to change. */
export const fresh = (kind: Kind = 'treadmill'): Draft => ({
  name: '',
  kind,
  pressureEvery: 1,
  stages: {
    treadmill: [stage('3', ['3', '0']), stage('3', ['4', '2']), stage('3', ['5', '4'])],
    cycle: [stage('2', ['25']), stage('2', ['50']), stage('2', ['75'])],
    steps: [stage('3', ['12', '20']), stage('3', ['16', '20']), stage('3', ['20', '20'])],
  }[kind],
})

/** One more, like the last. */
export const another = (draft: Draft) => {
  const last = draft.stages.at(-1)
  draft.stages.push(last ? stage(last.minutes, [...last.figures]) : stage('3', ['', '']))
}

/** The draft of a protocol that there is. */
export function from(protocol: Protocol): Draft {
  const first = protocol.stages[0]
  const kind: Kind = first?.watts != null ? 'cycle' : first?.cycles != null ? 'steps' : 'treadmill'
  return {
    name: protocol.name,
    kind,
    pressureEvery: protocol.pressureEvery,
    stages: protocol.stages.map((each) =>
      stage(
        String(each.seconds / 60),
        FIGURES[kind].map(({ field }) => String(each[field as keyof typeof each] ?? '')),
      ),
    ),
  }
}

/** As it is sent. */
export function written(draft: Draft): ProtocolRequest {
  return {
    name: draft.name,
    mode: KINDS.find(({ value }) => value === draft.kind)!.mode,
    pressureEvery: draft.pressureEvery,
    stages: draft.stages.map(({ minutes, figures }) => ({
      seconds: Math.round(60 * Number(typed(minutes) ?? 0)),
      kmh: null,
      gradePercent: null,
      watts: null,
      cycles: null,
      heightCm: null,
      ...Object.fromEntries(
        FIGURES[draft.kind].map(({ field }, at) => [field, typed(figures[at] ?? '')]),
      ),
    })) as unknown as NonNullable<ProtocolRequest['stages']>,
  }
}
