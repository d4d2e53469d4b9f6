import { classesOf } from '@jokulgale/core/diagnosis/classes'
import { diagnose, modelOf, type Diagnosis } from '@jokulgale/core/diagnosis/diagnose'
import { isShort } from '@jokulgale/core/diagnosis/resistance'
import type { School } from '@jokulgale/core/diagnosis/schools'
import type { Deed, Step } from '@jokulgale/core/diagnosis/steps'
import { builtInUnit } from '@jokulgale/core/units/index'
import type { ActionVerb, EntryBody } from '@jokulgale/core/visit/entry'
import { gather } from '@jokulgale/core/visit/evidence'
import { observationOf } from '@jokulgale/core/visit/observationOf'
import { normal, seeded, type Random } from '@jokulgale/core/world/random'
import type { Unlikeness } from '@jokulgale/core/world/siteUnit'
import { typedReading } from '@jokulgale/core/world/typing'
import { World } from '@jokulgale/core/world/world'
import { drawOne } from '../trials/draw'

/** How the searches on one kind of unit in one sort of world came out. */
export interface WorldResult {
  readonly unit: string
  readonly condition: string
  readonly school: School
  readonly searches: number
  /** The true class leads at the end. */
  readonly right: number
  /** Another class has 0.9 or more at the end. */
  readonly confidentAndWrong: number
  /** Of those searches in which a class first had 0.8: it was the true one. */
  readonly acted: number
  readonly rightWhenActing: number
  readonly steps: number
}

export interface WorldTask {
  readonly unit: string
  readonly condition: string
  readonly unlike: Unlikeness
  readonly school: School
  readonly searches: number
  readonly seed: number
  /** Only faults that blow or trip something. */
  readonly onlyTrips: boolean
}

const mostSteps = 40
/** Steps that are offered at a time: the first of them that can be done is. */
const mostOffered = 3
/** Fifty to one: nobody takes a part out for less without one more reading. */
const sure = 0.98
const confident = 0.9
const actsFrom = 0.8

/** Searches on units that are not like their drawing; none of what is unlike is told to the diagnosis. */
export function worldTrials({
  unit,
  condition,
  unlike,
  school,
  searches,
  seed,
  onlyTrips,
}: WorldTask): WorldResult {
  const diagram = builtInUnit(unit)
  const model = modelOf(diagram)
  const classes = classesOf(model)
  const random = seeded(seed)
  let right = 0
  let wrong = 0
  let acted = 0
  let rightActs = 0
  let steps = 0
  for (let search = 0; search < searches; search++) {
    model.forgetPairs()
    const { truth, world } = drawCall()
    const played = play(world, truth)
    steps += played.steps
    right += played.right ? 1 : 0
    wrong += played.confidentAndWrong ? 1 : 0
    acted += played.firstAct === null ? 0 : 1
    rightActs += played.firstAct === true ? 1 : 0
  }
  return {
    unit,
    condition,
    school,
    searches,
    right,
    confidentAndWrong: wrong,
    acted,
    rightWhenActing: rightActs,
    steps,
  }

  /** A fault drawn by its rate, on a unit in which something fails for it: else nobody would have called. */
  function drawCall(): { readonly truth: number; readonly world: World } {
    for (;;) {
      const truth = drawOne(model, random)
      const { faults } = model.hypotheses[truth]
      const isAsked = !onlyTrips || faults.some(isShort)
      if (model.hypotheses[truth].of.length === 0 || !isAsked || classes[truth] === classes[0]) continue
      const world = new World(diagram, faults, unlike, random)
      if (world.failingCalls().length > 0) return { truth, world }
    }
  }

  function play(world: World, truth: number) {
    const entries: EntryBody[] = []
    const complaint = complaintIn(world, random)
    world.onDayOf(diagram.complaints.find(({ id }) => id === complaint)?.call ?? '')
    let firstAct: boolean | null = null
    for (let count = 0; ; count++) {
      const diagnosis = diagnose(
        diagram,
        { complaint, entries },
        { school, count: mostOffered, sorts: ['measure', 'look', 'condition', 'deed'] },
      )
      const lead = leadOf(diagnosis)
      if (firstAct === null && count > 0 && lead.probability >= actsFrom)
        firstAct = lead.class === classes[truth]
      const step = diagnosis.next.find(canBeDone)
      const isVerdict = count > 0 && lead.probability >= sure && !(step && readsOnceMore(step))
      if (!step || count >= mostSteps || isVerdict)
        return {
          steps: count,
          right: lead.class === classes[truth],
          confidentAndWrong: lead.probability >= confident && lead.class !== classes[truth],
          firstAct,
        }
      entries.push(...taken(world, diagnosis, step))
    }
  }

  /** The leading class of single faults, and what its members are given together. */
  function leadOf({ belief: { probability }, ranked }: Diagnosis): {
    readonly class: number
    readonly probability: number
  } {
    const [leader] = ranked
    if (leader >= classes.length) return { class: -1, probability: probability[leader] }
    const own = classes[leader]
    return {
      class: own,
      probability: classes.reduce((sum, of, h) => (of === own ? sum + probability[h] : sum), 0),
    }
  }

  /** What is set and done for a step, what came of it, and what is put back after it. */
  function taken(world: World, { findings }: Diagnosis, step: Step): readonly EntryBody[] {
    const { now } = findings
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

/** Whether the verdict hangs on a reading that is asked for once more. */
const readsOnceMore = (step: Step): boolean => step.do === 'measure' && step.again === 'decides'

/** What is said of a unit in which something does not run that should, or runs that should not. */
const drawnComplaints: ReadonlySet<string> = new Set([
  'no-cooling',
  'no-heat',
  'weak-heat',
  'no-air',
  'runs-on',
])

/** A complaint about a call that fails, chosen without asking the diagnosis what it thinks a symptom is. */
function complaintIn(world: World, random: Random): string {
  const failing = new Set(world.failingCalls())
  const fitting = world.diagram.complaints.filter(
    ({ call, means }) => failing.has(call) && drawnComplaints.has(means),
  )
  const chosen = fitting[Math.floor(random() * fitting.length)]
  return chosen?.id ?? ''
}
