import type { Reading } from '@/api/types'
import { echo, readLength, Unreadable, type JobUnit } from '@/tape/lengthReader'

/** What was typed for a reading, split into its number and the end that a last letter names: "4 b" is 4 at the bottom. */
export function split(text: string, ends: string[]): { number: string; end: string | null } {
  const found = /^(.*?)\s*([a-z]+)$/i.exec(text.trim())
  const letters = found?.[2]?.toLowerCase() ?? ''
  const end = ends.find((name) => letters !== '' && name.startsWith(letters)) ?? null
  return end ? { number: found?.[1] ?? '', end } : { number: text.trim(), end: null }
}

/** What a plumb or fall reading means, in words. */
export function meaning(reading: Reading, end: string): string {
  if (reading.kind === 'plumb')
    return end === 'bottom' ? 'gap at the bottom: the wall leans in' : 'gap at the top: the wall leans out'
  return `the ${end} is lower`
}

/** The echo of a reading while it is typed, or the reason why it cannot be taken. Angles are read by the server alone. */
export function understand(
  reading: Reading,
  text: string,
  end: string | null,
  unit: JobUnit,
): { echo: string; fault: string } {
  const typed = split(text, reading.ends)
  if (typed.number === '') return { echo: '', fault: '' }
  if (reading.is_angle) return { echo: '', fault: '' }
  try {
    const said = echo(readLength(typed.number, unit), unit)
    const at = typed.end ?? end
    return { echo: at ? `${said} · ${meaning(reading, at)}` : said, fault: '' }
  } catch (error) {
    if (error instanceof Unreadable) return { echo: '', fault: error.message }
    throw error
  }
}
