import type { EntryBody } from './entry'

/** Volts between two points, to common where nothing else is said: for tests. */
export const volts = (from: string, value: number, to = 'TB.C'): EntryBody => ({
  kind: 'reading',
  meter: 'volts',
  from,
  to,
  value,
})

/** Ohms between two points, null is OL: for tests. */
export const ohms = (from: string, to: string, value: number | null): EntryBody => ({
  kind: 'reading',
  meter: 'ohms',
  from,
  to,
  value,
})
