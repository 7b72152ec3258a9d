<script setup lang="ts">
import { useOutbox } from '@/outbox/store'
import MeasureText from '@/tape/MeasureText.vue'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { session } from './session'

/** What was typed here and is not on the server yet, and what stands in its way. */
const outbox = useOutbox()
const route = useRoute()
const router = useRouter()

const count = computed(() => outbox.unsent.length)
const said = computed(() => {
  const isSaw = outbox.unsent.every((one) => one.job)
  const [single, several] = isSaw ? ['tick', 'ticks'] : ['reading', 'readings']
  const what = count.value === 1 ? `1 ${single} waits` : `${count.value} ${several} wait`
  const goes = count.value === 1 ? 'it is sent' : 'they are sent'
  if (outbox.state === 'signed-out') return `${what} here: you are signed out. Sign in, and ${goes}.`
  if (outbox.aside.length === count.value)
    return count.value === 1
      ? `The server could not take 1 ${single}. It stays here and is tried again.`
      : `The server could not take ${count.value} ${several}. They stay here and are tried again.`
  if (outbox.state === 'busy')
    return `${what} here: the server is busy or being mended. In a moment ${goes} again.`
  if (outbox.state === 'cut-off') return `${what} here: no network. When it returns, ${goes}.`
  return `${what} to be sent.`
})
const shows = computed(() => count.value > 0 && outbox.state !== 'sending' && outbox.state !== 'calm')

async function signIn() {
  session.value = null
  await router.push({ path: '/sign-in', query: { to: route.fullPath } })
}
</script>

<template>
  <aside v-if="shows || outbox.refused.length > 0" class="outbox" role="region" aria-label="Not sent yet">
    <div v-if="shows" class="line">
      <strong>{{ said }}</strong>
      <span v-for="one in outbox.unsent.slice(0, 4)" :key="one.id" class="one"
        >{{ one.label }} <MeasureText :text="one.text"
      /></span>
      <Button v-if="outbox.state === 'signed-out'" label="Sign in" @click="signIn" />
      <Button v-else text label="Send now" @click="outbox.sendNow()" />
    </div>
    <div v-for="one in outbox.refused" :key="one.id" class="line">
      <span
        ><strong>{{ one.label }}, <MeasureText :text="one.text" /></strong> could not be taken:
        {{ one.refused }}</span
      >
      <Button text label="Drop it" @click="outbox.drop(one)" />
    </div>
  </aside>
</template>

<style scoped>
.outbox {
  padding: 4px 20px;
  border-bottom: 1px solid var(--line);
  background: var(--ochre-wash);
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 14px;
  min-height: 44px;
}
.line button {
  min-height: 44px;
  margin-left: auto;
}
.one {
  color: var(--soft);
}
@media (max-width: 760px) {
  /* Below the thumb pad, and not above it: what comes and goes must not move the keys under a thumb. */
  .outbox {
    position: fixed;
    inset: auto 0 0;
    z-index: 5;
    padding: 0 12px;
    border-top: 1px solid var(--line-strong);
    border-bottom: 0;
    font-size: 14px;
    line-height: 1.25;
  }
  .line {
    flex-wrap: nowrap;
  }
  .line button {
    flex: none;
  }
  .one {
    display: none;
  }
}
</style>
