<script setup lang="ts">
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import Dialog from 'primevue/dialog'
import { computed } from 'vue'

/** Where on the walls the readings are taken; moving one moves the slot, not what was read there. */
const visible = defineModel<boolean>('visible', { required: true })
const job = useJob()
const sheet = computed(() => job.space?.choices.sheet)
const fields = [
  { key: 'low', label: 'Lowest widths, above the floor' },
  { key: 'middle', label: 'Middle widths, above the floor', whenEmpty: 'half way' },
  { key: 'high', label: 'Highest widths, below the ceiling' },
  { key: 'back', label: 'Widths at the back, from the back wall' },
  { key: 'front', label: 'Widths at the front, from the front line' },
  { key: 'level', label: 'Length of your level' },
] as const
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Where to measure" :style="{ width: '480px' }">
    <p class="soft">Set these before you measure. Readings already taken stay as they are.</p>
    <div v-if="sheet" class="fields">
      <LengthField
        v-for="field in fields"
        :key="field.key"
        :label="field.label"
        :text="sheet[field.key]?.typed ?? ''"
        v-bind="'whenEmpty' in field ? { whenEmpty: field.whenEmpty } : {}"
        :unit="job.job?.unit ?? 'mm'"
        :refused="job.refused[`sheet.${field.key}`]"
        @change="job.edit('space', { path: `sheet.${field.key}`, value: $event })"
      />
    </div>
  </Dialog>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 10px;
}
</style>
