import { api, Refused } from '@/api/client'
import { useOutbox } from '@/outbox/store'
import type { Edit, JobAnswer, Reading, StationName } from '@/api/types'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Done } from '@/outbox/box'
import { deviceId, nextSequence } from './device'

type AnsweredStation = NonNullable<JobAnswer['station']>
type StationOf<Name extends StationName> = Extract<AnsweredStation, { name: Name }>

/** The open job: what the server last answered, and everything that changes it. */
export const useJob = defineStore('job', () => {
  // An answer is replaced as a whole, never changed inside: large drawings stay plain objects.
  const answer = shallowRef<JobAnswer | null>(null)
  const open = ref<StationName>('measure')
  const busy = ref(false)
  const trouble = ref('')
  /** Sentences of refused fields, by path. What was typed stays in its field. */
  const refused = ref<Record<string, string>>({})

  // Answers may overtake each other; only the newest question's answer counts.
  let asked = 0

  async function ask(method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<boolean> {
    const mine = ++asked
    busy.value = true
    trouble.value = ''
    try {
      const got = await api<JobAnswer>(method, path, body)
      if (mine === asked) {
        answer.value = got
        refused.value = {}
      }
      return true
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      refused.value = error.fields
      if (Object.keys(error.fields).length === 0) trouble.value = error.message
      if (error.status === 409) await refresh(error.message)
      return false
    } finally {
      if (mine === asked) busy.value = false
    }
  }

  const job = computed(() => answer.value?.job ?? null)
  const space = computed(() => job.value?.spaces.find((entry) => entry.id === answer.value?.space) ?? null)
  const opened = () => ({
    station: open.value,
    ...(answer.value?.space ? { space: answer.value.space } : {}),
  })
  const query = (parts: Record<string, string>) => new URLSearchParams(parts).toString()

  /** Opens a station. What was changed just before goes out first: its answer must not be overtaken by this one. */
  function load(id: string, station: StationName, spaceId?: string): Promise<boolean> {
    open.value = station
    return inTurn(() => show(id, station, spaceId))
  }

  async function show(id: string, station: StationName, spaceId?: string): Promise<boolean> {
    if (answer.value && answer.value.job.id !== id) answer.value = null
    const wanted = spaceId ?? answer.value?.space
    return ask('GET', `/api/jobs/${id}?${query({ station, ...(wanted ? { space: wanted } : {}) })}`)
  }

  async function refresh(message: string): Promise<void> {
    if (!answer.value) return
    await show(answer.value.job.id, open.value)
    trouble.value = message
  }

  // Changes go one after another, so that each is made against what the one before it left behind.
  let last: Promise<unknown> = Promise.resolve()
  function inTurn(change: () => Promise<boolean>): Promise<boolean> {
    const turn = last.then(change)
    last = turn.catch(() => undefined)
    return turn
  }

  /** Changes a choice of the job itself, of the open space, or of the space with an id. */
  const edit = (where: string, change: Edit): Promise<boolean> =>
    inTurn(async () => {
      const target =
        where === 'job'
          ? job.value
          : where === 'space'
            ? space.value
            : job.value?.spaces.find((entry) => entry.id === where)
      if (!job.value || !target) return false
      return ask('POST', `/api/jobs/${job.value.id}/edits`, {
        target: target.id,
        version: target.version,
        ...change,
        ...opened(),
      })
    })

  const outbox = useOutbox()
  const received = (got: unknown) => {
    const sent = whole(got as JobAnswer)
    // What waited may belong to another job than the one that is open now.
    if (sent.job.id !== job.value?.id) return
    const lacksRelease =
      sent.station?.name === 'saw' && sent.station.release !== null && sent.station.release.cutting === null
    if (sent.station?.name !== open.value || lacksRelease) {
      // It went out before this station was open, or by a release that is not here: what is open now asks for itself.
      void load(job.value.id, open.value)
      return
    }
    asked++
    answer.value = sent
    void remember(sent)
    refused.value = {}
    trouble.value = ''
  }
  outbox.connect(opened, received, () => {
    if (job.value) void load(job.value.id, open.value)
  })

  /** An answer to a tick leaves the release out that this device has: it is put in again. */
  function whole(got: JobAnswer): JobAnswer {
    const before = answer.value?.station
    if (got.station?.name !== 'saw' || !got.station.release || got.station.release.cutting) return got
    const known =
      before?.name === 'saw' && before.release?.id === got.station.release.id ? before.release.cutting : null
    return { ...got, station: { ...got.station, release: { ...got.station.release, cutting: known } } }
  }

  /** Opened again without a network, the page shows what the server said last, and not what it said when the page was loaded. */
  async function remember(got: JobAnswer): Promise<void> {
    // Of whoever has signed out meanwhile nothing is left behind.
    if (!('caches' in window) || !got.station || outbox.account === null) return
    if (got.station.name === 'saw' && got.station.release && !got.station.release.cutting) return
    const answers = await caches.open('answers')
    const path = `/api/jobs/${got.job.id}`
    const isFirst = got.space === null || got.space === got.job.spaces[0]?.id
    const station = got.station.name
    const keys = [
      ...(isFirst ? [query({ station })] : []),
      ...(got.space ? [query({ station, space: got.space })] : []),
    ]
    for (const key of keys)
      await answers.put(
        `${path}?${key}`,
        new Response(JSON.stringify(got), { headers: { 'Content-Type': 'application/json' } }),
      )
  }

  /** What every fact carries: who it is, which device made it, and when. */
  const fact = () => ({
    id: crypto.randomUUID(),
    device: deviceId(),
    sequence: nextSequence(),
    taken_at: new Date().toISOString(),
  })

  /**
   * Adds a take; one that corrects another takes it back in the same breath. It stands among what waits from the first
   * moment, is written down on this device, and then sent. What became of it: 'sent' when the server has it, 'waits'
   * while it cannot be reached, else the server's reason against it; `drop` then forgets it. `written` is called when this
   * device has it: from then on closing the page loses nothing.
   */
  async function take(
    slot: Pick<Reading, 'slot' | 'label' | 'place'>,
    text: string,
    end: string | null,
    replaces: string | null,
    written: () => void = () => undefined,
  ): Promise<{ is: 'sent' | 'waits' } | { is: 'refused'; why: string; drop: () => Promise<void> }> {
    if (!space.value) return { is: 'refused', why: 'No space is open.', drop: () => Promise.resolve() }
    const back = replaces ? [{ ...fact(), kind: 'withdrawal' as const, withdraws: replaces }] : []
    const made = fact()
    await outbox.add({
      id: made.id,
      space: space.value.id,
      slot: slot.slot,
      label: slot.label,
      text,
      end,
      facts: [
        ...back,
        { ...made, kind: 'take' as const, slot: slot.slot, text, end, place: { ...slot.place } },
      ],
    })
    written()
    await inTurn(() => outbox.send().then(() => true))
    const still = outbox.waiting.find((other) => other.id === made.id)
    if (!still) return { is: 'sent' }
    if (!still.refused) return { is: 'waits' }
    return { is: 'refused', why: still.refused, drop: () => outbox.drop(still) }
  }

  /**
   * Notes what happened at the saw, in the shop or on fitting day, or what the log is told: it counts from here on, is written down on this device, and sent when the
   * server can be reached.
   */
  async function note(
    label: string,
    text: string,
    what: Omit<Done, 'id' | 'device' | 'sequence' | 'at'>[],
  ): Promise<void> {
    if (!job.value) return
    const done = what.map((one) => {
      const { taken_at, ...made } = fact()
      return { ...made, at: taken_at, ...one }
    })
    const id = done[0]?.id ?? crypto.randomUUID()
    await outbox.add({ id, space: '', job: job.value.id, slot: '', label, text, end: null, facts: [], done })
    void outbox.send()
  }

  /** Sends a photo with what it shows: it waits on this device like all else that is noted. */
  async function photograph(photo: Blob, caption: string, where: string): Promise<void> {
    if (!job.value) return
    const { taken_at, ...made } = fact()
    const body = { photo: crypto.randomUUID(), caption, where }
    const done: Done[] = [{ ...made, at: taken_at, kind: 'photo', part: null, body, withdraws: [] }]
    const waits = { space: '', job: job.value.id, slot: '', text: caption, end: null, facts: [], done }
    await outbox.add({ id: made.id, label: 'Photo', photo, ...waits })
    void outbox.send()
  }

  /** Freezes the plan for cutting. */
  const release = (anyway = false): Promise<boolean> =>
    inTurn(async () => (job.value ? ask('POST', `/api/jobs/${job.value.id}/releases`, { anyway }) : false))

  /** Takes a reading back: it stays in the book, struck out. */
  const withdraw = (id: string, slot: { slot: string; label: string }): Promise<boolean> =>
    inTurn(async () => {
      if (!space.value) return false
      return ask('POST', `/api/spaces/${space.value.id}/facts`, {
        facts: [{ ...fact(), kind: 'withdrawal', withdraws: id, slot: slot.slot }],
        ...opened(),
      })
    })

  const step = (name: 'undo' | 'redo') =>
    inTurn(async () => (job.value ? ask('POST', `/api/jobs/${job.value.id}/${name}`, opened()) : false))
  const undo = () => step('undo')
  const redo = () => step('redo')

  /** The open station's data, once it has come. */
  function station<Name extends StationName>(name: Name) {
    return computed(() =>
      answer.value?.station?.name === name ? (answer.value.station as StationOf<Name>) : null,
    )
  }

  /** Takes an answer that came another way, such as with a file. */
  function receive(got: JobAnswer) {
    asked++
    answer.value = got
  }

  /** Adds a space, and opens it. */
  const addSpace = (name: string, kind: string): Promise<boolean> =>
    inTurn(async () => {
      if (!job.value) return false
      const { id } = await api<{ id: string }>('POST', `/api/jobs/${job.value.id}/spaces`, { name, kind })
      return show(job.value.id, open.value, id)
    })

  /** Takes a space out with its readings; undo brings it back. */
  const takeOutSpace = (id: string): Promise<boolean> =>
    inTurn(async () => {
      const left = job.value?.spaces.find((entry) => entry.id !== id)
      return ask('DELETE', `/api/spaces/${id}`, { station: open.value, ...(left ? { space: left.id } : {}) })
    })

  return {
    addSpace,
    takeOutSpace,
    answer,
    job,
    space,
    open,
    busy,
    trouble,
    refused,
    load,
    edit,
    take,
    note,
    photograph,
    release,
    withdraw,
    receive,
    undo,
    redo,
    station,
  }
})
