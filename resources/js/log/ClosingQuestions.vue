<script setup lang="ts">
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { ref } from 'vue'

/** All is fitted: three questions while one still knows, each of which may stay empty. */
const job = useJob()

const QUESTIONS = [
  { key: 'jammed', text: 'What jammed, or nearly?' },
  { key: 'missing', text: 'What was missing on the day?' },
  { key: 'change', text: 'What would you do otherwise?' },
]
const answers = ref<Record<string, string>>({})
const kept = ref(false)

async function keep() {
  for (const { key, text } of QUESTIONS) {
    const words = answers.value[key]?.trim()
    if (words)
      await job.note('Log', words.slice(0, 40), [
        { kind: 'note', part: null, body: { words: `${text} ${words}` }, withdraws: [] },
      ])
  }
  answers.value = {}
  kept.value = true
}
</script>

<template>
  <form class="card" @submit.prevent="keep">
    <h2>All is fitted. Three questions</h2>
    <template v-for="one in QUESTIONS" :key="one.key">
      <label :for="`closing-${one.key}`">{{ one.text }}</label>
      <Textarea :id="`closing-${one.key}`" v-model="answers[one.key]" rows="2" maxlength="1900" />
    </template>
    <Button
      type="submit"
      label="Keep the answers"
      :disabled="!Object.values(answers).some((one) => one?.trim())"
    />
    <p v-if="kept" class="soft" role="status">Kept among the entries.</p>
  </form>
</template>

<style scoped>
.card {
  display: grid;
  flex: none;
  gap: 4px;
  padding: 14px;
}
h2 {
  margin: 0 0 4px;
}
label {
  color: var(--soft);
}
.card :deep(button) {
  justify-self: start;
  min-height: 44px;
  margin-top: 6px;
}
</style>
