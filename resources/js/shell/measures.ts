/** The ways to write lengths, as a person chooses among them. */
export const measures = [
  { value: 'mm/1', label: 'millimetres, to the full mm' },
  { value: 'mm/0.5', label: 'millimetres, to 0.5 mm' },
  { value: 'mm/0.1', label: 'millimetres, to 0.1 mm' },
  ...[8, 16, 32, 64].map((n) => ({ value: `in/${n}`, label: `inches, to 1/${n}` })),
  ...[8, 16, 32, 64].map((n) => ({ value: `ft/${n}`, label: `feet and inches, to 1/${n}` })),
]
