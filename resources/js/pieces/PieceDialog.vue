<script setup lang="ts">
import { api } from '@/api/client'
import type { Drawing, Piece } from '@/api/types'
import DrawingView from '@/drawing/DrawingView.vue'
import { useJob } from '@/job/store'
import { useQuery } from '@tanstack/vue-query'
import Dialog from 'primevue/dialog'
import { computed } from 'vue'

/** One piece large, with the places to mark it out by, and as a file. */
const props = defineProps<{ space: string; piece: Piece; marks: string[] }>()
const emit = defineEmits<{ close: [] }>()
const job = useJob()
const url = computed(() => `/api/spaces/${props.space}/pieces/${encodeURIComponent(props.piece.key)}`)
const drawing = useQuery({
  queryKey: computed(() => ['piece', url.value, job.job?.version]),
  queryFn: () => api<Drawing>('GET', url.value),
})
const template = (format: string) =>
  `/api/spaces/${props.space}/template?${new URLSearchParams({ format, piece: props.piece.key })}`
</script>

<template>
  <Dialog
    visible
    modal
    dismissable-mask
    :header="`${marks.join(', ')} · ${piece.name}`"
    :style="{ width: '1080px', maxWidth: '96vw' }"
    @update:visible="emit('close')"
  >
    <p class="soft">
      {{ piece.material_name }}, {{ piece.thickness.text }}. Hook the tape once: all places are told from the
      0 of their side. What is dashed is on the other face<template v-if="piece.shaped">
        ; hatched is cut away</template
      >.
    </p>
    <div class="large" tabindex="0">
      <DrawingView v-if="drawing.data.value" :drawing="drawing.data.value" />
      <p v-else-if="drawing.error.value">{{ drawing.error.value.message }}</p>
    </div>
    <ul v-if="piece.edges.length + piece.joints.length + piece.marked.length > 0">
      <li v-for="text in [...piece.edges, ...piece.joints, ...piece.marked]" :key="text">{{ text }}</li>
    </ul>
    <p class="files">
      <a :href="`${url}/file?format=pdf`" download>Drawing to print, PDF</a>
      <a :href="`${url}/file?format=svg`" download>SVG</a>
      <a :href="`${url}/file?format=dxf`" download>DXF in mm</a>
      <a v-if="piece.shaped" :href="template('pdf')" download>Full-size template, PDF</a>
      <a v-if="piece.drilled" :href="`${url}/drilling`" download>Drilling template at full size, PDF</a>
    </p>
  </Dialog>
</template>

<style scoped>
.large {
  height: min(46vh, 420px);
  margin: 8px 0;
  overflow: auto hidden;
}
/* Narrower, its texts would run into each other: it is pushed sideways instead. */
.large :deep(.drawing) {
  min-width: 680px;
}
@media (max-width: 720px) {
  .large {
    height: 300px;
  }
}
p {
  margin: 0;
}
ul {
  margin: 0 0 10px;
  padding-left: 20px;
}
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
}
.files a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>
