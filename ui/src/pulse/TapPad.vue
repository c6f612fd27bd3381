<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import { asProblem } from '../api/http'
import { tapsOf, type Taps } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import { meantForField } from '../shared/keys'
import IntervalStrip from './IntervalStrip.vue'
import { useShortcuts } from '../shared/shortcuts'

/**
 * A pulse tapped along: space anywhere on the page, a click or a touch, once a beat. The browser
 * takes the time of each tap; what they come to is asked.
 */
const props = defineProps<{ fewest: number; most: number }>()
const emit = defineEmits<{ enter: []; fullMinute: []; judged: [taps: Taps | null] }>()
/** When each tap was made, in milliseconds from the first. */
const taps = defineModel<number[]>({ required: true })

const pad = ref<HTMLElement | null>(null)
const pressed = ref(false)
const judged = shallowRef<Taps | null>(null)
const refused = ref('')
watch(judged, (now) => emit('judged', now))
let first = 0

function tap(at: number) {
  if (taps.value.length >= props.most) return
  if (taps.value.length === 0) first = at
  taps.value = [...taps.value, Math.round((at - first) * 10) / 10]
  pressed.value = true
}
function startOver() {
  taps.value = []
  pad.value?.focus()
}

// One question at a time; whatever was tapped meanwhile is asked with the next.
let asking = false
async function ask() {
  if (asking) return
  asking = true
  while (taps.value.length >= props.fewest) {
    const asked = taps.value
    try {
      const answer = await tapsOf(asked)
      if (taps.value.length > 0) judged.value = answer
      refused.value = ''
    } catch (thrown) {
      judged.value = null
      const problem = asProblem(thrown)
      refused.value = problem.errors[0]
        ? `These taps ${problem.errors[0].message.replace(/^holds /, 'hold ').replace(/^makes /, 'make ')}. Accepted: ${problem.errors[0].accepted}.`
        : problem.message
    }
    if (asked === taps.value) break
  }
  asking = false
}
watch(taps, () => {
  if (taps.value.length < props.fewest) {
    judged.value = null
    refused.value = ''
  } else {
    void ask()
  }
})

function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
  const onPad = event.target === pad.value
  const elsewhere =
    event.target instanceof HTMLElement &&
    event.target.closest('button, a, summary, label, [role="slider"], [role="dialog"]')
  if (event.key === ' ' && (onPad || (!elsewhere && !meantForField(event.target)))) {
    event.preventDefault()
    if (!event.repeat) tap(event.timeStamp)
  } else if (event.key === 'Enter' && onPad) {
    event.preventDefault()
    emit('enter')
  }
}
function onPointer(event: PointerEvent) {
  if (event.button !== 0) return
  tap(event.timeStamp)
}
/** What a screen reader presses comes as a click without a pointer. */
function onClick(event: MouseEvent) {
  if (event.detail === 0) tap(event.timeStamp)
}
useEventListener(window, 'keydown', onKey)
useEventListener(window, 'keyup', () => (pressed.value = false))
onMounted(() => pad.value?.focus({ preventScroll: true }))
defineExpose({ focus: () => pad.value?.focus() })

const toGo = computed(() => props.fewest - taps.value.length)
const says = computed(() => {
  if (taps.value.length === 0) return 'Tap once a beat'
  if (taps.value.length >= props.most) return 'Enough: no more is judged at once'
  if (toGo.value > 0) return `${toGo.value} more for a rate`
  if (!judged.value) return `${taps.value.length} taps`
  return `${taps.value.length} taps, ${judged.value.seconds} s`
})
const uneven = computed(() => judged.value?.rhythm === 'uneven')
const paused = computed(() => judged.value?.setAside.some((each) => each.kind === 'pause'))

useShortcuts({
  list: [
    ['Space', 'when tapping: once a beat'],
    ['Enter', 'on the taps: save the result'],
  ],
})

useShortcuts({
  list: [
    ['Space', 'when tapping: once a beat'],
    ['Enter', 'on the taps: save the result'],
  ],
})
</script>

<template>
  <div class="tapping">
    <div
      ref="pad"
      class="pad"
      :class="{ pressed }"
      role="button"
      tabindex="0"
      aria-label="Tap once a beat: space, click or touch"
      @pointerdown="onPointer"
      @pointerup="pressed = false"
      @pointerleave="pressed = false"
      @click="onClick"
    >
      <b class="num">{{ judged?.bpm ?? '–' }}</b>
      <span>{{ says }}</span>
      <kbd v-if="taps.length === 0">Space</kbd>
    </div>
    <IntervalStrip :taps="taps" :judged="judged" />
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    <Findings v-if="judged" :findings="judged.findings" />
    <p v-if="taps.length" class="ways">
      <button type="button" class="link" @click="startOver">Start over</button>
      <button v-if="uneven || paused" type="button" class="link" @click="emit('fullMinute')">
        Count a full minute
      </button>
    </p>
  </div>
</template>

<style scoped>
.tapping {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  width: 100%;
}

.pad {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 6px;
  height: 200px;
  border-radius: 50% / 46%;
  border: 2px solid var(--teal);
  background: var(--teal-wash);
  cursor: pointer;
  user-select: none;
  touch-action: manipulation;
  text-align: center;
}

.pad.pressed {
  background: color-mix(in oklab, var(--teal) 30%, var(--teal-wash));
}

.pad b {
  font-size: 4rem;
  line-height: 1;
}

.pad span {
  font-size: 0.9rem;
}

kbd {
  font-family: var(--mono);
  font-size: 0.82rem;
  border: 1px solid var(--line);
  border-radius: 5px;
  padding: 1px 14px;
  background: var(--sheet);
}

@media (pointer: coarse) {
  kbd {
    display: none;
  }
}

.refused {
  color: var(--fault);
  font-weight: 600;
  font-size: 0.9rem;
}

.ways .link {
  min-height: 36px;
}
</style>
