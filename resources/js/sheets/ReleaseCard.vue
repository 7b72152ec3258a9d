<script setup lang="ts">
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

/** Freezes the plan for cutting, and says what stands against it. */
const job = useJob()
const router = useRouter()
const busy = ref(false)
const GRIDS = [
  { value: 'a4-24', label: '24 on A4' },
  { value: 'a4-21', label: '21 on A4' },
  { value: 'letter-30', label: '30 on Letter' },
]
const grid = ref(job.job?.unit === 'in' ? 'letter-30' : 'a4-24')
const first = ref(1)

const isReleased = computed(() => job.answer?.tape.saw !== 'not released')
const clashes = computed(() => job.answer?.verdict.state === 'clash')
const waits = computed(() => job.answer?.verdict.state === 'waiting')

async function release(anyway = false) {
  busy.value = true
  try {
    if (await job.release(anyway)) await router.push(`/jobs/${job.job?.id}/saw`)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="card">
    <h2>Release for cutting</h2>
    <p v-if="isReleased" class="soft small">
      Released: {{ job.answer?.tape.saw }}. Releasing again keeps every piece that is cut and still has its
      size; the rest is planned anew, from what lies about first.
    </p>
    <p v-else class="soft small">
      Sizes follow every change until you release. Then pieces, sheets and the order of cuts stay as they are,
      and are kept on the phone at the saw.
    </p>
    <p v-if="waits" class="small">Take the readings that are to go first.</p>
    <p v-if="job.refused.release" class="refused" role="alert">{{ job.refused.release }}</p>
    <Button
      fluid
      :label="isReleased ? 'Release again' : 'Release for cutting'"
      :outlined="isReleased"
      :loading="busy"
      :disabled="waits"
      @click="release()"
    />
    <Button
      v-if="clashes && job.refused.release"
      fluid
      text
      severity="danger"
      label="Cut these anyway"
      @click="release(true)"
    />
    <div v-if="isReleased" class="labels">
      <Select
        v-model="grid"
        :options="GRIDS"
        option-value="value"
        option-label="label"
        aria-label="Sheet of labels"
      />
      <InputNumber v-model="first" :min="1" :max="30" show-buttons aria-label="First free label" />
      <a :href="`/api/jobs/${job.job?.id}/labels.pdf?grid=${grid}&first=${first}`" download>Labels as PDF</a>
    </div>
    <p v-if="isReleased" class="files">
      <a :href="`/api/jobs/${job.job?.id}/pieces.csv`" download>Pieces as CSV</a>
      <a :href="`/api/jobs/${job.job?.id}/cuts.csv`" download>Cuts as CSV</a>
    </p>
    <RouterLink v-if="isReleased" class="to-saw" :to="`/jobs/${job.job?.id}/saw`">Go to the saw</RouterLink>
  </section>
</template>

<style scoped>
.files {
  display: flex;
  gap: 16px;
  justify-content: center;
  margin: 6px 0 0;
}
.files a {
  padding: 8px 0;
}
.labels {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 92px;
  gap: 8px;
  margin-top: 12px;
}
.labels a {
  grid-column: 1 / -1;
  padding: 8px 0;
  text-align: center;
}
.labels :deep(input) {
  width: 92px;
}
.small {
  font-size: 14px;
}
.to-saw {
  display: block;
  margin-top: 10px;
  text-align: center;
}
</style>
