<script setup lang="ts">
import { api } from '@/api/client'
import type { User } from '@/api/types'
import Button from 'primevue/button'
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import FormField from './FormField.vue'
import { signedIn } from './session'
import TopBar from './TopBar.vue'
import { PASSWORD_HINT, useForm } from './useForm'

/** Where the link of a letter leads: an account is made, or a new password chosen. */
const route = useRoute()
const router = useRouter()
const said = computed(() => new URLSearchParams(route.hash.slice(1)))
const isNew = computed(() => route.path === '/welcome')
const password = ref('')
const { busy, refused, attempt } = useForm()
const trouble = computed(() => refused.value.token ?? refused.value.email ?? refused.value.form)

const open = (path: string, body: unknown) =>
  attempt(async () => {
    await signedIn(await api<User>('POST', path, body))
    await router.push('/')
  })
const choose = () =>
  open('/api/account/reset', {
    token: said.value.get('token') ?? '',
    email: said.value.get('email') ?? '',
    password: password.value,
  })

onMounted(() => {
  if (isNew.value) void open('/api/account/confirmation', { token: said.value.get('token') ?? '' })
})
</script>

<template>
  <TopBar />
  <main class="letter">
    <h1>{{ isNew ? 'Your account' : 'A new password' }}</h1>
    <p v-if="trouble" class="refused" role="alert">{{ trouble }}</p>
    <p v-else-if="isNew" class="soft" aria-busy="true">Making your account …</p>
    <form v-if="!isNew" class="card" novalidate @submit.prevent="choose">
      <FormField
        id="password"
        v-model="password"
        label="New password"
        type="password"
        autocomplete="new-password"
        :hint="PASSWORD_HINT"
        :refused="refused.password"
      />
      <Button type="submit" label="Keep it and sign in" :loading="busy" />
    </form>
    <RouterLink v-if="trouble" to="/sign-in">To the sign-in page</RouterLink>
  </main>
</template>

<style scoped>
.letter {
  display: grid;
  gap: 16px;
  max-width: 480px;
  margin: 8vh auto;
  padding: 0 20px;
}
</style>
