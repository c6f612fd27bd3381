<script setup lang="ts">
import CsvLink from '../shared/CsvLink.vue'
import { computed, nextTick, onMounted, ref, shallowRef } from 'vue'
import { pulseOf, pulseWorking, type Taps } from '../api/korvel'
import CountClock from '../pulse/CountClock.vue'
import TapPad from '../pulse/TapPad.vue'
import ChoiceField from '../shared/ChoiceField.vue'
import ShowWorking from '../shared/ShowWorking.vue'
import MethodLink from '../shared/MethodLink.vue'
import TextField from '../shared/TextField.vue'
import { typed } from '../shared/fields'
import { loadMethods, theMethods } from '../shared/methods'
import { countWindows } from '../shared/words'
import { useAddress } from './calculators'
import CalculatorSheet from './CalculatorSheet.vue'
import { useAnswerTo } from '../shared/answer'

/** From beats to a rate, and how sure that is. */
const form = useAddress({ beats: '17' }, { seconds: '15', by: 'count' })
const BY = [
  { value: 'count', name: 'Counted' },
  { value: 'tap', name: 'Tapped' },
]
const tapping = computed(() => form.by === 'tap')
const taps = ref<number[]>([])
const tapped = shallowRef<Taps | null>(null)
const limit = (id: string) => theMethods.value?.thresholds.find((row) => row.id === id)?.value
const fewest = computed(() => limit('taps-fewest'))
const most = computed(() => limit('taps-most'))
function fullMinute() {
  Object.assign(form, { by: 'count', seconds: '60', beats: '' })
}
onMounted(loadMethods)
const request = computed(() => ({
  beats: typed(form.beats),
  windowSeconds: typed(form.seconds),
}))
const { answer, behind, refused, messages, general } = useAnswerTo(() => request.value, pulseOf)

const WINDOWS = countWindows().map((each) => ({ ...each, value: String(each.value) }))
const field = ref<InstanceType<typeof TextField> | null>(null)
async function onDone() {
  await nextTick()
  field.value?.focus()
}
</script>

<template>
  <CalculatorSheet
    label="A count"
    :behind="behind && !tapping"
    :general="tapping ? '' : general"
    :refused="tapping ? [] : refused"
  >
    <template #form>
      <ChoiceField v-model="form.by" label="How" :options="BY" />
      <TapPad
        v-if="tapping && fewest && most"
        v-model="taps"
        :fewest="fewest"
        :most="most"
        @judged="tapped = $event"
        @full-minute="fullMinute"
      />
      <template v-else>
        <ChoiceField
          v-model="form.seconds"
          label="Counted for"
          :options="WINDOWS"
          :message="messages.windowSeconds"
        />
        <TextField
          ref="field"
          v-model="form.beats"
          label="Beats"
          name="beats"
          number
          :message="messages.beats"
        />
        <CountClock
          v-if="WINDOWS.some((each) => each.value === form.seconds)"
          :seconds="Number(form.seconds)"
          @done="onDone"
          @started="form.beats = ''"
        />
      </template>
    </template>
    <template #answer>
      <p v-if="tapping" class="big">
        <template v-if="tapped">
          <b class="num">{{ tapped.bpm }}</b> bpm
          <MethodLink to="tapped" class="quiet"
            >{{ tapped.kept }} intervals, {{ tapped.seconds }} s</MethodLink
          >
        </template>
        <span v-else class="quiet">Tap along and the rate appears here.</span>
      </p>
      <p v-else-if="answer" class="big">
        <b class="num">{{ answer.bpm }}</b> bpm
        <MethodLink to="count" class="num quiet">± {{ answer.uncertaintyBpm }}</MethodLink>
      </p>
      <table v-if="theMethods" class="windows">
        <caption class="quiet small">
          A longer count is more accurate.
        </caption>
        <thead>
          <tr>
            <th scope="col">counted for</th>
            <th scope="col">multiply by</th>
            <th scope="col">± bpm</th>
            <th scope="col">good for</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in theMethods.protocols"
            :key="row.seconds"
            :class="{ at: String(row.seconds) === form.seconds }"
          >
            <th scope="row" class="num">
              <MethodLink :to="`window-${row.seconds}`">{{ row.seconds }} s</MethodLink>
            </th>
            <td class="num">× {{ row.multiplyBy }}</td>
            <td class="num">{{ row.uncertaintyBpm }}</td>
            <td>{{ row.use }}</td>
          </tr>
        </tbody>
      </table>
      <CsvLink name="counting windows" class="csv" />
    </template>
    <ShowWorking
      v-if="!tapping"
      title="The count: the working"
      :of="request"
      :ask="(figures) => pulseWorking(request, figures)"
    />
  </CalculatorSheet>
</template>

<style scoped>
.windows {
  border-collapse: collapse;
  width: 100%;
}

caption {
  text-align: left;
  padding-bottom: 6px;
}

th,
td {
  padding: 7px 10px;
  border-top: 1px solid var(--line);
}

.at {
  background: var(--teal-wash);
}
</style>
