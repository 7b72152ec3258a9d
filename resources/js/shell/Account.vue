<script setup lang="ts">
import { api } from '@/api/client'
import type { SignedIn } from '@/api/types'
import { useTimeAgo } from '@vueuse/core'
import Button from 'primevue/button'
import ToggleSwitch from 'primevue/toggleswitch'
import { useToast } from 'primevue/usetoast'
import { onMounted, reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import FormField from './FormField.vue'
import { keysOn } from './preferences'
import RecoveryCode from './RecoveryCode.vue'
import { session } from './session'
import TopBar from './TopBar.vue'
import { PASSWORD_HINT, useForm } from './useForm'

const router = useRouter()
const toast = useToast()
const change = reactive({ current_password: '', password: '' })
const changing = useForm()
const leaving = useForm()
const making = useForm()
const confirmation = ref('')
const forCode = ref('')
const code = ref('')
const devices = ref<SignedIn[]>([])
const when = (at: string) => useTimeAgo(new Date(at)).value

const look = async () => {
  devices.value = await api<SignedIn[]>('GET', '/api/account/devices')
}
onMounted(look)

const changePassword = () =>
  changing.attempt(async () => {
    await api('PUT', '/api/account/password', change)
    Object.assign(change, { current_password: '', password: '' })
    toast.add({
      severity: 'success',
      summary: 'The password is changed, and other devices are signed out.',
      life: 4000,
    })
    await look()
  })

const makeCode = () =>
  making.attempt(async () => {
    const made = await api<{ recovery_code: string }>('POST', '/api/account/recovery-code', {
      password: forCode.value,
    })
    code.value = made.recovery_code
    forCode.value = ''
    if (session.value?.user) session.value.user.has_code = true
  })

async function end(id: string | null) {
  await api('DELETE', '/api/account/devices', { id })
  await look()
}

const deleteAccount = () =>
  leaving.attempt(async () => {
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
    <section v-if="!session?.user?.is_demo" class="card">
      <h2>Where you are signed in</h2>
      <ul class="devices">
        <li v-for="device in devices" :key="device.id">
          <span
            ><strong>{{ device.device }}</strong
            ><template v-if="device.is_this">, this one</template>
            <span class="soft">{{ device.address }}, used {{ when(device.used_at) }}</span></span
          >
          <Button
            v-if="!device.is_this"
            text
            severity="secondary"
            label="Sign out"
            :aria-label="`Sign out ${device.device}`"
            @click="end(device.id)"
          />
        </li>
      </ul>
      <Button v-if="devices.length > 2" outlined label="Sign out all others" @click="end(null)" />
      <p class="soft">
        A device that is not used for 30 days must sign in again, and every one after 90 days.
      </p>
    </section>
    <form class="card" novalidate @submit.prevent="changePassword">
      <h2>Change the password</h2>
      <p v-if="changing.refused.value.form" class="refused" role="alert">
        {{ changing.refused.value.form }}
      </p>
      <FormField
        id="current"
        v-model="change.current_password"
        label="Password now"
        type="password"
        autocomplete="current-password"
        :refused="changing.refused.value.current_password"
      />
      <FormField
        id="next"
        v-model="change.password"
        label="New password"
        type="password"
        autocomplete="new-password"
        :hint="PASSWORD_HINT"
        :refused="changing.refused.value.password"
      />
      <Button type="submit" label="Change the password" :loading="changing.busy.value" />
    </form>
    <RecoveryCode v-if="code" id="code" :code="code" @done="code = ''" />
    <form v-else-if="!session?.user?.is_demo" id="code" class="card" novalidate @submit.prevent="makeCode">
      <h2>Recovery code</h2>
      <p>
        Twenty signs on paper that lead back into the account when the password is forgotten.
        {{ session?.user?.has_code ? 'You have one; a new one takes its place.' : 'You have none yet.' }}
      </p>
      <p v-if="making.refused.value.form" class="refused" role="alert">{{ making.refused.value.form }}</p>
      <FormField
        id="for-code"
        v-model="forCode"
        label="Password, to be sure it is you"
        type="password"
        autocomplete="current-password"
        :refused="making.refused.value.password"
      />
      <Button type="submit" outlined label="Make a recovery code" :loading="making.busy.value" />
    </form>
    <form class="card" novalidate @submit.prevent="deleteAccount">
      <h2>Delete the account</h2>
      <p>
        All homes, jobs and readings go with it, at once and for good. Export the jobs you want to keep first.
        What you wrote in other people’s jobs stays there, with your name.
      </p>
      <p v-if="leaving.refused.value.form" class="refused" role="alert">{{ leaving.refused.value.form }}</p>
      <FormField
        id="confirm"
        v-model="confirmation"
        label="Password, to be sure"
        type="password"
        autocomplete="current-password"
        :refused="leaving.refused.value.password"
      />
      <Button
        type="submit"
        severity="danger"
        outlined
        label="Delete the account and everything in it"
        :loading="leaving.busy.value"
      />
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
.devices {
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}
.devices li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 52px;
  border-bottom: 1px solid var(--line);
}
.devices li .soft {
  display: block;
}
.switch {
  display: flex;
  align-items: center;
  gap: 12px;
}
</style>
