/**
 * This browser's own number, and a count that never repeats: together they name every fact that is made here, so that
 * sending one twice does no harm.
 */
const DEVICE = 'incastro.device'
const SEQUENCE = 'incastro.sequence'

export function deviceId(): string {
  let id = localStorage.getItem(DEVICE)
  if (!id) {
    id = crypto.randomUUID()
    localStorage.setItem(DEVICE, id)
  }
  return id
}

export function nextSequence(): number {
  const next = Math.max(Number(localStorage.getItem(SEQUENCE) ?? 0) + 1, Date.now() * 1000)
  localStorage.setItem(SEQUENCE, String(next))
  return next
}
