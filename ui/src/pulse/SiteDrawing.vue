<script setup lang="ts">
import type { TechniqueId } from './technique'

/** Where to feel, listen or wear it: a line drawing of each. */
defineProps<{ of: TechniqueId }>()
</script>

<template>
  <svg viewBox="0 0 240 170" role="img" :aria-label="`Drawing: ${of}`">
    <g v-if="of === 'radial'">
      <path
        class="skin"
        d="M-4 58C50 63 104 70 146 68c14-2 20-13 31-27 9-11 20-21 29-16 8 5 3 18-6 29-6 7-9 12-8 17 18-2 34-2 56 1v60c-34-2-66 1-84-6-6-3-12-4-18-4-48 3-98 8-150 14z"
      />
      <path class="fold" d="M146 70c3 16 3 34 0 51M209 88h36M212 102h36M209 116h36" />
      <path class="tendon" d="M40 96c40 3 74 3 104 1M40 105c40 2 74 2 104 0" />
      <path class="vessel" d="M-4 74c54 6 100 9 150 8 10 0 18-3 26-9" />
      <g v-for="x in [88, 108, 128]" :key="x" class="finger">
        <path :d="`M${x} -4v78a9 10 0 0 0 18 0v-78`" />
        <path class="pad" :d="`M${x} 70v5a9 10 0 0 0 18 0v-5z`" />
      </g>
    </g>
    <g v-else-if="of === 'carotid'">
      <path
        class="skin"
        d="M90 60c0 38 0 60-3 78-3 16-34 22-76 28v12h222v-12c-42-6-73-12-76-28-3-18-3-40-3-78z"
      />
      <path class="skin" d="M64 -4c0 50 28 84 58 84s58-34 58-84z" />
      <path class="tendon" d="M112 86v66M132 86v66" />
      <path class="tendon" d="M112 96h20M112 108h20M112 120h20M112 132h20M112 144h20" />
      <path class="vessel" d="M101 76c0 26-1 52-4 84" />
      <path class="vessel faint" d="M143 76c0 26 1 52 4 84" />
      <g v-for="y in [98, 118]" :key="y" class="finger">
        <path :d="`M-4 ${y}h92a9 9 0 0 1 0 18h-92`" />
        <path class="pad" :d="`M86 ${y}h3a9 9 0 0 1 0 18h-3z`" />
      </g>
      <path class="no" d="M140 108l16 16M156 108l-16 16" />
    </g>
    <g v-else-if="of === 'wrist' || of === 'overnight'">
      <path
        class="skin"
        d="M-4 60c60 4 112 9 152 8 16-1 24-8 40-10 20-3 40-3 60-2v70c-20 2-42 0-60-3-16-3-24-6-40-6-48 1-98 6-152 12z"
      />
      <path class="band" d="M86 62c20 2 26 2 34 2v58c-12 1-20 1-34 3z" />
      <rect class="pad" x="80" y="72" width="46" height="42" rx="10" />
      <path class="mark" d="M92 93h6l4-9 6 18 4-9h6" />
      <path
        v-if="of === 'overnight'"
        class="mark moon"
        d="M196 14a18 18 0 1 0 18 24 14 14 0 0 1-18-24z"
      />
    </g>
    <g v-else>
      <path
        class="skin bare"
        d="M36 174l12-80c2-20 22-30 46-34 8-2 10-8 10-22h32c0 14 2 20 10 22 24 4 44 14 46 34l12 80z"
      />
      <path
        d="M36 174l12-80c2-20 22-30 46-34 8-2 10-8 10-22M204 174l-12-80c-2-20-22-30-46-34-8-2-10-8-10-22"
      />
      <path class="fold" d="M62 174l4-62M178 174l-4-62" />
      <path class="tendon" d="M120 66v56" />
      <path class="fold" d="M72 110c16 14 38 14 46 2M122 112c8 12 30 12 46-2" />
      <template v-if="of === 'chest'">
        <path class="tube" d="M146 112c20-26 26-60 22-116" />
        <circle class="pad" cx="142" cy="120" r="13" />
        <circle class="mark" cx="142" cy="120" r="7" />
      </template>
      <template v-else>
        <path class="band" d="M61 128c38 9 80 9 118 0l2 14c-40 10-82 10-122 0z" />
        <path
          class="ribs"
          d="M76 134v11M82 135v11M88 136v11M94 136v11M146 136v11M152 136v11M158 135v11M164 134v11"
        />
        <rect class="pad" x="104" y="128" width="32" height="24" rx="7" />
        <path class="mark" d="M111 141h5l3-7 4 12 3-5h4" />
      </template>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 280px;
  display: block;
  background: var(--ground-2);
  border-radius: var(--radius);
}

path,
circle,
rect {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linecap: round;
  stroke-linejoin: round;
}

.skin {
  fill: var(--band-1);
}

.bare {
  stroke: none;
}

.fold,
.tendon {
  stroke: var(--ink-quiet);
  stroke-width: 1.4;
}

.vessel {
  stroke: var(--band-4);
  stroke-width: 3;
  stroke-dasharray: 1 6;
}

.vessel.faint {
  opacity: 0.4;
}

.finger path {
  fill: var(--sheet);
}

.finger .pad,
.pad {
  fill: var(--teal);
  stroke: var(--teal-deep);
}

.band {
  fill: var(--ink-quiet);
}

.ribs {
  stroke: var(--sheet);
}

.mark {
  stroke: white;
}

.moon {
  stroke: var(--ink);
}

.tube {
  stroke-width: 4;
  stroke: var(--ink-quiet);
}

.no {
  stroke: var(--wine);
  stroke-width: 3.5;
}
</style>
