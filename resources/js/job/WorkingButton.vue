<script setup lang="ts">
import type { Working } from '@/api/types'
import MeasureText from '@/tape/MeasureText.vue'
import Popover from 'primevue/popover'
import { ref } from 'vue'
import WorkingTable from './WorkingTable.vue'

/** A size that opens its working. */
defineProps<{ working: Working; label: string }>()
const popover = ref<InstanceType<typeof Popover> | null>(null)
</script>

<template>
  <button
    type="button"
    class="size"
    :aria-label="`${label}: ${working.text}, show the working`"
    @click="popover?.toggle($event)"
  >
    <MeasureText :text="working.text" />
  </button>
  <Popover ref="popover"><WorkingTable class="table" :working="working" :caption="label" /></Popover>
</template>

<style scoped>
.size {
  min-height: 32px;
  padding: 2px 6px;
  border: 0;
  border-radius: 6px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-decoration: underline dotted var(--line-strong);
  text-underline-offset: 4px;
  cursor: pointer;
}
.size:hover {
  background: var(--chalk-wash);
}
.table {
  min-width: 340px;
}
</style>
