import { api, Refused } from '@/api/client'
import type { Edit, JobAnswer, StationName } from '@/api/types'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { deviceId, nextSequence } from './device'

type AnsweredStation = NonNullable<JobAnswer['station']>
type StationOf<Name extends StationName> = Extract<AnsweredStation, { name: Name }>

/** The open job: what the server last answered, and everything that changes it. */
export const useJob = defineStore('job', () => {
  const answer = ref<JobAnswer | null>(null)
  const open = ref<StationName>('measure')
  const busy = ref(false)
  const trouble = ref('')
  /** Sentences of refused fields, by path. What was typed stays in its field. */
  const refused = ref<Record<string, string>>({})

  // Answers may overtake each other; only the newest question's answer counts.
  let asked = 0

  async function ask(method: 'GET' | 'POST', path: string, body?: unknown): Promise<boolean> {
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

  async function load(id: string, station: StationName, spaceId?: string): Promise<boolean> {
    open.value = station
    if (answer.value && answer.value.job.id !== id) answer.value = null
    const wanted = spaceId ?? answer.value?.space
    return ask('GET', `/api/jobs/${id}?${query({ station, ...(wanted ? { space: wanted } : {}) })}`)
  }

  async function refresh(message: string): Promise<void> {
    if (!answer.value) return
    await load(answer.value.job.id, open.value)
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

  /** Adds a take; one that corrects another takes it back in the same breath. */
  const take = (slot: string, text: string, end: string | null, replaces: string | null): Promise<boolean> =>
    inTurn(async () => {
      if (!space.value) return false
      const fact = () => ({
        id: crypto.randomUUID(),
        device: deviceId(),
        sequence: nextSequence(),
        taken_at: new Date().toISOString(),
      })
      const facts = [
        ...(replaces ? [{ ...fact(), kind: 'withdrawal', withdraws: replaces }] : []),
        { ...fact(), kind: 'take', slot, text, end },
      ]
      return ask('POST', `/api/spaces/${space.value.id}/facts`, { facts, ...opened() })
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

  /** Adds a space, and opens it. */
  const addSpace = (name: string): Promise<boolean> =>
    inTurn(async () => {
      if (!job.value) return false
      const { id } = await api<{ id: string }>('POST', `/api/jobs/${job.value.id}/spaces`, { name })
      return load(job.value.id, open.value, id)
    })

  /** Takes a space out with its readings, for good. */
  const removeSpace = (id: string): Promise<boolean> =>
    inTurn(async () => {
      if (!job.value) return false
      await api('DELETE', `/api/spaces/${id}`)
      const left = job.value.spaces.find((entry) => entry.id !== id)
      return load(job.value.id, open.value, left?.id)
    })

  return {
    addSpace,
    removeSpace,
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
    undo,
    redo,
    station,
  }
})
