import { api } from '@/api/client'
import type { Session, User } from '@/api/types'
import { useOutbox } from '@/outbox/store'
import { ref } from 'vue'

export const session = ref<Session | null>(null)

let asking: Promise<Session> | null = null

/** Who is signed in, asked once and remembered until it changes; what waits on this device has been read by then. */
export async function currentSession(): Promise<Session> {
  if (session.value !== null) return session.value
  asking ??= ask().finally(() => (asking = null))
  return asking
}

async function ask(): Promise<Session> {
  const told = await api<Session>('GET', '/api/session')
  await useOutbox().belongTo(told.user?.email ?? null)
  session.value = told
  return told
}

/** What the server said to somebody else, or to nobody, does not stay behind. */
async function forgetAnswers(): Promise<void> {
  if ('caches' in window) await caches.delete('answers')
}

export async function signedIn(user: User): Promise<void> {
  await forgetAnswers()
  session.value = { demo: session.value?.demo ?? false, mail: session.value?.mail ?? false, user }
  await useOutbox().belongTo(user.email)
}

export async function signOut(): Promise<void> {
  await api('DELETE', '/api/session')
  await forgetAnswers()
  session.value = null
  await useOutbox().belongTo(null)
}
