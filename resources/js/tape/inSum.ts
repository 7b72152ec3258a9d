import type { InjectionKey } from 'vue'

/** Whether a field for a length belongs to a quick sum. */
export const inSum: InjectionKey<boolean> = Symbol('in a sum')
