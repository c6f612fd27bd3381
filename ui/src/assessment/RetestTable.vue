<script setup lang="ts">
import { watch } from 'vue'
import { retests } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import { useAnswer } from '../shared/answer'
import { day } from '../shared/words'

/** The same test before, beside this one: a change is named only beyond chance. */
const props = defineProps<{ test: string }>()
const { data, load } = useAnswer(retests)
watch(
  () => props.test,
  (id) => load(id),
  { immediate: true },
)
const signed = (value: number) => (value > 0 ? `+${value}` : String(value).replace('-', '−'))
</script>

<template>
  <section v-if="data?.length" aria-labelledby="retest-title">
    <h3 id="retest-title">Beside the same test before</h3>
    <div v-for="each in data" :key="each.before" class="one">
      <Findings v-if="each.unlike" :findings="[each.unlike]" />
      <table v-else-if="each.pairs.length">
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col" class="figure">
              <RouterLink :to="`/floor/tests/${each.before}`">{{ day(each.on) }}</RouterLink>
            </th>
            <th scope="col" class="figure">This one</th>
            <th scope="col" class="figure">Change</th>
            <th scope="col"></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="pair in each.pairs" :key="pair.name">
            <th scope="row">{{ pair.name }}</th>
            <td class="num figure">{{ pair.before }}</td>
            <td class="num figure">{{ pair.now }}</td>
            <td class="num figure">{{ signed(pair.change) }}</td>
            <td :class="{ quiet: !pair.changed }">
              {{
                pair.changed === null
                  ? ''
                  : pair.changed
                    ? 'more than chance'
                    : `within chance (under ${pair.noise} ${pair.unit})`
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
table {
  border-collapse: collapse;
}

th,
td {
  padding: 5px 20px 5px 0;
  text-align: left;
  font-weight: 400;
  border-top: 1px solid var(--line);
}

thead th {
  border-top: 0;
}

.figure {
  text-align: right;
}

.one {
  overflow-x: auto;
  padding-bottom: 8px;
}
</style>
