<script setup lang="ts">
import { api, Refused } from '@/api/client'
import { useVocabulary } from '@/api/vocabulary'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import SelectButton from 'primevue/selectbutton'
import { computed, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'

const props = defineProps<{ home: string }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const words = useVocabulary()
const form = reactive({ name: '', kind: 'alcove', space: '', measure: 'mm/1', practice: false })
const refused = ref<Record<string, string>>({})
const busy = ref(false)
const kind = computed(() => words.value.kinds.find((one) => one.value === form.kind))
const measures = [
  { value: 'mm/1', label: 'Millimetres' },
  { value: 'in/16', label: 'Inches' },
]

async function begin() {
  busy.value = true
  try {
    const { id } = await api<{ id: string }>('POST', `/api/homes/${props.home}/jobs`, {
      ...form,
      space: form.space.trim() || (kind.value?.label ?? 'Space'),
    })
    emit('close')
    await router.push(`/jobs/${id}/measure`)
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    refused.value = Object.keys(error.fields).length > 0 ? error.fields : { name: error.message }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Dialog visible modal header="New job" :style="{ width: '440px' }" @update:visible="emit('close')">
    <form novalidate @submit.prevent="begin">
      <div class="field">
        <label for="new-name">What are you building?</label>
        <InputText
          id="new-name"
          v-model="form.name"
          autofocus
          placeholder="Tall cupboard, upstairs"
          :invalid="!!refused.name"
        />
        <p v-if="refused.name" class="refused" role="alert">{{ refused.name }}</p>
      </div>
      <div class="field">
        <label for="new-kind">The space it goes into</label>
        <Select
          v-model="form.kind"
          input-id="new-kind"
          :options="words.kinds"
          option-label="label"
          option-value="value"
          aria-label="The space it goes into"
        />
        <p class="hint">{{ kind?.hint }}</p>
      </div>
      <div class="field">
        <label for="new-space">What you call it</label>
        <InputText
          id="new-space"
          v-model="form.space"
          :placeholder="kind?.label"
          :invalid="!!refused.space"
        />
        <p v-if="refused.space" class="refused" role="alert">{{ refused.space }}</p>
      </div>
      <div class="field">
        <span id="new-unit"><strong>Your tape reads</strong></span>
        <SelectButton
          v-model="form.measure"
          :options="measures"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          aria-labelledby="new-unit"
        />
      </div>
      <label class="practice">
        <input v-model="form.practice" type="checkbox" />
        <span
          ><strong>Practise first</strong>: a hidden, made-up room to measure with a simulated tape, and then
          see how near you came</span
        >
      </label>
      <Button type="submit" label="Begin measuring" :loading="busy" />
    </form>
  </Dialog>
</template>

<style scoped>
.hint {
  margin: 0;
  color: var(--soft);
}
.practice {
  display: flex;
  gap: 10px;
  align-items: flex-start;
  margin-bottom: 14px;
}
.practice input {
  width: 20px;
  height: 20px;
  margin-top: 2px;
}
</style>
