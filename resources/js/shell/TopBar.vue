<script setup lang="ts">
import Button from 'primevue/button'
import { useRouter } from 'vue-router'
import { isDark, toggleTheme } from './preferences'
import { session, signOut } from './session'

/** `tight` leaves out, on a phone, what can wait until the list of jobs. */
defineProps<{ tight?: boolean }>()

const router = useRouter()

async function leave() {
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
        <RouterLink class="who away" to="/account">{{ session.user.name }}</RouterLink>
        <Button class="away" text severity="secondary" label="Sign out" @click="leave" />
      </template>
    </nav>
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
.tools {
  display: flex;
  align-items: center;
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
