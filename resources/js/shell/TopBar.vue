<script setup lang="ts">
import { useOutbox } from '@/outbox/store'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { isDark, toggleTheme } from './preferences'
import { session, signOut } from './session'

/** `tight` leaves out, on a phone, what can wait until the list of jobs. */
defineProps<{ tight?: boolean }>()

const router = useRouter()

const outbox = useOutbox()
const asks = ref(false)

async function leave(sure = false) {
  if (!sure && outbox.unsent.length > 0) {
    asks.value = true
    return
  }
  asks.value = false
  await signOut()
  await router.push('/sign-in')
}
</script>

<template>
  <header class="bar" :class="{ tight }">
    <RouterLink to="/" class="brand" aria-label="Incastro, to your jobs">
      <svg viewBox="0 0 32 32" width="28" height="28" aria-hidden="true">
        <path d="M6 4v24h21" fill="none" stroke="currentColor" stroke-width="3" />
        <path d="M12 23V9l11 1.5V23z" fill="var(--birch)" stroke="var(--birch-line)" />
      </svg>
      <span>Incastro</span>
    </RouterLink>
    <slot />
    <nav class="tools" aria-label="Account and appearance">
      <slot name="tools" />
      <Button
        class="away"
        text
        severity="secondary"
        :label="isDark ? 'Light' : 'Dark'"
        :aria-label="`Use the ${isDark ? 'light' : 'dark'} theme`"
        @click="toggleTheme"
      />
      <template v-if="session?.user">
        <RouterLink class="who away" to="/sums">Quick sums</RouterLink>
        <RouterLink class="who away" to="/account">{{ session.user.name }}</RouterLink>
        <Button class="away" text severity="secondary" label="Sign out" @click="leave()" />
      </template>
    </nav>
    <Dialog v-model:visible="asks" modal header="Readings are waiting" :style="{ width: '440px' }">
      <p>
        {{ outbox.unsent.length === 1 ? '1 reading is' : `${outbox.unsent.length} readings are` }} on this
        device and not on the server yet. They stay here and are sent when you sign in again on this device,
        as yourself.
      </p>
      <div class="asks">
        <Button outlined label="Stay signed in" @click="asks = false" />
        <Button label="Sign out all the same" @click="leave(true)" />
      </div>
    </Dialog>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 52px;
  padding: 4px 20px;
  border-bottom: 1px solid var(--line);
}
.brand {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}
.asks {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
}
.tools {
  display: flex;
  align-items: center;
  flex: none;
  gap: 4px;
  margin-left: auto;
}
.who {
  padding: 10px 8px;
  color: var(--ink);
}
@media (max-width: 640px) {
  .bar {
    flex-wrap: wrap;
    gap: 0 10px;
    padding: 2px 12px;
  }
  .tight .brand,
  .tight .away {
    display: none;
  }
}
</style>
