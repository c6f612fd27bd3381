import type { Lane, RoomPerson } from '../api/korvel'

/** Who is in which step, most first: “Warm-up 9 · Work 3”. */
export function doing(people: RoomPerson[], lanes: Map<string, Lane>): string {
  const counts = new Map<string, number>()
  for (const { session, steps } of people) {
    const row = lanes.get(session)?.leg?.row
    const name = row === undefined ? null : steps[row]?.name
    if (name) counts.set(name, (counts.get(name) ?? 0) + 1)
  }
  return [...counts]
    .sort(([, a], [, b]) => b - a)
    .map(([name, count]) => `${name} ${count}`)
    .join(' · ')
}
