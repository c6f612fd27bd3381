import { clock } from '../shared/clock'

/**
 * What time it is by the clock of a session: the server's, learned from each answer; for a simulated
 * client it goes faster.
 */
export class LiveClock {
  private told = 0
  private since = clock.wall()

  constructor(private readonly speed: () => number) {}

  /** Learns what time it was when an answer was made. */
  learn(now: string) {
    this.told = new Date(now).getTime()
    this.since = clock.wall()
  }

  now(): number {
    return this.told + (clock.wall() - this.since) * this.speed()
  }
}
