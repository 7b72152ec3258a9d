<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { JobAnswer } from '@/api/types'
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import Message from 'primevue/message'
import { computed, ref } from 'vue'

/** The measuring sheet to take along, blank or filled, and the readings as CSV, out and in. */
const job = useJob()
const isOpen = ref(false)
const trouble = ref('')
const took = ref(false)

const at = computed(() => `/api/spaces/${job.space?.id ?? ''}`)

async function bringIn(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  if (!chosen) return
  const form = new FormData()
  form.append('file', chosen)
  trouble.value = ''
  took.value = false
  try {
    job.receive(await api<JobAnswer>('POST', `${at.value}/readings.csv`, form))
    took.value = true
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = [error.message, ...Object.values(error.fields)].join('\n')
  }
  input.value = ''
}
</script>

<template>
  <Button text severity="secondary" label="Paper and CSV" aria-haspopup="dialog" @click="isOpen = true" />
  <Dialog v-model:visible="isOpen" modal header="Paper and CSV" :style="{ width: '480px' }">
    <h3>To take along</h3>
    <p class="links">
      <a :href="`${at}/measuring-sheet?blank=1`" download>Measuring sheet, blank (PDF)</a>
      <a :href="`${at}/measuring-sheet`" download>Measuring sheet, filled (PDF)</a>
    </p>
    <p class="soft">Numbered lines on the drawing, a box for each reading.</p>
    <h3>For a table of your own</h3>
    <p class="links">
      <a :href="`${at}/readings.csv`" download>Readings as CSV</a>
      <label class="bring"
        >Bring in readings from CSV
        <input
          type="file"
          accept=".csv,text/csv"
          class="visually-hidden"
          aria-label="Readings from CSV"
          @change="bringIn"
        />
      </label>
    </p>
    <p class="soft">
      Columns “slot” and “value” are enough. Each line is added as a take; a file with a fault is refused
      whole.
    </p>
    <Message v-if="trouble" severity="error" class="trouble">{{ trouble }}</Message>
    <Message v-if="took" severity="success">The readings are in the book.</Message>
  </Dialog>
</template>

<style scoped>
.links {
  display: grid;
  gap: 2px;
  margin: 4px 0 0;
}
.links a,
.bring {
  display: flex;
  align-items: center;
  min-height: 44px;
  color: var(--chalk);
  text-decoration: underline;
  cursor: pointer;
}
.trouble {
  white-space: pre-line;
}
</style>
