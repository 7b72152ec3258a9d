import type { Cutting, SawCut, SawFact, SawStep } from '@/api/types'
import { deviceId } from '@/job/device'
import { useJob } from '@/job/store'
import { useStanding } from '@/outbox/standing'
import { computed } from 'vue'

type Tick = Pick<SawFact, 'id' | 'kind' | 'part' | 'withdraws' | 'device' | 'body' | 'judged'>

/**
 * The release at the saw and how far it has come. What is done is a set: a cut counts while one tick of it stands, wherever and
 * in whatever order ticks were made; those that wait on this device count too.
 */
export function useCutting() {
  const job = useJob()
  const station = job.station('saw')
  const release = computed(() => station.value?.release ?? null)
  const cutting = computed<Cutting | null>(() => release.value?.cutting ?? null)

  const standing = useStanding<Tick>(
    () => release.value?.facts ?? [],
    (fact) => ({
      ...fact,
      body: { dimension: fact.dimension ?? '', text: fact.text ?? '', why: fact.why ?? '' },
      judged: null,
    }),
  )
  const ticksOf = (cut: string) => standing.value.filter((fact) => fact.kind === 'cut' && fact.part === cut)
  const cut = computed(
    () => new Set(standing.value.filter((fact) => fact.kind === 'cut').map((fact) => fact.part)),
  )
  const spoiled = computed(
    () => new Set(standing.value.filter((fact) => fact.kind === 'spoiled').map((fact) => fact.part)),
  )
  const all = computed(() => cutting.value?.steps.flatMap((step) => step.cuts) ?? [])
  const done = computed(() => all.value.filter((one) => cut.value.has(one.id)).length)
  const isDone = (one: SawCut) => cut.value.has(one.id)
  const left = (step: SawStep) => step.cuts.filter((one) => !isDone(one))
  /** The first step with something to do. */
  const current = computed(() =>
    Math.max(0, cutting.value?.steps.findIndex((step) => left(step).length > 0) ?? 0),
  )
  const finished = computed(() => all.value.length > 0 && done.value === all.value.length)

  const label = (one: SawCut) => one.label ?? (cutting.value?.parts[one.id]?.mark || 'edge')

  async function tick(one: SawCut): Promise<void> {
    if (!release.value || isDone(one)) return
    await job.note(label(one), 'cut', [
      { kind: 'cut', release: release.value.id, part: one.id, withdraws: [] },
    ])
  }

  /** Takes a cut back: every tick of it that this device knows. */
  async function takeBack(name: string, withdraws: string[]): Promise<void> {
    if (!release.value || withdraws.length === 0) return
    await job.note(name, 'not cut', [
      { kind: 'withdrawal', release: release.value.id, part: null, withdraws },
    ])
  }
  const untick = (one: SawCut) =>
    takeBack(
      label(one),
      ticksOf(one.id).map((fact) => fact.id),
    )

  /** The cut that was ticked last on this device and still stands. */
  const last = computed(() => {
    const mine = standing.value.filter((fact) => fact.kind === 'cut' && fact.device === deviceId()).at(-1)
    return all.value.find((one) => one.id === mine?.part) ?? null
  })

  /** The newest size as cut of a part, by its dimension. */
  const asCut = (part: string, dimension: string) =>
    standing.value
      .filter((fact) => fact.kind === 'as_cut' && fact.part === part && fact.body?.dimension === dimension)
      .at(-1) ?? null

  return {
    station,
    release,
    cutting,
    cut,
    spoiled,
    all,
    done,
    current,
    finished,
    isDone,
    left,
    label,
    tick,
    untick,
    takeBack,
    last,
    asCut,
  }
}
