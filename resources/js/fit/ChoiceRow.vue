<script setup lang="ts">
import type { Choice } from '@/api/types'
import Select from 'primevue/select'
import { useId } from 'vue'

/** A line of a panel: what is chosen, and its choices, or those of several groups. */
defineProps<{
  label: string
  value: string
  choices?: Choice[]
  groups?: { label: string; choices: Choice[] }[]
  name?: string
}>()
const emit = defineEmits<{ change: [value: string] }>()
const id = useId()
</script>

<template>
  <div class="choice">
    <label :for="id">{{ label }}</label>
    <Select
      :input-id="id"
      :model-value="value"
      :options="groups ?? choices ?? []"
      option-value="value"
      option-label="label"
      v-bind="groups ? { optionGroupLabel: 'label', optionGroupChildren: 'choices' } : {}"
      :aria-label="name ?? label"
      @update:model-value="emit('change', $event)"
    />
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 48px;
}
.choice :deep(.p-select) {
  max-width: max(200px, 62%);
}
</style>
