import { useEventListener } from '@vueuse/core'
import { onMounted, onUpdated, type Ref } from 'vue'

const ON = new Set(['ArrowRight', 'ArrowDown'])
const BACK = new Set(['ArrowLeft', 'ArrowUp'])
const CHOSEN = '[aria-checked="true"], [aria-pressed="true"], :checked'

/** Where an arrow leads among so many, round the ends; nowhere for another key. */
export function ledTo(key: string, at: number, count: number): number | undefined {
  if (ON.has(key)) return (at + 1) % count
  if (BACK.has(key)) return (at + count - 1) % count
  if (key === 'Home') return 0
  return key === 'End' ? count - 1 : undefined
}

/**
 * Makes a group one stop of the Tab key: at what was focused last, else what is chosen, else the first.
 * Arrows, Home and End move within it.
 */
export function useOneStop(
  group: Ref<HTMLElement | null>,
  members: string,
  moved?: (member: HTMLElement) => void,
) {
  let last: HTMLElement | null = null
  const all = () => [...(group.value?.querySelectorAll<HTMLElement>(members) ?? [])]

  function settle() {
    const here = all()
    const stop =
      here.find((each) => each === last) ?? here.find((each) => each.matches(CHOSEN)) ?? here[0]
    for (const each of here) each.tabIndex = each === stop ? 0 : -1
  }
  onMounted(settle)
  onUpdated(settle)

  useEventListener(group, 'focusin', ({ target }) => {
    last = (target as HTMLElement).closest<HTMLElement>(members)
    settle()
  })
  useEventListener(group, 'keydown', (event: KeyboardEvent) => {
    const here = all()
    const at = here.indexOf((event.target as HTMLElement).closest<HTMLElement>(members)!)
    const to = at < 0 ? undefined : ledTo(event.key, at, here.length)
    if (to === undefined || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    event.stopPropagation()
    here[to]!.focus()
    moved?.(here[to]!)
  })
}
