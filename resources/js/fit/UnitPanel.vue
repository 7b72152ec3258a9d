<script setup lang="ts">
import type { Held, Parameter } from '@/api/types'
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import TradeText from '@/words/TradeText.vue'
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, useId } from 'vue'
import ChoiceRow from './ChoiceRow.vue'
import { useUnits } from './useUnits'

/** What a unit is set to: a row for every parameter that its kind declares. Whatever is not chosen is as usual. */
const props = defineProps<{ holds: Held; path: string }>()
const job = useJob()
const { find } = useUnits()
const id = useId()
const kind = computed(() => find(props.holds.kind))

const now = (name: string) => props.holds.with[name]
const is = (conditions: Parameter['when']) =>
  Object.entries(conditions ?? {}).every(([name, value]) => now(name)?.value === value)
const rows = computed(() =>
  (kind.value?.parameters ?? []).filter(
    (one) => now(one.name) && is(one.when) && !(one.unless && is(one.unless)),
  ),
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
const number = (one: Parameter) => now(one.name)?.value as number
const text = (one: Parameter) => now(one.name)?.value as string
</script>

<template>
  <div v-for="one in rows" :key="one.name" class="parameter">
    <LengthField
      v-if="one.type === 'size'"
      :label="one.label"
      :text="now(one.name)?.usual ? '' : (now(one.name)?.text ?? '')"
      :when-empty="one.default_text ? `${one.default_text}, as usual` : 'worked out here'"
      :unit="job.job?.unit ?? 'mm'"
      :refused="refused(one)"
      @change="set(one, $event === '' ? null : $event)"
    />
    <ChoiceRow
      v-else-if="one.type === 'choice'"
      :label="one.label"
      :value="text(one)"
      :choices="one.choices"
      @change="set(one, $event)"
    />
    <ChoiceRow
      v-else-if="one.type === 'material'"
      :label="one.label"
      :value="text(one) ?? 'usual'"
      :choices="materials"
      @change="set(one, $event === 'usual' ? null : $event)"
    />
    <div v-else class="row">
      <label :for="`${id}-${one.name}`">{{ one.label }}</label>
      <InputNumber
        v-if="one.type === 'count'"
        :model-value="number(one)"
        :input-id="`${id}-${one.name}`"
        show-buttons
        button-layout="horizontal"
        :min="one.least"
        :max="one.most"
        @update:model-value="$event !== null && set(one, $event)"
      />
      <ToggleSwitch
        v-else-if="one.type === 'toggle'"
        :model-value="now(one.name)?.value === true"
        :input-id="`${id}-${one.name}`"
        @update:model-value="set(one, $event)"
      />
      <InputText
        v-else
        :id="`${id}-${one.name}`"
        :model-value="text(one)"
        :maxlength="one.most"
        @change="set(one, ($event.target as HTMLInputElement).value || null)"
      />
    </div>
    <p v-if="one.help" class="soft help"><TradeText :text="one.help" /></p>
    <p v-if="one.type !== 'size' && refused(one)" class="refused" role="alert">{{ refused(one) }}</p>
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
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  min-height: 48px;
}
.row :deep(.p-inputnumber input) {
  width: 48px;
  text-align: center;
}
.help {
  margin: 0 0 4px;
  font-size: 14px;
}
.usual {
  display: block;
  margin: -6px 0 2px auto;
  min-height: 32px;
  color: var(--soft);
}
</style>
