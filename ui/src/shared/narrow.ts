import { useMediaQuery } from '@vueuse/core'

/** Whether the page is as narrow as a phone: pictures are then drawn for that width. */
export const useNarrow = () => useMediaQuery('(max-width: 560px)')
