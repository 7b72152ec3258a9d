<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { JobAnswer } from '@/api/types'
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import Message from 'primevue/message'
import { computed, ref } from 'vue'

/** The measuring sheet to take along, blank or filled, and the readings as CSV, out and in. */
const job = useJob()
const menu = ref<InstanceType<typeof Menu> | null>(null)
const file = ref<HTMLInputElement | null>(null)
const trouble = ref('')

const at = computed(() => `/api/spaces/${job.space?.id ?? ''}`)
const items = computed(() => [
  { label: 'Measuring sheet, blank (PDF)', command: () => fetchFile('measuring-sheet?blank=1') },
  { label: 'Measuring sheet, filled (PDF)', command: () => fetchFile('measuring-sheet') },
  { label: 'Readings as CSV', command: () => fetchFile('readings.csv') },
  { label: 'Bring in readings from CSV …', command: () => file.value?.click() },
])

/** The server sends it as a file to keep, so the page stays. */
function fetchFile(path: string) {
  window.location.assign(`${at.value}/${path}`)
}

async function bringIn(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  if (!chosen) return
  const form = new FormData()
  form.append('file', chosen)
  trouble.value = ''
  try {
    job.receive(await api<JobAnswer>('POST', `${at.value}/readings.csv`, form))
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = [error.message, ...Object.values(error.fields)].join('\n')
  }
  input.value = ''
}
</script>

<template>
  <Button
    text
    severity="secondary"
    label="Paper and CSV"
    aria-haspopup="menu"
    @click="menu?.toggle($event)"
  />
  <Menu ref="menu" :model="items" popup />
  <input
    ref="file"
    type="file"
    accept=".csv,text/csv"
    class="visually-hidden"
    aria-label="Readings from CSV"
    tabindex="-1"
    @change="bringIn"
  />
  <Message v-if="trouble" severity="error" closable class="trouble" @close="trouble = ''">{{
    trouble
  }}</Message>
</template>

<style scoped>
.trouble {
  flex-basis: 100%;
  white-space: pre-line;
}
</style>
