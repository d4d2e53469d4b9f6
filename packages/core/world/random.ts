/** Uniform in [0, 1). */
export type Random = () => number

/** A small generator whose every run from one seed is the same (mulberry32). */
export function seeded(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A standard normal number (Box & Muller 1958). */
export const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** Uniform between two numbers. */
export const between = (random: Random, from: number, to: number): number => from + (to - from) * random()

/** Between two numbers, evenly on a logarithmic scale. */
export const logBetween = (random: Random, from: number, to: number): number =>
  Math.exp(between(random, Math.log(from), Math.log(to)))

/** One of several, each as likely. */
export const oneOf = <T>(random: Random, all: readonly T[]): T => all[Math.floor(random() * all.length)]
