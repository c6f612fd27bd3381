<script setup lang="ts">
import type { DrawnRow, Layout } from './layout'

/** One row: its ends, its bands with soft edges, its limit hatched and its target above. */
defineProps<{
  row: DrawnRow
  layout: Layout
  /** The pattern of what is not allowed. */
  hatch: string
  compact: boolean
  byReserve: boolean
  beside: boolean
  /** The target has a bracket of its own. */
  bracketed: boolean
}>()
</script>

<template>
  <g :class="{ compact }">
    <text
      v-if="!beside"
      :x="row.x(row.zones.restingBpm)"
      :y="row.top - 8 * layout.size.by"
      class="end"
    >
      <tspan v-if="row.label" class="label">{{ row.label }}</tspan>
      <tspan
        v-if="!row.label || (!layout.narrow && (!compact || byReserve))"
        :dx="row.label ? 10 : 0"
      >
        rest {{ row.zones.restingBpm }}
      </tspan>
    </text>
    <text
      v-if="!(byReserve && layout.narrow) && !beside"
      :x="row.x(row.zones.maximumBpm)"
      :y="row.top - 8 * layout.size.by"
      class="end"
      text-anchor="end"
    >
      {{ layout.narrow || compact ? 'max' : 'maximum' }}
      {{ row.zones.maximumSigmaBpm > 3 ? 'about' : '' }} {{ row.zones.maximumBpm }}
    </text>

    <rect
      v-for="piece in row.pieces"
      :key="piece.id"
      :x="piece.from"
      :y="piece.y"
      :width="Math.max(0, piece.to - piece.from)"
      :height="piece.tall"
      :rx="3 * layout.size.by"
      :fill="`url(#${piece.url})`"
      :data-piece="piece.id"
    />
    <line
      v-for="edge in row.seams"
      :key="`seam-${edge}`"
      class="seam"
      :x1="row.x(edge)"
      :x2="row.x(edge)"
      :y1="row.top"
      :y2="row.top + row.bar"
    />
    <line
      v-for="point in row.points"
      :key="`point-${point}`"
      class="point"
      :x1="row.x(point)"
      :x2="row.x(point)"
      :y1="row.top"
      :y2="row.top + row.bar"
    />
    <g v-for="edge in row.learned" :key="`learned-${edge.bpm}`" class="talk learned">
      <path
        :d="`M${row.x(edge.bpm)} ${row.top - 3 * layout.size.by}V${row.top + row.bar + 7 * layout.size.by}`"
      />
      <text :x="row.x(edge.bpm)" :y="row.top + row.bar + 20 * layout.size.by" text-anchor="middle">
        talk, {{ edge.bpm }} ± {{ edge.plusMinusBpm }}
      </text>
    </g>
    <g v-if="row.talk" class="talk">
      <path
        :d="`M${row.x(row.talk.lowBpm)} ${row.top + row.bar + 3 * layout.size.by}v${6 * layout.size.by}H${row.x(row.talk.highBpm)}v${-6 * layout.size.by}`"
      />
      <text
        :x="(row.x(row.talk.lowBpm) + row.x(row.talk.highBpm)) / 2"
        :y="row.top + row.bar + 27 * layout.size.by"
        text-anchor="middle"
      >
        talk ends {{ row.talk.lowBpm }}–{{ row.talk.highBpm }} so far
      </text>
    </g>
    <g v-if="row.limit" class="limit">
      <rect
        :x="row.x(row.limit.bpm)"
        :y="row.top"
        :width="Math.max(0, layout.width - layout.size.right - row.x(row.limit.bpm))"
        :height="row.bar"
        :fill="`url(#${hatch})`"
      />
      <line
        :x1="row.x(row.limit.bpm)"
        :x2="row.x(row.limit.bpm)"
        :y1="row.top - (beside ? 2 : 5) * layout.size.by"
        :y2="row.top + row.bar + (beside ? 2 : 5) * layout.size.by"
      />
      <text
        v-if="!beside"
        :x="layout.width - layout.size.right"
        :y="row.top - (layout.narrow ? 44 : 27) * layout.size.by"
        class="limit-word"
        text-anchor="end"
      >
        {{ row.limit.words }}
      </text>
    </g>

    <g
      v-for="band in row.labels"
      :key="band.id"
      :fill="band.plain ? 'var(--ink)' : `var(--on-band-${band.level})`"
    >
      <text
        v-if="band.word"
        :x="band.middle"
        :y="band.wordAt"
        class="word"
        :class="{ plain: band.plain, lane: band.lane }"
        :text-anchor="band.anchor"
      >
        {{ band.word }}
      </text>
      <template v-if="band.strokes">
        <rect
          v-for="n in band.level"
          :key="n"
          :x="
            band.middle -
            band.level * 3 * layout.size.by +
            (n - 1) * 6 * layout.size.by +
            1.5 * layout.size.by
          "
          :y="band.strokesAt"
          :width="3 * layout.size.by"
          :height="11 * layout.size.by"
          :rx="layout.size.by"
        />
      </template>
    </g>

    <g v-if="row.target" class="target">
      <path
        v-if="!bracketed"
        :d="
          compact
            ? `M${row.x(row.target.lowBpm)} ${row.top - 2}V${row.top + row.bar + 2}H${row.x(row.target.highBpm)}V${row.top - 2}Z`
            : `M${row.x(row.target.lowBpm)} ${row.top - 3 * layout.size.by}v${-7 * layout.size.by}H${row.x(row.target.highBpm)}v${7 * layout.size.by}`
        "
        fill="none"
      />
      <text
        v-if="!compact || !layout.narrow"
        :x="row.target.at"
        :y="row.top - (compact ? 8 : 27) * layout.size.by"
        text-anchor="middle"
      >
        {{ row.target.words }}
      </text>
    </g>
    <text
      v-for="edge in row.edges"
      :key="`edge-${edge}`"
      :x="row.x(edge)"
      :y="row.top + row.bar + 15 * layout.size.by"
      class="edge"
      text-anchor="middle"
    >
      {{ edge }}
    </text>
  </g>
</template>

<style scoped>
.talk path {
  fill: none;
  stroke: var(--ink-quiet);
  stroke-width: 1.4;
}

.learned path {
  stroke: var(--ink);
  stroke-width: 2;
}

.talk text {
  fill: var(--ink-quiet);
}

text {
  font-family: var(--text);
  fill: var(--ink-quiet);
}

.label {
  font-weight: 700;
  fill: var(--ink);
}

.word {
  font-size: 1.15em;
  font-weight: 700;
  fill: inherit;
}

/* A rate's name stays readable wherever its soft edge ends. */
.plain {
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 4px;
}

.word.lane {
  font-size: 0.92em;
}

.target path {
  stroke: var(--teal);
  stroke-width: 2.6;
}

.edge {
  font-family: var(--mono);
  font-size: 0.92em;
}

.compact .target path {
  stroke-width: 3;
}

.compact .label {
  font-weight: 650;
}

.target text {
  fill: var(--teal-deep);
  font-weight: 700;
  font-size: 1.08em;
}

.limit line {
  stroke: var(--ink);
  stroke-width: 2.4;
}

.limit-word {
  font-weight: 600;
}

.seam {
  stroke: var(--sheet);
  stroke-width: 1.6;
  stroke-dasharray: 3 3;
}

.point {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
