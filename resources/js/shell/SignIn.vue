<script setup lang="ts">
import { api } from '@/api/client'
import type { User } from '@/api/types'
import TradeText from '@/words/TradeText.vue'
import Button from 'primevue/button'
import Message from 'primevue/message'
import { computed, reactive, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import FormField from './FormField.vue'
import RecoveryCode from './RecoveryCode.vue'
import { session, signedIn } from './session'
import TopBar from './TopBar.vue'
import { PASSWORD_HINT, useForm } from './useForm'

const router = useRouter()
const route = useRoute()
const asks = ref<'known' | 'new' | 'forgotten'>('known')
const { busy, refused, attempt } = useForm()
const form = reactive({ name: '', email: '', password: '', code: '' })
/** What the server said of a letter that is on its way. */
const said = ref('')
const code = ref('')
const withLetters = computed(() => session.value?.mail === true)
const title = computed(
  () => ({ known: 'Sign in', new: 'Make an account', forgotten: 'Forgotten password' })[asks.value],
)

async function goOn() {
  const to = route.query.to
  await router.push(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : '/')
}

const enter = (path: string, body?: unknown) =>
  attempt(async () => {
    const user = await api<User & { message?: string }>('POST', path, body)
    if (user.message) {
      said.value = user.message
      return
    }
    await signedIn(user)
    if (user.recovery_code) code.value = user.recovery_code
    else await goOn()
  })

function send() {
  if (asks.value === 'known') return enter('/api/session', form)
  if (asks.value === 'new') return enter('/api/account', form)
  return enter(withLetters.value ? '/api/account/forgotten' : '/api/account/recovery', form)
}

function turnTo(what: typeof asks.value) {
  asks.value = what
  refused.value = {}
  said.value = ''
}
</script>

<template>
  <TopBar />
  <main v-if="code" class="alone"><RecoveryCode :code="code" @done="goOn" /></main>
  <main v-else class="split">
    <section class="about">
      <h1>Furniture that fits the room as it is</h1>
      <p>
        <TradeText
          text="Walls lean, floors fall, corners are not square. Type what your tape says; Incastro works out the box that goes in, the edges to scribe, every piece with its sum, and the sheets to buy."
        />
      </p>
      <template v-if="session?.demo">
        <Button label="Open the demo" size="large" :loading="busy" @click="enter('/api/session/demo')" />
        <p class="soft hint">A made-up cottage with a made-up alcove. Change what you like.</p>
      </template>
    </section>
    <form class="card" novalidate @submit.prevent="send">
      <h2>{{ title }}</h2>
      <Message v-if="said" severity="success">{{ said }}</Message>
      <p v-if="refused.form" class="refused" role="alert">{{ refused.form }}</p>
      <p v-if="asks === 'forgotten' && !withLetters" class="soft">
        The recovery code that you printed when you made the account leads back into it.
      </p>
      <FormField
        v-if="asks === 'new'"
        id="name"
        v-model="form.name"
        label="Your name"
        autocomplete="name"
        :refused="refused.name"
      />
      <FormField
        id="email"
        v-model="form.email"
        label="E-mail"
        type="email"
        autocomplete="username"
        :refused="refused.email"
      />
      <FormField
        v-if="asks === 'forgotten' && !withLetters"
        id="code"
        v-model="form.code"
        label="Recovery code"
        :refused="refused.code"
      />
      <FormField
        v-if="asks !== 'forgotten' || !withLetters"
        id="password"
        v-model="form.password"
        :label="asks === 'forgotten' ? 'New password' : 'Password'"
        type="password"
        :autocomplete="asks === 'known' ? 'current-password' : 'new-password'"
        :hint="asks === 'known' ? '' : PASSWORD_HINT"
        :refused="refused.password"
      />
      <div class="actions">
        <Button
          type="submit"
          :label="asks === 'forgotten' ? (withLetters ? 'Send me a letter' : 'Sign in with the code') : title"
          :loading="busy"
        />
        <Button
          type="button"
          text
          :label="asks === 'known' ? 'I am new here' : 'I have an account'"
          @click="turnTo(asks === 'known' ? 'new' : 'known')"
        />
        <Button
          v-if="asks === 'known'"
          type="button"
          text
          severity="secondary"
          label="Forgotten?"
          @click="turnTo('forgotten')"
        />
      </div>
    </form>
  </main>
</template>

<style scoped>
.alone {
  max-width: 560px;
  margin: 8vh auto 40px;
  padding: 0 20px;
}
.split {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(300px, 1fr);
  gap: 48px;
  align-items: start;
  max-width: 980px;
  margin: 8vh auto 40px;
  padding: 0 20px;
}
.about h1 {
  margin-bottom: 12px;
  font-size: 2.1rem;
}
.about p {
  font-size: 1.1rem;
}
.hint {
  margin: 6px 0 0;
  font-size: 0.95rem !important;
}
.card h2 {
  margin-bottom: 14px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media (max-width: 760px) {
  .split {
    grid-template-columns: 1fr;
    gap: 24px;
    margin-top: 24px;
  }
}
</style>
