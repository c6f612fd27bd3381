import { asProblem, type Problem } from '../api/http'
import { addToLive, sendSamples, type LiveEvent } from '../api/korvel'

/** Something that has not reached the server yet: kept on this device, so that nothing is lost. */
interface WaitingEvent {
  id: string
  happened: object
  tried: boolean
}
interface WaitingSamples {
  sequence: number
  at: number[]
  packets: string[]
  /** Whether it may be with the server already: then nothing joins it any more. */
  tried: boolean
}
interface Kept {
  /** Numbers of samples begin here on this device: no two devices have the same. */
  base: number
  next: number
  events: WaitingEvent[]
  samples: WaitingSamples[]
}

/** The server takes no more at once, ms. */
const LONGEST = 100_000
const DEVICES = 2 ** 20
const NUMBERS = 2 ** 32
const UNREACHABLE = 0
const SERVER_FAILED = 500

/** Hands in what happened: in a session, a room or a test. */
export type HandIn = (id: string, event: string, happened: object) => Promise<unknown>
/** Hands in what a strap has sent. */
export type HandSamples = (
  id: string,
  sequence: number,
  samples: { at: number[]; packets: string[] },
) => Promise<unknown>

const keyOf = (session: string) => `korvel.live.${session}`

/**
 * What a page has to hand in of a session, in order: kept in the browser's storage until the server
 * has it on disk, over reloads and without a network.
 */
export class Outbox {
  private kept: Kept
  private sending = false
  /** Packets that have not been made into a batch yet. */
  private fresh: { at: number; packet: string }[] = []

  constructor(
    private readonly session: string,
    private readonly heard: {
      refused: (problem: Problem) => void
      changed?: () => void
    },
    private readonly handIn: HandIn = (id, event, happened) =>
      addToLive(id, event, happened as LiveEvent),
    private readonly handSamples: HandSamples = sendSamples,
  ) {
    const read = localStorage.getItem(keyOf(session))
    this.kept = read
      ? (JSON.parse(read) as Kept)
      : { base: Math.floor(Math.random() * DEVICES) * NUMBERS, next: 0, events: [], samples: [] }
  }

  /** How many seconds of samples, and how many events, wait. */
  get waiting() {
    return {
      events: this.kept.events.length,
      seconds: this.kept.samples.reduce((sum, { packets }) => sum + packets.length, 0),
    }
  }

  private keep() {
    const nothing = !this.kept.events.length && !this.kept.samples.length && !this.kept.next
    if (nothing) localStorage.removeItem(keyOf(this.session))
    else localStorage.setItem(keyOf(this.session), JSON.stringify(this.kept))
    this.heard.changed?.()
  }

  /** Notes that something happened; the id it is known by. */
  event(happened: object): string {
    const id = crypto.randomUUID()
    this.kept.events.push({ id, happened, tried: false })
    this.keep()
    void this.send()
    return id
  }

  /**
   * Undoes what happened last, where that still waits here: what the server may have already is
   * withdrawn, what it cannot have is dropped.
   *
   * @returns whether anything waits here; else what happened last is on record
   */
  undo(at: string): boolean {
    const last = this.kept.events.at(-1)
    if (!last) return false
    if (last.tried) this.event({ at, kind: 'withdrawn', of: last.id })
    else {
      this.kept.events.pop()
      this.keep()
    }
    return true
  }

  /** Notes a packet of a strap. */
  packet(at: number, packet: string) {
    this.fresh.push({ at, packet })
  }

  /** Makes a batch of the packets that have come, and sends what waits. */
  flush() {
    if (this.fresh.length) {
      const first = this.fresh[0]!.at
      const last = this.kept.samples.at(-1)
      // While nothing gets through, what comes joins what waits, as long as the server takes it.
      if (last && !last.tried && first - last.at[0]! < LONGEST) {
        last.at.push(...this.fresh.map(({ at }) => at))
        last.packets.push(...this.fresh.map(({ packet }) => packet))
      } else {
        this.kept.samples.push({
          sequence: this.kept.base + this.kept.next++,
          at: this.fresh.map(({ at }) => at),
          packets: this.fresh.map(({ packet }) => packet),
          tried: false,
        })
      }
      this.fresh = []
      this.keep()
    }
    void this.send()
  }

  /** Sends what waits, in order: what happened, then what was measured. */
  async send() {
    if (this.sending) return
    this.sending = true
    try {
      while (this.kept.events.length) {
        const next = this.kept.events[0]!
        const { id, happened } = next
        next.tried = true
        const gone = await this.tried(() => this.handIn(this.session, id, happened))
        if (!gone) return
        this.kept.events.shift()
        this.keep()
      }
      while (this.kept.samples.length) {
        const first = this.kept.samples[0]!
        const { sequence, at, packets } = first
        first.tried = true
        const gone = await this.tried(() =>
          this.handSamples(this.session, sequence, { at, packets }),
        )
        if (!gone) return
        this.kept.samples.shift()
        this.keep()
      }
    } finally {
      this.sending = false
    }
  }

  /** Whether the server has answered: taken, or refused for good. */
  private async tried(sent: () => Promise<unknown>): Promise<boolean> {
    try {
      await sent()
    } catch (thrown) {
      const problem = asProblem(thrown)
      if (problem.status === UNREACHABLE || problem.status >= SERVER_FAILED) return false
      this.heard.refused(problem)
    }
    return true
  }
}
