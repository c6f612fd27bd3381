/** Where a value lies, in pixels, between the places of two others. */
export const scale = (from: number, to: number, first: number, last: number) => (value: number) =>
  first + ((value - from) / (to - from || 1)) * (last - first)

/** The whole steps within a span, both ends included. */
export function steps(from: number, to: number, by: number): number[] {
  const first = Math.ceil(from / by) * by
  return Array.from(
    { length: Math.max(0, Math.floor((to - first) / by) + 1) },
    (_, n) => first + by * n,
  )
}
