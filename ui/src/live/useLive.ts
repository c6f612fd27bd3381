import { computed, type Ref } from 'vue'
import {
  addToLive,
  live,
  sendSamples,
  type LiveEvent,
  type LiveLeg,
  type LiveSheet,
  type LiveState,
  type LiveStep,
} from '../api/korvel'
import { useOnTheClock } from './useOnTheClock'

/** The step that is on by the plan, when its leg and those after it run their time. */
export function planned(leg: LiveLeg, steps: LiveStep[], now: number) {
  let on = leg
  while (on.until && new Date(on.until).getTime() <= now && on.row + 1 < steps.length) {
    const row = on.row + 1
    const seconds = steps[row]!.seconds
    const until = new Date(new Date(on.until).getTime() + 1000 * seconds).toISOString()
    on = { ...on, row, from: on.until, clockFrom: on.until, until, seconds }
  }
  return { leg: on, step: steps[on.row]! }
}

/** A session on the clock, with the step that is on. */
export function useLive(session: Ref<string>) {
  const { undoHere, ...run } = useOnTheClock<LiveSheet, LiveState, LiveEvent>(session, {
    named: (id) => id,
    read: live,
    add: addToLive,
    samples: sendSamples,
  })
  const { sheet, state, connected, now, happened } = run

  /** The step that is on. While nobody answers, the steps follow each other by the plan. */
  const step = computed(() => {
    const leg = state.value?.legs.at(-1)
    const steps = sheet.value?.steps
    if (!leg || leg.ended || !steps) return null
    return connected.value ? { leg, step: steps[leg.row]! } : planned(leg, steps, now.value)
  })

  /** Undoes what happened last: here, where it has not gone out yet, else on record. */
  function undo() {
    if (!undoHere() && state.value?.undo) happened({ kind: 'withdrawn', of: state.value.undo.of })
  }
  return { ...run, step, undo }
}
