<script setup lang="ts">
import { api, Refused } from '@/api/client'
import { onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** A label was scanned: its piece opens at the saw. */
const route = useRoute()
const router = useRouter()
const trouble = ref('')

onMounted(async () => {
  try {
    const found = await api<{ job: string; mark: string }>('GET', `/api/labels/${String(route.params.code)}`)
    await router.replace({ path: `/jobs/${found.job}/saw`, query: { piece: found.mark } })
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    trouble.value = error.message.startsWith('This does not exist')
      ? 'No piece of yours has this label.'
      : error.message
  }
})
</script>

<template>
  <main class="label">
    <template v-if="trouble">
      <h1>{{ trouble }}</h1>
      <RouterLink to="/">Go to your jobs</RouterLink>
    </template>
    <p v-else class="soft" aria-busy="true">Looking for the piece …</p>
  </main>
</template>

<style scoped>
.label {
  max-width: 480px;
  margin: 12vh auto;
  padding: 0 20px;
}
</style>
