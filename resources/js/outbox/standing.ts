import { useJob } from '@/job/store'
import { computed, type ComputedRef } from 'vue'
import type { Done } from './box'
import { useOutbox } from './store'

type Known = Pick<Done, 'id' | 'kind' | 'part' | 'withdraws'>

/**
 * The facts of the open job that stand: those that the server has, and behind them those that wait on this device, without
 * withdrawals and what they take back.
 */
export function useStanding<T extends Known>(sent: () => T[], waits: (fact: Done) => T): ComputedRef<T[]> {
  const job = useJob()
  const outbox = useOutbox()
  return computed(() => {
    const known = new Set(sent().map((fact) => fact.id))
    const waiting = outbox.unsent
      .filter((one) => one.job === job.job?.id)
      .flatMap((one) => one.done ?? [])
      .filter((fact) => !known.has(fact.id))
    const all = [...sent(), ...waiting.map(waits)]
    const back = new Set(all.flatMap((fact) => fact.withdraws))
    return all.filter((fact) => fact.kind !== 'withdrawal' && !back.has(fact.id))
  })
}
