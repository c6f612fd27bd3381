import { useKeptSwitch } from '../shared/kept'

/** Whether the practice pulse is seen; kept on this machine. */
export const throbOn = useKeptSwitch('korvel.throb')
