import { useLocalStorage } from '@vueuse/core'

const ON_OFF = {
  read: (text: string) => text !== 'off',
  write: (on: boolean) => (on ? 'on' : 'off'),
}

/** A switch kept on this machine; on at first, where nothing else is said. */
export const useKeptSwitch = (name: string, on = true) =>
  useLocalStorage(name, on, { serializer: ON_OFF })
