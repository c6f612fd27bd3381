const WORDS = ['Count now: 15 s', 'Count again now: 15 s', 'Count a last time now: 15 s']

/**
 * What is to be done by counts so many seconds after an effort has ended.
 *
 * @param countedAt when each count begins
 * @param within so long it is still taken
 */
export function countWords(since: number, countedAt: number[], within: number): string {
  for (const [n, at] of countedAt.entries()) {
    if (since < at) return `Next count in ${Math.ceil(at - since)} s`
    if (since < at + within) return WORDS[Math.min(n, WORDS.length - 1)]!
  }
  return 'All counts are done'
}
