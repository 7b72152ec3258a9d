import type { FittingCheck, FittingTask, JobFact } from '@/api/types'
import { useJob } from '@/job/store'
import { useStanding } from '@/outbox/standing'
import { readLength } from '@/tape/lengthReader'
import { computed } from 'vue'

/** What a reading comes to, and what is said of it. */
export interface Judged {
  is: 'within' | 'out' | 'unknown'
  says: string
}

/**
 * Fitting day as the server last said it, with what was noted on this device since: works with the network gone. Whole nanometres are compared with
 * what the server sent; nothing is derived but the difference of two readings.
 */
export function useFitting() {
  const job = useJob()
  const station = job.station('install')
  const standing = useStanding<JobFact>(
    () => station.value?.facts ?? [],
    (fact) => ({ ...fact, body: fact.body ?? null, author: '' }),
  )
  const tasks = computed(() => station.value?.tasks ?? [])
  const byId = computed(() => new Map(tasks.value.map((task) => [task.id, task])))
  const of = (kind: string, part: string) =>
    standing.value.filter((fact) => fact.kind === kind && fact.part === part)

  const ticked = computed(
    () => new Set(standing.value.filter((fact) => fact.kind === 'task_done').map((fact) => fact.part)),
  )
  const isDone = (task: FittingTask) => ticked.value.has(task.id)
  const done = computed(() => tasks.value.filter(isDone).length)
  const now = () => Date.now() / 1000
  /** Names of what is still to be done before a task. */
  const waitsFor = (task: FittingTask) =>
    task.needs
      .map((id) => byId.value.get(id))
      .filter((need): need is FittingTask => need !== undefined && !isDone(need))
  const dries = (task: FittingTask) => (task.dry && task.dry.at > now() ? task.dry : null)
  const isReady = (task: FittingTask) =>
    !isDone(task) && task.held === '' && waitsFor(task).length === 0 && dries(task) === null
  const ready = computed(() => tasks.value.filter(isReady))
  /** In the order in which they are planned; what has no date yet follows. */
  const planned = computed(() =>
    [...tasks.value].sort(
      (one, other) =>
        (one.start?.at ?? Infinity) - (other.start?.at ?? Infinity) ||
        tasks.value.indexOf(one) - tasks.value.indexOf(other),
    ),
  )
  const current = computed(
    () => planned.value.find(isReady) ?? planned.value.find((task) => !isDone(task)) ?? null,
  )

  const note = (task: FittingTask, text: string, what: Parameters<typeof job.note>[2]) =>
    job.note(task.name, text, what)
  const tick = (task: FittingTask) =>
    note(task, 'done', [{ kind: 'task_done', part: task.id, body: { minutes: task.minutes }, withdraws: [] }])
  /** Takes back every tick of it that this device knows. */
  const untick = (task: FittingTask) =>
    note(task, 'not done', [
      { kind: 'withdrawal', part: null, withdraws: of('task_done', task.id).map((fact) => fact.id) },
    ])

  const factsOf = (task: FittingTask, check: FittingCheck) =>
    of('check', task.id).filter((fact) => fact.body?.check === check.key)
  /** Reads again: what was read before and is known here no longer counts. */
  const read = (task: FittingTask, check: FittingCheck, texts: string[], end: number | null, left = false) =>
    note(task, texts.join(' · '), [
      {
        kind: 'check',
        part: task.id,
        body: { check: check.key, texts, ...(end === null ? {} : { end }), left },
        withdraws: factsOf(task, check).map((fact) => fact.id),
      },
    ])

  /** What is said of the readings of a check: by the server, or by what it sent for every reading. */
  function judged(
    task: FittingTask,
    check: FittingCheck,
  ): (Judged & { texts: string[]; left: boolean }) | null {
    const fact = factsOf(task, check).at(-1)
    if (!fact) return null
    const texts = (fact.body?.texts as string[] | undefined) ?? []
    const left = fact.body?.left === true
    if (check.read?.ids.includes(fact.id)) return { is: check.read.is, says: check.read.says, texts, left }
    return { ...look(check, texts, fact.body?.end === 0 ? 0 : 1), texts, left }
  }

  function look(check: FittingCheck, texts: string[], end: number): Judged {
    try {
      const nm = texts.map((text) => readLength(text, job.job?.unit ?? 'mm'))
      const value = nm.length === 2 ? (nm[0] ?? 0) - (nm[1] ?? 0) : (nm[0] ?? 0) * (end === 0 ? -1 : 1)
      const first = check.table[0]
      const last = check.table.at(-1)
      if (!first || !last || value < first.nm || value > last.nm)
        return { is: 'unknown', says: 'Kept. That is more than is told here: read it again.' }
      const row = check.table.reduce((best, one) =>
        Math.abs(one.nm - value) < Math.abs(best.nm - value) ? one : best,
      )
      return { is: row.is, says: row.says }
    } catch {
      return { is: 'unknown', says: 'Kept as typed.' }
    }
  }

  /** A sentence where a reading is nowhere near what it should be; empty where it is believed. */
  function far(check: FittingCheck, text: string): string {
    if (!check.believed || text.trim() === '') return ''
    try {
      const nm = readLength(text, job.job?.unit ?? 'mm')
      return nm < check.believed[0] || nm > check.believed[1]
        ? `${text} is far from ${check.expected ?? ''}. Read it again.`
        : ''
    } catch {
      return ''
    }
  }

  const isOut = (task: FittingTask) =>
    task.checks.some((check) => {
      const said = judged(task, check)
      return said !== null && said.is !== 'within' && !said.left
    })

  return {
    station,
    tasks,
    byId,
    standing,
    done,
    isDone,
    isReady,
    isOut,
    waitsFor,
    dries,
    ready,
    planned,
    current,
    tick,
    untick,
    read,
    judged,
    far,
    of,
  }
}
