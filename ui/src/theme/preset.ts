import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import badge from '@primeuix/themes/aura/badge'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import chip from '@primeuix/themes/aura/chip'
import dialog from '@primeuix/themes/aura/dialog'
import iconfield from '@primeuix/themes/aura/iconfield'
import inputtext from '@primeuix/themes/aura/inputtext'
import multiselect from '@primeuix/themes/aura/multiselect'
import ripple from '@primeuix/themes/aura/ripple'
import select from '@primeuix/themes/aura/select'
import virtualscroller from '@primeuix/themes/aura/virtualscroller'

/** Korvel's own preset: warm paper, near-black ink, one teal, hairlines instead of shadows. */
const teal = {
  50: 'oklch(96% 0.02 195)',
  100: 'oklch(93% 0.03 195)',
  200: 'oklch(86% 0.05 195)',
  300: 'oklch(75% 0.07 195)',
  400: 'oklch(60% 0.085 195)',
  500: 'oklch(46% 0.085 195)',
  600: 'oklch(42% 0.082 195)',
  700: 'oklch(38% 0.075 195)',
  800: 'oklch(33% 0.065 195)',
  900: 'oklch(28% 0.055 195)',
  950: 'oklch(22% 0.045 195)',
}

const surface = {
  0: 'oklch(99.4% 0.003 85)',
  50: 'oklch(97.6% 0.008 85)',
  100: 'oklch(94.8% 0.012 85)',
  200: 'oklch(90% 0.014 82)',
  300: 'oklch(80% 0.016 80)',
  400: 'oklch(62% 0.02 80)',
  500: 'oklch(50% 0.025 265)',
  600: 'oklch(46% 0.025 265)',
  700: 'oklch(34% 0.03 265)',
  800: 'oklch(24% 0.03 265)',
  900: 'oklch(20% 0.03 265)',
  950: 'oklch(16% 0.03 265)',
}

/** Only the parts that are in use, and what they are made of: the theme has four times as many. */
const used = {
  badge,
  button,
  checkbox,
  chip,
  dialog,
  iconfield,
  inputtext,
  multiselect,
  ripple,
  select,
  virtualscroller,
}

export const preset = definePreset(
  { ...base, components: used },
  {
    primitive: {
      borderRadius: { none: '0', xs: '4px', sm: '6px', md: '8px', lg: '10px', xl: '10px' },
    },
    semantic: {
      primary: teal,
      focusRing: { width: '3px', style: 'solid', color: 'var(--teal)', offset: '2px' },
      formField: {
        paddingX: '0.8rem',
        paddingY: '0.6rem',
        shadow: 'none',
        focusRing: { width: '3px', style: 'solid', color: 'var(--teal)', offset: '0' },
      },
      colorScheme: {
        light: {
          surface,
          formField: {
            background: 'white',
            borderColor: 'oklch(62% 0.02 80)',
            hoverBorderColor: 'oklch(46% 0.025 265)',
            color: 'oklch(24% 0.03 265)',
            placeholderColor: 'oklch(50% 0.025 265)',
            invalidBorderColor: 'var(--fault)',
            invalidPlaceholderColor: 'oklch(50% 0.025 265)',
            shadow: 'none',
          },
          text: { color: 'oklch(24% 0.03 265)', mutedColor: 'oklch(46% 0.025 265)' },
        },
      },
    },
    components: {
      button: { root: { label: { fontWeight: '650' } } },
    },
  },
)
