import { partOfPoint } from '../diagram/diagram'
import type { Fault } from '../parts/effect'
import type { DropPoint } from '../visit/entry'
import type { Evidence, Findings } from '../visit/evidence'
import { changingShare, cycleAtFirst, presentAtFirst, stays, touched } from './comesAndGoes'
import { complaintChances } from './complaint'
import { Factors } from './factors'
import type { Hypothesis } from './hypothesis'
import { measuredChance } from './measured'
import { Moment, type Blown } from './moment'
import { aroundAtFirst } from './otherSurroundings'
import { pairsWorthTrying } from './pairs'
import { passing } from './passing'
import type { UnitModel } from './predictor'
import type { SituationModel } from './situationModel'
import { standInChance } from './standIn'
import type { Track, Weigher } from './tracks'
import { lookWeigher } from './weighLook'
import { readingWeigher } from './weighReading'

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
  /** Whether and how its trips happened before anybody arrived, by hypothesis number. */
  readonly blown: readonly Blown[]
  /** Whether a switch that it makes open again and again is open just now, by hypothesis number. */
  readonly opened: readonly boolean[]
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
  const singles = context.model.everySingle
  const first = weighAll(context, singles)
  const pairs = pairsWorthTrying(context.model, first.weight, first.probability)
  return pairs.length === 0 ? first : weighAll(context, [...singles, ...pairs])
}

function weighAll(context: Context, which: readonly number[]): Weighed {
  const { model, factor, findings, evidence, good, complained } = context
  const { hypotheses } = model
  const prior = new Map<number, number>()
  const measured = measuredChance(model, findings.now.conditions)
  const heardOf = complaintChances(model, findings.complaint)
  for (const h of which) {
    const { faults, of } = hypotheses[h]
    if (of.some((part) => good.has(part)) || faults.some(({ id }) => good.has(id))) continue
    const share = hypotheses[h].prior * factor(hypotheses[h]) * measured(hypotheses[h])
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
    weight: told.weight.map((row) => padded(row, count)),
    factors: told.factors,
    blown: told.blown,
    opened: told.opened,
  }
}

/** Rows are of one length, whatever versions were thought of while they were made. */
function padded(row: Float64Array, count: number): Float64Array {
  if (row.length === count) return row
  const longer = new Float64Array(count).fill(-Infinity)
  longer.set(row.subarray(0, Math.min(row.length, count)))
  return longer
}

interface AllTold {
  readonly weight: readonly Float64Array[]
  readonly factors: readonly (Factors | undefined)[]
  readonly blown: readonly Blown[]
  readonly opened: readonly boolean[]
}

/** What a model has been told lately: a log grows by one entry, and the tracks go on from where they were. */
interface Chain {
  readonly key: string
  readonly tracks: readonly (readonly Track[] | undefined)[]
  readonly weight: readonly Float64Array[]
}

const chains = new WeakMap<UnitModel, Chain[]>()
const mostChains = 6

/**
 * Carries every hypothesis through the evidence, in order: each piece is weighed in the light of those before
 * it.
 */
function tracksAfter(context: Context, which: readonly number[]): AllTold {
  const { model, evidence } = context
  const kept = chains.get(model) ?? []
  chains.set(model, kept)
  const base = chainKey(context, which)
  const keys = evidence.reduce<readonly string[]>(
    (known, piece) => [...known, `${known.at(-1) ?? base}\n${JSON.stringify(piece)}`],
    [],
  )
  const from = [...kept].reverse().find(({ key }) => key === base || keys.includes(key))
  const done = from ? keys.indexOf(from.key) + 1 : 0
  let chain: Chain = from ?? { key: base, tracks: startTracks(context, which), weight: [] }
  for (let e = done; e < evidence.length; e++) {
    chain = { ...advance(context, chain, evidence[e], which), key: keys[e] }
    kept.push(chain)
    while (kept.length > mostChains) kept.shift()
  }
  const lead = chain.tracks.map((tracks) => tracks?.reduce((a, b) => (b.logWeight > a.logWeight ? b : a)))
  return {
    weight: chain.weight,
    factors: lead.map((track) => track?.factors),
    blown: lead.map((track) => track?.blown ?? 'not'),
    opened: lead.map((track) => track !== undefined && track.cycle.opened > 0.5),
  }
}

/** Everything besides the pieces of evidence that a chain depends on. */
const chainKey = (
  { model, repairedFaults, good, findings, evidence }: Context,
  which: readonly number[],
): string =>
  JSON.stringify([
    repairedFaults,
    [...good],
    findings.complaint,
    // singles are all there but those known good; of pairs each log tries its own
    which.filter((h) => h >= model.singles),
    changingShare(evidence, findings),
    isTimed(evidence),
    lookedAtAndMetered(evidence),
  ])

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

function startTracks(context: Context, which: readonly number[]): readonly (readonly Track[] | undefined)[] {
  const { model, evidence, findings, repairedFaults } = context
  const tracks: (readonly Track[] | undefined)[] = []
  const first = evidence[0]?.standing ?? findings.now
  const moment = new Moment(model, first, model.stillThere(repairedFaults, first))
  const share = changingShare(evidence, findings)
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
                blown,
                present,
                stays,
                cycle: cycleAtFirst,
                late,
                around,
              },
            ]
      })
    const beginnings = [
      ...ways.map((way) => ({ blown: way, weight: before / ways.length })),
      { blown: 'not', weight: 1 - before } as const,
    ]
    tracks[h] = beginnings.flatMap(({ blown, weight }) => [
      ...start(weight * (1 - comesAndGoes), blown, null),
      ...start(weight * comesAndGoes, blown, presentAtFirst),
    ])
  }
  return tracks
}

/** The call that the visit is about: it says which season nobody has measured. */
const homeCallOf = ({ model: { diagram }, findings, evidence }: Context): string =>
  diagram.complaints.find(({ id }) => id === findings.complaint)?.call ??
  (evidence[0]?.standing ?? findings.now).call

function advance(
  context: Context,
  { tracks, weight }: Chain,
  piece: Evidence,
  which: readonly number[],
): Omit<Chain, 'key'> {
  const { model, repairedFaults } = context
  const home = homeCallOf(context)
  const metered = lookedAtAndMetered(context.evidence)
  const also = model.stillThere(repairedFaults, piece.standing)
  const settled = new Moment(model, piece.standing, also)
  const weigher = weigherOf(model, piece, settled, { home, metered, which })
  const late =
    piece.standing.age === null
      ? weigher
      : weigherOf(model, piece, new Moment(model, { ...piece.standing, age: null }, also), {
          home,
          metered,
          which,
        })
  const meanwhile = passing(context.evidence[weight.length - 1], piece)
  const row = new Float64Array(model.hypotheses.length).fill(-Infinity)
  const after: (readonly Track[] | undefined)[] = []
  for (const h of which) {
    const before = tracks[h] ?? []
    const next = before.map((track) => (track.late ? late : weigher)(h, meanwhile(track)))
    const whole = sumOfLogs(next)
    row[h] = whole - sumOfLogs(before)
    after[h] = next.filter(({ logWeight }) => logWeight > whole - forgottenBelow)
  }
  return { tracks: after, weight: [...weight, row] }
}

/** Tracks of less weight than this, in logarithms against the whole, are left. */
const forgottenBelow = 12

const sumOfLogs = (tracks: readonly Track[]): number => {
  const top = tracks.reduce((most, { logWeight }) => Math.max(most, logWeight), -Infinity)
  if (top === -Infinity) return -Infinity
  return top + Math.log(tracks.reduce((sum, { logWeight }) => sum + Math.exp(logWeight - top), 0))
}

/** What weighing a piece of evidence takes from the rest of the visit. */
interface Rest {
  /** The call that the visit is about. */
  readonly home: string
  readonly metered: readonly string[]
  readonly which: readonly number[]
}

/** What a piece of evidence makes of a track. */
function weigherOf(
  model: UnitModel,
  piece: Evidence,
  moment: Moment,
  { home, metered, which }: Rest,
): Weigher {
  switch (piece.kind) {
    case 'reading':
      return readingWeigher(model, piece, moment, home)
    case 'look':
      return lookWeigher(model, piece, moment, home, metered.includes(piece.of))
    case 'drop-out':
      return plainly((h) => dropOutChance(moment.situation, piece, which, h))
    case 'found-set': {
      const { part, setting, to } = piece.found
      return plainly((h) =>
        moment.situation.settingOf(h, part, setting) === to ? foundSetChance.hit : foundSetChance.miss,
      )
    }
    case 'found-on': {
      const isIt = ({ of, landedOn }: Fault): boolean => of === piece.of && landedOn === piece.at
      return plainly((h) => (model.hypotheses[h].faults.some(isIt) ? foundOnChance.hit : foundOnChance.miss))
    }
    case 'stand-in':
      return plainly((h) => standInChance(model, moment, piece, h))
    case 'touched':
      return (h, track) => touched(track, model.hypotheses[h].of.includes(piece.of))
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
