import { computed, onBeforeUnmount, ref } from 'vue'
import { clock } from '../shared/clock'
import { CLOCK_SOUNDS } from '../shared/sound'

/** Seconds counted in before a count opens. */
export const COUNT_IN = 3

export type CountPhase = 'ready' | 'lead' | 'running' | 'done'

/** What happens along a count. */
export interface CountEvents {
  started?: () => void
  /** The window has opened. */
  opened?: () => void
  done?: () => void
  stopped?: () => void
}

/** A timed count: counted in, then open for so many seconds, with a sound at each turn. */
export function useCount(seconds: () => number, on: CountEvents = {}) {
  const phase = ref<CountPhase>('ready')
  /** Seconds since it was started, the count-in included. */
  const since = ref(0)
  let stopTicking: (() => void) | undefined
  let heard = 0

  function reset() {
    stopTicking?.()
    stopTicking = undefined
    phase.value = 'ready'
    since.value = 0
  }

  function tick(from: number) {
    since.value = Math.min(COUNT_IN + seconds(), (clock.now() - from) / 1000)
    const second = Math.floor(since.value)
    if (phase.value === 'lead' && since.value >= COUNT_IN) {
      phase.value = 'running'
      CLOCK_SOUNDS.start()
      on.opened?.()
    } else if (phase.value === 'lead' && second > heard) {
      heard = second
      CLOCK_SOUNDS.lead()
    }
    if (phase.value === 'running' && since.value >= COUNT_IN + seconds()) {
      stopTicking?.()
      phase.value = 'done'
      CLOCK_SOUNDS.end()
      on.done?.()
    }
  }

  /** Starts anew; `ago` is how many milliseconds ago it was started elsewhere. */
  function start(ago = 0) {
    reset()
    phase.value = 'lead'
    heard = 0
    CLOCK_SOUNDS.lead()
    on.started?.()
    const from = clock.now() - ago
    stopTicking = clock.every(50, () => tick(from))
  }

  function stop() {
    reset()
    on.stopped?.()
  }

  const busy = computed(() => phase.value === 'lead' || phase.value === 'running')
  onBeforeUnmount(() => stopTicking?.())

  return {
    phase,
    busy,
    start,
    stop,
    reset,
    toggle: () => (busy.value ? stop() : start()),
    /** Seconds of the window gone by. */
    elapsed: computed(() => Math.max(0, since.value - COUNT_IN)),
    /** The whole second to show: of the count-in, then of the window. */
    left: computed(() =>
      phase.value === 'lead'
        ? Math.ceil(COUNT_IN - since.value) || 1
        : Math.ceil(seconds() - Math.max(0, since.value - COUNT_IN)),
    ),
  }
}
