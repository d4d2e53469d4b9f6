import type { Effect } from './effect'

const counted: (readonly number[])[] = []

/** Numbers 1 to `count`; one list for each count, since parts ask for it in every round. */
export const poleNumbers = (count: number): readonly number[] =>
  (counted[count] ??= Array.from({ length: count }, (_, k) => k + 1))

/** Line terminals leg to leg, load terminals leg to leg. */
export const legToLegPairs = (count: number): readonly (readonly [string, string])[] => {
  const pairs: (readonly [string, string])[] = []
  for (const side of ['L', 'T'])
    for (let a = 1; a <= count; a++)
      for (let b = a + 1; b <= count; b++) pairs.push([`${side}${a}`, `${side}${b}`])
  return pairs
}

/** A handle that is off, tripped or not home takes every pole with it. */
export const everyPoleOpen = (count: number): readonly Effect[] =>
  poleNumbers(count).map((pole) => ({ does: 'hold', branch: `pole${pole}`, state: 'open' }))

export const poleTerminals = (count: number): readonly { name: string; words: string }[] =>
  poleNumbers(count).flatMap((pole) => [
    { name: `L${pole}`, words: `line side, pole ${pole}` },
    { name: `T${pole}`, words: `load side, pole ${pole}` },
  ])
