<script setup lang="ts">
import { useJob } from '@/job/store'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

/** Freezes the plan for cutting, and says what stands against it. */
const job = useJob()
const router = useRouter()
const busy = ref(false)

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
    <RouterLink v-if="isReleased" class="to-saw" :to="`/jobs/${job.job?.id}/saw`">Go to the saw</RouterLink>
  </section>
</template>

<style scoped>
.small {
  font-size: 14px;
}
.to-saw {
  display: block;
  margin-top: 10px;
  text-align: center;
}
</style>
