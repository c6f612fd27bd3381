<script setup lang="ts">
/** What is read at arm's length: the rate, the cue, the time. */
defineProps<{
  rate: number | null
  /** What is to be known of the rate; may be empty. */
  note: string
  cue: { kind: string; mark: string; words: string } | null
  /** What stands where no cue does. */
  otherwise: string
  time: string
  /** What the time is of. */
  of: string
  byRate: boolean
}>()
const emit = defineEmits<{ why: [] }>()
</script>

<template>
  <section class="big" :class="{ without: !byRate }" aria-label="Now">
    <div v-if="byRate" class="rate">
      <b class="num" :class="{ none: rate === null }">{{ rate ?? '–' }}</b>
      <span>bpm{{ note }}</span>
    </div>
    <div class="cue" :class="cue?.kind" role="status">
      <template v-if="cue"
        ><span class="mark" aria-hidden="true">{{ cue.mark }}</span>
        <b>{{ cue.words }}</b></template
      >
      <b v-else class="calm">{{ otherwise }}</b>
      <button v-if="cue" type="button" class="why" @click="emit('why')">Why?</button>
    </div>
    <div class="left">
      <b class="num">{{ time }}</b>
      <span>{{ of }}</span>
    </div>
  </section>
</template>

<style scoped>
.big {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 20px;
  align-items: center;
}

.rate b,
.left b {
  display: block;
  font-size: clamp(4.2rem, 9vw, 7.4rem);
  line-height: 0.95;
  letter-spacing: -0.06em;
}

.rate b.none {
  color: var(--ink-quiet);
}

.rate span,
.left span {
  color: var(--ink-quiet);
}

.left {
  text-align: right;
}

.cue {
  display: grid;
  justify-items: center;
  text-align: center;
  gap: 2px;
  min-height: 150px;
  align-content: center;
  border-radius: var(--radius);
}

.cue b {
  font-size: clamp(1.8rem, 4vw, 3rem);
  line-height: 1.05;
}

.cue .calm {
  color: var(--ink-quiet);
  font-weight: 500;
}

.mark {
  font-size: 3.2rem;
  line-height: 1;
}

.cue.hold .mark,
.cue.pick-up .mark {
  color: var(--teal);
}

.cue.ease-off .mark {
  color: var(--ochre);
}

.cue.ease-off,
.cue.pick-up {
  background: var(--ground-2);
}

.cue.stop-work {
  background: oklch(45% 0.14 20);
  color: oklch(99% 0.005 85);
}

.why {
  font: inherit;
  min-height: 44px;
  background: none;
  border: 0;
  color: inherit;
  text-decoration: underline;
}

.big.without {
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
}

@media (max-width: 820px) {
  .big {
    grid-template-columns: 1fr 1fr;
    gap: 6px 12px;
  }

  .cue {
    grid-column: 1 / -1;
    grid-row: 2;
    min-height: 96px;
  }

  .rate b,
  .left b {
    font-size: 4.4rem;
  }
}
</style>
