<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { pulseOf, pulseWorking } from '../api/korvel'
import CountClock from '../pulse/CountClock.vue'
import ChoiceField from '../shared/ChoiceField.vue'
import LongHand from '../shared/LongHand.vue'
import MethodLink from '../shared/MethodLink.vue'
import TextField from '../shared/TextField.vue'
import { typed } from '../shared/fields'
import { loadMethods, theMethods } from '../shared/methods'
import { useAddress, useSum } from './desk'
import DeskSheet from './DeskSheet.vue'

/** From beats to a rate, and how sure that is. */
const form = useAddress({ beats: '17' }, { seconds: '15' })
onMounted(loadMethods)
const request = computed(() => ({
  beats: typed(form.beats),
  windowSeconds: typed(form.seconds),
}))
const { answer, behind, refused, messages, general } = useSum(() => request.value, pulseOf)

const WINDOWS = ['6', '10', '15', '30', '60'].map((value) => ({ value, name: `${value} s` }))
const field = ref<InstanceType<typeof TextField> | null>(null)
async function onDone() {
  await nextTick()
  field.value?.focus()
}
</script>

<template>
  <DeskSheet label="A count" :behind="behind" :general="general" :refused="refused">
    <template #form>
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
    <template #answer>
      <p v-if="answer" class="big">
        <b class="num">{{ answer.bpm }}</b> bpm
        <MethodLink to="count" class="num quiet">± {{ answer.uncertaintyBpm }}</MethodLink>
      </p>
      <table v-if="theMethods" class="windows">
        <caption class="quiet small">
          A longer count is a surer one.
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
    </template>
    <LongHand
      title="The count, long hand"
      :of="request"
      :ask="(figures) => pulseWorking(request, figures)"
    />
  </DeskSheet>
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
  text-align: left;
  padding: 7px 10px;
  border-top: 1px solid var(--line);
}

thead th {
  font-size: 0.8rem;
  font-weight: 550;
  color: var(--ink-quiet);
}

.at {
  background: var(--teal-wash);
}
</style>
