<script setup lang="ts">
import type { Choice, Parameter } from '@/api/types'
import LengthField from '@/tape/LengthField.vue'
import type { JobUnit } from '@/tape/lengthReader'
import TradeText from '@/words/TradeText.vue'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import ToggleSwitch from 'primevue/toggleswitch'
import { useId } from 'vue'
import ChoiceRow from './ChoiceRow.vue'

/** The field of one parameter that PHP declares; null is given up where it is emptied, and then it is as usual. */
defineProps<{
  parameter: Parameter
  /** What counts. */
  value: unknown
  /** What stands in a field for typing; empty where it is as usual. */
  typed: string
  /** What an empty field shows. */
  whenEmpty: string
  unit: JobUnit
  refused?: string | undefined
  materials?: Choice[]
}>()
const emit = defineEmits<{ change: [value: unknown] }>()
const id = useId()
</script>

<template>
  <LengthField
    v-if="parameter.type === 'size'"
    :label="parameter.label"
    :text="typed"
    :when-empty="whenEmpty"
    :unit="unit"
    :refused="refused"
    @change="emit('change', $event === '' ? null : $event)"
  />
  <ChoiceRow
    v-else-if="parameter.type === 'choice'"
    :label="parameter.label"
    :value="value as string"
    :choices="parameter.choices"
    @change="emit('change', $event)"
  />
  <ChoiceRow
    v-else-if="parameter.type === 'material'"
    :label="parameter.label"
    :value="(value as string) ?? 'usual'"
    :choices="materials ?? []"
    @change="emit('change', $event === 'usual' ? null : $event)"
  />
  <div v-else class="row">
    <label :for="id">{{ parameter.label }}</label>
    <InputNumber
      v-if="parameter.type === 'count'"
      :model-value="value as number"
      :input-id="id"
      show-buttons
      button-layout="horizontal"
      :min="parameter.least"
      :max="parameter.most"
      @update:model-value="$event !== null && emit('change', $event)"
    />
    <ToggleSwitch
      v-else-if="parameter.type === 'toggle'"
      :model-value="value === true"
      :input-id="id"
      @update:model-value="emit('change', $event)"
    />
    <span v-else-if="parameter.type === 'amount'" class="amount">
      <InputText
        :id="id"
        class="measure"
        inputmode="decimal"
        :model-value="typed"
        :placeholder="whenEmpty"
        :invalid="Boolean(refused)"
        autocomplete="off"
        @change="emit('change', ($event.target as HTMLInputElement).value.trim() || null)"
      />
      <span class="soft">{{ parameter.unit }}</span>
    </span>
    <InputText
      v-else
      :id="id"
      class="text"
      :model-value="typed"
      :placeholder="whenEmpty"
      :maxlength="parameter.most"
      :invalid="Boolean(refused)"
      @change="emit('change', ($event.target as HTMLInputElement).value || null)"
    />
  </div>
  <p v-if="parameter.help" class="soft help"><TradeText :text="parameter.help" /></p>
  <p v-if="parameter.type !== 'size' && refused" class="refused" role="alert">{{ refused }}</p>
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
.amount {
  display: flex;
  align-items: center;
  gap: 8px;
}
.amount input {
  width: 96px;
  text-align: right;
}
.text {
  min-width: 0;
  flex: 0 1 62%;
}
.help {
  margin: 0 0 4px;
  font-size: 14px;
}
</style>
