import { shallowRef } from 'vue'

/** The field that waits for the answer of a quick sum. */
export const asking = shallowRef<{ label: string; use: ((length: string) => void) | null } | null>(null)
