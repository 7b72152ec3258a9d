import { Refused } from '@/api/client'
import { ref } from 'vue'

/** What is asked of a password. */
export const PASSWORD_HINT = 'At least 12 characters. Four words that do not belong together are good.'

/** A form that is sent: whether it is on its way, and the sentences of its refused fields; what concerns none is at `form`. */
export function useForm() {
  const busy = ref(false)
  const refused = ref<Record<string, string>>({})

  async function attempt(action: () => Promise<void>): Promise<void> {
    busy.value = true
    refused.value = {}
    try {
      await action()
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      refused.value = Object.keys(error.fields).length > 0 ? error.fields : { form: error.message }
    } finally {
      busy.value = false
    }
  }

  return { busy, refused, attempt }
}
