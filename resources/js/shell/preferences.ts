import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { computed, watchEffect } from 'vue'

/** What a person set for this browser: the theme (or the system's), whether keys act and are shown, and the unit of the last job. */
const choice = useLocalStorage<'system' | 'light' | 'dark'>('incastro.theme', 'system')
const prefersDark = usePreferredDark()

export const isDark = computed(() =>
  choice.value === 'system' ? prefersDark.value : choice.value === 'dark',
)
export const keysOn = useLocalStorage('incastro.keys', true)
export const lastMeasure = useLocalStorage('incastro.measure', 'mm/1')

watchEffect(() => {
  document.documentElement.classList.toggle('dark', isDark.value)
  document.documentElement.classList.toggle('keys-off', !keysOn.value)
})

export function toggleTheme(): void {
  choice.value = isDark.value ? 'light' : 'dark'
}
