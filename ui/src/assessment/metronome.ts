import { onScopeDispose, ref, watch, type Ref } from 'vue'
import { clock } from '../shared/clock'
import { useKeptSwitch } from '../shared/kept'

/** Whether the metronome is heard; kept on this machine. Its beat is seen either way. */
export const metronomeHeard = useKeptSwitch('korvel.metronome')

/** A beat: its number from 0, and when it is, in seconds of the audio clock. */
export interface Beat {
  number: number
  at: number
}

/**
 * The beats of a stretch of time. Each is counted from the first one, so that none drifts however
 * long it goes on.
 */
export function beatsBetween(first: number, perMinute: number, from: number, to: number): Beat[] {
  const beats: Beat[] = []
  for (let number = Math.max(0, Math.ceil(((from - first) * perMinute) / 60)); ; number++) {
    const at = first + (number * 60) / perMinute
    if (at >= to) return beats
    if (at >= from) beats.push({ number, at })
  }
}

/** Beats are laid so far ahead: a timer that comes late is early enough. */
const AHEAD = 0.3
/** An audio clock that has parted so far from the clock of the test is followed no longer. */
const APART = 0.012

/**
 * Lays beats on the audio clock, each once, a little ahead. That clock is exact from one beat to the
 * next, but may stand still while the machine is busy; over minutes the clock of the test counts.
 *
 * @returns the beats to lay now, told both clocks: the audio clock, and the seconds since the first
 *   beat by the clock of the test
 */
export function layBeats(perMinute: number) {
  let first = Infinity
  let last = -1
  return (audio: number, since: number): Beat[] => {
    const wanted = audio - since
    if (!(Math.abs(wanted - first) <= APART)) first = wanted
    const beats = beatsBetween(first, perMinute, audio, audio + AHEAD)
    const fresh = beats.filter(({ number }) => number > last)
    last = fresh.at(-1)?.number ?? last
    return fresh
  }
}

/** The beat that is on after so many seconds, and how far it has gone, from 0 to 1. */
export function beatAfter(seconds: number, perMinute: number) {
  const beats = (seconds * perMinute) / 60
  return { number: Math.floor(beats), gone: beats - Math.floor(beats) }
}

const ACCENT = 1320
const PLAIN = 880
const LENGTH = 0.045

/** One click; the first of four is higher. */
export function click(context: BaseAudioContext, { number, at }: Beat) {
  const tone = context.createOscillator()
  const gain = context.createGain()
  tone.frequency.value = number % 4 === 0 ? ACCENT : PLAIN
  gain.gain.setValueAtTime(0.5, at)
  gain.gain.exponentialRampToValueAtTime(0.001, at + LENGTH)
  tone.connect(gain).connect(context.destination)
  tone.start(at)
  tone.stop(at + LENGTH)
}

const TICK = 100

/**
 * A metronome that runs from a moment on.
 *
 * @param perMinute beats; null for none
 * @param since when its first beat was, by the wall clock; null while it stands
 */
export function useMetronome(perMinute: Ref<number | null>, since: Ref<number | null>) {
  let context: AudioContext | undefined
  let lay: ReturnType<typeof layBeats> | null = null
  const beat = ref(0)

  function begin() {
    lay = null
    if (since.value === null || !perMinute.value || !metronomeHeard.value) return
    if (typeof AudioContext === 'undefined') return
    context ??= new AudioContext()
    if (context.state === 'suspended') void context.resume()
    lay = layBeats(perMinute.value)
  }
  watch([since, perMinute, metronomeHeard], begin, { immediate: true })

  const stopTicking = clock.every(TICK, () => {
    if (!perMinute.value || since.value === null) return
    const seconds = (clock.wall() - since.value) / 1000
    beat.value = beatAfter(seconds, perMinute.value).number
    if (context?.state !== 'running') return
    for (const next of lay?.(context.currentTime, seconds) ?? []) click(context, next)
  })
  onScopeDispose(() => {
    stopTicking()
    void context?.close()
  })
  return { beat }
}
