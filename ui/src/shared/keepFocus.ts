import type { Router } from 'vue-router'

/** What has the focus, and what it stands in, from the inside out. */
let path: HTMLElement[] = []

const lost = () => document.activeElement === null || document.activeElement === document.body

function focusOn(element: HTMLElement) {
  if (element.tabIndex < 0 && !element.hasAttribute('tabindex')) element.tabIndex = -1
  element.focus({ preventScroll: true })
}

/** Where what had the focus is gone, what it stood in gets it; where it only slept, it again. */
function look() {
  const had = path[0]
  if (!had || !lost()) return
  if (!had.isConnected) {
    const left = path.find((each) => each.isConnected)
    if (left) focusOn(left)
  } else if (!had.matches(':disabled')) {
    had.focus({ preventScroll: true })
  }
}

/**
 * Keeps the focus on the page when what had it is saved, taken away or left: who works by keyboard
 * or screen reader goes on where they were.
 */
export function keepFocus(router: Router) {
  document.addEventListener('focusin', ({ target }) => {
    path = []
    for (let at = target as HTMLElement | null; at && at !== document.body; at = at.parentElement) {
      path.push(at)
    }
  })
  // Who clicks beside everything wants nothing to have it.
  document.addEventListener('pointerdown', () => (path = []))
  new MutationObserver(() => requestAnimationFrame(look)).observe(document.body, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['disabled'],
  })
  router.afterEach((to, from) => {
    if (to.path === from.path) return
    requestAnimationFrame(() => {
      const content = document.getElementById('content')
      if (lost() && content) focusOn(content)
    })
  })
}

/** Leaves a field for the page: single keys mean what they mean there again. */
export const toThePage = () => document.getElementById('content')?.focus({ preventScroll: true })
