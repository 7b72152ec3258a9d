import { api, Refused } from '@/api/client'
import type { Parameter, SumAnswer, SumKind } from '@/api/types'
import { meant } from '@/fit/meant'
import { useQuery } from '@tanstack/vue-query'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'
import { keepAnswer } from './lastAnswers'

/** What waits for the network is asked again so often, ms. */
const AGAIN = 5000

/** The quick sums with their fields, as they are written in this unit. */
export function useSums(measure: Ref<string>) {
  const { data, error } = useQuery({
    queryKey: ['sums', measure],
    queryFn: () =>
      api<SumKind[]>('GET', `/api/sums?${String(new URLSearchParams({ measure: measure.value }))}`),
    staleTime: Infinity,
    retry: false,
    // Without a network what was answered before is there still, and what was not says so.
    networkMode: 'always',
  })
  return { sums: computed(() => data.value ?? []), error }
}

/** One sum with what is typed into it; the server works it out at each change. */
export function useSum(name: Ref<string>, typed: Ref<Record<string, string>>, measure: Ref<string>) {
  const { sums, error } = useSums(measure)
  const sum = computed(() => sums.value.find((one) => one.name === name.value) ?? null)
  const unit = computed<'mm' | 'in'>(() => (measure.value.startsWith('mm') ? 'mm' : 'in'))

  /** What counts for a field: as typed, else as in the example. */
  function value(one: Parameter): unknown {
    const own = typed.value[one.name]
    if (own === undefined) return one.default
    return one.type === 'count' ? Number(own) : own
  }
  const rows = computed(() => {
    const all = sum.value?.parameters ?? []
    const named = Object.fromEntries(all.map((one) => [one.name, one]))
    return meant(all, (other) => named[other] && value(named[other]))
  })

  const query = computed(() => String(new URLSearchParams({ ...typed.value, measure: measure.value })))
  const {
    data,
    error: failed,
    refetch,
  } = useQuery({
    queryKey: ['sum', name, query],
    queryFn: () => api<SumAnswer>('GET', `/api/sums/${name.value}?${query.value}`),
    enabled: computed(() => sum.value !== null),
    staleTime: Infinity,
    retry: false,
    // Without a network what was answered before is there still, and what was not says so.
    networkMode: 'always',
  })
  /** The last good answer stands, faded, while a new one cannot be had; before there is one, the example's drawing. */
  const last = ref<SumAnswer | null>(null)
  watch(name, () => (last.value = null))
  watch(
    data,
    (answer) => {
      if (!answer) return
      last.value = answer
      if (sum.value && Object.keys(typed.value).length > 0)
        keepAnswer(sum.value, typed.value, measure.value, answer)
    },
    { immediate: true },
  )
  const example = computed<SumAnswer | null>(() =>
    sum.value ? { answers: [], says: [], formula: '', drawing: sum.value.drawing } : null,
  )
  const refusal = computed(() => (failed.value instanceof Refused ? failed.value : null))
  // What was typed without a network is worked out by itself when it is back.
  useIntervalFn(() => {
    if (refusal.value?.status === 0) void refetch()
  }, AGAIN)
  return {
    sum,
    rows,
    unit,
    value,
    card: computed(() => `/api/sums/${name.value}/card.pdf?${query.value}`),
    answer: computed(() => data.value ?? last.value ?? (failed.value ? example.value : null)),
    isFaded: computed(() => failed.value !== null),
    isExample: computed(() => Object.keys(typed.value).length === 0),
    faults: computed(() => refusal.value?.fields ?? {}),
    trouble: computed(() => {
      const refused = refusal.value ?? (error.value instanceof Refused ? error.value : null)
      if (!refused || Object.keys(refused.fields).length > 0) return ''
      return refused.status === 0
        ? 'There is no network. What you typed stays here and is worked out when it is back.'
        : refused.message
    }),
  }
}
