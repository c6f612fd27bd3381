import { useKeptSwitch } from './kept'

/** Whether single keys act; kept on this machine. Someone who dictates may want them off. */
export const singleKeys = useKeptSwitch('korvel.single-keys')

/** Whether a key press is meant for a field or for the page as it stands. */
export function meantForField(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (/^(TEXTAREA|SELECT)$/.test(target.tagName) ||
      target.isContentEditable ||
      (target instanceof HTMLInputElement && !/^(checkbox|radio|button)$/.test(target.type)))
  )
}
