import type { Lane } from '../api/korvel'

type What = NonNullable<Lane['needs']>['what']

/** What is heard of what somebody needs; what is not here stays silent. */
const SOUNDS: Partial<Record<What, string>> = {
  stop: 'stop-work',
  'over-cap': 'ease-off',
  'over-maximum': 'ask',
  'ease-off': 'ease-off',
  'rating-due': 'ask',
  'pick-up': 'pick-up',
}

/**
 * One sound at a time in a room: what has come up since it was heard last, in the order of the
 * queue, with some seconds between two.
 */
export class RoomSounds {
  /** The sound that waits for each, by session. */
  private readonly waiting = new Map<string, string>()
  private readonly known = new Map<string, string>()
  private lastAt = -Infinity

  /** Takes how somebody stands now. */
  hear({ session, needs }: Pick<Lane, 'session' | 'needs'>) {
    const state = needs && !needs.seen ? `${needs.what} ${needs.sinceSecond}` : ''
    if (this.known.get(session) === state) return
    this.known.set(session, state)
    const sound = needs && !needs.seen ? SOUNDS[needs.what] : undefined
    if (sound) this.waiting.set(session, sound)
    else this.waiting.delete(session)
  }

  /**
   * The sound that is due, if one is.
   *
   * @param queue who needs somebody, the most urgent first
   * @param apart ms between two sounds, at least
   */
  next(now: number, queue: string[], apart: number): string | null {
    const session = queue.find((each) => this.waiting.has(each))
    if (session === undefined || now - this.lastAt < apart) return null
    const sound = this.waiting.get(session)!
    this.waiting.delete(session)
    this.lastAt = now
    return sound
  }
}
