<script setup lang="ts">
import { computed } from 'vue'
import type { Taps } from '../api/korvel'

/** The latest intervals between taps as bars: as high as they are long. */
const props = defineProps<{ taps: number[]; judged: Taps | null }>()

const SHOWN = 28
const WIDTH = 280
const HEIGHT = 76
const STEP = WIDTH / SHOWN
/** An interval of this length fills the strip. */
const TALLEST = 1_600

type Kind = 'kept' | 'uneven' | 'bounce' | 'pause'
const bars = computed(() => {
  const aside = new Map(props.judged?.setAside.map((each) => [each.tap, each.kind]))
  const uneven = new Set(props.judged?.uneven)
  const from = Math.max(1, props.taps.length - SHOWN)
  const bounced = (at: number) => aside.get(at + 1) === 'bounce'
  let last = from - 1
  while (last > 0 && bounced(last)) last--
  const all: { at: number; kind: Kind; millis: number; x: number; height: number }[] = []
  for (let at = from; at < props.taps.length; at++) {
    const millis = props.taps[at]! - props.taps[last]!
    const kind: Kind = aside.get(at + 1) ?? (uneven.has(at + 1) ? 'uneven' : 'kept')
    all.push({
      at,
      kind,
      millis: Math.round(millis),
      x: (at - from) * STEP,
      height: kind === 'bounce' ? 5 : Math.min(1, millis / TALLEST) * (HEIGHT - 14),
    })
    if (kind !== 'bounce') last = at
  }
  return all
})
const KINDS: Record<Kind, string> = {
  kept: '',
  uneven: ', uneven',
  bounce: ', a bounce',
  pause: ', a pause',
}
const spoken = computed(() =>
  props.judged
    ? `${props.judged.kept} intervals, ${props.judged.uneven.length} of them uneven, ` +
      `${props.judged.setAside.length} set aside`
    : 'No intervals yet',
)
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="spoken">
      <line x1="0" :x2="WIDTH" :y1="HEIGHT - 1" :y2="HEIGHT - 1" class="base" />
      <g v-for="bar in bars" :key="bar.at" :class="bar.kind">
        <title>{{ bar.millis }} ms{{ KINDS[bar.kind] }}</title>
        <rect
          :x="bar.x + 1.5"
          :y="HEIGHT - 2 - bar.height"
          :width="STEP - 3"
          :height="bar.height"
          rx="1.5"
        />
        <path
          v-if="bar.kind === 'pause'"
          class="gap"
          :d="`M${bar.x} ${HEIGHT - 30}l${STEP} -6M${bar.x} ${HEIGHT - 24}l${STEP} -6`"
        />
      </g>
    </svg>
    <figcaption class="quiet small">
      <span><i class="kept" /> interval</span>
      <span><i class="uneven" /> uneven</span>
      <span><i class="bounce" /> bounce</span>
      <span><i class="pause" /> pause or missed</span>
    </figcaption>
  </figure>
</template>

<style scoped>
svg {
  width: 100%;
  display: block;
}

.base {
  stroke: var(--line);
}

rect {
  fill: var(--teal);
}

.uneven rect {
  fill: var(--ochre-wash);
  stroke: var(--ochre-deep);
  stroke-width: 1.5;
}

.bounce rect {
  fill: var(--fault);
}

.pause rect {
  fill: var(--ground-2);
  stroke: var(--ink-quiet);
  stroke-dasharray: 3 2;
}

.gap {
  stroke: var(--sheet);
  stroke-width: 3;
  fill: none;
}

figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding-top: 5px;
}

figcaption span {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}

i {
  width: 7px;
  height: 13px;
  border-radius: 2px;
  forced-color-adjust: none;
  background: var(--teal);
}

i.uneven {
  forced-color-adjust: none;
  background: var(--ochre-wash);
  box-shadow: inset 0 0 0 1.5px var(--ochre-deep);
}

i.bounce {
  height: 5px;
  forced-color-adjust: none;
  background: var(--fault);
}

i.pause {
  background: var(--ground-2);
  border: 1px dashed var(--ink-quiet);
}
</style>
