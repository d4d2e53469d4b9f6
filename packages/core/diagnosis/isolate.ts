import { conductingPath } from '../circuit/path'
import { nodeOf } from '../circuit/meter'
import { isolatedCandidates, liveCandidates, type Candidate } from './candidates'
import { huffmanBound } from './huffman'
import { distinct } from './likelihood'
import type { UnitModel } from './predictor'
import { atArrival, type Standing } from './standing'

/** In what order to search: by expected information, hop by hop, halving the path, plug by plug, usual place first. */
export type Policy = 'best' | 'walk' | 'split' | 'pull' | 'usual'
export const policies: readonly Policy[] = ['best', 'walk', 'split', 'pull', 'usual']

export interface Isolation {
  readonly policy: Policy
  readonly faults: number
  /** Groups of faults that no available reading can tell apart. */
  readonly classes: number
  /** Readings to the end, in the mean over faults by their priors, and at the most. */
  readonly meanReadings: number
  readonly maxReadings: number
  /** Share of faults, by prior, that end in their own class. */
  readonly foundShare: number
  /** No procedure with these readings can do with fewer in the mean. */
  readonly boundReadings: number
  /** Entropy of the classes by prior. */
  readonly entropyBits: number
}

interface Option extends Candidate {
  readonly standing: Standing
  /** Place along the paths of the calls; Infinity beside them. */
  readonly hop: number
  readonly atPlug: boolean
  /** Predicted value by hypothesis; NaN is out of range. */
  readonly values: readonly number[]
}

/** Hypotheses grouped by what they predict: a gap that a person can tell parts two groups. */
function groupsOf({ meter, values }: Option, members: readonly number[]): readonly (readonly number[])[] {
  const key = (h: number): number => (Number.isNaN(values[h]) ? Infinity : values[h])
  const order = [...members].sort((a, b) => key(a) - key(b))
  const groups: number[][] = [[order[0]]]
  for (let k = 1; k < order.length; k++) {
    const before = values[order[k - 1]]
    const here = values[order[k]]
    if (before === here || !distinct(meter, Number.isNaN(before) ? null : before, Number.isNaN(here) ? null : here)) groups[groups.length - 1].push(order[k])
    else groups.push([order[k]])
  }
  return groups
}

/** Every reading of every call, and ohms isolated, with its predictions. */
function optionsOf(model: UnitModel): readonly Option[] {
  const { diagram } = model
  const all = Array.from({ length: model.singles }, (_, h) => h)
  const base = atArrival(diagram, diagram.calls[0].id)
  const option = (candidate: Candidate, standing: Standing, hops: ReadonlyMap<string, number>): Option => ({
    ...candidate, standing,
    hop: hops.get(candidate.from) ?? Infinity,
    atPlug: diagram.parts.get(candidate.from.split('.')[0])?.kind.kind === 'plug',
    values: model.situation(standing).predict(candidate.meter, candidate.from, candidate.to, all),
  })
  const live = diagram.calls.flatMap((call) => {
    const standing: Standing = { ...base, call: call.id }
    const { circuit } = model.situation(standing)
    const hops = new Map<string, number>()
    for (const trace of diagram.traces.filter(({ call: of }) => of === call.id))
      for (const { node } of conductingPath(circuit, nodeOf(circuit.healthy, trace.from), nodeOf(circuit.healthy, trace.to)) ?? []) {
        const name = circuit.network.nodeNames[node]
        if (!hops.has(name)) hops.set(name, hops.size)
      }
    return liveCandidates(diagram).map((candidate) => option(candidate, standing, candidate.to === diagram.common ? hops : new Map()))
  })
  const isolated: Standing = { ...base, power: 'off' }
  return [...live, ...isolatedCandidates(diagram).map((candidate) => option(candidate, isolated, new Map()))]
}

/** Plays every single fault of a unit to its end under a policy, with exact readings and all costs equal. */
export function isolateAll(model: UnitModel, policy: Policy): Isolation {
  const { hypotheses } = model
  const faults = Array.from({ length: model.singles }, (_, h) => h).filter((h) => hypotheses[h].effects.length > 0 && hypotheses[h].prior > 0)
  const total = faults.reduce((sum, h) => sum + hypotheses[h].prior, 0)
  const weight = (members: readonly number[]): number => members.reduce((sum, h) => sum + hypotheses[h].prior, 0) / total
  const options = optionsOf(model)
  const leaves: { weight: number; depth: number }[] = []
  let arity = 2
  let maxReadings = 0
  const visit = (members: readonly number[], depth: number, after: number): void => {
    const chosen = members.length > 1 ? choose(policy, options, members, weight, after) : null
    if (!chosen) {
      leaves.push({ weight: weight(members), depth })
      maxReadings = Math.max(maxReadings, depth)
      return
    }
    arity = Math.max(arity, chosen.groups.length)
    for (const group of chosen.groups) visit(group, depth + 1, chosen.index)
  }
  visit(faults, 0, -1)
  for (const option of options) arity = Math.max(arity, groupsOf(option, faults).length)
  return {
    policy, faults: faults.length, classes: leaves.length, maxReadings,
    meanReadings: leaves.reduce((sum, leaf) => sum + leaf.weight * leaf.depth, 0),
    foundShare: leaves.reduce((sum, leaf) => sum + leaf.weight, 0),
    boundReadings: huffmanBound(leaves.map((leaf) => leaf.weight), arity),
    entropyBits: entropy(leaves.map((leaf) => leaf.weight)),
  }
}

interface Choice {
  readonly index: number
  readonly groups: readonly (readonly number[])[]
}

type Weigh = (members: readonly number[]) => number

/** The next reading of a policy; null when no reading parts the members. */
function choose(policy: Policy, options: readonly Option[], members: readonly number[], weight: Weigh, after: number): Choice | null {
  let best: Choice | null = null
  let bestScore = -Infinity
  for (let index = 0; index < options.length; index++) {
    const option = options[index]
    if (alike(option, members)) continue
    const groups = groupsOf(option, members)
    if (groups.length < 2) continue
    const score = scoreOf(policy, option, groups, members, weight, index, after)
    if (score > bestScore) {
      bestScore = score
      best = { index, groups }
    }
  }
  return best
}

/** Quick look: all predictions the same. */
function alike({ values }: Option, members: readonly number[]): boolean {
  const first = values[members[0]]
  for (const h of members) if (values[h] !== first && !(Number.isNaN(first) && Number.isNaN(values[h]))) return false
  return true
}

function scoreOf(
  policy: Policy, option: Option, groups: readonly (readonly number[])[], members: readonly number[], weight: Weigh, index: number, after: number,
): number {
  const information = entropy(groups.map(weight))
  switch (policy) {
    case 'best':
      return information
    case 'walk':
      // the next hop along the wire from where one is; beside the path only when the path tells nothing more
      return Number.isFinite(option.hop) ? 1e6 - index - (index <= after ? 1e4 : 0) : -index
    case 'split': {
      const largest = Math.max(...groups.map((group) => group.length)) / members.length
      return (Number.isFinite(option.hop) ? 10 : 0) - largest
    }
    case 'pull':
      return (option.atPlug ? 10 : 0) + information
    case 'usual': {
      const first = [...members].sort((a, b) => weight([b]) - weight([a]))[0]
      const home = groups.find((group) => group.includes(first)) ?? []
      return -home.length
    }
  }
}

const entropy = (weights: readonly number[]): number => {
  const total = weights.reduce((a, b) => a + b, 0)
  return weights.reduce((sum, w) => (w > 0 ? sum - (w / total) * Math.log2(w / total) : sum), 0)
}
