import { classesOf } from '@jokulgale/core/diagnosis/classes'
import { modelOf } from '@jokulgale/core/diagnosis/diagnose'
import type { UnitModel } from '@jokulgale/core/diagnosis/predictor'
import type { School } from '@jokulgale/core/diagnosis/schools'
import { builtInUnit, builtInUnitIds } from '@jokulgale/core/units/index'
import type { Difference } from '@jokulgale/core/world/difference'
import { seeded, type Random } from '@jokulgale/core/world/random'
import { reliabilityOf, type ReliabilityRow } from '../trials/reliability'
import { complaintIn } from './complaintIn'
import { drawCall, type Call } from './drawTrouble'
import { namesStretch } from '@jokulgale/core/world/namesStretch'
import { complaintSaid } from '@jokulgale/core/visit/complaintSaid'
import { search, type Search, type Searching } from './search'
import { searchAndRepair, type Repaired } from './searchAndRepair'
import { worldSorts, type WorldSort } from './worldSorts'

export interface WorldTask {
  readonly unit: string
  /** The sort of world, by its words. */
  readonly condition: string
  readonly school: School
  readonly searches: number
  readonly seed: number
}

/** How the searches on one kind of unit in one sort of world came out. */
export interface WorldResult extends WorldTask {
  /**
   * The true class leads at the end; of several faults: all are repaired; of something that nobody drew:
   * this leads, or the true stretch is named.
   */
  readonly right: number
  /** Another class has 0.9 or more at the end; of several faults: something good was taken out for it. */
  readonly confidentAndWrong: number
  /** Of those searches in which a class first had 0.8: it was the true one. */
  readonly acted: number
  readonly rightWhenActing: number
  /** Of each search. */
  readonly steps: readonly number[]
  /** What each class was given after each step, and how often it was the true one. */
  readonly calibration: readonly ReliabilityRow[]
}

interface Played {
  readonly right: boolean
  readonly confidentAndWrong: boolean
  readonly rightWhenActing: boolean | null
  readonly steps: number
  readonly given: readonly { readonly probability: number; readonly right: boolean }[]
}

const confident = 0.9

/** Searches on units that are not like their drawing; none of what is unlike is told to the diagnosis. */
export function worldTrials(task: WorldTask): WorldResult {
  const sort = worldSorts.find(({ words }) => words === task.condition)
  if (!sort) throw new Error(`there is no world “${task.condition}”`)
  const model = modelOf(builtInUnit(task.unit))
  const classes = classesOf(model)
  const played = Array.from({ length: task.searches }, (_, number) => {
    // a stream for each search: the same unit with the same fault in every sort of world of one seed, and
    // another for each unit: with one for all, a search would be given much the same fault on every unit
    const random = seeded(task.seed + 7919 * number + 104_729 * builtInUnitIds.indexOf(task.unit))
    model.forgetPairs()
    return play(drawCall(model, classes, sort, random), { model, classes, sort, school: task.school, random })
  })
  const count = (is: (one: Played) => boolean): number => played.filter(is).length
  return {
    ...task,
    right: count(({ right }) => right),
    confidentAndWrong: count((one) => one.confidentAndWrong),
    acted: count(({ rightWhenActing }) => rightWhenActing !== null),
    rightWhenActing: count(({ rightWhenActing }) => rightWhenActing === true),
    steps: played.map(({ steps }) => steps),
    calibration: reliabilityOf(played.flatMap(({ given }) => given)),
  }
}

/** What the searches of a task share, and the random stream of one of them. */
interface Playing {
  readonly model: UnitModel
  readonly classes: Int32Array
  readonly sort: WorldSort
  readonly school: School
  readonly random: Random
}

function play(call: Call, { model, classes, sort, school, random }: Playing): Played {
  const { world, truths, difference } = call
  const { unlike, isSaid } = sort
  const { diagram } = model
  const chosen = complaintIn(world, random)
  world.onDayOf(complaintSaid(diagram, chosen)?.call ?? '')
  const complaint = isSaid ? chosen : ''
  const searching: Searching = { diagram, classes, complaint, school, unlike, random }
  if (truths.length > 1) return ofSeveral(searchAndRepair(world, model, searching))
  const found = search(world, searching)
  return difference ? ofDifference(difference, found, classes) : ofFault(classes[truths[0]], found)
}

function ofFault(own: number, { lead, firstAct, steps, given }: Search): Played {
  return {
    right: lead.class === own,
    confidentAndWrong: lead.probability >= confident && lead.class !== own,
    rightWhenActing: firstAct === null ? null : firstAct === own,
    steps,
    given: given.map((one) => ({ probability: one.probability, right: one.class === own })),
  }
}

const ofSeveral = ({ all, confidentAndWrong, steps }: Repaired): Played => ({
  right: all,
  confidentAndWrong,
  rightWhenActing: null,
  steps,
  given: [],
})

/** A verdict is a class: who is told of it looks at all of its suspects that have this share of it or more. */
const lookedAtFrom = 0.1

function ofDifference(difference: Difference, found: Search, classes: Int32Array): Played {
  const { lead, steps } = found
  const { model, belief, ranked } = found.diagnosis
  const looksAt = ranked.filter(
    (h, place) =>
      place === 0 || (classes[h] === lead.class && belief.probability[h] >= lookedAtFrom * lead.probability),
  )
  const right = looksAt
    .map((h) => model.hypotheses[h])
    .some((suspect) => suspect.notDrawn ?? namesStretch(model.diagram, difference, suspect))
  return {
    right,
    confidentAndWrong: !right && lead.probability >= confident,
    rightWhenActing: null,
    steps,
    given: [],
  }
}
