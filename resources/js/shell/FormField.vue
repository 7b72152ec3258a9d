<script setup lang="ts">
import InputText from 'primevue/inputtext'

/** A labelled field with a hint, and the sentence of what was refused in it. */
defineProps<{
  id: string
  label: string
  type?: string
  autocomplete?: string
  hint?: string
  refused?: string | undefined
}>()
const value = defineModel<string>({ required: true })
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <InputText
      :id="id"
      v-model="value"
      :type="type ?? 'text'"
      :autocomplete="autocomplete ?? 'off'"
      :invalid="!!refused"
    />
    <p v-if="hint" class="soft hint">{{ hint }}</p>
    <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
  </div>
</template>

<style scoped>
.hint {
  margin: 6px 0 0;
  font-size: 0.95rem;
}
</style>
