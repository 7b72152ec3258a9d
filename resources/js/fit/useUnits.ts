import { api } from '@/api/client'
import type { UnitKind } from '@/api/types'
import { useJob } from '@/job/store'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

/** Every kind of unit with its parameters, by the rules of the open job. */
export function useUnits() {
  const job = useJob()
  const { data } = useQuery({
    queryKey: computed(() => ['units', job.job?.id, job.job?.choices.measure, job.job?.choices.rules]),
    queryFn: () => api<UnitKind[]>('GET', `/api/jobs/${job.job?.id}/units`),
    enabled: computed(() => job.job !== null),
    staleTime: Infinity,
    placeholderData: (before: UnitKind[] | undefined) => before,
  })
  const kinds = computed(() => data.value ?? [])
  const of = (...families: string[]) => kinds.value.filter((one) => families.includes(one.family))
  const find = (kind: string) => kinds.value.find((one) => one.kind === kind)
  return { kinds, of, find }
}
