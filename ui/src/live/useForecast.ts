import { watch, type Ref } from 'vue'
import { sessionForecast, type LiveSheet, type LiveState } from '../api/korvel'
import { useAnswer } from '../shared/answer'

/** How a session was and is foreseen: anew whenever its steps go another way than they were to. */
export function useForecast(
  session: Ref<string>,
  sheet: Ref<LiveSheet | null>,
  state: Ref<LiveState | null>,
) {
  const { data, load } = useAnswer(sessionForecast)
  const course = () => {
    const now = state.value
    if (!now || !sheet.value?.zones) return null
    return [
      session.value,
      now.phase,
      ...now.legs.map((leg) => `${leg.row} ${leg.clockFrom} ${leg.seconds} ${leg.ended}`),
    ].join()
  }
  watch(course, (goes) => goes && void load(session.value), { immediate: true })
  return data
}
