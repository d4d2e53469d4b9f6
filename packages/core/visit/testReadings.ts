import type { EntryBody } from './entry'

/** Volts between two points, to common where nothing else is said: for tests. */
export const volts = (from: string, value: number, to = 'TB.C'): EntryBody => ({
  kind: 'reading',
  meter: 'volts',
  from,
  to,
  value,
})
