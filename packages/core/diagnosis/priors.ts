import type { Diagram, Part, Symptom } from '../diagram/diagram'
import { partOfPoint } from '../diagram/diagram'
import { wiresAt, wiresOn } from '../diagram/wireAt'
import type { Fault } from '../parts/effect'
import type { FaultClass } from '../parts/faultClass'
import type { Liking } from '../parts/kind'
import type { Hypothesis } from './hypothesis'

/** Repairs of the shop's closed visits: how often each kind of part had each fault. */
export interface Experience {
  /** `KIND:fault` → count. */
  readonly repairs: Readonly<Record<string, number>>
}

/** What is known of a unit and its call before a lead touches anything. */
export interface UnitFacts {
  readonly ageYears?: number
  readonly experience?: Experience
}

/** Facts of a call that change what is likely; from the log and from the unit's record. */
export interface PriorContext extends UnitFacts {
  readonly symptom: Symptom
  readonly outdoorDryBulb: number | null
  /** Parts that somebody replaced lately. */
  readonly replaced: readonly string[]
}

/** One line of the visible table: why some faults are thought more or less likely here, and by how much. */
export interface PriorReason {
  readonly reason: string
  readonly factor: number
  /** How many faults of this unit it speaks of. */
  readonly faults: number
}

interface Rule {
  readonly reason: string
  readonly factor: number
  readonly applies: (fault: Fault, part: Part | undefined) => boolean
}

/** Visits that the stated priors weigh as much as, against the shop's own count. */
export const priorVisits = 40
/** Years from which wear is thought of first, and below which only installation is. */
const oldYears = 10
const newYears = 1
const hotFahrenheit = 85
const coldFahrenheit = 40

type Applies = Rule['applies']

const isLikelier =
  (...likings: readonly Liking[]): Applies =>
  (_, part) =>
    part?.kind.likelier?.some((liking) => likings.includes(liking)) ?? false

const isOf =
  (...classes: readonly FaultClass[]): Applies =>
  (fault) =>
    classes.includes(fault.class)

const isMiswired = isOf('landing', 'setting', 'joined')
/** A motor that has opened on its own heat. */
const isHotMotor: Applies = (fault, part) => part?.kind.symbol === 'motor' && fault.class === 'trip'

/** Wires that are handled when a part is replaced: its own, and those under the same screws. */
const handledWith = (diagram: Diagram, part: string): readonly string[] =>
  wiresOn(diagram, part)
    .flatMap(({ from, to }) => [...wiresAt(diagram, from), ...wiresAt(diagram, to)])
    .map(({ id }) => id)

function rulesFor(
  diagram: Diagram,
  { ageYears, symptom, outdoorDryBulb, replaced }: PriorContext,
): readonly Rule[] {
  const rules: Rule[] = []
  if (ageYears !== undefined && ageYears >= oldYears)
    rules.push({
      reason: `${Math.round(ageYears)} years old: what switches and turns wears out`,
      factor: 1.6,
      applies: isLikelier('wear'),
    })
  if (ageYears !== undefined && ageYears < newYears)
    rules.push({
      reason: 'Less than a year old: wiring and settings of the installation first',
      factor: 3,
      applies: isMiswired,
    })
  if (outdoorDryBulb !== null && outdoorDryBulb >= hotFahrenheit)
    rules.push({
      reason: 'Hot outside: high pressure, heat in motors',
      factor: 1.5,
      applies: (fault, part) => isLikelier('hot-weather')(fault, part) || isHotMotor(fault, part),
    })
  if (outdoorDryBulb !== null && outdoorDryBulb <= coldFahrenheit)
    rules.push({
      reason: 'Cold outside: defrost, strip heat, lockouts',
      factor: 1.5,
      applies: isLikelier('cold-weather'),
    })
  if (symptom === 'water')
    rules.push({
      reason: 'Water: drain, trap and float first',
      factor: 6,
      applies: isLikelier('water'),
    })
  if (symptom === 'trips')
    rules.push({
      reason: 'A fuse or breaker goes: a short or a grounded winding',
      factor: 4,
      applies: isOf('short', 'ground', 'crossed'),
    })
  if (replaced.length > 0) {
    const handled = new Set(replaced.flatMap((id) => handledWith(diagram, id)))
    const near = new Set([...replaced, ...handled])
    const touches = ({ of, landedOn = '' }: Fault): boolean =>
      near.has(of) || replaced.includes(partOfPoint(landedOn))
    rules.push({
      reason: `Replaced lately: ${replaced.join(', ')}; fresh miswiring at it`,
      factor: 8,
      applies: (fault, part) => isMiswired(fault, part) && touches(fault),
    })
    rules.push({
      reason: `Replaced lately: ${replaced.join(', ')}; a lead at it loose or not landed again`,
      factor: 3,
      applies: ({ class: sort, of }) => sort === 'loose' && handled.has(of),
    })
    rules.push({
      reason: `Replaced lately: ${replaced.join(', ')}; the part itself is new`,
      factor: 0.35,
      applies: (fault, part) => replaced.includes(fault.of) && !isMiswired(fault, part),
    })
  }
  return rules
}

/** The key under which a fault is counted in the shop's experience. */
export const experienceKey = (diagram: Diagram, fault: Pick<Fault, 'of' | 'id' | 'class'>): string => {
  const part = diagram.parts.get(fault.of)
  return part ? `${part.kind.kind}:${fault.id.slice(fault.id.indexOf(':') + 1)}` : `wire:${fault.class}`
}

/** Factor on each hypothesis's prior, and the table of reasons that made it. Pairs take both factors. */
export function weighPriors(
  diagram: Diagram,
  hypotheses: readonly Hypothesis[],
  context: PriorContext,
): { readonly factor: (hypothesis: Hypothesis) => number; readonly table: readonly PriorReason[] } {
  const rules = rulesFor(diagram, context)
  const learned = learnedFactors(diagram, hypotheses, context.experience)
  const ofFault = new Map<string, number>()
  const counts = rules.map(() => 0)
  for (const { faults } of hypotheses) {
    if (faults.length !== 1) continue
    const [fault] = faults
    let factor = learned.get(experienceKey(diagram, fault)) ?? 1
    rules.forEach((rule, k) => {
      if (!rule.applies(fault, diagram.parts.get(fault.of))) return
      factor *= rule.factor
      counts[k] += 1
    })
    if (factor !== 1) ofFault.set(fault.id, factor)
  }
  const table = rules
    .map(({ reason, factor }, k): PriorReason => ({ reason, factor, faults: counts[k] }))
    .filter(({ faults }) => faults > 0)
  const seen = Object.entries(context.experience?.repairs ?? {})
    .filter(([key]) => learned.has(key))
    .map(([key, count]): PriorReason => ({
      reason: `This shop found ${key.replace(':', ': ').replaceAll('-', ' ')} ${count} ${count === 1 ? 'time' : 'times'}; weighed against ${priorVisits} visits`,
      factor: learned.get(key) ?? 1,
      faults: hypotheses.filter(
        ({ faults }) => faults.length === 1 && experienceKey(diagram, faults[0]) === key,
      ).length,
    }))
  return {
    factor: ({ faults }) => faults.reduce((product, { id }) => product * (ofFault.get(id) ?? 1), 1),
    table: [...table, ...seen],
  }
}

/**
 * Counts with the stated priors as pseudo-counts (Dirichlet): how much more often than stated the shop has
 * met a fault.
 */
function learnedFactors(
  diagram: Diagram,
  hypotheses: readonly Hypothesis[],
  experience: Experience | undefined,
): ReadonlyMap<string, number> {
  const factors = new Map<string, number>()
  if (!experience) return factors
  const stated = new Map<string, number>()
  for (const { faults, prior } of hypotheses) {
    if (faults.length !== 1) continue
    const key = experienceKey(diagram, faults[0])
    stated.set(key, (stated.get(key) ?? 0) + prior)
  }
  for (const [key, count] of Object.entries(experience.repairs)) {
    const share = stated.get(key)
    if (share !== undefined && share > 0 && count > 0)
      factors.set(key, (count + priorVisits * share) / (priorVisits * share))
  }
  return factors
}
