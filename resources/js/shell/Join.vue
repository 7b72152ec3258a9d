<script setup lang="ts">
import { api } from '@/api/client'
import Button from 'primevue/button'
import { onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import TopBar from './TopBar.vue'
import { useForm } from './useForm'

/** Where an invitation leads: whose job it is, and a press to join. */
const route = useRoute()
const router = useRouter()
const token = route.hash.slice(1)
const found = ref<{ job: string; owner: string } | null>(null)
const { busy, refused, attempt } = useForm()

onMounted(() =>
  attempt(async () => {
    found.value = await api('POST', '/api/invitation', { token })
  }),
)
const join = () =>
  attempt(async () => {
    const { id } = await api<{ id: string }>('POST', '/api/invitation/join', { token })
    await router.push(`/jobs/${id}/measure`)
  })
</script>

<template>
  <TopBar />
  <main class="join">
    <template v-if="found">
      <h1>{{ found.owner }} asks you to help with “{{ found.job }}”</h1>
      <p>
        You measure and change it together. Each of you sees who did what, and can undo what was their own.
      </p>
      <p v-if="refused.form" class="refused" role="alert">{{ refused.form }}</p>
      <Button label="Help with this job" :loading="busy" @click="join" />
    </template>
    <template v-else-if="refused.form || refused.token">
      <h1>This link leads nowhere</h1>
      <p role="alert">{{ refused.form ?? refused.token }}</p>
      <RouterLink to="/">Go to your jobs</RouterLink>
    </template>
    <p v-else class="soft" aria-busy="true">Looking at the link …</p>
  </main>
</template>

<style scoped>
.join {
  display: grid;
  gap: 14px;
  justify-items: start;
  max-width: 560px;
  margin: 8vh auto;
  padding: 0 20px;
}
</style>
