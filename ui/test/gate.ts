/** A promise that is kept when the test says so. */
export function gate<T>() {
  let open!: (value: T) => void
  const promise = new Promise<T>((resolve) => (open = resolve))
  return { promise, open }
}

/** Once everything that has no reason to wait is done. */
export const settled = () => new Promise<void>((done) => setTimeout(done))
