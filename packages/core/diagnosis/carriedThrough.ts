import type { UnitModel } from './predictor'
import { sumOfLogs, type Carrier, type Track } from './tracks'

/** A hypothesis as it was carried through the evidence. */
export interface Carried {
  readonly tracks: readonly Track[]
  /** Log-likelihood of each piece so far, given those before it. */
  readonly weight: readonly number[]
}

/** What was told of a unit, in words that are alike where it is. */
export interface Telling {
  /** What is not one of the pieces, and changes what they say. */
  readonly base: string
  readonly pieces: readonly string[]
}

/** How hypotheses begin, and what a piece makes of their tracks. */
export interface Carrying {
  readonly start: (which: readonly number[]) => ReadonlyMap<number, readonly Track[]>
  readonly carrier: (piece: number, which: readonly number[]) => Carrier
}

interface Told extends Telling {
  readonly carried: ReadonlyMap<number, Carried>
}

const toldLately = new WeakMap<UnitModel, readonly Told[]>()
/** Stories of a repair times the entries that somebody may take back. */
const mostTold = 6

/** Tracks of less weight than this, in logarithms against the whole, are left. */
const forgottenBelow = 12

/**
 * Hypotheses carried through the evidence. None depends on another, so each goes on from where it was: a log
 * grows by an entry at a time, and a pair that was not thought of before catches up alone.
 */
export function carriedThrough(
  model: UnitModel,
  telling: Telling,
  which: readonly number[],
  { start, carrier }: Carrying,
): ReadonlyMap<number, Carried> {
  const base = `${model.timesForgotten} ${telling.base}`
  const { pieces } = telling
  const kept = toldLately.get(model) ?? []
  const carried = longestShared(kept, base, pieces)
  const begun = start(which.filter((h) => !carried.has(h)))
  for (const [h, tracks] of begun) carried.set(h, { tracks, weight: [] })
  for (let e = 0; e < pieces.length; e++) {
    const due = which.filter((h) => carried.get(h)?.weight.length === e)
    if (due.length === 0) continue
    const carryOn = carrier(e, due)
    for (const h of due) {
      const before = carried.get(h)
      if (before) carried.set(h, carriedOn(before, h, carryOn))
    }
  }
  const others = kept.filter((told) => !isSameTelling(told, base, pieces))
  toldLately.set(model, [...others, { base, pieces, carried }].slice(-mostTold))
  return carried
}

const isSameTelling = (told: Told, base: string, pieces: readonly string[]): boolean =>
  told.base === base &&
  told.pieces.length === pieces.length &&
  lengthAlike(told.pieces, pieces) === pieces.length

/** How many pieces at the beginning of the two are the same. */
function lengthAlike(a: readonly string[], b: readonly string[]): number {
  const apart = b.findIndex((piece, e) => piece !== a[e])
  return apart < 0 ? b.length : apart
}

/** A copy of what was carried through the longest beginning of these pieces, and through nothing else. */
function longestShared(kept: readonly Told[], base: string, pieces: readonly string[]): Map<number, Carried> {
  let longest = -1
  let shared = new Map<number, Carried>()
  for (const told of kept.filter((each) => each.base === base)) {
    const alike = lengthAlike(told.pieces, pieces)
    if (alike < longest) continue
    const usable = [...told.carried].filter(([, { weight }]) => weight.length <= alike)
    if (usable.length === 0) continue
    longest = alike
    shared = new Map(usable)
  }
  return shared
}

function carriedOn({ tracks, weight }: Carried, h: number, carryOn: Carrier): Carried {
  if (tracks.length === 0) return { tracks, weight: [...weight, -Infinity] }
  const next = carryOn(h, tracks)
  const whole = sumOfLogs(next)
  return {
    tracks: next.filter(({ logWeight }) => logWeight > whole - forgottenBelow),
    weight: [...weight, whole - sumOfLogs(tracks)],
  }
}
