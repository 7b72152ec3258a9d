import { useStorage } from '@vueuse/core'
import type { SumAnswer, SumKind } from '@/api/types'

/** An answer of a sum as it can be opened again. */
export interface KeptAnswer {
  name: string
  label: string
  says: string
  measure: string
  typed: Record<string, string>
}

const MOST = 20

/** The last answers on this device, newest first; each opens again without a network. */
const lastAnswers = useStorage<KeptAnswer[]>('incastro.sums', [])

const isSame = (one: KeptAnswer, other: KeptAnswer) =>
  one.name === other.name &&
  one.measure === other.measure &&
  JSON.stringify(one.typed) === JSON.stringify(other.typed)

/** What a sum says in one line: its first two answers. */
export const inWords = (answer: SumAnswer) =>
  answer.answers
    .slice(0, 2)
    .map((one) => `${one.label} ${one.text}`)
    .join(', ')

export function keepAnswer(sum: SumKind, typed: Record<string, string>, measure: string, answer: SumAnswer) {
  const kept = { name: sum.name, label: sum.label, says: inWords(answer), measure, typed: { ...typed } }
  lastAnswers.value = [kept, ...lastAnswers.value.filter((one) => !isSame(one, kept))].slice(0, MOST)
}

export { lastAnswers }
