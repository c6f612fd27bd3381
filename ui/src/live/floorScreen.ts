import { useWakeLock } from '@vueuse/core'
import { onMounted } from 'vue'
import { useKeptSwitch } from '../shared/kept'

/** Whether pages of the floor are on a light ground; kept on this machine. */
export const floorLight = useKeptSwitch('korvel.floor-light')

/** A screen of the floor does not go dark while somebody works before it. */
export function useScreenAwake() {
  const { isSupported, request } = useWakeLock()
  onMounted(() => isSupported.value && void request('screen').catch(() => {}))
}
