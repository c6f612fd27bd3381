import { useLocalStorage } from '@vueuse/core'

const ON_OFF = {
  read: (text: string) => text !== 'off',
  write: (on: boolean) => (on ? 'on' : 'off'),
}

/** A switch kept on this machine; on at first. */
export const useKeptSwitch = (name: string) => useLocalStorage(name, true, { serializer: ON_OFF })
