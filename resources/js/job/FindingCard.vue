<script setup lang="ts">
import type { Finding } from '@/api/types'
import Button from 'primevue/button'
import { useJob } from './store'

/** A finding where it stands, with its ways out. */
defineProps<{ finding: Finding }>()
const job = useJob()
</script>

<template>
  <article class="finding" :class="finding.severity">
    <p>{{ finding.sentence }}</p>
    <Button
      v-for="way in finding.ways_out"
      :key="way.label"
      :label="way.label"
      @click="job.edit('space', way.edit)"
    />
  </article>
</template>

<style scoped>
.finding {
  padding: 10px 14px;
  border-left: 4px solid var(--line-strong);
  border-radius: 4px;
}
.finding p {
  margin: 0;
}
.finding p + button {
  margin-top: 8px;
}
.clash {
  border-color: var(--brick);
  background: var(--brick-wash);
}
.warning {
  border-color: var(--ochre);
  background: var(--ochre-wash);
}
.note {
  padding: 4px 14px;
  color: var(--soft);
}
</style>
