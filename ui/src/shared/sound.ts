import { useKeptSwitch } from './kept'

/** Whether the clocks and the practice pulse are heard; kept on this machine. */
export const soundOn = useKeptSwitch('korvel.sound')

/** Whether cues of a session are heard: off on a device until somebody wants it. */
export const cuesHeard = useKeptSwitch('korvel.cues', false)

let context: AudioContext | undefined

/** The one way out for sound; a browser lets it speak only after something was pressed. */
function audio(on: boolean): AudioContext | undefined {
  if (!on || typeof AudioContext === 'undefined') return undefined
  context ??= new AudioContext()
  if (context.state === 'suspended') void context.resume()
  return context
}

interface Tone {
  /** Hz at the start, and where it falls to. */
  from: number
  to?: number
  seconds: number
  /** 0 to 1. */
  volume: number
  /** Seconds from now. */
  after?: number
}

/** Sounds a tone; the returned function silences it, heard or not. */
function sound({ from, to, seconds, volume, after = 0 }: Tone, on = soundOn.value): () => void {
  const out = audio(on)
  if (!out) return () => {}
  const at = out.currentTime + Math.max(0, after)
  const tone = out.createOscillator()
  const gain = out.createGain()
  tone.frequency.setValueAtTime(from, at)
  if (to) tone.frequency.exponentialRampToValueAtTime(to, at + seconds)
  gain.gain.setValueAtTime(0.0001, at)
  gain.gain.exponentialRampToValueAtTime(Math.max(0.0002, volume), at + 0.012)
  gain.gain.exponentialRampToValueAtTime(0.0001, at + seconds)
  tone.connect(gain).connect(out.destination)
  tone.start(at)
  tone.stop(at + seconds + 0.02)
  return () => {
    gain.disconnect()
    tone.disconnect()
  }
}

/** The sounds of a clock: one for each second of the count-in, the start, the end. */
export const CLOCK_SOUNDS = {
  lead: () => void sound({ from: 520, seconds: 0.09, volume: 0.16 }),
  start: () => void sound({ from: 880, seconds: 0.28, volume: 0.3 }),
  end() {
    sound({ from: 660, seconds: 0.22, volume: 0.32 })
    sound({ from: 660, seconds: 0.34, volume: 0.32, after: 0.26 })
  },
}

const cue = (tone: Tone) => void sound(tone, cuesHeard.value)
/** A cue that is to be heard: up, down, and a stop; what is right stays silent. */
export const CUE_SOUNDS: Partial<Record<string, () => void>> = {
  'pick-up': () => cue({ from: 440, to: 700, seconds: 0.25, volume: 0.25 }),
  'ease-off': () => cue({ from: 700, to: 380, seconds: 0.3, volume: 0.28 }),
  'stop-work'() {
    for (const after of [0, 0.3, 0.6]) cue({ from: 300, seconds: 0.24, volume: 0.35, after })
  },
  ask: () => cue({ from: 560, seconds: 0.14, volume: 0.2 }),
}

/** One beat of a pulse, as through a stethoscope. */
export function beatSound(loudness: number, after: number): () => void {
  return sound({ from: 150, to: 62, seconds: 0.16, volume: 0.9 * (loudness / 100) ** 2, after })
}
