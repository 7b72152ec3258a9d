import type { Finding, FitCell, FitRun } from '@/api/types'
import type { Flag } from '@/drawing/DrawingView.vue'
import { orderly } from '@/job/findings'
import { computed, ref, type Ref } from 'vue'

/** What a finding about a cell may name: itself, its box, its bay, or what closes it. */
export const namesOf = (cell: FitCell): (string | null | undefined)[] => [
  cell.id,
  cell.box,
  cell.bay,
  cell.front?.id,
]

/** Findings as numbered flags on the drawing of a run, in the order of their list; which of them is open. */
export function useFlags(findings: Ref<Finding[]>, run: Ref<FitRun | null>) {
  const opened = ref<number | null>(null)

  /** What is drawn of a place: a thing, an edge, a cell, or a cell of the box, bay or member that it names. */
  function refs(place: string): string[] {
    const owner = place.split('/')[0] ?? place
    const member = run.value?.members.find((one) => one.id === owner)
    const cells = run.value?.cells ?? []
    const under = cells.filter((cell) => namesOf(cell).includes(owner))
    const spanned = cells.filter(
      (cell) => member?.cells.includes(cell.id) || member?.cells.includes(cell.bay),
    )
    return [`thing:${place}`, place, ...[...under, ...spanned].map((cell) => cell.id)]
  }
  const flags = computed<Flag[]>(() =>
    orderly(findings.value).map((finding, i) => ({
      number: i + 1,
      severity: finding.severity,
      label: finding.sentence,
      refs: [finding.place, ...finding.related].flatMap(refs),
    })),
  )
  return { flags, opened }
}
