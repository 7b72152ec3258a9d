<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { LogStation } from '@/api/types'
import { useJob } from '@/job/store'
import { useOutbox } from '@/outbox/store'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { computed, ref } from 'vue'
import PhotoButton from './PhotoButton.vue'

/** Photos of the job, with what they show. */
const props = defineProps<{ station: LogStation }>()
const job = useJob()
const outbox = useOutbox()
const opened = ref<string | null>(null)
const trouble = ref('')

const waiting = computed(() => outbox.unsent.filter((one) => one.photo && one.job === job.job?.id).length)
const shown = computed(() => props.station.photos.find((one) => one.id === opened.value) ?? null)
const at = (id: string, small: boolean) =>
  `/api/jobs/${job.job?.id ?? ''}/photos/${id}${small ? '?small=1' : ''}`
const day = (text: string) => new Date(text).toLocaleDateString('en-GB', { dateStyle: 'medium' })

async function remove(id: string) {
  if (!job.job) return
  trouble.value = ''
  try {
    await api('DELETE', `/api/jobs/${job.job.id}/photos/${id}`)
    opened.value = null
    await job.load(job.job.id, 'log')
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = error.message
  }
}
</script>

<template>
  <div class="card album">
    <h2>Photos <PhotoButton where="" /></h2>
    <p v-if="waiting > 0" class="soft" role="status">
      {{ waiting }} kept here, sent when the network is back.
    </p>
    <p v-if="station.photos.length === 0 && waiting === 0" class="soft">
      None yet. Where a cable runs, how a joint was made: a photo says it in a year’s time. Nothing of where
      it was taken is kept with it.
    </p>
    <ul>
      <li v-for="one in station.photos" :key="one.fact">
        <button v-if="!one.removed" type="button" @click="opened = one.id">
          <img :src="at(one.id, true)" :alt="one.caption || one.where || 'Photo'" loading="lazy" />
        </button>
        <span v-else class="gone soft">photo removed</span>
        <span>{{ one.caption || one.where }}</span> <span class="soft">{{ day(one.at) }}</span>
      </li>
    </ul>
    <Dialog
      :visible="shown !== null"
      modal
      :header="shown?.caption || shown?.where || 'Photo'"
      :style="{ width: '900px' }"
      @update:visible="opened = null"
    >
      <img v-if="shown" class="large" :src="at(shown.id, false)" :alt="shown.caption || 'Photo'" />
      <p v-if="trouble" role="alert">{{ trouble }}</p>
      <Button v-if="shown" text severity="danger" label="Remove this photo" @click="remove(shown.id)" />
    </Dialog>
  </div>
</template>

<style scoped>
.album {
  padding: 14px;
}
.album h2 {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin: 0 0 8px;
}
.album :deep(.photo) {
  font-size: 16px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  gap: 2px;
  font-size: 14px;
}
li button {
  padding: 0;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: none;
  cursor: pointer;
}
li img {
  display: block;
  width: 100%;
  aspect-ratio: 4 / 3;
  border-radius: 5px;
  object-fit: cover;
}
.gone {
  padding: 30px 8px;
  border: 1px dashed var(--line-strong);
  border-radius: 6px;
  text-align: center;
}
.large {
  max-width: 100%;
}
</style>
