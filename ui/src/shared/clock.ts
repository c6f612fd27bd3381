/** The one clock of the interface. Tests put their own in its place before the page loads. */
export interface Clock {
  /** Milliseconds from some fixed point. */
  now(): number
  /** Milliseconds since 1970: goes on while the page is away. */
  wall(): number
  /** Calls back about every so many milliseconds until the returned function is called. */
  every(milliseconds: number, callback: () => void): () => void
}

declare global {
  var korvelClock: Clock | undefined
}

const real: Clock = {
  now: () => performance.now(),
  wall: () => Date.now(),
  every(milliseconds, callback) {
    const timer = setInterval(callback, milliseconds)
    return () => clearInterval(timer)
  },
}

export const clock: Clock = globalThis.korvelClock ?? real
