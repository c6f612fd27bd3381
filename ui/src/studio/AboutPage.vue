<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { computed, onMounted, ref } from 'vue'
import { about, type Shipped } from '../api/korvel'
import ProblemNote from '../shared/ProblemNote.vue'
import { useAnswer } from '../shared/answer'

/** The version, and everything of others that ships with it: what it is and under which licence. */
const { data, problem, load } = useAnswer(about)
onMounted(load)

const reading = ref<Shipped | null>(null)
const PAGES = { part: 'pages', title: 'Pages' } as const
const SHEETS = { part: 'sheets', title: 'Printed sheets' } as const
const SERVER = { part: 'server', title: 'Server' } as const
const COLUMNS = [[PAGES, SHEETS], [SERVER]]
const billed = computed(() => COLUMNS.flat().filter(({ part }) => data.value?.[part].length))
</script>

<template>
  <div class="stack">
    <p class="small"><RouterLink to="/studio">Studio</RouterLink> › about</p>
    <h1>About Korvel</h1>
    <ProblemNote v-if="problem" :problem="problem" @retry="load()" />
    <template v-else-if="data">
      <section class="sheet stack">
        <p>
          Version <b class="num">{{ data.version }}</b>, licensed under Apache-2.0. It ships with
          the work of others, which anyone may use under the licences below; choose a licence to
          read it.
        </p>
        <p class="small">
          Bills of materials (CycloneDX):
          <template v-for="({ part, title }, n) in billed" :key="part">
            <template v-if="n">, </template>
            <a :href="`/api/about/bills/${part}`" download>{{ title.toLowerCase() }}</a>
          </template>
        </p>
      </section>
      <div class="columns">
        <div v-for="(parts, n) in COLUMNS" :key="n" class="stack">
          <section
            v-for="{ part, title } in parts"
            :key="part"
            class="sheet"
            :aria-labelledby="`${part}-title`"
          >
            <h2 :id="`${part}-title`">{{ title }}</h2>
            <p v-if="!data[part].length" class="quiet">
              Not listed: this copy was built without a network.
            </p>
            <table v-else>
              <thead>
                <tr>
                  <th scope="col">what</th>
                  <th scope="col">version</th>
                  <th scope="col">licence</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="each in data[part]" :key="each.name">
                  <th scope="row">{{ each.name }}</th>
                  <td class="num">{{ each.version }}</td>
                  <td>
                    <button
                      v-if="each.texts.length"
                      type="button"
                      class="link"
                      :aria-label="`${each.licences.join(' or ')}, of ${each.name}`"
                      @click="reading = each"
                    >
                      {{ each.licences.join(' or ') }}
                    </button>
                    <template v-else>{{ each.licences.join(' or ') }}</template>
                  </td>
                </tr>
              </tbody>
            </table>
          </section>
        </div>
      </div>
    </template>
    <Dialog
      :visible="reading !== null"
      modal
      :header="`${reading?.name} ${reading?.version}`"
      :style="{ width: '46rem' }"
      @update:visible="reading = null"
    >
      <pre v-for="text in reading?.texts" :key="text">{{ data!.texts[text] }}</pre>
    </Dialog>
  </div>
</template>

<style scoped>
th,
td {
  padding: 5px 14px 5px 0;
  border-top: 1px solid var(--line);
  font-size: 0.92rem;
}

thead th {
  border-top: 0;
  font-size: 0.8rem;
}

tbody th {
  width: 100%;
  font-weight: 550;
  overflow-wrap: anywhere;
}

td.num {
  white-space: nowrap;
}

td:last-child {
  min-width: 7.4rem;
}

td button {
  padding: 0;
  min-height: 24px;
  text-align: left;
}

pre {
  font-family: var(--mono);
  font-size: 0.8rem;
  white-space: pre-wrap;
}

pre + pre {
  border-top: 1px solid var(--line);
  padding-top: 1em;
}
</style>
