import type { Finding } from '@/api/types'

const SERIOUS = ['clash', 'warning', 'note']

/** Findings each once, the most serious first: their places in this list are their numbers on the drawing. */
export const orderly = (findings: Finding[]): Finding[] =>
  [...new Map(findings.map((finding) => [finding.sentence, finding])).values()].sort(
    (a, b) => SERIOUS.indexOf(a.severity) - SERIOUS.indexOf(b.severity),
  )
