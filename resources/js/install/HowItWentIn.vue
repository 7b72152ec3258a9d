<script setup lang="ts">
import type { FittingTask } from '@/api/types'
import { useJob } from '@/job/store'
import LengthField from '@/tape/LengthField.vue'
import SelectButton from 'primevue/selectbutton'
import { computed, ref, watch } from 'vue'

/** How a box went into its place: the home learns from it. */
const props = defineProps<{ task: FittingTask }>()
const job = useJob()

const WAYS = [
  { value: 'freely', label: 'Freely' },
  { value: 'tight', label: 'Tight' },
  { value: 'jammed', label: 'Jammed' },
  { value: 'loose', label: 'Loose' },
]
const how = ref<string | null>(null)
const by = ref('')
watch(
  () => props.task.id,
  () => {
    how.value = null
    by.value = ''
  },
)
const asks = computed(() => how.value === 'jammed' || how.value === 'loose')
const note = (to: string | null, text: string) =>
  to === null
    ? undefined
    : job.note(props.task.name, to, [
        {
          kind: 'fit',
          part: props.task.id.split(':').slice(1).join(':'),
          body: { how: to, by: text },
          withdraws: [],
        },
      ])

function choose(to: string) {
  how.value = to
  if (to === 'freely' || to === 'tight') void note(to, '')
}
function measured(text: string) {
  by.value = text
  void note(how.value, text)
}
</script>

<template>
  <div class="how">
    <p><strong>How did it go in?</strong> <span class="soft">What jams is learned from.</span></p>
    <SelectButton
      :model-value="how"
      :options="WAYS"
      option-label="label"
      option-value="value"
      aria-label="How did it go in"
      @update:model-value="choose"
    />
    <LengthField
      v-if="asks"
      label="By how much"
      :text="by"
      :unit="job.job?.unit ?? 'mm'"
      @change="measured"
    />
    <p v-if="how && (!asks || by)" class="soft" role="status">Noted in the Log.</p>
  </div>
</template>

<style scoped>
.how {
  padding: 8px 0 10px;
  border-bottom: 1px dashed var(--line);
}
.how p {
  margin: 0 0 4px;
}
.how :deep(button) {
  min-height: 44px;
}
</style>
