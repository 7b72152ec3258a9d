import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { computed, watchEffect } from 'vue'

/** What a person set for this browser: the theme (or the system's), and whether keys act and are shown. */
const choice = useLocalStorage<'system' | 'light' | 'dark'>('incastro.theme', 'system')
const prefersDark = usePreferredDark()

export const isDark = computed(() =>
  choice.value === 'system' ? prefersDark.value : choice.value === 'dark',
)
export const keysOn = useLocalStorage('incastro.keys', true)

watchEffect(() => {
  document.documentElement.classList.toggle('dark', isDark.value)
  document.documentElement.classList.toggle('keys-off', !keysOn.value)
})

export function toggleTheme(): void {
  choice.value = isDark.value ? 'light' : 'dark'
}
