import { diagnose, type Diagnosis } from '@jokulgale/core/diagnosis/diagnose'
import type { School } from '@jokulgale/core/diagnosis/schools'
import type { Deed, Step } from '@jokulgale/core/diagnosis/steps'
import type { ActionVerb, EntryBody } from '@jokulgale/core/visit/entry'
import { gather } from '@jokulgale/core/visit/evidence'
import { observationOf } from '@jokulgale/core/visit/observationOf'
import { normal, type Random } from '@jokulgale/core/world/random'
import type { Unlikeness } from '@jokulgale/core/world/siteUnit'
import { typedReading } from '@jokulgale/core/world/typing'
import type { World } from '@jokulgale/core/world/world'
import type { Diagram } from '@jokulgale/core/diagram/diagram'

/**
 * A class of suspects that no reading parts, and what its members are given together; −1: none of single
 * faults.
 */
export interface Given {
  readonly class: number
  readonly probability: number
}

/** How a search went. */
export interface Search {
  readonly entries: readonly EntryBody[]
  readonly diagnosis: Diagnosis
  readonly lead: Given
  readonly steps: number
  /** The class that was first given 0.8; null: none was. */
  readonly firstAct: number | null
  /** What the classes that stand out were given, after every step. */
  readonly given: readonly Given[]
}

export interface Searching {
  readonly diagram: Diagram
  /** The class of every single fault. */
  readonly classes: Int32Array
  readonly complaint: string
  readonly school: School
  readonly unlike: Unlikeness
  readonly random: Random
}

const mostSteps = 40
/** Steps that are offered at a time: the first of them that can be done is. */
const mostOffered = 3
/** Fifty to one: nobody takes a part out for less without one more reading. */
const sure = 0.98
const actsFrom = 0.8
/** Classes given less are not counted. */
const countedFrom = 0.02

/**
 * A search that follows what is proposed, from what is known already, until one class leads by fifty to one
 * or nothing more tells.
 */
export function search(world: World, searching: Searching, known: readonly EntryBody[] = []): Search {
  const { diagram, classes, complaint, school } = searching
  const entries = [...known]
  const given: Given[] = []
  let firstAct: number | null = null
  for (let steps = 0; ; steps++) {
    const diagnosis = diagnose(
      diagram,
      { complaint, entries },
      { school, count: mostOffered, sorts: ['measure', 'look', 'condition', 'deed'] },
    )
    const lead = leadOf(diagnosis, classes)
    if (steps > 0) given.push(...standingOut(diagnosis, classes))
    if (firstAct === null && steps > 0 && lead.probability >= actsFrom) firstAct = lead.class
    const offered = diagnosis.next.filter(canBeDone)
    const step = offered.at(0)
    const isVerdict = steps > 0 && lead.probability >= sure && !offered.some(comesBeforeVerdict)
    if (!step || steps >= mostSteps || isVerdict) return { entries, diagnosis, lead, steps, firstAct, given }
    entries.push(...taken(world, searching, diagnosis, step))
  }
}

/** The leading class of single faults, and what its members are given together. */
function leadOf({ belief: { probability }, ranked }: Diagnosis, classes: Int32Array): Given {
  const [leader] = ranked
  if (leader >= classes.length) return { class: -1, probability: probability[leader] }
  const own = classes[leader]
  return {
    class: own,
    probability: classes.reduce((sum, of, h) => (of === own ? sum + probability[h] : sum), 0),
  }
}

function standingOut({ belief: { probability } }: Diagnosis, classes: Int32Array): readonly Given[] {
  const sums = new Map<number, number>()
  classes.forEach((of, h) => sums.set(of, (sums.get(of) ?? 0) + probability[h]))
  return [...sums]
    .filter(([, sum]) => sum >= countedFrom)
    .map(([of, sum]) => ({ class: of, probability: sum }))
}

/** What is set and done for a step, what came of it, and what is put back after it. */
function taken(
  world: World,
  { diagram, unlike, random }: Searching,
  { findings: { now } }: Diagnosis,
  step: Step,
): readonly EntryBody[] {
  const set: EntryBody[] = []
  const deed = deedOf(step)
  if (step.power !== now.power) set.push({ kind: 'power', is: step.power === 'off' ? 'isolated' : 'on' })
  if (step.call !== now.call) set.push({ kind: 'call', call: step.call })
  if (deed) set.push({ kind: 'action', do: deed.verb, of: deed.of, ...(deed.to ? { to: deed.to } : {}) })
  const back = deed ? undone[deed.verb] : undefined
  const after: readonly EntryBody[] =
    deed && back ? [{ kind: 'action', do: back, of: deed.of, ...(deed.to ? { to: deed.to } : {}) }] : []
  const standing = {
    ...gather(diagram, { complaint: '', entries: set }).now,
    call: step.call,
    power: step.power,
  }
  if (step.do === 'look') return [...set, observationOf(step.of, world.look(standing, step.of)), ...after]
  if (step.do === 'condition')
    return [...set, { kind: 'condition', of: step.of, value: world.condition(step.of, step.call) }]
  if (step.do !== 'measure') return set
  const { meter, from, to } = step
  const value = typedReading(meter, world.measure(standing, meter, from, to), unlike, random, normal)
  const shown = meter === 'ohms' ? value : (value ?? 0)
  return [...set, { kind: 'reading', meter, from, to, value: shown }, ...after]
}

/**
 * Actions that are taken back as they were done; a warmed sensor is left to the air, and so is not tried
 * here.
 */
const undone: Partial<Record<ActionVerb, ActionVerb>> = { lift: 'land', unplug: 'plug', bridge: 'unbridge' }

const deedOf = (step: Step): Deed | null => (step.do === 'measure' || step.do === 'look' ? step.deed : null)

function canBeDone(step: Step): boolean {
  const deed = deedOf(step)
  return deed === null || deed.verb === 'start' || undone[deed.verb] !== undefined
}

/** Bits that nobody leaves untaken who is about to take a part out. */
const worthTaking = 0.25

/**
 * What is done before a verdict: a reading that it hangs on once more, one at what is to come out itself, and
 * whatever still tells much between those that no plain reading parts.
 */
const comesBeforeVerdict = (step: Step): boolean =>
  step.bits > worthTaking || (step.do === 'measure' && (step.again === 'decides' || step.meets))
