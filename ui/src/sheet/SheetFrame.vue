<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import Button from 'primevue/button'
import { ref } from 'vue'
import { useShortcuts } from '../shared/shortcuts'

/** A sheet as it will be printed, as large as there is room for; printed as it is, not this page. */
defineProps<{ page: string; title: string; behind: boolean; making: boolean }>()
defineEmits<{ pdf: [] }>()

const box = ref<HTMLElement | null>(null)
const frame = ref<HTMLIFrameElement | null>(null)
/** The size of the document, in pixels at its true size. */
const size = ref({ width: 800, height: 600 })
const { width: room } = useElementSize(box, { width: 800, height: 600 })
const scale = () => Math.min(1, room.value / size.value.width)

function measure() {
  const document = frame.value?.contentDocument
  const first = document?.querySelector<HTMLElement>('.page')
  if (!document || !first) return
  size.value = {
    width: Math.ceil(first.getBoundingClientRect().width) + 2,
    height: Math.ceil(document.body.getBoundingClientRect().height) + 2,
  }
}

async function print() {
  const shown = frame.value?.contentWindow
  await shown?.document.fonts.ready
  shown?.print()
}
/** The browser's own key prints the sheet as well, not the page around it. */
useShortcuts({ list: [['Ctrl P', 'print the sheet']], act: { 'Ctrl+p': print }, inFields: true })
</script>

<template>
  <section class="printable" :aria-label="title">
    <div class="ways">
      <p class="quiet small"><slot /></p>
      <Button label="Print" outlined :disabled="!page" @click="print" />
      <Button label="PDF" :disabled="!page" :loading="making" @click="$emit('pdf')" />
    </div>
    <div ref="box" class="box" :class="{ behind }" tabindex="0" role="group" :aria-label="title">
      <div
        v-if="page"
        class="fit"
        :style="{ width: `${size.width * scale()}px`, height: `${size.height * scale()}px` }"
      >
        <iframe
          ref="frame"
          :srcdoc="page"
          :title="title"
          tabindex="-1"
          :style="{
            width: `${size.width}px`,
            height: `${size.height}px`,
            transform: `scale(${scale()})`,
          }"
          @load="measure"
        />
      </div>
      <p v-else class="quiet nothing"><slot name="nothing">Calculating…</slot></p>
    </div>
  </section>
</template>

<style scoped>
.printable {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  align-content: start;
}

.ways p {
  flex: 1 1 14rem;
}

.box {
  max-height: calc(100vh - 150px);
  min-height: 240px;
  overflow: auto;
  background: var(--ground-2);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 14px;
}

.fit {
  margin: 0 auto;
  overflow: hidden;
}

iframe {
  display: block;
  border: 0;
  transform-origin: 0 0;
}

.behind .fit {
  opacity: 0.55;
}

.nothing {
  padding: 40px 16px;
  text-align: center;
}

@media (max-width: 640px) {
  .ways p {
    flex-basis: 100%;
  }

  .box {
    padding: 8px;
    max-height: none;
  }
}
</style>
