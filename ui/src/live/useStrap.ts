import { onBeforeUnmount, ref, shallowRef } from 'vue'
import { clock } from '../shared/clock'

/** Where a strap stands. */
export type StrapState = 'none' | 'connecting' | 'on' | 'lost'

const SERVICE = 'heart_rate'
const MEASUREMENT = 'heart_rate_measurement'
const BATTERY = 'battery_service'
const LEVEL = 'battery_level'
const FIRST_WAIT = 1000
const LONGEST_WAIT = 10_000

/** What went wrong, by the name the browser gives it, and what to do. */
const TROUBLES: Record<string, string> = {
  NotFoundError:
    'No strap was chosen. Wet it, put it on, and try again; it shows itself only while it is worn.',
  NotAllowedError:
    'The browser was not allowed to use Bluetooth. Allow it for this page in the browser’s settings, then try again.',
  SecurityError:
    'The browser was not allowed to use Bluetooth. Allow it for this page in the browser’s settings, then try again.',
  NetworkError:
    'The strap is out of reach, or connected to something else. Bring it closer, or disconnect it there, and try again.',
}
const WRONG_DEVICE =
  'This device does not offer a heart rate. Choose a strap that sends it by Bluetooth; wrist devices often need it switched on first.'
export const WITHOUT_BLUETOOTH =
  'This browser cannot reach straps: use Chrome or Edge, on this computer itself or over https. Until then count by hand, or read the rate off a machine.'

class WrongDevice extends Error {}

const hex = (value: DataView) =>
  Array.from(new Uint8Array(value.buffer, value.byteOffset, value.byteLength), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('')

/** Whether this browser can reach straps at all. */
export const canReachStraps = () => 'bluetooth' in navigator

/** The rate as a packet tells it, for a page that nobody answers: unsmoothed, and said so. */
export function toldRate(packet: string): number {
  const wide = parseInt(packet.slice(0, 2), 16) & 1
  const low = parseInt(packet.slice(2, 4), 16)
  return wide ? low + 256 * parseInt(packet.slice(4, 6), 16) : low
}

/**
 * A strap by the open Bluetooth heart rate service: chosen once, connected again by itself when it
 * was lost. Its packets are handed on as they are.
 *
 * @param chosenNow told what the strap is called, once it sends
 */
export function strapConnection(
  heard: (packet: string) => void,
  chosenNow: (name: string) => void = () => {},
) {
  const state = ref<StrapState>('none')
  const trouble = ref('')
  const name = ref('')
  const battery = ref<number | null>(null)
  const device = shallowRef<BluetoothDevice | null>(null)

  async function connect() {
    trouble.value = ''
    if (!canReachStraps()) {
      trouble.value = WITHOUT_BLUETOOTH
      return
    }
    try {
      const chosen = await navigator.bluetooth.requestDevice({
        filters: [{ services: [SERVICE] }],
        optionalServices: [BATTERY],
      })
      leave()
      device.value = chosen
      name.value = chosen.name ?? 'Strap'
      chosen.addEventListener('gattserverdisconnected', lost)
      state.value = 'connecting'
      await listen(chosen)
      chosenNow(name.value)
    } catch (thrown) {
      fail(thrown)
    }
  }

  function fail(thrown: unknown) {
    const kind = (thrown as Error).name
    trouble.value =
      thrown instanceof WrongDevice
        ? WRONG_DEVICE
        : (TROUBLES[kind] ?? `The strap cannot be used: ${(thrown as Error).message}`)
    if (state.value === 'connecting') leave()
  }

  async function listen(chosen: BluetoothDevice) {
    const server = await chosen.gatt!.connect()
    let service: BluetoothRemoteGATTService
    try {
      service = await server.getPrimaryService(SERVICE)
    } catch {
      throw new WrongDevice()
    }
    const measured = await service.getCharacteristic(MEASUREMENT)
    measured.addEventListener('characteristicvaluechanged', ({ target }) => {
      const { value } = target as BluetoothRemoteGATTCharacteristic
      if (value) heard(hex(value))
    })
    await measured.startNotifications()
    state.value = 'on'
    trouble.value = ''
    wait = FIRST_WAIT
    battery.value = await level(server)
  }

  /** Not every strap tells; that is no trouble. */
  async function level(server: BluetoothRemoteGATTServer): Promise<number | null> {
    try {
      const service = await server.getPrimaryService(BATTERY)
      const value = await (await service.getCharacteristic(LEVEL)).readValue()
      return value.getUint8(0)
    } catch {
      return null
    }
  }

  let wait = FIRST_WAIT
  let againAt = 0
  let trying = false
  function lost() {
    state.value = 'lost'
    againAt = clock.now() + wait
  }
  const stopTicking = clock.every(500, async () => {
    if (state.value !== 'lost' || trying || clock.now() < againAt || !device.value) return
    trying = true
    try {
      await listen(device.value)
    } catch {
      wait = Math.min(LONGEST_WAIT, wait * 2)
      againAt = clock.now() + wait
    } finally {
      trying = false
    }
  })

  /** Lets go of the strap. */
  function leave() {
    device.value?.removeEventListener('gattserverdisconnected', lost)
    device.value?.gatt?.disconnect()
    device.value = null
    state.value = 'none'
    battery.value = null
  }
  /** Lets go of it for good. */
  function stop() {
    stopTicking()
    leave()
  }
  return { state, trouble, name, battery, connect, leave, stop }
}
export type StrapConnection = ReturnType<typeof strapConnection>

/** The strap of a page for one. */
export function useStrap(heard: (packet: string) => void, chosenNow?: (name: string) => void) {
  const strap = strapConnection(heard, chosenNow)
  onBeforeUnmount(strap.stop)
  return strap
}
