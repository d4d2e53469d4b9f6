/**
 * A hybrid logical clock: milliseconds as the device believes them, pushed forward by whatever it has seen, a
 * counter
 * within one millisecond, and the device. Order is the same everywhere, however wrong the clocks
 * (Kulkarni et al., Logical Physical Clocks, 2014).
 */
export interface Clock {
  readonly wall: number
  readonly counter: number
  readonly device: string
}

/** The clock of a new entry on a device whose last known clock is `last`. */
export function tick(last: Clock, nowMs: number): Clock {
  const wall = Math.max(last.wall, nowMs)
  return { wall, counter: wall === last.wall ? last.counter + 1 : 0, device: last.device }
}

/** A device this far ahead of one's own time is wrong, and moves nobody else's clock. */
const mostAheadMs = 5 * 60_000

/** The device's clock after it has seen an entry of another device; `nowMs` is the time by the device itself. */
export function witness(own: Clock, seen: Clock, nowMs: number): Clock {
  if (seen.device !== own.device && seen.wall > nowMs + mostAheadMs) return own
  return compareClocks(seen, own) > 0 ? { wall: seen.wall, counter: seen.counter, device: own.device } : own
}

/** Before: negative; after: positive. */
export const compareClocks = (a: Clock, b: Clock): number =>
  a.wall - b.wall || a.counter - b.counter || (a.device < b.device ? -1 : a.device > b.device ? 1 : 0)
