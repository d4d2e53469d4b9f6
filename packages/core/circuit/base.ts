import { restOf, type Cast, type Feelings, type Rest } from './actors'
import { Factored } from './factored'
import { islandsOf } from './islands'
import type { Analysis, Network, Row } from './network'
import { Variation } from './variation'

/** A network factored under some rows; `differs` are its links whose row is not that of the healthy state. */
export interface Ground {
  readonly factored: Factored
  readonly differs: readonly number[]
}

/**
 * A state of the circuit in which every part rests, factored, so that states near it are small changes of it:
 * the
 * healthy one, or one that many faults end in, such as control power lost.
 */
export interface Base extends Ground {
  readonly rest: Rest
  /** The island of each node: what hangs free in it is held by leakage alone. */
  readonly islands: Int32Array
}

/** A state met at the end of a settling, far from every base so far. */
export interface FarState {
  readonly states: readonly string[]
  readonly touched: ReadonlySet<number>
  hits: number
}

/** Bases of one circuit are few: each is a factorisation, kept. */
export const mostBases = 16
/** Changed rows from which another base is looked for. */
export const farFrom = 8
/** States of so many links may differ for two ends to count as alike. */
const alikeWithin = 5
/** Times an end is met before it becomes a base: a factorisation must pay. */
const hitsForBase = 2
const mostFarStates = 40

/** Notes a far end; says whether its like has now been met often enough to make it a base. */
export function noteFarState(
  known: FarState[],
  states: readonly string[],
  touched: ReadonlySet<number>,
): boolean {
  for (const far of known) {
    let apart = 0
    for (const link of touched) if (states[link] !== far.states[link]) apart += 1
    for (const link of far.touched) if (!touched.has(link) && states[link] !== far.states[link]) apart += 1
    if (apart > alikeWithin) continue
    far.hits += 1
    return far.hits === hitsForBase
  }
  if (known.length < mostFarStates) known.push({ states: [...states], touched: new Set(touched), hits: 1 })
  return false
}

/** Factors a network; `usual` are the rows that the healthy state has. */
export function groundOf(
  network: Network,
  analysis: Analysis,
  rows: readonly Row[],
  usual: readonly Row[],
): Ground {
  const differs: number[] = []
  rows.forEach((row, link) => {
    if (row !== usual[link]) differs.push(link)
  })
  return { factored: new Factored(network, analysis, rows), differs }
}

/** A ground with what is felt on it, as a state of rest. */
export function baseOf(
  ground: Ground,
  cast: Cast,
  direct: Feelings['dc'],
  states: readonly string[],
  usual: readonly string[],
  replaced: readonly number[] = [],
): Base {
  const { factored } = ground
  return {
    ...ground,
    islands: islandsOf(new Variation(factored, [])),
    rest: restOf(
      cast,
      states,
      usual,
      { ac: factored.felt(factored.solution, cast.senses.ac), dc: direct },
      replaced,
    ),
  }
}
