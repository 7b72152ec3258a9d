<script setup lang="ts">
import { api, Refused } from '@/api/client'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import ToggleSwitch from 'primevue/toggleswitch'
import { useToast } from 'primevue/usetoast'
import { reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { keysOn } from './preferences'
import { session } from './session'
import TopBar from './TopBar.vue'

const router = useRouter()
const toast = useToast()
const change = reactive({ current_password: '', password: '' })
const confirmation = ref('')
const refused = ref<Record<string, string>>({})

async function attempt(form: string, action: () => Promise<void>) {
  refused.value = {}
  try {
    await action()
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    const fields = Object.entries(error.fields).map(([field, sentence]) => [`${form}.${field}`, sentence])
    refused.value = fields.length > 0 ? Object.fromEntries(fields) : { [`${form}.password`]: error.message }
  }
}

const changePassword = () =>
  attempt('change', async () => {
    await api('PUT', '/api/account/password', change)
    Object.assign(change, { current_password: '', password: '' })
    toast.add({ severity: 'success', summary: 'The password is changed.', life: 4000 })
  })

const deleteAccount = () =>
  attempt('delete', async () => {
    await api('DELETE', '/api/account', { password: confirmation.value })
    session.value = null
    await router.push('/sign-in')
  })
</script>

<template>
  <TopBar />
  <main class="account">
    <h1>{{ session?.user?.name }}</h1>
    <p class="soft">{{ session?.user?.email }}</p>
    <section class="card">
      <h2>This browser</h2>
      <div class="switch">
        <ToggleSwitch v-model="keysOn" input-id="keys" />
        <label for="keys">Keys act, and are shown beside what they do</label>
      </div>
    </section>
    <form class="card" novalidate @submit.prevent="changePassword">
      <h2>Change the password</h2>
      <div class="field">
        <label for="current">Password now</label>
        <InputText
          id="current"
          v-model="change.current_password"
          type="password"
          autocomplete="current-password"
        />
        <p v-if="refused['change.current_password']" class="refused" role="alert">
          {{ refused['change.current_password'] }}
        </p>
      </div>
      <div class="field">
        <label for="next">New password</label>
        <InputText id="next" v-model="change.password" type="password" autocomplete="new-password" />
        <p v-if="refused['change.password']" class="refused" role="alert">{{ refused['change.password'] }}</p>
      </div>
      <Button type="submit" label="Change the password" />
    </form>
    <form class="card" novalidate @submit.prevent="deleteAccount">
      <h2>Delete the account</h2>
      <p>
        All homes, jobs and readings go with it, at once and for good. Export the jobs you want to keep first.
      </p>
      <div class="field">
        <label for="confirm">Password, to be sure</label>
        <InputText id="confirm" v-model="confirmation" type="password" autocomplete="current-password" />
        <p v-if="refused['delete.password']" class="refused" role="alert">{{ refused['delete.password'] }}</p>
      </div>
      <Button type="submit" severity="danger" outlined label="Delete the account and everything in it" />
    </form>
  </main>
</template>

<style scoped>
.account {
  display: grid;
  gap: 16px;
  max-width: 560px;
  margin: 32px auto;
  padding: 0 20px;
}
.account h1,
.account > p {
  margin: 0;
}
.card h2 {
  margin-bottom: 12px;
}
.switch {
  display: flex;
  align-items: center;
  gap: 12px;
}
</style>
