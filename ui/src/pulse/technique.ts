/** How a pulse is taken, in a few steps each. */
export type TechniqueId = 'radial' | 'carotid' | 'chest' | 'strap' | 'wrist' | 'overnight'

export interface Technique {
  name: string
  steps: string[]
  watch: string
}

export const TECHNIQUES: Record<TechniqueId, Technique> = {
  radial: {
    name: 'At the wrist',
    steps: [
      'Palm up, the forearm resting on a table or a thigh.',
      'Pads of two or three fingers in the hollow on the thumb side, beside the tendons.',
      'Press until it is gone, then ease until it beats clearly.',
      'The first beat after the start is one.',
    ],
    watch: 'Never with your thumb: it has a pulse of its own.',
  },
  carotid: {
    name: 'At the neck',
    steps: [
      'Say where you will touch, and ask.',
      'Two fingertips from the windpipe into the groove beside it, under the jaw.',
      'As lightly as you can still feel it.',
    ],
    watch: 'One side only, and never hard: pressure slows the heart or hides the beat.',
  },
  chest: {
    name: 'With a stethoscope',
    steps: [
      'Earpieces pointing forward, the disc warmed in the hand.',
      'Left of the breastbone, at the height of the fifth rib.',
      'Each beat sounds twice, close together: the pair is one.',
    ],
    watch: 'Nobody talks, and the tube touches nothing.',
  },
  strap: {
    name: 'A chest strap',
    steps: [
      'Wet the two ribbed patches.',
      'Around the bare chest just below the chest muscles, the pod in the middle, its writing upright.',
      'Snug enough to stay when they jump, loose enough for a full breath.',
      'Read it once it has been steady for a minute.',
    ],
    watch: 'A rate that jumps or sticks means a dry patch or a loose strap: wet it, tighten it.',
  },
  wrist: {
    name: 'A watch',
    steps: [
      'A finger’s breadth above the wrist bone, snug, on clean skin.',
      'The arm lies still.',
      'Read it once it has been steady for a minute.',
    ],
    watch: 'Cold hands, tattoos and a loose zone mislead it. If in doubt, count.',
  },
  overnight: {
    name: 'Overnight',
    steps: [
      'Worn all night; read the average at rest, not the lowest moment.',
      'The same way every time.',
    ],
    watch: 'It runs commonly 5 to 8 bpm below a seated count: the two are never mixed.',
  },
}

/** What to try, in this order, when no pulse is found. */
export const NOT_FOUND = [
  'Shift the fingers a little.',
  'Press lighter.',
  'Press harder.',
  'Let the hand hang.',
  'The other site.',
  'A stethoscope.',
  'A strap.',
]
