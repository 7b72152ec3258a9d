<script setup lang="ts">
import type { Held, Parameter } from '@/api/types'
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import { computed } from 'vue'
import ParameterField from './ParameterField.vue'
import { meant } from './meant'
import { useUnits } from './useUnits'

/** What a unit is set to: a row for every parameter that its kind declares. Whatever is not chosen is as usual. */
const props = defineProps<{ holds: Held; path: string }>()
const job = useJob()
const { find } = useUnits()
const kind = computed(() => find(props.holds.kind))

const now = (name: string) => props.holds.with[name]
const rows = computed(() =>
  meant(kind.value?.parameters ?? [], (name) => now(name)?.value).filter((one) => now(one.name)),
)
const field = (one: Parameter) => `${props.path}.with.${one.name}`
const refused = (one: Parameter) => job.refused[field(one)]
function set(one: Parameter, value: unknown): void {
  if (value !== now(one.name)?.value) void job.edit('space', { path: field(one), value })
}
/** The job's materials, before them what is usual. */
const materials = computed(() => [
  { value: 'usual', label: 'as the job' },
  ...(job.job?.choices.materials ?? []).map((one) => ({ value: one.id, label: one.name })),
])
/** A text stands in its field also where it is as usual: it is changed more often than written. */
const typed = (one: Parameter) =>
  one.type === 'size'
    ? now(one.name)?.usual
      ? ''
      : (now(one.name)?.text ?? '')
    : String(now(one.name)?.value ?? '')
const whenEmpty = (one: Parameter) =>
  one.type !== 'size' ? '' : one.default_text ? `${one.default_text}, as usual` : 'worked out here'
</script>

<template>
  <div v-for="one in rows" :key="one.name" class="parameter">
    <ParameterField
      :parameter="one"
      :value="now(one.name)?.value"
      :typed="typed(one)"
      :when-empty="whenEmpty(one)"
      :unit="job.job?.unit ?? 'mm'"
      :refused="refused(one)"
      :materials="materials"
      @change="set(one, $event)"
    />
    <Button
      v-if="!now(one.name)?.usual"
      class="usual"
      size="small"
      text
      :label="one.default_text ? `As usual: ${one.default_text}` : 'As usual'"
      :aria-label="`${one.label} as usual`"
      @click="set(one, null)"
    />
  </div>
</template>

<style scoped>
.usual {
  display: block;
  margin: -6px 0 2px auto;
  min-height: 32px;
  color: var(--soft);
}
</style>
