<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { openRoom, roomStart, simulateRoom } from '../api/korvel'
import ChoiceField from '../shared/ChoiceField.vue'
import Findings from '../shared/Findings.vue'
import ProblemNote from '../shared/ProblemNote.vue'
import SelectField from '../shared/SelectField.vue'
import TextField from '../shared/TextField.vue'
import TickList from '../shared/TickList.vue'
import { useAnswer } from '../shared/answer'
import { typed } from '../shared/fields'
import { useSave } from '../shared/save'
import { useShortcuts } from '../shared/shortcuts'
import { theStudio } from '../shared/studio'
import { day } from '../shared/words'

/** Who is here, what they do, and whose strap is whose: then one clock for everyone. */
const router = useRouter()
const { data, problem, load } = useAnswer(roomStart)
const chosen = ref(new Set<string>())
const straps = reactive(new Map<string, string>())
const form = reactive({ what: 'own', source: 'strap' as 'strap' | 'count' })

onMounted(async () => {
  await load()
  const ready = data.value?.people.filter((each) => each.ready) ?? []
  // Who was there last time is ticked; where nobody was, everyone who is ready.
  const before = ready.filter((each) => each.before)
  chosen.value = new Set((before.length ? before : ready).map(({ clientId }) => clientId))
})
const ready = computed(() => data.value?.people.filter((each) => each.ready) ?? [])
const notYet = computed(() => data.value?.people.filter((each) => !each.ready) ?? [])
const outlines = computed(() => [
  { value: 'own', name: 'Each their own session' },
  ...(data.value?.outlines.map(({ id, name, minutes }) => ({
    value: id,
    name: `${name}, ${minutes} min`,
  })) ?? []),
])
function toggle(client: string) {
  const next = new Set(chosen.value)
  if (!next.delete(client)) next.add(client)
  chosen.value = next
}
function giveLast() {
  for (const { clientId, lastStrap } of ready.value) {
    if (chosen.value.has(clientId) && lastStrap) straps.set(clientId, lastStrap)
  }
}
const known = computed(() => data.value?.straps ?? [])
const anyLast = computed(() => ready.value.some(({ lastStrap }) => lastStrap))

const toBoard = ({ sheet }: { sheet: { id: string } }) => router.push(`/floor/rooms/${sheet.id}`)
const { save, saving, refused, general, messages } = useSave(
  () =>
    openRoom({
      people: ready.value
        .filter(({ clientId }) => chosen.value.has(clientId))
        .map(({ clientId }) => ({
          clientId,
          strap: straps.get(clientId)?.trim() || null,
          source: form.source,
          simulated: null,
        })),
      outline: form.what === 'own' ? null : form.what,
      speed: null,
    }),
  { saved: toBoard },
)

const pretend = reactive({ people: '12', speed: 1, troubles: [] as string[] })
const troubles = computed(
  () => data.value?.troubles.map(({ fault, name }) => ({ id: fault as string, name })) ?? [],
)
const simulated = useSave(
  () =>
    simulateRoom({
      people: typed(pretend.people),
      troubles: pretend.troubles as never[],
      outline: form.what === 'own' ? null : form.what,
      speed: pretend.speed,
    }),
  { saved: toBoard },
)
const many = (count: number) => (count === 1 ? '1 person' : `${count} people`)
useShortcuts({ list: [['Tab', 'to “Open the room”']] })
</script>

<template>
  <div class="stack">
    <header>
      <h1>A room</h1>
      <p class="quiet">Each with their own target, all by one clock.</p>
    </header>
    <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
    <form v-else-if="data" class="columns" novalidate @submit.prevent="save()">
      <section class="sheet stack" aria-labelledby="here">
        <div class="top">
          <h2 id="here">Who is here</h2>
          <button v-if="anyLast" type="button" class="link" @click="giveLast">
            Give everyone their last strap
          </button>
        </div>
        <p v-if="!ready.length" class="quiet">
          Nobody is checked in. A class that counts together is checked in at once:
          <RouterLink to="/floor">count on the floor</RouterLink>, or
          <RouterLink to="/today">check in one by one</RouterLink>.
        </p>
        <ul class="people">
          <li v-for="each in ready" :key="each.clientId">
            <button
              type="button"
              role="checkbox"
              :aria-checked="chosen.has(each.clientId)"
              @click="toggle(each.clientId)"
            >
              <span aria-hidden="true">{{ chosen.has(each.clientId) ? '✓' : '' }}</span>
              {{ each.name }}
            </button>
            <label v-if="chosen.has(each.clientId) && form.source === 'strap'"
              ><span class="quiet small">Strap</span>
              <input
                :value="straps.get(each.clientId) ?? ''"
                list="straps"
                maxlength="40"
                autocomplete="off"
                :placeholder="each.lastStrap ? `last ${each.lastStrap}` : 'later'"
                :aria-label="`Strap of ${each.name}`"
                @input="
                  (event) => straps.set(each.clientId, (event.target as HTMLInputElement).value)
                "
              />
            </label>
          </li>
        </ul>
        <datalist id="straps">
          <option v-for="each in known" :key="each.strap" :value="each.strap">
            {{ each.wornBy ? `on ${each.wornBy}` : `last ${each.lastName}` }}
          </option>
        </datalist>
        <template v-if="notYet.length">
          <h3>Not yet</h3>
          <ul class="not-yet">
            <li v-for="each in notYet" :key="each.clientId">
              <RouterLink :to="`/clients/${each.clientId}/check-in`">{{ each.name }}</RouterLink>
              <span class="quiet">{{ each.whyNot?.message }}</span>
            </li>
          </ul>
        </template>
        <template v-if="known.length">
          <h3>Straps</h3>
          <ul class="not-yet">
            <li v-for="each in known.slice(0, 12)" :key="each.strap">
              <b>{{ each.strap }}</b>
              <span class="quiet">{{
                each.wornBy ? `on ${each.wornBy} now` : `${each.lastName}, ${day(each.lastAt)}`
              }}</span>
            </li>
          </ul>
        </template>
      </section>
      <div class="stack side">
        <aside class="sheet stack">
          <SelectField v-model="form.what" label="They do" :options="outlines" />
          <ChoiceField
            v-model="form.source"
            label="The heart rate by"
            :options="[
              { value: 'strap', name: 'Straps' },
              { value: 'count', name: 'Counts' },
            ]"
          />
          <p v-if="form.source === 'strap'" class="quiet small">
            Straps are connected on the board, a few to each device. One that somebody else wore
            last, or two put on at about the same time, are unconfirmed until counted.
          </p>
          <Findings v-if="refused.length" :findings="refused" />
          <p v-else-if="general || messages.people" class="fault" role="alert">
            {{ general || messages.people }}
          </p>
          <Button
            type="submit"
            :label="chosen.size ? `Open the room: ${many(chosen.size)}` : 'Nobody is ticked'"
            :disabled="!chosen.size"
            :loading="saving"
            size="large"
          />
          <p class="quiet small">The clock starts when you begin.</p>
        </aside>
        <aside v-if="theStudio?.demo" class="sheet stack" aria-labelledby="simulated">
          <h2 id="simulated">A simulated room</h2>
          <p class="quiet small">
            Nobody moves. People of the demo, and more where they are too few, do what is asked.
          </p>
          <TextField
            v-model="pretend.people"
            label="People, 1 to 60"
            name="people"
            number
            :message="simulated.messages.value.people"
          />
          <ChoiceField
            v-model="pretend.speed"
            label="Its time goes"
            :options="[
              { value: 1, name: 'As it is' },
              { value: 10, name: '10×' },
            ]"
          />
          <fieldset>
            <legend>With trouble</legend>
            <TickList v-model="pretend.troubles" :options="troubles" />
          </fieldset>
          <p v-if="simulated.general.value" class="fault" role="alert">
            {{ simulated.general.value }}
          </p>
          <Button
            label="Simulate a room"
            outlined
            :loading="simulated.saving.value"
            @click="simulated.save()"
          />
        </aside>
      </div>
    </form>
    <p v-else class="quiet" role="status">Loading…</p>
  </div>
</template>

<style scoped>
.columns {
  --columns: minmax(0, 1fr) 360px;
}

.top {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 20px;
}

.people li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 12px;
  align-items: center;
  min-height: 56px;
  border-top: 1px solid var(--line);
}

.people li:first-child {
  border-top: 0;
}

[role='checkbox'] {
  font: inherit;
  min-height: 56px;
  text-align: left;
  color: var(--ink);
  background: none;
  border: 0;
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 0;
}

[role='checkbox'] span {
  width: 26px;
  height: 26px;
  border: 1.5px solid var(--ink-quiet);
  border-radius: 6px;
  display: grid;
  place-items: center;
}

[aria-checked='true'] span {
  background: var(--teal);
  border-color: var(--teal);
  color: var(--paper);
}

.people label {
  display: flex;
  gap: 8px;
  align-items: center;
}

input {
  font: inherit;
  min-height: 44px;
  width: 100%;
  min-width: 0;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--paper);
}

.not-yet li {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr);
  gap: 12px;
  padding: 6px 0;
}

@media (max-width: 600px) {
  .people li {
    grid-template-columns: minmax(0, 1fr) 130px;
  }

  .people label .small {
    display: none;
  }

  .not-yet li {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
