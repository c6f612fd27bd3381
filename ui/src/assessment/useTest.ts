import { computed, type Ref } from 'vue'
import {
  addToTest,
  sendTestSamples,
  test,
  type TestEvent,
  type TestSheet,
  type TestState,
} from '../api/korvel'
import { useOnTheClock } from '../live/useOnTheClock'

/** A test on the clock. Two devices see the same of it: one may take pressures, one the rate. */
export function useTest(id: Ref<string>) {
  const { undoHere, ...run } = useOnTheClock<TestSheet, TestState, TestEvent>(id, {
    named: (each) => `test:${each}`,
    read: test,
    add: addToTest,
    samples: sendTestSamples,
  })
  const happen = (
    kind: NonNullable<TestEvent['kind']>,
    more: Omit<TestEvent, 'at' | 'kind'> = {},
  ) => run.happened({ kind, ...more })
  /** What can be undone: the cuff that was started is no entry of its own. */
  const entries = computed(
    () => run.state.value?.entries.filter(({ kind }) => kind !== 'cuff-started') ?? [],
  )
  function undo() {
    const last = entries.value[0]
    if (!undoHere() && last) happen('withdrawn', { of: last.id })
  }
  /** What is left until a moment, or has passed since, in seconds. */
  const until = (iso: string | null) =>
    iso === null ? null : (new Date(iso).getTime() - run.now.value) / 1000
  return { ...run, happen, entries, undo, until }
}
export type TestRun = ReturnType<typeof useTest>
