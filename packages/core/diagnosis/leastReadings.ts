import { classNumbers } from './classes'
import type { TableRow } from './readingTable'

/** A reading as it parts some classes. */
interface Reading {
  /** Number of the outcome, by class. */
  readonly outcome: Uint8Array
  /** How many outcomes there are. */
  readonly outcomes: number
}

/** Classes with their weights, summing to one, the greatest first, and what each reading shows of them. */
export interface Parting {
  readonly weights: Float64Array
  /** Those that part the classes, no two of them alike, those of most outcomes first. */
  readonly readings: readonly Reading[]
}

/** What no procedure can do better than, whichever readings it takes in whichever order. */
export interface LeastReadings {
  /** For 0, 1, 2 … readings: no procedure singles out more than this share within so many. */
  readonly singledOut: readonly number[]
  /** Mean readings to the end that every procedure needs at least. */
  readonly meanReadings: number
}

/**
 * Hypotheses that no row parts make one class; readings that part alike are one. Weights are those of
 * `prior`, scaled.
 */
export function partingOf(
  rows: readonly Pick<TableRow, 'outcome' | 'outcomes'>[],
  members: readonly number[],
  prior: ArrayLike<number>,
): Parting {
  const classes: { weight: number; readonly first: number }[] = []
  classNumbers(rows, members).forEach((of, k) => {
    ;(classes[of] ??= { weight: 0, first: members[k] }).weight += prior[members[k]]
  })
  const sorted = [...classes].sort((a, b) => b.weight - a.weight)
  const total = sorted.reduce((sum, { weight }) => sum + weight, 0)
  return {
    weights: Float64Array.from(sorted, ({ weight }) => weight / total),
    readings: differing(
      rows.map(({ outcome, outcomes }) => ({
        outcome: Uint8Array.from(sorted, ({ first }) => outcome[first]),
        outcomes,
      })),
      Int32Array.from(sorted, (_, k) => k),
    ),
  }
}

/**
 * A lower bound on the mean readings of every procedure. Whatever is read first, the classes fall into
 * groups, and each
 * group goes its own way: so the most that can be singled out within d readings is, over all first readings,
 * the greatest
 * sum over the groups of the most that can be within d − 1. What is not singled out within d readings takes
 * another;
 * the mean is the sum of those shares, and cut off it is a bound. No reading is left out. `floors` has a
 * share for each
 * number of readings from one on: less than it is not looked for, which costs little of the bound and much
 * less time.
 */
export function leastReadings({ weights, readings }: Parting, floors: readonly number[]): LeastReadings {
  const search = new Search(weights, readings)
  const all = Int32Array.from(weights, (_, k) => k)
  const singledOut = [
    0,
    ...floors.map((floor, d) => Math.min(1, search.singledOut(all, readings, d + 1, floor))),
  ]
  return { singledOut, meanReadings: singledOut.reduce((sum, share) => sum + 1 - share, 0) }
}

/** Room for outcome numbers. */
const mostOutcomes = 256
const nearlyAll = 1 - 1e-12

/** A share that was worked out, or is known not to pass a floor. */
interface Found {
  readonly share: number
  readonly floor: number
}

class Search {
  /** By depth, and by members as a string. */
  private readonly known: Map<string, Found>[] = []
  /** Most outcomes of any one reading. */
  private readonly branches: number
  private readonly count = new Int32Array(mostOutcomes)
  private readonly only = new Int32Array(mostOutcomes)

  /** Weights fall. */
  constructor(
    private readonly weights: Float64Array,
    readings: readonly Reading[],
  ) {
    this.branches = readings.reduce((most, { outcomes }) => Math.max(most, outcomes), 2)
  }

  /**
   * The greatest weight of members that can be singled out within `depth` readings, or the floor if that is
   * greater. Members rise.
   */
  singledOut(members: Int32Array, readings: readonly Reading[], depth: number, floor: number): number {
    if (members.length === 1) return this.weights[members[0]]
    if (depth === 0) return 0
    // no two classes are alike to every reading
    if (members.length === 2) return this.weights[members[0]] + this.weights[members[1]]
    const known = (this.known[depth] ??= new Map())
    const key = String.fromCharCode(...members)
    const kept = known.get(key)
    if (kept && (kept.share > kept.floor || kept.floor <= floor)) return Math.max(kept.share, floor)
    const share =
      depth === 1 ? this.byOne(members, readings) : this.bySeveral(members, readings, depth, floor)
    known.set(key, { share, floor: depth === 1 ? 0 : floor })
    return Math.max(share, floor)
  }

  private weigh(members: Int32Array, count = members.length): number {
    let sum = 0
    for (let k = 0; k < count; k++) sum += this.weights[members[k]]
    return sum
  }

  /** More than this cannot be singled out: a tree of so many readings has only so many ends. */
  private cap(members: Int32Array, depth: number): number {
    return this.weigh(members, Math.min(members.length, this.branches ** depth))
  }

  /** The weight of those whose outcome is theirs alone, for the best reading. */
  private byOne(members: Int32Array, readings: readonly Reading[]): number {
    const { count, only, weights } = this
    let most = 0
    for (const { outcome, outcomes } of readings) {
      // with more classes than outcomes some outcome is shared
      if (
        this.weigh(members, Math.min(members.length, members.length > outcomes ? outcomes - 1 : outcomes)) <=
        most
      )
        break
      let last = 0
      for (const k of members) {
        const seen = outcome[k]
        while (last <= seen) count[last++] = 0
        count[seen] += 1
        only[seen] = k
      }
      let sum = 0
      for (let seen = 0; seen < last; seen++) if (count[seen] === 1) sum += weights[only[seen]]
      if (sum > most) most = sum
    }
    return most
  }

  private bySeveral(members: Int32Array, readings: readonly Reading[], depth: number, floor: number): number {
    const enough = this.weigh(members) * nearlyAll
    const useful = differing(readings, members)
    let most = floor
    for (const { outcome } of useful) {
      if (this.capAfter(outcome, members, depth - 1) <= most) continue
      // small groups first: they are soon worked out, and may show that the reading is not the best
      const groups = groupsOf(outcome, members).sort((a, b) => a.length - b.length)
      let sum = groups.reduce((caps, group) => caps + this.cap(group, depth - 1), 0)
      for (const group of groups) {
        const others = sum - this.cap(group, depth - 1)
        sum = others + this.singledOut(group, useful, depth - 1, Math.max(0, most - others))
        if (sum <= most) break
      }
      if (sum > most) most = sum
      if (most >= enough) break
    }
    return most
  }

  /** The sum of `cap` over the groups that a reading makes, without making them. */
  private capAfter(outcome: Uint8Array, members: Int32Array, depth: number): number {
    const { count, weights } = this
    const ends = this.branches ** depth
    let last = 0
    let sum = 0
    for (const k of members) {
      const seen = outcome[k]
      while (last <= seen) count[last++] = 0
      count[seen] += 1
      if (count[seen] <= ends) sum += weights[k]
    }
    return sum
  }
}

function groupsOf(outcome: Uint8Array, members: Int32Array): Int32Array[] {
  const groups: number[][] = []
  for (const k of members) (groups[outcome[k]] ??= []).push(k)
  return groups.filter((group) => group !== undefined).map((group) => Int32Array.from(group))
}

/** Readings that part the members, one for each way to part them, those of most outcomes first. */
function differing(readings: readonly Reading[], members: Int32Array): readonly Reading[] {
  const ways = new Map<string, Reading>()
  const labels = new Uint16Array(members.length)
  const label = new Int16Array(mostOutcomes)
  for (const { outcome } of readings) {
    label.fill(-1)
    let outcomes = 0
    for (let place = 0; place < members.length; place++) {
      const seen = outcome[members[place]]
      if (label[seen] < 0) label[seen] = outcomes++
      labels[place] = label[seen]
    }
    if (outcomes < 2) continue
    const way = String.fromCharCode(...labels)
    if (!ways.has(way)) ways.set(way, { outcome, outcomes })
  }
  return [...ways.values()].sort((a, b) => b.outcomes - a.outcomes)
}
