import { huffmanBound } from './huffman'
import type { UnitModel } from './predictor'
import type { Fineness } from './outcomeNumbers'
import { readingTable, type TableRow } from './readingTable'

/**
 * In what order to search: by expected information, hop by hop, halving the path, plug by plug, usual place
 * first.
 */
export type Policy = 'best' | 'walk' | 'split' | 'pull' | 'usual'
export const policies: readonly Policy[] = ['best', 'walk', 'split', 'pull', 'usual']

export interface Isolation {
  readonly policy: Policy
  readonly faults: number
  /** Faults beside those that no reading tells from nothing wrong, and what they hold of all by their priors. */
  readonly quiet: number
  readonly quietShare: number
  /** Groups of faults that no available reading can tell apart. */
  readonly classes: number
  /** Readings to the end, in the mean over faults by their priors, and at the most. */
  readonly meanReadings: number
  readonly maxReadings: number
  /** Share of faults, by prior, that end in their own class. */
  readonly foundShare: number
  /** No procedure with these readings can do with fewer in the mean. */
  readonly boundReadings: number
  /** Most outcomes of any one reading, the branches of the bound's tree. */
  readonly mostOutcomes: number
  /** Entropy of the classes by prior. */
  readonly entropyBits: number
}

/**
 * The single faults that are to be told from each other, by hypothesis number: those that some reading tells
 * from a unit with nothing wrong. Nobody hunts for what no reading shows; it is named as not covered.
 */
export const faultsToTell = (
  model: UnitModel,
  rows: readonly Pick<TableRow, 'outcome'>[],
): readonly number[] => everyFault(model).filter((h) => rows.some(({ outcome }) => outcome[h] !== outcome[0]))

const everyFault = ({ hypotheses, everySingle }: UnitModel): readonly number[] =>
  everySingle.filter((h) => hypotheses[h].faults.length > 0 && hypotheses[h].prior > 0)

/**
 * Plays every single fault of a unit, or some of them, to its end under a policy, with exact readings and all
 * costs equal.
 */
export function isolateAll(
  model: UnitModel,
  policy: Policy,
  fineness: Fineness = 'tolerance',
  only?: readonly string[],
): Isolation {
  const { hypotheses } = model
  const wanted = only ? new Set(only) : null
  const rows = readingTable(model, fineness)
  const shown = faultsToTell(model, rows)
  const quiet = everyFault(model).filter((h) => !shown.includes(h))
  // one that was asked for by its name is told from the others like any
  const faults = [...shown, ...quiet.filter((h) => wanted?.has(hypotheses[h].id))]
  const share = (some: readonly number[]): number => some.reduce((sum, h) => sum + hypotheses[h].prior, 0)
  const player = new Player(
    rows,
    Float64Array.from(hypotheses.slice(0, model.singles), ({ prior }) => prior),
    policy,
  )
  const leaves = player.play(faults)
  const total = leaves.reduce((sum, { weight }) => sum + weight, 0)
  const counted = wanted
    ? leaves.filter(({ members }) => members.some((h) => wanted.has(hypotheses[h].id)))
    : leaves
  const countedWeight = counted.reduce((sum, { weight }) => sum + weight, 0)
  const mostOutcomes = Math.max(2, ...rows.map(({ outcome }) => new Set(faults.map((h) => outcome[h])).size))
  const weights = leaves.map(({ weight }) => weight)
  return {
    policy,
    faults: wanted ? wanted.size : faults.length,
    quiet: quiet.length,
    quietShare: share(quiet) / share(everyFault(model)),
    classes: leaves.length,
    mostOutcomes,
    maxReadings: Math.max(0, ...counted.map(({ depth }) => depth)),
    meanReadings: counted.reduce((sum, { weight, depth }) => sum + weight * depth, 0) / countedWeight,
    foundShare: total > 0 ? faultsIn(counted, wanted, hypotheses) : 0,
    boundReadings: huffmanBound(weights, mostOutcomes),
    entropyBits: entropyOf(weights),
  }
}

/** Exact readings lead every fault to the leaf that holds it: the share of those asked for that did. */
const faultsIn = (
  leaves: readonly Leaf[],
  wanted: ReadonlySet<string> | null,
  hypotheses: UnitModel['hypotheses'],
): number =>
  wanted === null
    ? 1
    : leaves.flatMap(({ members }) => members.filter((h) => wanted.has(hypotheses[h].id))).length /
      wanted.size

interface Leaf {
  readonly members: readonly number[]
  readonly weight: number
  readonly depth: number
}

interface Choice {
  readonly row: number
  readonly groups: readonly (readonly number[])[]
}

/** How many of the most telling readings are judged by how the search would go on after them. */
const lookedInto = 8

class Player {
  private readonly weightOf: Float64Array
  private readonly count: Int32Array
  private readonly rows: readonly TableRow[]
  /** Weighted readings that greed still takes on a group, by its members. */
  private readonly left = new Map<string, number>()

  constructor(
    rows: readonly TableRow[],
    private readonly prior: Float64Array,
    private readonly policy: Policy,
  ) {
    // readings that part alike are one where only information counts
    this.rows = policy === 'best' ? [...new Map(rows.map((row) => [row.outcome.join(), row])).values()] : rows
    const most = Math.max(2, ...rows.map(({ outcomes }) => outcomes))
    this.weightOf = new Float64Array(most)
    this.count = new Int32Array(most)
  }

  play(members: readonly number[]): readonly Leaf[] {
    const leaves: Leaf[] = []
    const visit = (group: readonly number[], depth: number, after: number): void => {
      const chosen = group.length > 1 ? this.choose(group, after) : null
      if (!chosen) leaves.push({ members: group, weight: this.weigh(group), depth })
      else for (const part of chosen.groups) visit(part, depth + 1, chosen.row)
    }
    visit(members, 0, -1)
    return leaves
  }

  private weigh(members: readonly number[]): number {
    let sum = 0
    for (const h of members) sum += this.prior[h]
    return sum
  }

  /** The next reading of the policy; null when no reading parts the members. */
  private choose(members: readonly number[], after: number): Choice | null {
    const scored: { row: number; score: number }[] = []
    for (let row = 0; row < this.rows.length; row++) {
      const score = this.score(row, members, after)
      if (score > -Infinity) scored.push({ row, score })
    }
    if (scored.length === 0) return null
    scored.sort((a, b) => b.score - a.score || a.row - b.row)
    const row = this.policy === 'best' && members.length > 2 ? this.lookAhead(scored, members) : scored[0].row
    return { row, groups: this.groups(row, members) }
  }

  /** Among the most telling readings, the one after which greed has the fewest still to take. */
  private lookAhead(scored: readonly { row: number }[], members: readonly number[]): number {
    let best = scored[0].row
    let least = Infinity
    for (const { row } of scored.slice(0, lookedInto)) {
      let cost = 0
      for (const group of this.groups(row, members)) if (cost < least) cost += this.readingsLeft(group)
      if (cost >= least) continue
      least = cost
      best = row
    }
    return best
  }

  /** Weighted readings that the plain choice would still take on a group. */
  private readingsLeft(members: readonly number[]): number {
    if (members.length < 2) return 0
    const key = members.join()
    const known = this.left.get(key)
    if (known !== undefined) return known
    let best = -1
    let most = 0
    for (let row = 0; row < this.rows.length; row++) {
      const information = this.information(row, members)
      if (information > most) {
        most = information
        best = row
      }
    }
    const left =
      best < 0
        ? 0
        : this.weigh(members) +
          this.groups(best, members).reduce((sum, group) => sum + this.readingsLeft(group), 0)
    this.left.set(key, left)
    return left
  }

  private groups(row: number, members: readonly number[]): readonly (readonly number[])[] {
    const { outcome } = this.rows[row]
    const groups = new Map<number, number[]>()
    for (const h of members) {
      const group = groups.get(outcome[h])
      if (group) group.push(h)
      else groups.set(outcome[h], [h])
    }
    return [...groups.values()]
  }

  /** Entropy of a reading's outcomes over the members, bits; 0 when it parts none. */
  private information(row: number, members: readonly number[]): number {
    this.gather(row, members)
    const { weightOf } = this
    const total = this.weigh(members)
    let bits = 0
    for (let k = 0; k < this.rows[row].outcomes; k++)
      if (weightOf[k] > 0) bits -= (weightOf[k] / total) * Math.log2(weightOf[k] / total)
    return bits < 1e-12 ? 0 : bits
  }

  private gather(row: number, members: readonly number[]): void {
    const { outcome, outcomes } = this.rows[row]
    this.weightOf.fill(0, 0, outcomes)
    this.count.fill(0, 0, outcomes)
    for (const h of members) {
      this.weightOf[outcome[h]] += this.prior[h]
      this.count[outcome[h]] += 1
    }
  }

  /** How much the policy wants a reading; −Infinity when it tells nothing. */
  private score(row: number, members: readonly number[], after: number): number {
    const { outcome, hop, atPlug } = this.rows[row]
    const first = outcome[members[0]]
    if (members.every((h) => outcome[h] === first)) return -Infinity
    switch (this.policy) {
      case 'best':
        return this.information(row, members)
      case 'walk':
        // the next hop along the wire from where one is; beside the path only when the path tells nothing
        // more
        return Number.isFinite(hop) ? 1e6 - row - (row <= after ? 1e4 : 0) : -row
      case 'split': {
        this.gather(row, members)
        return (
          (Number.isFinite(hop) ? 10 : 0) -
          Math.max(...this.count.subarray(0, this.rows[row].outcomes)) / members.length
        )
      }
      case 'pull':
        return (atPlug ? 10 : 0) + this.information(row, members)
      case 'usual': {
        const likeliest = members.reduce((best, h) => (this.prior[h] > this.prior[best] ? h : best))
        this.gather(row, members)
        return -this.count[outcome[likeliest]]
      }
    }
  }
}

/** Entropy of weights that need not sum to one, bits. */
export const entropyOf = (weights: readonly number[]): number => {
  const total = weights.reduce((sum, w) => sum + w, 0)
  return weights.reduce((sum, w) => (w > 0 ? sum - (w / total) * Math.log2(w / total) : sum), 0)
}
