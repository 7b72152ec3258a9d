<script setup lang="ts">
import Select from 'primevue/select'
import { computed, useId } from 'vue'
import { useUnits } from './useUnits'

/** Which kind of unit stands somewhere, among those of its families, by their group. */
const props = defineProps<{
  label: string
  name?: string
  kind: string
  families: string[]
  /** What it is called where none stands, if that may be. */
  nothing?: string
}>()
const emit = defineEmits<{ change: [kind: string] }>()
const { of } = useUnits()
const id = useId()
const groups = computed(() => {
  const kinds = of(...props.families)
  const groups = [...new Set(kinds.map((one) => one.group))].map((group) => ({
    group,
    kinds: kinds.filter((one) => one.group === group).map(({ kind, label }) => ({ kind, label })),
  }))
  return props.nothing
    ? [{ group: 'Open', kinds: [{ kind: 'nothing', label: props.nothing }] }, ...groups]
    : groups
})
const hint = computed(() => of(...props.families).find((one) => one.kind === props.kind)?.hint)
</script>

<template>
  <div class="choice">
    <label :for="id">{{ label }}</label>
    <Select
      :input-id="id"
      :model-value="kind"
      :options="groups"
      option-value="kind"
      option-label="label"
      option-group-label="group"
      option-group-children="kinds"
      :aria-label="name ?? label"
      @update:model-value="emit('change', $event)"
    />
  </div>
  <p v-if="hint" class="soft hint">{{ hint }}</p>
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
  max-width: 200px;
}
.hint {
  margin: -4px 0 4px;
  font-size: 14px;
}
</style>
