import type { TestPrompt } from '../api/korvel'

/** What is due now, and what comes next, with the seconds until then. */
export function inTime(prompts: TestPrompt[], now: number) {
  return prompts.map((prompt) => {
    const left = (new Date(prompt.at).getTime() - now) / 1000
    return { ...prompt, left, due: left <= 0 }
  })
}

/** A pressure as it is typed: 140/80, 140 80 or 140-80; null for anything else. */
export function pressure(text: string): { systolic: number; diastolic: number } | null {
  const found = /^\s*(\d{2,3})\s*[/\s,.-]\s*(\d{2,3})\s*$/.exec(text)
  return found ? { systolic: Number(found[1]), diastolic: Number(found[2]) } : null
}
