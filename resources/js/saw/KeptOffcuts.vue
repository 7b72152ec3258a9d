<script setup lang="ts">
import { api, Refused } from '@/api/client'
import { useJob } from '@/job/store'
import MeasureText from '@/tape/MeasureText.vue'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'

/** What is left and large enough to be kept: it goes on the home's shelf under a code, and the next job is cut from it first. */
defineProps<{ rests: { id: string; mark: string; code: string | null; length: string; width: string }[] }>()
const job = useJob()
const place = ref('')
const trouble = ref('')

async function keep(part: string) {
  if (!job.job) return
  trouble.value = ''
  try {
    await api('POST', `/api/jobs/${job.job.id}/offcuts`, { part, place: place.value })
    await job.load(job.job.id, 'saw')
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = error.message
  }
}
</script>

<template>
  <section v-if="rests.length > 0" class="card offcuts">
    <h2>Offcuts to keep</h2>
    <p class="soft">
      The next job in this home is cut from them first. Write the code on each, and an arrow along the grain.
    </p>
    <div class="field">
      <label for="offcut-place">Where they go</label>
      <InputText id="offcut-place" v-model="place" placeholder="Behind the door" maxlength="80" />
    </div>
    <p v-if="trouble" class="refused" role="alert">{{ trouble }}</p>
    <ul>
      <li v-for="rest in rests" :key="rest.id">
        <span
          ><MeasureText :text="`${rest.length} × ${rest.width}`" />
          <span class="soft">from {{ rest.mark }}</span></span
        >
        <strong v-if="rest.code" class="measure">{{ rest.code }}</strong>
        <Button
          v-else
          outlined
          label="Keep"
          :aria-label="`Keep what is left of ${rest.mark}`"
          @click="keep(rest.id)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.offcuts {
  max-width: 560px;
  margin: 14px 0;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  min-height: 52px;
  border-top: 1px solid var(--line);
}
</style>
