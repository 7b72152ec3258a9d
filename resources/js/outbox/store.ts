import { api, Refused } from '@/api/client'
import { useIntervalFn, useOnline } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import * as box from './box'
import type { Waiting } from './box'

/** How often what waits is tried again, ms; coming back online tries at once. */
const AGAIN = 5000

/**
 * Readings on their way to the server. Each is first written down on this device and only then sent, one after another,
 * so that neither a lost network nor a closed page loses one; the server takes each once however often it comes.
 */
export const useOutbox = defineStore('outbox', () => {
  const account = ref<string | null>(null)
  const waiting = ref<Waiting[]>([])
  const state = ref<'calm' | 'sending' | 'cut-off' | 'signed-out'>('calm')
  const online = useOnline()

  /** What comes with a reading when it is sent, and what is done with the answer. */
  let opened: () => Record<string, unknown> = () => ({})
  let answered: (answer: unknown, space: string) => void = () => undefined

  const unsent = computed(() => waiting.value.filter((one) => !one.refused))
  const refused = computed(() => waiting.value.filter((one) => one.refused))

  function connect(station: typeof opened, receive: typeof answered) {
    opened = station
    answered = receive
  }

  async function belongTo(name: string | null) {
    account.value = name
    // A browser that keeps nothing (some private windows) still sends: what waits then waits on this page alone.
    waiting.value = name === null ? [] : await box.of(name).catch(() => [])
    state.value = 'calm'
    if (unsent.value.length > 0) void send()
  }

  /** Those being written down right now, until they have their place among what waits. */
  const writing = new Map<string, Promise<unknown>>()

  /** Takes one in: it counts as waiting from here on, and is written down before it is sent. */
  function add(one: Omit<Waiting, 'account'>): Promise<unknown> {
    const mine: Waiting = { ...one, account: account.value ?? '' }
    waiting.value.push(mine)
    const written = box
      .put(mine)
      .then((order) => {
        waiting.value = waiting.value.map((other) => (other.id === mine.id ? { ...other, order } : other))
      })
      .catch(() => undefined)
      .finally(() => writing.delete(mine.id))
    writing.set(mine.id, written)
    return written
  }

  async function drop(one: Pick<Waiting, 'id'>) {
    await writing.get(one.id)
    const kept = waiting.value.find((other) => other.id === one.id)
    if (!kept) return
    await box.remove(kept).catch(() => undefined)
    waiting.value = waiting.value.filter((other) => other.id !== one.id)
  }

  let running: Promise<void> | null = null

  /** Sends what waits, in order, until all is sent or something stands in the way. */
  function send(): Promise<void> {
    running ??= sendAll().finally(() => (running = null))
    return running
  }

  async function sendAll() {
    for (let first = unsent.value[0]; first; first = unsent.value[0]) {
      state.value = 'sending'
      await writing.get(first.id)
      const next = unsent.value.find((one) => one.id === first?.id)
      if (!next) continue
      try {
        const answer = await api('POST', `/api/spaces/${next.space}/facts`, {
          facts: next.facts,
          ...opened(),
        })
        await drop(next)
        answered(answer, next.space)
      } catch (error) {
        if (!(error instanceof Refused)) throw error
        if (error.status === 422 || error.status === 404 || error.status === 403) {
          // It would be refused again: kept with the reason, so that nothing typed is lost, and the others go on.
          const refused = Object.values(error.fields).join(' ') || error.message
          waiting.value = waiting.value.map((one) => (one.id === next.id ? { ...one, refused } : one))
          await box
            .change({ ...next, refused, facts: next.facts.map((fact) => ({ ...fact })) })
            .catch(() => undefined)
          continue
        }
        state.value = error.status === 401 ? 'signed-out' : 'cut-off'
        return
      }
    }
    state.value = 'calm'
  }

  watch(online, (is) => {
    if (is && unsent.value.length > 0 && state.value !== 'signed-out') void send()
  })
  useIntervalFn(() => {
    if (state.value === 'cut-off' && unsent.value.length > 0) void send()
  }, AGAIN)

  return { account, waiting, unsent, refused, state, connect, belongTo, add, drop, send }
})
