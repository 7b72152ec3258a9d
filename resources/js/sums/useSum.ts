import { api, Refused } from '@/api/client'
import type { Parameter, SumAnswer, SumKind } from '@/api/types'
import { lastMeasure } from '@/shell/preferences'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** The quick sums with their fields, as they are written in this unit. */
export function useSums() {
  const route = useRoute()
  const measure = computed(() => (route.query.measure as string | undefined) ?? lastMeasure.value)
  const { data, error } = useQuery({
    queryKey: ['sums', measure],
    queryFn: () =>
      api<SumKind[]>('GET', `/api/sums?${String(new URLSearchParams({ measure: measure.value }))}`),
    staleTime: Infinity,
    retry: false,
  })
  return { sums: computed(() => data.value ?? []), measure, error }
}

/** One sum: what is typed lies in the address, and the server works it out at each change. */
export function useSum() {
  const route = useRoute()
  const router = useRouter()
  const { sums, measure, error } = useSums()
  const sum = computed(() => sums.value.find((one) => one.name === route.params.sum) ?? null)
  const unit = computed<'mm' | 'in'>(() => (measure.value.startsWith('mm') ? 'mm' : 'in'))
  const typed = computed(() =>
    Object.fromEntries(
      Object.entries(route.query).filter(
        (pair): pair is [string, string] => pair[0] !== 'measure' && typeof pair[1] === 'string',
      ),
    ),
  )

  /** What counts for a field: as typed, else as in the example. */
  function value(one: Parameter): unknown {
    const own = typed.value[one.name]
    if (own === undefined) return one.default
    return one.type === 'count' ? Number(own) : own
  }
  const is = (conditions: Parameter['when']) =>
    Object.entries(conditions ?? {}).every(([name, wanted]) => {
      const other = sum.value?.parameters.find((one) => one.name === name)
      return other !== undefined && value(other) === wanted
    })
  const rows = computed(() =>
    (sum.value?.parameters ?? []).filter((one) => is(one.when) && !(one.unless && is(one.unless))),
  )

  const set = (name: string, given: unknown) =>
    router.replace({
      query: { ...route.query, [name]: given === null || given === undefined ? undefined : String(given) },
    })

  const query = computed(() => String(new URLSearchParams({ ...typed.value, measure: measure.value })))
  const { data, error: failed } = useQuery({
    queryKey: ['sum', computed(() => route.params.sum), query],
    queryFn: () => api<SumAnswer>('GET', `/api/sums/${String(route.params.sum)}?${query.value}`),
    enabled: computed(() => sum.value !== null),
    staleTime: Infinity,
    retry: false,
  })
  /** The last good answer stands, faded, while a new one cannot be had. */
  const last = ref<SumAnswer | null>(null)
  watch(
    () => route.params.sum,
    () => (last.value = null),
  )
  watch(data, (answer) => answer && (last.value = answer), { immediate: true })
  const refusal = computed(() => (failed.value instanceof Refused ? failed.value : null))
  return {
    sum,
    rows,
    measure,
    unit,
    typed,
    value,
    set,
    answer: computed<SumAnswer | null>(
      () =>
        data.value ??
        last.value ??
        (failed.value && sum.value ? { answers: [], says: [], drawing: sum.value.drawing } : null),
    ),
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
