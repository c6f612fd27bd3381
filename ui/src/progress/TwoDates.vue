<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { spanOn, type Mode, type SpanThen } from '../api/korvel'
import type { RulerRow } from '../shared/ruler/layout'
import Ruler from '../shared/ruler/Ruler.vue'
import TextField from '../shared/TextField.vue'
import { asProblem } from '../api/http'
import { zonesOn } from '../shared/spans'
import { day } from '../shared/words'

/** Rest, maximum and zones as they were on two days, on one axis. */
const props = defineProps<{ client: string; mode: Mode; first: string; today: string }>()
const one = ref(props.first)
const other = ref(props.today)
watch(
  () => props.first,
  (first) => (one.value = first),
)
const rows = ref<RulerRow[]>([])
const without = ref<string[]>([])
const fault = ref('')
const cursor = ref<number>()

async function row(on: string): Promise<{ on: string; span: SpanThen }> {
  return { on, span: await spanOn(props.client, on, props.mode) }
}
let latest = 0
watch(
  () => [one.value, other.value, props.mode, props.client] as const,
  async () => {
    const mine = ++latest
    fault.value = ''
    if (!one.value || !other.value) return
    try {
      const spans = await Promise.all([row(one.value), row(other.value)])
      const made = await Promise.all(
        spans.map(async ({ on, span }) => {
          const { restingBpm, maximumBpm } = span
          const zones =
            restingBpm === null || maximumBpm === null
              ? null
              : await zonesOn({
                  restingBpm,
                  maximumBpm,
                  restingStandardErrorBpm: 0,
                  maximumStandardErrorBpm: 0,
                })
          return {
            on,
            zones,
            label: `${day(on)}, maximum ${span.estimated ? 'estimated' : 'measured'}`,
          }
        }),
      )
      if (mine !== latest) return
      rows.value = made.flatMap(({ zones, label }) => (zones ? [{ zones, label }] : []))
      without.value = made.filter(({ zones }) => !zones).map(({ on }) => day(on))
    } catch (thrown) {
      if (mine === latest) fault.value = asProblem(thrown).message
    }
  },
  { immediate: true },
)
const ready = computed(() => rows.value.length > 0)
</script>

<template>
  <section class="sheet stack" aria-labelledby="two-dates-title">
    <h2 id="two-dates-title">Two dates side by side</h2>
    <div class="dates">
      <TextField v-model="one" type="date" label="On" name="one" />
      <TextField v-model="other" type="date" label="And on" name="other" />
    </div>
    <Ruler v-if="ready" v-model:cursor="cursor" :rows="rows" compact />
    <p v-for="on in without" :key="on" class="quiet">
      On {{ on }} resting and maximum heart rate were not both known.
    </p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </section>
</template>

<style scoped>
.dates {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
}
</style>
