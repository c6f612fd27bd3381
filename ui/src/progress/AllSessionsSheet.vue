<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { schemes, sessionsByZone, type Scheme } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import ZoneTimes from '../shared/ZoneTimes.vue'
import SelectField from '../shared/SelectField.vue'
import { useAnswer } from '../shared/answer'
import { day, MODES } from '../shared/words'
import { onClock } from '../live/cues'

/** Every recorded session in any zone system at once, by its own day's span or by today's. */
const props = defineProps<{ client: string; since: string }>()
const scheme = ref<string | null>(null)
const span = ref<'own' | 'today'>('own')
const { data, problem, load } = useAnswer(() =>
  sessionsByZone(props.client, scheme.value, span.value, props.since),
)
watch([scheme, span, () => props.client, () => props.since], () => void load(), {
  immediate: true,
})
const known = ref<Scheme[]>([])
onMounted(async () => {
  known.value = (await schemes()).schemes.filter((each) => each.basis !== 'threshold')
})
const choices = computed(() => known.value.map(({ id, name }) => ({ value: id, name })))
const FEW = 8
const more = ref(false)
const sessions = computed(() => {
  const latestFirst = [...(data.value?.sessions ?? [])].reverse()
  return more.value ? latestFirst : latestFirst.slice(0, FEW)
})
const hours = (seconds: number) => {
  const minutes = Math.round(seconds / 60)
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}
</script>

<template>
  <section class="sheet stack" aria-labelledby="all-sessions-title">
    <h2 id="all-sessions-title">Every recorded session, in any zone system</h2>
    <ProblemNote v-if="problem && !data" :problem="problem" @retry="load()" />
    <template v-if="data">
      <div class="chosen">
        <SelectField
          v-if="choices.length"
          :model-value="data.scheme"
          label="Zone system"
          :options="choices"
          @update:model-value="(chosen: string) => (scheme = chosen)"
        />
        <ChoiceField
          v-model="span"
          label="Read with"
          :options="[
            { value: 'own', name: 'Each day’s own span' },
            { value: 'today', name: 'Today’s span' },
          ]"
        />
      </div>
      <p class="quiet">
        {{ data.words }}
        <template v-if="data.without"
          ><span class="num">{{ data.without }}</span> {{ data.without === 1 ? 'has' : 'have' }} no
          span and {{ data.without === 1 ? 'is' : 'are' }} not in it.</template
        >
      </p>
      <p v-if="!data.sessions.length" class="quiet">
        No session was recorded since {{ day(since) }}. Sessions on the clock with a strap, and
        recordings that are brought in, appear here.
        <RouterLink :to="`/clients/${client}/recordings`">To the recordings</RouterLink>
      </p>
      <template v-else>
        <ZoneTimes :zones="data.all" :words="hours" />
        <table>
          <thead>
            <tr>
              <th scope="col">Day</th>
              <th scope="col" class="wide">Activity</th>
              <th scope="col">Length</th>
              <th scope="col" class="wide">Span</th>
              <th scope="col">Zones</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="session in sessions" :key="session.session">
              <th scope="row">
                <RouterLink :to="`/floor/sessions/${session.session}`">{{
                  day(session.on)
                }}</RouterLink>
              </th>
              <td class="wide">{{ MODES[session.mode] }}</td>
              <td class="num">{{ onClock(session.seconds) }}</td>
              <td class="num wide">
                {{
                  session.restingBpm === null ? '–' : `${session.restingBpm}–${session.maximumBpm}`
                }}
              </td>
              <td class="strip">
                <span
                  v-if="session.zones.length"
                  role="img"
                  :aria-label="
                    session.zones.map((zone) => `${zone.name} ${onClock(zone.seconds)}`).join(', ')
                  "
                >
                  <i
                    v-for="zone in session.zones"
                    :key="zone.id"
                    :title="`${zone.name}: ${onClock(zone.seconds)}`"
                    :style="{ flexGrow: zone.seconds, background: `var(--band-${zone.level})` }"
                  />
                </span>
                <template v-else>no rate led</template>
              </td>
            </tr>
          </tbody>
        </table>
        <button v-if="data.sessions.length > FEW" type="button" class="link" @click="more = !more">
          {{ more ? 'Fewer' : `All ${data.sessions.length} sessions` }}
        </button>
      </template>
    </template>
    <p v-else-if="!problem" class="quiet" role="status">Loading…</p>
  </section>
</template>

<style scoped>
.chosen {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 28px;
  align-items: end;
}

table {
  width: 100%;
}

th {
  text-align: left;
}

tbody th {
  font-weight: 500;
  white-space: nowrap;
}

th,
td {
  padding: 5px 14px 5px 0;
}

tbody tr {
  border-top: 1px solid var(--line);
}

.strip {
  width: 42%;
}

.strip span {
  display: flex;
  height: 16px;
  border-radius: 3px;
  overflow: hidden;
  forced-color-adjust: none;
}

@media (max-width: 640px) {
  .wide {
    display: none;
  }
}
</style>
