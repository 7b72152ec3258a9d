import type { Parameter } from '@/api/types'

/** The parameters that mean something beside the values of the others. */
export function meant(parameters: Parameter[], value: (name: string) => unknown): Parameter[] {
  const is = (conditions: Parameter['when']) =>
    Object.entries(conditions ?? {}).every(([name, wanted]) => value(name) === wanted)
  return parameters.filter((one) => is(one.when) && !(one.unless && is(one.unless)))
}
