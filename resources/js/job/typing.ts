/** Whether a key press belongs to a field: then no single-character key acts. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}

/** What was typed in the field of an event. */
export const valueOf = (event: Event): string => (event.target as HTMLInputElement).value
