import { computed, onBeforeUnmount, ref, shallowRef, watch, type Ref } from 'vue'
import { asProblem, type Problem } from '../api/http'
import { addToFieldTest, fieldTest, type FieldTest, type FieldTestEvent } from '../api/korvel'
import { clock } from '../shared/clock'
import { CLOCK_SOUNDS } from '../shared/sound'

/** Something that happened and has not reached the server yet: kept, so that nothing is lost. */
interface Waiting {
  id: string
  happened: FieldTestEvent
}

/** How often what waits is tried again, ms. */
const AGAIN = 2000
const keyOf = (test: string) => `korvel.field-test.${test}`
const UNREACHABLE = 0

/**
 * A field test as it runs: the clock goes by the server's time, what happens is noted with its
 * moment and sent in order, and where the test stands is always the server's word.
 */
export function useRun(id: Ref<string>) {
  const test = shallowRef<FieldTest | null>(null)
  const problem = shallowRef<Problem | null>(null)
  /** What the server refused, to be shown at the form it came from. */
  const refused = shallowRef<Problem | null>(null)
  const waiting = ref<Waiting[]>([])
  const now = ref(clock.wall())
  let ahead = 0
  let last = 0

  function take(answer: FieldTest) {
    ahead = new Date(answer.now).getTime() - clock.wall()
    now.value = clock.wall() + ahead
    test.value = answer
    problem.value = null
  }

  async function load() {
    try {
      take(await fieldTest(id.value))
    } catch (thrown) {
      if (!test.value) problem.value = asProblem(thrown)
    }
  }

  const kept = () => localStorage.setItem(keyOf(id.value), JSON.stringify(waiting.value))
  let sending = false
  let tried = 0
  /** Sends what waits, in the order in which it happened. */
  async function send() {
    if (sending) return
    sending = true
    tried = clock.now()
    try {
      while (waiting.value.length) {
        const first = waiting.value[0]!
        try {
          take(await addToFieldTest(id.value, first.id, first.happened))
        } catch (thrown) {
          const failure = asProblem(thrown)
          if (failure.status === UNREACHABLE) return
          refused.value = failure
        }
        waiting.value = waiting.value.slice(1)
        kept()
      }
    } finally {
      sending = false
    }
  }

  /** Notes that something happened just now; whether it was taken is known afterwards. */
  async function happened(what: Omit<FieldTestEvent, 'at'>): Promise<boolean> {
    refused.value = null
    // The server's time may be learned anew between two entries; they keep their order all the same.
    last = Math.max(last, clock.wall() + ahead)
    waiting.value = [
      ...waiting.value,
      {
        id: crypto.randomUUID(),
        happened: { at: new Date(last).toISOString(), ...what },
      },
    ]
    kept()
    await send()
    return refused.value === null
  }

  const until = computed(() => {
    const at = test.value?.stand.until
    return at ? new Date(at).getTime() : null
  })
  let asked = 0
  let counted = -1
  const stopTicking = clock.every(200, () => {
    now.value = clock.wall() + ahead
    const at = until.value
    const left = at === null ? null : Math.ceil((at - now.value) / 1000)
    if (left !== null && left !== counted && left >= 1 && left <= 3) CLOCK_SOUNDS.lead()
    counted = left ?? -1
    // The phase has run out: where it stands now is asked of the server.
    if (left !== null && left <= 0 && !test.value!.stand.mayStart && now.value - asked > 500) {
      asked = now.value
      void load()
    }
    if (waiting.value.length && clock.now() - tried > AGAIN) void send()
  })
  onBeforeUnmount(stopTicking)

  watch(
    () => test.value?.stand.phase,
    (phase, before) => {
      if (!before) return
      if (phase === 'bout') CLOCK_SOUNDS.start()
      else CLOCK_SOUNDS.end()
    },
  )

  watch(
    id,
    async () => {
      test.value = null
      waiting.value = JSON.parse(localStorage.getItem(keyOf(id.value)) ?? '[]') as Waiting[]
      await load()
      await send()
    },
    { immediate: true },
  )

  return { test, problem, refused, waiting, now, load, happened, take }
}

/** Minutes and seconds, as on a clock. */
export function onClock(milliseconds: number): string {
  const seconds = Math.max(0, Math.floor(milliseconds / 1000))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
