<script setup lang="ts">
import { computed } from 'vue'
import ChoiceRow from './ChoiceRow.vue'
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
const kinds = computed(() => of(...props.families))
const groups = computed(() => {
  const groups = [...new Set(kinds.value.map((one) => one.group))].map((label) => ({
    label,
    choices: kinds.value
      .filter((one) => one.group === label)
      .map((one) => ({ value: one.kind, label: one.label })),
  }))
  return props.nothing
    ? [{ label: 'Open', choices: [{ value: 'nothing', label: props.nothing }] }, ...groups]
    : groups
})
const hint = computed(() => kinds.value.find((one) => one.kind === props.kind)?.hint)
</script>

<template>
  <ChoiceRow
    :label="label"
    :name="name ?? label"
    :value="kind"
    :groups="groups"
    @change="emit('change', $event)"
  />
  <p v-if="hint" class="soft hint">{{ hint }}</p>
</template>

<style scoped>
.hint {
  margin: -4px 0 4px;
  font-size: 14px;
}
</style>
