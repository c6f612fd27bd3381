import type { TestOption, TestRequest } from '../api/korvel'
import { typed } from '../shared/fields'

/** What reads the rate in a test, as it is offered. */
export const READERS = [
  { value: 'count', name: 'Counts' },
  { value: 'strap', name: 'Strap' },
  { value: 'wrist', name: 'Wrist' },
  { value: 'simulated', name: 'Simulated' },
]

/** What is chosen before a test, as it is typed. */
export const blank = () => ({
  reader: 'count',
  fault: 'none',
  speed: 1,
  present: false,
  // two minutes
  activity: 'sit-to-stand',
  own: true,
  metronome: '96',
  posture: 'seated',
  // a bench
  pace: null as number | null,
  // talk-steps
  mode: 'run',
  ladder: '',
  // graded
  protocol: 'bruce',
  aim: 'reserve 85',
  rate: '',
  supervisor: '',
  recovery: 'lying',
  noneOfThese: false,
  ordered: false,
  issuer: '',
  issuedOn: '',
  rpeEnds: '',
})
export type Choices = ReturnType<typeof blank>

type Request = { [K in keyof TestRequest]: unknown }

/** The same as it is sent; what does not belong to that test is left out. */
export function request(kind: TestOption['kind'], of: Choices): Request {
  const simulated = of.reader === 'simulated'
  const common: Request = {
    kind,
    source: simulated ? 'strap' : of.reader,
    simulated: simulated ? of.fault : null,
    speed: simulated ? of.speed : 1,
    present: of.present,
  }
  switch (kind) {
    case 'two-minute':
      return {
        ...common,
        activity: of.activity,
        metronome: of.own ? null : typed(of.metronome),
        posture: of.posture,
      }
    case 'low-bench':
    case 'high-bench':
      return { ...common, pace: of.pace }
    case 'talk-steps':
      return { ...common, mode: of.mode, ladder: of.ladder }
    case 'graded':
      return { ...common, ...graded(of) }
    default:
      return common
  }
}

function graded(of: Choices): Request {
  const [kind, value] = of.aim.split(' ')
  return {
    protocol: of.protocol,
    target:
      kind === 'exhaustion' || kind === 'none'
        ? null
        : { kind, value: kind === 'rate' ? typed(of.rate) : Number(value) },
    exhaustion: kind === 'exhaustion',
    supervisor: of.supervisor,
    posture: of.recovery,
    noneOfThese: of.noneOfThese,
    order: of.ordered
      ? { issuer: of.issuer, issuedOn: of.issuedOn || null, rpeEnds: typed(of.rpeEnds) }
      : null,
  }
}
