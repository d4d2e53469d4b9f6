import type { Diagram } from '../diagram/diagram'
import { actAfter } from '../visit/actions'
import { costOf, pairKey, type Candidate, type CostRules } from './candidates'
import { onDayOfVisit } from './dayOfVisit'
import type { Findings, Look } from '../visit/evidence'
import { isDoubted } from './doubt'
import { isHinge } from './hinge'
import { readingOf } from './grouping'
import { howToldApart } from './howToldApart'
import { blunderChance } from './likelihood'
import {
  histogramBits,
  informationOf,
  likely,
  lookBits,
  partition,
  partitionByLook,
  type Glances,
} from './outcomes'
import { oneRepairOf, worthOf, type OneRepair } from './oneRepair'
import { pathPoints } from './pathPoints'
import { Moment } from './moment'
import type { UnitModel } from './predictor'
import { repeats, repeatsLook, type Told } from './repeats'
import { goesByStops, type School } from './schools'
import type { Predictions, SituationModel } from './situationModel'
import { findsOpened, putBackBetween, type Standing } from '../visit/standing'
import type { Again, Deed, LookStep, Outcome, ReadingStep } from './steps'
import { reachAfter, type Reach } from './reach'
import type { Belief } from './suspects'

/** What the search knows when it looks for the next step. */
export interface Search {
  readonly model: UnitModel
  readonly findings: Findings
  readonly belief: Belief
  readonly which: readonly number[]
  /** What will be mended whichever of its faults it is; null while that is not known. */
  readonly repair: OneRepair | null
  readonly costs: CostRules
  readonly school: School
  readonly reach: Reach
}

export function searchOf(
  model: UnitModel,
  findings: Findings,
  belief: Belief,
  costs: CostRules,
  school: School = 'best',
): Search {
  const which = likely(belief)
  const repair = oneRepairOf(model, belief, which)
  const reach = reachAfter(model.diagram, findings)
  return { model, findings, belief, which, repair, costs, school, reach }
}

/** A standing solved with the faults in it that were there at the time. */
export const situationIn = (
  { model, belief, findings }: Pick<Search, 'model' | 'belief' | 'findings'>,
  standing: Standing,
): SituationModel =>
  model.situation(
    onDayOfVisit(model.diagram, findings.home, standing),
    model.stillThere(belief.repairedFaults, standing),
  )

/** Whether evidence was taken in the very situation of a standing. */
const sameSituation = (a: Standing, b: Standing): boolean => a.call === b.call && sameUnit(a, b)

/** Whether the unit is the same in both, whatever call is set: as powered, as repaired, as altered. */
const sameUnit = (a: Standing, b: Standing): boolean =>
  a.power === b.power &&
  a.repairs === b.repairs &&
  a.off.join() === b.off.join() &&
  a.actions.map(({ key }) => key).join() === b.actions.map(({ key }) => key).join()

/** The standing in which a step with a deed is taken: the deed done. */
const withDeed = (diagram: Diagram, standing: Standing, deed: Deed | null): Standing =>
  deed ? { ...standing, actions: actAfter(diagram, standing.actions, deed.verb, deed.of, deed.to) } : standing

const outOfReach = ({ model, findings }: Search, ...points: readonly string[]): boolean =>
  points.some(
    (point) =>
      findings.unreachable.has(point) ||
      findings.unreachable.has(model.diagram.points.get(point)?.zone ?? ''),
  )

const manySuspects = 120

/**
 * The numbers to predict suspects with, where something that they have tripped stays so; null where all are
 * themselves.
 */
function standsIn(search: Search, standing: Standing): Stands {
  const known = standsKnown.get(search) ?? new Map<string, Stands>()
  standsKnown.set(search, known)
  const key = JSON.stringify(standing)
  const before = known.get(key)
  if (before !== undefined) return before
  const stands = findStands(search, standing)
  known.set(key, stands)
  return stands
}

type Stands = ReadonlyMap<number, number> | null

/** Readings and looks of one standing, or of others alike, ask for the same. */
const standsKnown = new WeakMap<Search, Map<string, Stands>>()

function findStands({ model, belief, findings, which }: Search, standing: Standing): Stands {
  const moment = new Moment(model, standing, model.stillThere(belief.repairedFaults, standing), findings.home)
  const stands = new Map<number, number>()
  for (const h of which) {
    const blown = belief.blown[h] ?? 'not'
    const version = belief.away[h]
      ? moment.away(h, blown)
      : belief.opened[h]
        ? moment.asOpened(h, blown)
        : moment.asTripped(h, blown, belief.where[h])
    if (version !== h) stands.set(h, version)
  }
  return stands.size > 0 ? stands : null
}

/** What a meter would show under each of the suspects, as they stand now. */
function predictedAs(
  situation: SituationModel,
  { meter, from, to }: Candidate,
  asked: readonly number[],
  stands: Stands,
): Predictions {
  if (!stands) return situation.predict(meter, from, to, asked)
  return asStanding(asked, stands, (versions) => situation.predict(meter, from, to, versions))
}

/** What a look at a part would say under each of the suspects, as they stand now. */
const glancesAs = (
  situation: SituationModel,
  part: string,
  which: readonly number[],
  stands: Stands,
): Glances =>
  stands
    ? asStanding(which, stands, (versions) => situation.glances(part, versions))
    : situation.glances(part, which)

/** By hypothesis what was worked out for the numbers that stand in for them. */
function asStanding(
  asked: readonly number[],
  stands: ReadonlyMap<number, number>,
  workOut: (versions: readonly number[]) => Float64Array,
): Float64Array {
  const versions = asked.map((h) => stands.get(h) ?? h)
  const values = workOut(versions)
  const byHypothesis = new Float64Array(Math.max(...asked) + 1).fill(NaN)
  asked.forEach((h, k) => {
    byHypothesis[h] = values[versions[k]]
  })
  return byHypothesis
}

/**
 * Readings taken in a standing, and why each is worth taking once more; null for most, and for one that was
 * taken twice.
 */
function takenIn(search: Search, met: Standing): ReadonlyMap<string, Again | null> {
  const taken = new Map<string, Again | null>()
  const again = everyAgain(search)
  search.findings.evidence.forEach((piece, e) => {
    if (piece.kind !== 'reading' || !sameSituation(piece.standing, met)) return
    const pair = pairKey(piece.meter, piece.from, piece.to)
    taken.set(pair, taken.has(pair) ? null : again[e])
  })
  return taken
}

const againKnown = new WeakMap<Search, readonly (Again | null)[]>()

/** Why each piece of evidence is worth taking once more, worked out once for all standings. */
function everyAgain(search: Search): readonly (Again | null)[] {
  const { model, findings, belief } = search
  const again =
    againKnown.get(search) ??
    findings.evidence.map((_, e): Again | null => {
      if (isDoubted(model, findings, belief, e)) return 'doubted'
      return isHinge(findings, belief, e) ? 'decides' : null
    })
  againKnown.set(search, again)
  return again
}

interface ToldIn extends Told {
  readonly standing: Standing
}

const toldKnown = new WeakMap<Search, readonly ToldIn[]>()

/** Readings that were taken and are not doubted, with what each of the suspects says of them. */
function toldSoFar(search: Search): readonly ToldIn[] {
  const known = toldKnown.get(search)
  if (known) return known
  const { findings, which } = search
  const again = everyAgain(search)
  const told = findings.evidence.flatMap((piece, e): readonly ToldIn[] => {
    if (piece.kind !== 'reading' || again[e] === 'doubted') return []
    const { standing, meter, value } = piece
    const stands = standsIn(search, standing)
    const predicted = predictedAs(situationIn(search, standing), piece, which, stands)
    return [{ standing, meter, value, predicted }]
  })
  toldKnown.set(search, told)
  return told
}

/**
 * Readings in a standing, each with its outcomes, but those that are known there already, in whichever
 * call, and those out of reach.
 */
export function readingSteps(
  search: Search,
  standing: Standing,
  candidates: readonly Candidate[],
  situation: SituationModel,
  deed: Deed | null = null,
  deedSeconds = 0,
): readonly ReadingStep[] {
  const { model, findings, belief, which, costs } = search
  const changes = { call: standing.call !== findings.now.call, power: standing.power !== findings.now.power }
  const path = pathPoints(situation, standing.call)
  const stands = standsIn(search, standing)
  // with many suspects the outcomes are numbered once for all; a few are told apart among themselves
  const coarse = stands === null && which.length > manySuspects && which.every((h) => h < model.singles)
  const asked = coarse ? model.everySingle : [0, ...which]
  const met = withDeed(model.diagram, standing, deed)
  const taken = takenIn(search, met)
  const againAt = ({ meter, from, to }: Candidate): Again | null | undefined =>
    taken.get(pairKey(meter, from, to))
  const told = toldSoFar(search).filter((earlier) => sameUnit(earlier.standing, met))
  return candidates
    .filter((candidate) => againAt(candidate) !== null && !outOfReach(search, candidate.from, candidate.to))
    .map((candidate) => ({ candidate, predicted: predictedAs(situation, candidate, asked, stands) }))
    .filter(
      ({ candidate, predicted }) =>
        againAt(candidate) !== undefined ||
        goesByStops(search.school) ||
        !repeats(told, { meter: candidate.meter, predicted }, belief, which),
    )
    .map(({ candidate, predicted }): ReadingStep => {
      let outcomes: readonly Outcome[] | null = null
      const { meter, from, to } = candidate
      const how = howToldApart(model.diagram, candidate)
      const reach = search.reach.toRead(candidate)
      const among = (some?: readonly number[]): number => informationOf(how, predicted, belief, which, some)
      const worth = worthOf(
        search.repair,
        coarse
          ? histogramBits(situation.outcomes(meter, from, to, model.everySingle), belief, which)
          : among(),
        among,
      )
      return {
        do: 'measure',
        ...candidate,
        call: standing.call,
        power: standing.power,
        deed,
        again: againAt(candidate) ?? null,
        meets: false,
        predicted,
        // only the few that are chosen are ever asked for theirs
        get outcomes() {
          outcomes ??= partition(how, predicted, belief, which)
          return outcomes
        },
        bits: (1 - blunderChance) * worth.bits,
        inside: worth.inside,
        reach,
        cost: costOf(model.diagram, candidate, path, changes, costs) + reach + deedSeconds,
        healthy: readingOf(predicted[0]),
      }
    })
}

/** Seconds for a look at a part whose place is open. */
const lookSeconds = 8
/** A look may miss or mislead: that much of its information is left. */
const lookTrust = 0.6

interface LookedAt {
  readonly of: string
  readonly repairs: number
  /** The word that each of the suspects has for it, as it was looked at. */
  readonly words: readonly (string | undefined)[]
}

const lookedAtKnown = new WeakMap<Search, readonly LookedAt[]>()

/** What was looked at, with what each of the suspects had it look like. */
function lookedAtSoFar(search: Search): readonly LookedAt[] {
  const known = lookedAtKnown.get(search)
  if (known) return known
  const { findings, which } = search
  const lookedAt = findings.evidence.flatMap((piece): readonly LookedAt[] => {
    if (piece.kind !== 'look') return []
    const { standing, of } = piece
    const situation = situationIn(search, standing)
    const seen = glancesAs(situation, of, which, standsIn(search, standing))
    const words: string[] = []
    for (const h of which) words[h] = situation.glanceWord(seen[h])
    return [{ of, repairs: standing.repairs, words }]
  })
  lookedAtKnown.set(search, lookedAt)
  return lookedAt
}

/** A fuse or breaker that was seen open is open until somebody puts it back. */
const staysAsSeen = (diagram: Diagram, look: Look, now: Standing): boolean =>
  findsOpened(diagram, look) && !putBackBetween(look.standing, now, look.of)

/** Looks in a standing: contactors in or out, motors turning, lamps, damper and valves, filter and drain. */
export function lookSteps(
  search: Search,
  standing: Standing,
  situation: SituationModel,
  deed: Deed | null = null,
  deedSeconds = 0,
): readonly LookStep[] {
  const { model, findings, belief, which } = search
  const met = withDeed(model.diagram, standing, deed)
  const taken = new Set(
    findings.evidence.flatMap((piece) =>
      piece.kind === 'look' && (sameSituation(piece.standing, met) || staysAsSeen(model.diagram, piece, met))
        ? [piece.of]
        : [],
    ),
  )
  const stands = standsIn(search, standing)
  const lookedAt = lookedAtSoFar(search)
  return [...model.diagram.parts.values()]
    .filter(
      (part) =>
        part.kind.looks &&
        !taken.has(part.id) &&
        !findings.unreachable.has(part.id) &&
        !findings.unreachable.has(part.zone),
    )
    .flatMap((part): readonly LookStep[] => {
      const seen = glancesAs(situation, part.id, which, stands)
      const now = (h: number): string => situation.glanceWord(seen[h])
      const isKnown = lookedAt.some(
        ({ of, repairs, words }) =>
          of === part.id && repairs === standing.repairs && repeatsLook(words, now, belief, which),
      )
      if (isKnown) return []
      const reach = search.reach.toLook(part)
      let outcomes: readonly Outcome[] | null = null
      const among = (some: readonly number[]): number => lookBits(situation, seen, belief, some)
      const worth = worthOf(search.repair, among(which), among)
      const step: LookStep = {
        do: 'look',
        of: part.id,
        call: standing.call,
        power: standing.power,
        deed,
        get outcomes() {
          outcomes ??= partitionByLook(situation, seen, belief, which)
          return outcomes
        },
        bits: lookTrust * worth.bits,
        inside: worth.inside,
        reach,
        cost: lookSeconds + reach + deedSeconds,
        healthy: situation.glance(0, part.id),
      }
      return [step]
    })
}
