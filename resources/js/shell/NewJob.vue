<script setup lang="ts">
import { api, Refused } from '@/api/client'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { reactive, ref } from 'vue'
import { useRouter } from 'vue-router'

const props = defineProps<{ home: string }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const form = reactive({ name: '', space: 'Alcove', measure: 'mm/1' })
const refused = ref<Record<string, string>>({})
const busy = ref(false)
const measures = [
  { value: 'mm/1', label: 'Millimetres' },
  { value: 'in/16', label: 'Inches' },
]

async function begin() {
  busy.value = true
  try {
    const { id } = await api<{ id: string }>('POST', `/api/homes/${props.home}/jobs`, form)
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
        <label for="new-space"
          >The space it goes into: an alcove, between two side walls and a back wall</label
        >
        <InputText id="new-space" v-model="form.space" :invalid="!!refused.space" />
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
      <Button type="submit" label="Begin measuring" :loading="busy" />
    </form>
  </Dialog>
</template>
