import { partOfPoint } from '../diagram/diagram'
import type { Fault } from '../parts/effect'
import { storedIn } from '../parts/storedCode'
import { complaintSaid } from '../visit/complaintSaid'
import type { DropPoint } from '../visit/entry'
import type { Evidence, Findings } from '../visit/evidence'
import type { Standing } from '../visit/standing'
import { astrayShare, isContradicted } from './astray'
import { carriedThrough, type Carried } from './carriedThrough'
import { changingIn, cycleAtFirst, presentAtFirst } from './comesAndGoes'
import { complaintChances } from './complaint'
import { Factors } from './factors'
import type { Hypothesis } from './hypothesis'
import { iceChances, isOfIce } from './ice'
import { measuredChance } from './measured'
import { Moment, type Blown } from './moment'
import { openedMeanwhile } from './openedMeanwhile'
import { aroundAtFirst } from './otherSurroundings'
import { pairsWorthTrying } from './pairs'
import { passing } from './passing'
import type { UnitModel } from './predictor'
import { countedOnce, seenBefore } from './repeatedLook'
import type { SituationModel } from './situationModel'
import { standInChance } from './standIn'
import type { Carrier, Track, Weigher } from './tracks'
import { storedChances } from './weighStored'
import { touchedWeigher } from './weighTouch'
import { lookWeigher, seenUnder, type SeenUnder } from './weighLook'
import { readingWeigher, type Beside } from './weighReading'
import type { Whereabouts } from './withinRange'

/**
 * Chance of a setting being found as a hypothesis has it, and otherwise: settings are changed for good
 * reasons too.
 */
const foundSetChance = { hit: 0.97, miss: 0.004 } as const
/**
 * Chance of a lead being found where a hypothesis has it, and otherwise: one unit in fifty has a lead
 * elsewhere than drawn that does no harm, and it is one of a hundred.
 */
const foundOnChance = { hit: 0.97, miss: 0.0002 } as const
/** How often what was complained of is gone with the first thing put right, though the search goes on. */
const afterRepair = 0.4
/** What the evidence says of every hypothesis, as one story of the repairs has it. */
export interface Weighed {
  /** Posterior probability by hypothesis number. */
  readonly probability: Float64Array
  /** `weight[e][h]`: log-likelihood of evidence e under hypothesis h, given what came before it. */
  readonly weight: readonly Float64Array[]
  /** Logarithm of how probable all of this evidence is. */
  readonly logChance: number
  /**
   * What has been learned of the factors that readings share, by hypothesis number; as its weightiest track
   * has it.
   */
  readonly factors: readonly (Factors | undefined)[]
  /** Where in its range it lies, as far as readings have told, by hypothesis number. */
  readonly where: readonly (Whereabouts | null | undefined)[]
  /** Whether and how its trips happened before anybody arrived, by hypothesis number. */
  readonly blown: readonly Blown[]
  /** Whether a switch that it makes open again and again is open just now, by hypothesis number. */
  readonly opened: readonly boolean[]
  /** Whether it comes and goes and is most likely away just now, by hypothesis number. */
  readonly away: readonly boolean[]
}

/** What evidence is weighed in. */
export interface Context {
  readonly model: UnitModel
  /** On the prior of a hypothesis. */
  readonly factor: (hypothesis: Hypothesis) => number
  readonly findings: Findings
  readonly evidence: readonly Evidence[]
  /** Faults that were there before each repair; −1 where a repair put nothing right. */
  readonly repairedFaults: readonly number[]
  /** Parts known good since they were repaired. */
  readonly good: ReadonlySet<string>
  /** The complaint is of the unit as it still is. */
  readonly complained: boolean
}

/** Bayes over all single faults, and over pairs where no single one explains the evidence. */
export function weigh(context: Context): Weighed {
  const { everySingle } = context.model
  const first = weighAll(context, everySingle)
  const pairs = pairsWorthTrying(context.model, first.weight, first.probability)
  return pairs.length === 0 ? first : weighAll(context, [...everySingle, ...pairs])
}

/** Does the most of `weigh` ahead: it yields after each few hypotheses, and may be left at any. */
export function* weighAhead(context: Context): Generator<undefined, void> {
  const { everySingle } = context.model
  yield* carryAhead(context, everySingle)
  const first = weighAll(context, everySingle)
  yield
  yield* carryAhead(context, pairsWorthTrying(context.model, first.weight, first.probability))
}

/** Hypotheses that are carried through the evidence in one piece of work. */
const carriedAtOnce = 4

function* carryAhead(context: Context, which: readonly number[]): Generator<undefined, void> {
  for (let from = 0; from < which.length; from += carriedAtOnce) {
    carryAll(context, which.slice(from, from + carriedAtOnce))
    yield
  }
}

function weighAll(context: Context, which: readonly number[]): Weighed {
  const { model, factor, findings, evidence, good, complained } = context
  const { hypotheses } = model
  const prior = new Map<number, number>()
  const { share: changes } = changingIn(evidence, findings)
  const measured = measuredChance(model, findings.measured, changes, context.repairedFaults)
  const heardOf = complaintChances(model, findings.complaint)
  for (const h of which) {
    const { faults, of } = hypotheses[h]
    if (of.some((part) => good.has(part)) || faults.some(({ id }) => good.has(id))) continue
    const share = hypotheses[h].prior * factor(hypotheses[h]) * measured(h)
    if (share === 0) continue
    const chance = heardOf(h)
    prior.set(h, Math.log(share * (complained ? chance : afterRepair + (1 - afterRepair) * chance)))
  }
  const told = tracksAfter(context, [...prior.keys()])
  const count = hypotheses.length
  const log = new Float64Array(count).fill(-Infinity)
  for (const [h, start] of prior) log[h] = start + evidence.reduce((sum, _, e) => sum + told.weight[e][h], 0)
  return {
    ...normalise(log),
    ...told,
  }
}

/** What the rest of the evidence says of a reading: how far it may be trusted. */
const besideOf = (evidence: readonly Evidence[], e: number): Beside => ({
  astray: astrayShare(evidence, e),
  isContradicted: isContradicted(evidence, e),
})

interface AllTold {
  /** By piece of evidence, by hypothesis number; −Infinity where it was not asked about. */
  readonly weight: readonly Float64Array[]
  readonly factors: readonly (Factors | undefined)[]
  readonly where: readonly (Whereabouts | null | undefined)[]
  readonly blown: readonly Blown[]
  readonly opened: readonly boolean[]
  readonly away: readonly boolean[]
}

/** Carries hypotheses through the evidence: each piece is weighed in the light of those before it. */
function carryAll(context: Context, which: readonly number[]): ReadonlyMap<number, Carried> {
  const { model, evidence } = context
  const metered = lookedAtAndMetered(evidence)
  const pieces = evidence.map((piece, e) =>
    JSON.stringify([piece, piece.kind === 'look' ? metered.includes(piece.of) : besideOf(evidence, e)]),
  )
  return carriedThrough(model, { base: baseKey(context), pieces }, which, {
    start: (these) => startTracks(context, these),
    carrier: (e, these) => carrierAt(context, e, these),
  })
}

function tracksAfter(context: Context, which: readonly number[]): AllTold {
  const { model, evidence } = context
  const carried = carryAll(context, which)
  const weight = evidence.map(() => new Float64Array(model.hypotheses.length).fill(-Infinity))
  const factors: (Factors | undefined)[] = []
  const where: (Whereabouts | null | undefined)[] = []
  const blown: Blown[] = Array.from(model.hypotheses, () => 'not' as const)
  const opened = blown.map(() => false)
  const away = blown.map(() => false)
  for (const h of which) {
    const account = carried.get(h)
    if (!account) continue
    account.weight.forEach((said, e) => (weight[e][h] = said))
    const [first, ...others] = account.tracks
    if (!first) continue
    const lead = others.reduce((a, b) => (b.logWeight > a.logWeight ? b : a), first)
    factors[h] = lead.factors
    where[h] = lead.where
    blown[h] = lead.blown
    opened[h] = lead.cycle.opened > 0.5
    away[h] = lead.present !== null && lead.present < 0.5
  }
  return { weight, factors, where, blown, opened, away }
}

/** What carrying a hypothesis depends on besides the pieces of evidence, one by one. */
const baseKey = (context: Context): string => {
  const { repairedFaults, findings, evidence } = context
  // a repair that put nothing right is as none: what was carried before it is carried on
  const putRight = repairedFaults.slice(0, repairedFaults.findLastIndex((h) => h >= 0) + 1)
  return JSON.stringify([
    putRight,
    findings.complaint,
    firstStanding(context),
    findings.home,
    changingIn(evidence, findings),
    isTimed(evidence),
  ])
}

/** How things stood when the first piece of evidence was taken. */
const firstStanding = ({ evidence, findings }: Context): Standing => evidence[0]?.standing ?? findings.now

/** Parts that were looked at and on whose own terminals something was read, at any time of the visit. */
function lookedAtAndMetered(evidence: readonly Evidence[]): readonly string[] {
  const metered = new Set(
    evidence.flatMap((piece) =>
      piece.kind === 'reading' ? [partOfPoint(piece.from), partOfPoint(piece.to)] : [],
    ),
  )
  const lookedAt = evidence.flatMap((piece) => (piece.kind === 'look' ? [piece.of] : []))
  return [...new Set(lookedAt)].filter((part) => metered.has(part)).sort()
}

/** Chance that trips of a fault had happened before anybody arrived. */
const blownBefore = 0.85
/** The same of an overload that takes its time. */
const blownSlowly = 0.3
/** How far the seconds that were said are believed: a call may have stood for longer than anybody said. */
const clockTrust = 0.75
const untimed = [{ late: false, share: 1 }] as const
const timed = [
  { late: false, share: clockTrust },
  { late: true, share: 1 - clockTrust },
] as const

const isTimed = (evidence: readonly Evidence[]): boolean =>
  evidence.some(({ standing }) => standing.age !== null)

function startTracks(context: Context, which: readonly number[]): ReadonlyMap<number, readonly Track[]> {
  const { model, evidence, findings, repairedFaults } = context
  const tracks = new Map<number, readonly Track[]>()
  const first = firstStanding(context)
  const moment = new Moment(model, first, model.stillThere(repairedFaults, first), findings.home)
  const { share, stays } = changingIn(evidence, findings)
  const clocks = isTimed(evidence) ? timed : untimed
  const around = aroundAtFirst(model, first.conditions)
  for (const h of which) {
    const ways = model.mayTrip(h) ? moment.waysBlown(h) : []
    const before = ways.length === 0 ? 0 : moment.tripsSlowly(h) ? blownSlowly : blownBefore
    const comesAndGoes = model.comesAndGoes(h) ? share : 0
    const start = (weight: number, blown: Blown, present: number | null): readonly Track[] =>
      clocks.flatMap(({ late, share: clockShare }) => {
        const whole = weight * clockShare
        return whole === 0
          ? []
          : [
              {
                logWeight: Math.log(whole),
                factors: new Factors(),
                where: null,
                blown,
                opens: blown === 'not' || blown === 'untold' ? ways : [],
                present,
                keeps: stays,
                stays,
                cycle: cycleAtFirst,
                startsOver: null,
                late,
                around,
              },
            ]
      })
    const beginnings = [
      ...ways.map((way) => ({ blown: way, weight: before / ways.length })),
      { blown: 'not', weight: 1 - before } as const,
    ]
    const own = beginnings.flatMap(({ blown, weight }) => [
      ...start(weight * (1 - comesAndGoes), blown, null),
      ...start(weight * comesAndGoes, blown === 'not' ? 'untold' : blown, presentAtFirst),
    ])
    tracks.set(h, own)
  }
  return tracks
}

/** The calls that the complaint may be about; every call where nobody said. */
const callsMeant = ({ model: { diagram }, findings: { complaint } }: Context): readonly string[] =>
  complaintSaid(diagram, complaint)?.calls ?? diagram.calls.map(({ id }) => id)

/**
 * What a piece of evidence makes of tracks; some have it that the call has stood for longer, and by the time
 * that it was taken what trips may have.
 */
function carrierAt(context: Context, e: number, which: readonly number[]): Carrier {
  const { model, repairedFaults, evidence } = context
  const piece = evidence[e]
  const also = model.stillThere(repairedFaults, piece.standing)
  if (piece.kind === 'look' && storedIn(piece.what) !== null)
    return eachOf(plainly(storedChances(model, piece, callsMeant(context), also)))
  const metered = lookedAtAndMetered(evidence)
  const momentOf = (standing: Standing): Moment => new Moment(model, standing, also, context.findings.home)
  const before = seenBefore(evidence, e, metered, momentOf)
  const rest: Rest = { metered, which, beside: besideOf(evidence, e), before }
  const moment = momentOf(piece.standing)
  const settled = weigherOf(model, piece, moment, rest)
  const meanwhile = passing(evidence[e - 1], piece)
  const late =
    piece.standing.age === null
      ? settled
      : weigherOf(model, piece, momentOf({ ...piece.standing, age: null }), rest)
  return openedMeanwhile(
    (h, track) => (track.late ? late : settled)(h, meanwhile(track)),
    (h, blown) => moment.shareOpened(h, blown),
  )
}

const eachOf =
  (weigher: Weigher): Carrier =>
  (h, tracks) =>
    tracks.map((track) => weigher(h, track))

/** What weighing a piece of evidence takes from the rest of the visit. */
interface Rest {
  readonly beside: Beside
  readonly metered: readonly string[]
  readonly which: readonly number[]
  /** Where it is a look: how likely the same was when it was taken before. */
  readonly before: readonly SeenUnder[]
}

/** What a piece of evidence makes of a track. */
function weigherOf(
  model: UnitModel,
  piece: Evidence,
  moment: Moment,
  { metered, which, beside, before }: Rest,
): Weigher {
  switch (piece.kind) {
    case 'reading':
      return readingWeigher(model, piece, moment, beside)
    case 'look': {
      const isMetered = metered.includes(piece.of)
      const weigher = isOfIce(model.diagram, piece)
        ? plainly(iceChances(model, piece, moment))
        : lookWeigher(model, piece, moment, isMetered)
      return countedOnce(weigher, seenUnder(piece, moment, isMetered), before)
    }
    case 'drop-out':
      return plainly((h) => dropOutChance(moment.situation, piece, which, h))
    case 'found-set': {
      const { part, setting, to } = piece.found
      const found = plainly((h) =>
        moment.situation.settingOf(h, part, setting) === to ? foundSetChance.hit : foundSetChance.miss,
      )
      const menuShownBy = model.diagram.parts.get(part)?.kind.menuShownBy
      if (menuShownBy === undefined) return found
      // who reads a setting in a menu has seen the menu
      const look = { kind: 'look', of: part, what: menuShownBy, standing: piece.standing } as const
      const shown = lookWeigher(model, look, moment, false)
      return (h, track) => shown(h, found(h, track))
    }
    case 'found-on': {
      const isIt = ({ of, landedOn }: Fault): boolean => of === piece.of && landedOn === piece.at
      return plainly((h) => (model.hypotheses[h].faults.some(isIt) ? foundOnChance.hit : foundOnChance.miss))
    }
    case 'stand-in':
      return plainly((h) => standInChance(model, moment, piece, h))
    case 'touched':
      return touchedWeigher(model, piece.of)
  }
}

const plainly =
  (chance: (h: number) => number): Weigher =>
  (h, track) => ({ ...track, logWeight: track.logWeight + Math.log(chance(h)) })

/** Chance that a channel of a logged stretch falls, or holds, as a suspect has it. */
const channelRight = 0.985

/** How well a suspect has those channels fall that fell, and those hold that held. */
function dropOutChance(
  situation: SituationModel,
  { fell, held }: Evidence & { kind: 'drop-out' },
  which: readonly number[],
  h: number,
): number {
  const falls = ({ from, to }: DropPoint): boolean => {
    const predicted = situation.predict('volts', from, to, [0, ...which])
    const passed = [predicted[h], ...situation.predictInCycle('volts', from, to, h)]
    return passed.some((volts) => volts !== null && volts < 0.6 * predicted[0])
  }
  const right = fell.filter(falls).length + held.filter((channel) => !falls(channel)).length
  const wrong = fell.length + held.length - right
  return channelRight ** right * (1 - channelRight) ** wrong
}

function normalise(log: Float64Array): Pick<Weighed, 'probability' | 'logChance'> {
  const top = log.reduce((a, b) => Math.max(a, b), -Infinity)
  const raw = log.map((value) => Math.exp(value - top))
  const total = raw.reduce((a, b) => a + b, 0)
  return { probability: raw.map((value) => value / total), logChance: top + Math.log(total) }
}
