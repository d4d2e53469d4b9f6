import type { Wire } from './diagram'

/** A wire in words: its color, its number and its two ends. */
export const wireName = ({
  color,
  number,
  from,
  to,
}: Pick<Wire, 'color' | 'number' | 'from' | 'to'>): string => `${color} ${number}, ${from} to ${to}`
