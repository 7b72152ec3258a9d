<script setup lang="ts">
import { useVocabulary } from '@/api/vocabulary'
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { ref } from 'vue'

/** Drawings and full-size templates as files. */
const props = defineProps<{ run: string }>()
const job = useJob()
const words = useVocabulary()
const open = ref(false)
const paper = ref('a4')
const template = (format: string) =>
  `/api/spaces/${job.space?.id}/template?${new URLSearchParams({ format, paper: paper.value })}`
const elevation = () => {
  const at = job.space?.choices.layout.runs.findIndex((run) => run.id === props.run) ?? 0
  return `/api/spaces/${job.space?.id}/elevation.svg?run=${Math.max(0, at)}`
}
</script>

<template>
  <Button text label="Templates and files" aria-haspopup="dialog" @click="open = true" />
  <Dialog v-model:visible="open" modal header="Templates and files" :style="{ width: '480px' }">
    <p>
      A <em>template</em> is the true outline of a piece at full size: of every scribed or notched one, and of
      the opening that a sloped box goes into. Cut it from paper or cardboard and try it before the good
      piece.
    </p>
    <div class="row">
      <label for="paper">Paper</label>
      <Select
        v-model="paper"
        input-id="paper"
        :options="words.papers"
        option-value="value"
        option-label="label"
      />
    </div>
    <ul>
      <li><a :href="template('pdf')" download>Templates to print, PDF</a></li>
      <li><a :href="template('svg')" download>Templates at full size, SVG</a></li>
      <li><a :href="template('dxf')" download>Templates at full size, DXF in mm</a></li>
      <li><a :href="elevation()" download>Drawing as SVG, 1:10</a></li>
    </ul>
    <p class="soft">
      Pages overlap by 10 mm and carry crosses to lay them together, a map, and a line to check that nothing
      was scaled. The table of stations stands with each scribe line, for those who mark by hand.
    </p>
  </Dialog>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 48px;
}
li {
  min-height: 36px;
}
</style>
