import { api } from '@/api/client'
import type { Session, User } from '@/api/types'
import { useOutbox } from '@/outbox/store'
import { ref } from 'vue'

export const session = ref<Session | null>(null)

/** Who is signed in, asked once and remembered until it changes. */
export async function currentSession(): Promise<Session> {
  if (session.value === null) {
    session.value = await api<Session>('GET', '/api/session')
    await useOutbox().belongTo(session.value.user?.email ?? null)
  }
  return session.value
}

export function signedIn(user: User): void {
  session.value = { demo: session.value?.demo ?? false, user }
  void useOutbox().belongTo(user.email)
}

export async function signOut(): Promise<void> {
  await api('DELETE', '/api/session')
  // What the server said of this account's jobs does not stay behind.
  if ('caches' in window) await caches.delete('answers')
  session.value = null
  await useOutbox().belongTo(null)
}
