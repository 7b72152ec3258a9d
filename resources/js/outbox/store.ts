import { api, Refused } from '@/api/client'
import { useIntervalFn, useOnline } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import * as box from './box'
import type { Waiting } from './box'

/** What waits is tried again after this, ms, and after twice as long each time; coming back online tries at once. */
const AGAIN = 5000
const LONGEST = 60_000

/** Where only the network is missing, trying costs nobody anything. */
const LONGEST_CUT_OFF = 15_000

/** A network that says nothing for so long, ms, is none: what hangs would hold back all that waits behind it. */
const PATIENCE = 20_000

/** So often the server may fail over one reading before it is gone round. */
const TRIES = 3

/** Refused for good: it would be refused again. */
const FOR_GOOD = [400, 403, 404, 405, 409, 413, 422]

/**
 * Readings on their way to the server. Each is first written down on this device and only then sent, one after another,
 * so that neither a lost network nor a closed page loses one; the server takes each once however often it comes.
 */
export const useOutbox = defineStore('outbox', () => {
  const account = ref<string | null>(null)
  const waiting = ref<Waiting[]>([])
  const state = ref<'calm' | 'sending' | 'cut-off' | 'busy' | 'signed-out'>('calm')
  /** When what waits is tried again, ms since 1970; null when nothing is due. */
  const next = ref<number | null>(null)
  let pause = AGAIN
  const online = useOnline()

  /** What comes with a reading when it is sent, and what is done with the answer. */
  let opened: () => Record<string, unknown> = () => ({})
  let answered: (answer: unknown) => void = () => undefined
  /** And when a photo has come there: it is answered by its name alone. */
  let arrived: () => void = () => undefined

  const unsent = computed(() => waiting.value.filter((one) => !one.refused))
  const refused = computed(() => waiting.value.filter((one) => one.refused))
  /** Those over which the server failed again and again: the others go on without them. */
  const isAside = (one: Waiting) => (one.failures ?? 0) >= TRIES
  const aside = computed(() => unsent.value.filter(isAside))

  function connect(station: typeof opened, receive: typeof answered, photo: typeof arrived) {
    opened = station
    answered = receive
    arrived = photo
  }

  async function belongTo(name: string | null) {
    account.value = name
    // A browser that keeps nothing (some private windows) still sends: what waits then waits on this page alone.
    const kept = name === null ? [] : await box.of(name).catch(() => [])
    // What was typed while that was read is no less there.
    const since = waiting.value.filter(
      (one) => one.account === name && !kept.some((other) => other.id === one.id),
    )
    waiting.value = [...kept, ...since]
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

  function update(id: string, change: Partial<Waiting>) {
    waiting.value = waiting.value.map((one) => (one.id === id ? { ...one, ...change } : one))
  }

  function later(is: 'cut-off' | 'busy', seconds: number | null = null) {
    state.value = is
    next.value = Date.now() + (seconds === null ? pause : seconds * 1000)
    pause = Math.min(pause * 2, is === 'cut-off' ? LONGEST_CUT_OFF : LONGEST)
  }

  async function sendAll() {
    // One that was gone round waits behind those that were not, and each is tried once in a round.
    const tried = new Set<string>()
    const due = () =>
      unsent.value
        .filter((one) => !tried.has(one.id))
        .sort((a, b) => Number(isAside(a)) - Number(isAside(b)))[0]
    next.value = null
    for (let first = due(); first; first = due()) {
      state.value = 'sending'
      await writing.get(first.id)
      const one = unsent.value.find((other) => other.id === first?.id)
      if (!one) continue
      tried.add(one.id)
      const goesOn = await sendOne(one)
      if (!goesOn) return
    }
    if (unsent.value.length > 0) later('busy')
    else calm()
  }

  function calm() {
    state.value = 'calm'
    pause = AGAIN
  }

  /** Sends one; whether the others may follow. */
  async function sendOne(one: Waiting): Promise<boolean> {
    try {
      // With the clock of this device as it is now: one that is off is known by that.
      const body = {
        facts: one.done ?? one.facts,
        ...opened(),
        ...(one.job ? { sent_at: new Date().toISOString() } : {}),
      }
      trying = new AbortController()
      const patience = AbortSignal.any([trying.signal, AbortSignal.timeout(PATIENCE)])
      const to = one.job
        ? `/api/jobs/${one.job}/${one.photo ? 'photos' : 'facts'}`
        : `/api/spaces/${one.space}/facts`
      const answer = await api('POST', to, one.photo ? photographed(one) : body, patience)
      pause = AGAIN
      // A tick is in the answer before it stops waiting: in between it would not count.
      if (one.job && !one.photo) answered(answer)
      await drop(one)
      if (one.photo) arrived()
      else if (!one.job) answered(answer)
      return true
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      if (FOR_GOOD.includes(error.status)) {
        // Kept with the reason, so that nothing typed is lost, and the others go on.
        const refused = Object.values(error.fields).join(' ') || error.message
        update(one.id, { refused })
        await box
          .change({
            ...(JSON.parse(JSON.stringify({ ...one, refused })) as Waiting),
            ...(one.photo ? { photo: one.photo } : {}),
          })
          .catch(() => undefined)
        return true
      }
      if (error.status === 401) {
        state.value = 'signed-out'
        return false
      }
      // What stands before the application is down, or asks to wait: no fault of this reading.
      if ([0, 429, 503, 504].includes(error.status)) {
        later(error.status === 0 ? 'cut-off' : 'busy', error.retryAfter)
        return false
      }
      const failures = (one.failures ?? 0) + 1
      update(one.id, { failures })
      if (failures >= TRIES) return true
      later('busy')
      return false
    }
  }

  /** A photo as it is sent: its bytes, and the fact that it is. */
  function photographed(one: Waiting): FormData {
    const form = new FormData()
    const fact = one.done?.[0]
    const told: Record<string, unknown> = {
      ...fact?.body,
      fact: fact?.id,
      device: fact?.device,
      sequence: fact?.sequence,
      at: fact?.at,
      id: fact?.body?.photo,
    }
    for (const [name, value] of Object.entries(told)) form.append(name, String(value ?? ''))
    if (one.photo) form.append('photo', one.photo, 'photo.jpg')
    return form
  }

  let trying = new AbortController()

  /** Tries at once, however long the pause had become; what hangs in a network that is gone is given up first. */
  async function sendNow(): Promise<void> {
    pause = AGAIN
    if (running) {
      trying.abort()
      await running
    }
    return send()
  }

  watch(online, (is) => {
    if (is && unsent.value.length > 0 && state.value !== 'signed-out') void sendNow()
  })
  useIntervalFn(() => {
    if (next.value !== null && Date.now() >= next.value && unsent.value.length > 0) void send()
  }, 1000)

  return { account, waiting, unsent, refused, aside, state, connect, belongTo, add, drop, send, sendNow }
})
