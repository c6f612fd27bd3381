<script setup lang="ts">
import type { TalkWitnesses } from '../api/korvel'
import Findings from '../shared/Findings.vue'
import LevelStrokes from '../shared/LevelStrokes.vue'
import { day } from '../shared/words'

/** How rate, RPE and voice agreed at the last checks, which one is off, and what to check. */
defineProps<{ witnesses: TalkWitnesses }>()
</script>

<template>
  <section class="sheet stack" aria-labelledby="witnesses-title">
    <h2 id="witnesses-title">Rate, RPE and voice</h2>
    <Findings :findings="witnesses.findings" />
    <div v-if="witnesses.rows.length" class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">Rate</th>
            <th scope="col">RPE (6–20)</th>
            <th scope="col">Voice</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, at) in witnesses.rows" :key="at">
            <th scope="row">{{ day(row.on) }}</th>
            <td>
              <span class="num">{{ row.bpm }}</span> <LevelStrokes :level="row.rate" />
            </td>
            <td>
              <span class="num">{{ row.rpe20 }}</span> <LevelStrokes :level="row.rpe" />
            </td>
            <td><LevelStrokes :level="row.voice" /></td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
th[scope='row'] {
  font-weight: 400;
  text-align: left;
}

td {
  white-space: nowrap;
}
</style>
