<script setup lang="ts">
import { api, Refused } from '@/api/client'
import type { User } from '@/api/types'
import TradeText from '@/words/TradeText.vue'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, reactive, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { session, signedIn } from './session'
import TopBar from './TopBar.vue'

const router = useRouter()
const route = useRoute()
const isNew = ref(false)
const busy = ref(false)
const form = reactive({ name: '', email: '', password: '' })
const refused = ref<Record<string, string>>({})
const title = computed(() => (isNew.value ? 'Make an account' : 'Sign in'))

async function enter(path: string, body?: unknown) {
  busy.value = true
  refused.value = {}
  try {
    await signedIn(await api<User>('POST', path, body))
    const to = route.query.to
    await router.push(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : '/')
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    refused.value = Object.keys(error.fields).length > 0 ? error.fields : { form: error.message }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <TopBar />
  <main class="split">
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
    <form class="card" novalidate @submit.prevent="enter(isNew ? '/api/account' : '/api/session', form)">
      <h2>{{ title }}</h2>
      <p v-if="refused.form" class="refused" role="alert">{{ refused.form }}</p>
      <div v-if="isNew" class="field">
        <label for="name">Your name</label>
        <InputText id="name" v-model="form.name" autocomplete="name" :invalid="!!refused.name" />
        <p v-if="refused.name" class="refused" role="alert">{{ refused.name }}</p>
      </div>
      <div class="field">
        <label for="email">E-mail</label>
        <InputText
          id="email"
          v-model="form.email"
          type="email"
          autocomplete="username"
          :invalid="!!refused.email"
        />
        <p v-if="refused.email" class="refused" role="alert">{{ refused.email }}</p>
      </div>
      <div class="field">
        <label for="password">Password</label>
        <InputText
          id="password"
          v-model="form.password"
          type="password"
          :autocomplete="isNew ? 'new-password' : 'current-password'"
          :invalid="!!refused.password"
        />
        <p v-if="isNew" class="soft hint">At least 10 characters.</p>
        <p v-if="refused.password" class="refused" role="alert">{{ refused.password }}</p>
      </div>
      <div class="actions">
        <Button type="submit" :label="title" :loading="busy" />
        <Button
          type="button"
          text
          :label="isNew ? 'I have an account' : 'I am new here'"
          @click="((isNew = !isNew), (refused = {}))"
        />
      </div>
    </form>
  </main>
</template>

<style scoped>
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
