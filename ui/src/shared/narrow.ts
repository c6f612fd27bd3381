import { useMediaQuery } from '@vueuse/core'

/** Whether there is hardly a keyboard: nothing is said of keys then. */
export const useWithoutKeys = () => useMediaQuery('(pointer: coarse), (max-width: 640px)')

/** Whether the page is as narrow as a phone: pictures are then drawn for that width. */
export const useNarrow = () => useMediaQuery('(max-width: 560px)')
