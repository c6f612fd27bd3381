<script setup lang="ts">
import { ref } from 'vue'
import { csvOf, rowsOf, tableBeside, type Cell } from './csv'
import { saveFile } from './saveFile'

/** The table beside it as a file for a spreadsheet. */
const props = defineProps<{
  /** What the file is called. */
  name: string
  /** Its rows, the head first; left out, the table that stands beside it is read. */
  rows?: () => Cell[][]
}>()
const link = ref<HTMLElement | null>(null)

async function save() {
  const table = link.value && tableBeside(link.value)
  const rows = props.rows?.() ?? (table ? rowsOf(table) : [])
  const { default: papa } = await import('papaparse')
  // The mark at the start tells spreadsheets that it is UTF-8.
  const text = '\uFEFF' + csvOf(papa, rows)
  saveFile(new File([text], `${props.name}.csv`, { type: 'text/csv;charset=utf-8' }))
}
</script>

<template>
  <button
    ref="link"
    type="button"
    class="link no-print small"
    :aria-label="`CSV of ${name}`"
    @click="save"
  >
    CSV
  </button>
</template>
