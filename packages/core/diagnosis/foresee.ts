import type { Diagram } from '../diagram/diagram'
import type { CaseFile } from '../visit/entry'
import type { Candidate } from './candidates'
import { judge, modelOf } from './diagnose'
import { complaintChance } from './complaint'
import { pathDrops } from './drops'
import { leadingFew } from './leadingFew'
import { Moment } from './moment'
import { candidatesIn, standingsElsewhere } from './nextStep'
import type { UnitModel } from './predictor'
import type { SituationModel } from './situationModel'
import type { UnitFacts } from './priors'
import { situationIn } from './proposals'
import { believeAhead } from './suspects'
import { atArrival } from '../visit/standing'

/** Faults that are solved in one piece of the work. */
const pieceFaults = 40

/**
 * Works out ahead what the next steps may ask for: the unit with each of its faults in the other calls and
 * isolated, and what every meter would read there. Once there is a verdict, also what will be believed when
 * what leads has been repaired. Done in small pieces: it yields after each, and may be left at any.
 */
export function* foresee(
  diagram: Diagram,
  file: Omit<CaseFile, 'unit'>,
  facts: UnitFacts = {},
): Generator<undefined, void> {
  const judgement = judge(diagram, file, facts)
  const { model, findings } = judgement
  const { now } = findings
  for (const standing of [now, ...standingsElsewhere(diagram, now)]) {
    const situation = situationIn(judgement, standing)
    yield* solve(model, situation, candidatesIn(diagram, standing))
    if (standing === now && now.power === 'on') yield* read(model, situation, pathDrops(situation.circuit))
  }
  const [leader] = leadingFew(judgement.belief) ?? []
  for (const part of leader === undefined ? [] : model.hypotheses[leader].of)
    yield* believeAhead(judgement, facts, part)
}

/**
 * The same before there is a case: what a first step will need, whichever of its complaints the unit is
 * called for.
 */
export function* prepare(diagram: Diagram): Generator<undefined, void> {
  const model = modelOf(diagram)
  for (const call of new Set(diagram.complaints.map((complaint) => complaint.call))) {
    const standing = atArrival(diagram, call)
    const situation = model.situation(standing)
    yield
    yield* solve(model, situation, candidatesIn(diagram, standing))
    yield* solveTripped(model, new Moment(model, standing, []))
  }
}

/** Every suspect with what it has tripped, before anybody arrived or not, and what it is complained of for. */
function* solveTripped(model: UnitModel, moment: Moment): Generator<undefined, void> {
  for (const h of model.everySingle) {
    for (const { id } of model.diagram.complaints) complaintChance(model, id, h)
    const ways = model.mayTrip(h) ? moment.waysBlown(h) : []
    if (ways.length > 0) moment.tripsSlowly(h)
    for (const blown of [...ways, 'not'] as const) moment.situation.settle(moment.asTripped(h, blown))
    if (h % pieceFaults === 0) yield
  }
}

function* solve(
  model: UnitModel,
  situation: SituationModel,
  candidates: readonly Candidate[],
): Generator<undefined, void> {
  for (let from = 0; from < model.singles; from += pieceFaults) {
    for (let h = from; h < Math.min(model.singles, from + pieceFaults); h++) situation.showsSymptom(h)
    yield
  }
  yield* read(model, situation, candidates)
}

function* read(
  model: UnitModel,
  situation: SituationModel,
  candidates: readonly Candidate[],
): Generator<undefined, void> {
  for (const { meter, from, to } of candidates) {
    situation.outcomes(meter, from, to, model.everySingle)
    yield
  }
}
