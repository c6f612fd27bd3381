import { computed, onBeforeUnmount, ref, watch, type Ref } from 'vue'
import { clock } from '../shared/clock'
import { CLOCK_SOUNDS } from '../shared/sound'

/** A quiet time that is running: kept in the tab, so that a reload or another page loses nothing. */
interface Running {
  from: number
  minutes: number
}
const keyOf = (client: string) => `korvel.quiet.${client}`

/** The quiet time before a resting count, of one client. */
export function useQuiet(client: Ref<string>) {
  const running = ref<Running | null>(null)
  const now = ref(clock.wall())
  let told = false

  const seconds = computed(() =>
    running.value ? Math.max(0, Math.floor((now.value - running.value.from) / 1000)) : 0,
  )
  const left = computed(() =>
    running.value ? Math.max(0, running.value.minutes * 60 - seconds.value) : 0,
  )
  const over = computed(() => running.value !== null && left.value === 0)

  const stopTicking = clock.every(250, () => {
    now.value = clock.wall()
    if (running.value && over.value && !told) {
      told = true
      CLOCK_SOUNDS.end()
    }
  })
  onBeforeUnmount(stopTicking)

  watch(
    client,
    (id) => {
      const kept = sessionStorage.getItem(keyOf(id))
      running.value = kept ? (JSON.parse(kept) as Running) : null
      now.value = clock.wall()
      told = over.value
    },
    { immediate: true },
  )

  return {
    running,
    seconds,
    left,
    over,
    /** Whole minutes that have been quiet. */
    minutes: computed(() => Math.floor(seconds.value / 60)),
    start(minutes: number) {
      running.value = { from: clock.wall(), minutes }
      now.value = clock.wall()
      told = false
      sessionStorage.setItem(keyOf(client.value), JSON.stringify(running.value))
    },
    stop() {
      running.value = null
      sessionStorage.removeItem(keyOf(client.value))
    },
  }
}
