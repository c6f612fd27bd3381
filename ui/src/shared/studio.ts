import { ref, watch } from 'vue'
import { studio, type Studio } from '../api/korvel'
import { clock } from './clock'

/** What every page needs to know, asked for once and again when its day is over. */
export const theStudio = ref<Studio | null>(null)

export async function loadStudio() {
  theStudio.value = await studio().catch(() => theStudio.value)
}

const A_MINUTE = 60_000

/** Asks for the studio again once its day has passed, also where the page slept meanwhile. */
export function followToday() {
  let passed = 0
  const look = () => {
    if (theStudio.value && clock.wall() >= passed) void loadStudio()
  }
  watch(theStudio, (now) => (passed = now ? clock.wall() + now.millisToMidnight : 0))
  clock.every(A_MINUTE, look)
  document.addEventListener('visibilitychange', look)
}

/** Calls back when the day that is today has become another one. */
export function onNewDay(callback: () => void) {
  watch(
    () => theStudio.value?.today,
    (now, before) => {
      if (before && now && now !== before) callback()
    },
  )
}
