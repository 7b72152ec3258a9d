<script setup lang="ts">
import { useJob } from '@/job/store'
import { useOutbox } from '@/outbox/store'
import { computed, ref, useId } from 'vue'
import { scaled } from './scaled'

/** Takes a photo of what is at hand; it waits on this device until it can be sent. */
const props = defineProps<{ where: string; caption?: string }>()
const job = useJob()
const outbox = useOutbox()
const id = useId()

/** So many, and bytes of all, wait on a device. */
const MOST = 60
const MOST_BYTES = 150 * 1024 * 1024
const trouble = ref('')
const said = ref('')
const waiting = computed(() => outbox.unsent.filter((one) => one.photo))
const isFull = computed(
  () =>
    waiting.value.length >= MOST ||
    waiting.value.reduce((sum, one) => sum + (one.photo?.size ?? 0), 0) > MOST_BYTES,
)

async function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  trouble.value = said.value = ''
  if (!file) return
  if (isFull.value) {
    trouble.value = 'Photos are full until the network is back; everything else is kept.'
    return
  }
  const photo = await scaled(file)
  await job.photograph(photo, props.caption ?? '', props.where)
  said.value = 'Kept.'
}
</script>

<template>
  <span class="photo">
    <label class="button" :for="id">Photo</label>
    <input :id="id" class="visually-hidden" type="file" accept="image/*" @change="take" />
    <span v-if="trouble" class="trouble" role="alert">{{ trouble }}</span>
    <span v-else-if="said" class="soft" role="status">{{ said }}</span>
  </span>
</template>

<style scoped>
.photo {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.button {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 16px;
  border: 1px solid var(--line-strong);
  border-radius: 8px;
  font-weight: 600;
  cursor: pointer;
}
.photo:focus-within .button {
  outline: 3px solid var(--chalk);
}
.trouble {
  color: var(--brick);
}
</style>
