<script setup lang="ts">
import type { FittingCheck, FittingTask } from '@/api/types'
import { useJob } from '@/job/store'
import { readLength, Unreadable } from '@/tape/lengthReader'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, ref, useId, watch } from 'vue'
import type { useFitting } from './useFitting'

/** One check: what is read, within what it may be, and what to do where it is out. */
const props = defineProps<{
  task: FittingTask
  check: FittingCheck
  fitting: ReturnType<typeof useFitting>
}>()
const job = useJob()
const id = useId()

const said = computed(() => props.fitting.judged(props.task, props.check))
const texts = ref<string[]>([])
const end = ref<number | null>(null)
// What is typed stays while the server answers.
watch(
  [() => props.task.id, () => props.check.key],
  () => {
    texts.value = said.value?.texts.slice() ?? []
    end.value = null
  },
  { immediate: true },
)
const ends = computed(() => props.check.ends?.map((label, value) => ({ label, value })) ?? [])

const fault = computed(() => {
  for (const text of texts.value) {
    if (!text?.trim()) continue
    try {
      readLength(text, job.job?.unit ?? 'mm')
    } catch (error) {
      if (error instanceof Unreadable) return error.message
      throw error
    }
    const far = props.fitting.far(props.check, text)
    if (far) return far
  }
  return ''
})
const isWhole = computed(() => props.check.fields.every((_, i) => texts.value[i]?.trim()))
const isNew = computed(() => texts.value.join('|') !== (said.value?.texts ?? []).join('|'))
/** A gap of nothing has no end. */
const needsEnd = computed(
  () => ends.value.length > 0 && end.value === null && !/^0*(\.0*)?$/.test(texts.value[0]?.trim() ?? ''),
)

async function keep(left = false) {
  if (!isWhole.value || fault.value || (!left && needsEnd.value)) return
  const typed = props.check.fields.map((_, i) => texts.value[i]?.trim() ?? '')
  await props.fitting.read(
    props.task,
    props.check,
    typed,
    ends.value.length > 0 ? (end.value ?? 1) : null,
    left,
  )
}
function choose(to: number) {
  end.value = to
  void keep()
}
</script>

<template>
  <div class="check" :class="said?.left ? 'left' : said?.is">
    <p class="name">
      <strong>{{ check.label }}</strong> <span class="soft">{{ check.allowed }}</span>
    </p>
    <div class="row">
      <div v-for="(field, i) in check.fields" :key="field" class="reading">
        <label :for="`${id}-${i}`">{{ field }}</label>
        <InputText
          :id="`${id}-${i}`"
          v-model="texts[i]"
          class="measure"
          inputmode="decimal"
          autocomplete="off"
          @keydown.enter="keep()"
        />
      </div>
      <SelectButton
        v-if="ends.length > 0"
        :model-value="end"
        :options="ends"
        option-label="label"
        option-value="value"
        :aria-label="`${check.label}: which end`"
        @update:model-value="choose"
      />
      <Button v-if="isNew && isWhole" label="Read" :disabled="needsEnd" @click="keep()" />
    </div>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    <p v-else-if="isWhole && isNew && needsEnd" class="soft">At which end?</p>
    <p v-else-if="said && !isNew" class="says" role="status">
      {{ said.left ? `Left so. ${said.says}` : said.says }}
      <Button
        v-if="said.is === 'out' && !said.left && task.may_be_left"
        text
        size="small"
        label="Leave it so"
        @click="keep(true)"
      />
    </p>
  </div>
</template>

<style scoped>
.check {
  padding: 8px 0 10px;
  border-bottom: 1px dashed var(--line);
}
.name {
  margin: 0 0 4px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
.reading {
  display: grid;
  flex: 1 1 130px;
  gap: 2px;
  max-width: 200px;
}
.reading label {
  color: var(--soft);
  font-size: 14px;
}
.reading :deep(input) {
  width: 100%;
  min-height: 44px;
  font-weight: 600;
  font-size: 18px;
  text-align: right;
}
.row :deep(.p-togglebutton),
.row :deep(button) {
  min-height: 44px;
}
.says {
  margin: 6px 0 0;
  font-weight: 600;
}
.within .says {
  color: var(--moss);
}
.out .says,
.fault {
  color: var(--brick);
}
.left .says,
.unknown .says {
  color: var(--ochre);
}
.fault {
  margin: 6px 0 0;
}
</style>
