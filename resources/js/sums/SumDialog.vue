<script setup lang="ts">
import { lastMeasure } from '@/shell/preferences'
import Dialog from 'primevue/dialog'
import Select from 'primevue/select'
import { ref, watch } from 'vue'
import SumParts from './SumParts.vue'
import { useSums } from './useSum'

/** A quick sum for a field that waits for a length. */
defineProps<{ field: string }>()
const emit = defineEmits<{ use: [length: string]; close: [] }>()
const { sums } = useSums(lastMeasure)
const name = ref('divide')
const typed = ref<Record<string, string>>({})
watch(name, () => (typed.value = {}))
</script>

<template>
  <Dialog
    visible
    modal
    :header="`Quick sum for “${field}”`"
    class="sum-dialog"
    @update:visible="emit('close')"
  >
    <Select
      v-model="name"
      :options="sums"
      option-value="name"
      option-label="label"
      aria-label="Which sum"
      class="which"
    />
    <SumParts v-model="typed" :name="name" :measure="lastMeasure" is-asked @use="emit('use', $event)" />
  </Dialog>
</template>

<style>
.sum-dialog {
  width: min(560px, calc(100vw - 16px));
}
.sum-dialog .which {
  width: 100%;
  margin-bottom: 12px;
}
</style>
