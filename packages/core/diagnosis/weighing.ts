import type { Fault } from '../parts/effect'
import type { DropPoint } from '../visit/entry'
import type { Evidence, Findings } from '../visit/evidence'
import { readingOf } from './grouping'
import type { Hypothesis } from './hypothesis'
import { likelihood, lookChance } from './likelihood'
import { pairsWorthTrying } from './pairs'
import type { SituationModel, UnitModel } from './predictor'
import { atArrival } from '../visit/standing'

/** Chance of hearing the complaint from a unit whose loads all do what they should. */
const complaintWithoutSymptom = 0.05
/** Chance of a setting being found as a hypothesis has it, and otherwise. */
const foundSetChance = { hit: 0.97, miss: 0.004 } as const
/** Weight left of a fault under a measured condition that speaks against it. */
const excludedShare = 0.04
/** What an oscillating circuit reads depends on the moment: half the weight is spread. */
const movingTarget = 0.5
/** Where nothing bounds what a moving reading may be. */
const elsewhereDensity = 0.02
type Reading = Extract<Evidence, { readonly kind: 'reading' }>

/** What the evidence says of every hypothesis, as one story of the repairs has it. */
export interface Weighed {
  /** Posterior probability by hypothesis number. */
  readonly probability: Float64Array
  /** `weight[e][h]`: log-likelihood of evidence e under hypothesis h. */
  readonly weight: readonly Float64Array[]
  /** Logarithm of how probable all of this evidence is. */
  readonly logChance: number
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
  const singles = Array.from({ length: context.model.singles }, (_, h) => h)
  const first = weighAll(context, singles)
  const pairs = pairsWorthTrying(context.model, first.weight, first.probability)
  return pairs.length === 0 ? first : weighAll(context, [...singles, ...pairs])
}

function weighAll(
  { model, factor, findings, evidence, repairedFaults, good, complained }: Context,
  which: readonly number[],
): Weighed {
  const { hypotheses } = model
  const log = new Float64Array(hypotheses.length).fill(-Infinity)
  for (const h of which)
    if (!hypotheses[h].of.some((part) => good.has(part)))
      log[h] = Math.log(hypotheses[h].prior * factor(hypotheses[h]))
  if (complained) addComplaint(model, findings, log, which)
  for (const h of which) log[h] += excluded(hypotheses[h].faults, findings) * Math.log(excludedShare)
  const intermittent = evidence.some(({ kind }) => kind === 'drop-out')
  const weight = evidence.map((piece) => {
    const also = model.stillThere(repairedFaults, piece.standing)
    const row = weighPiece(model, piece, model.situation(piece.standing, also), which, intermittent)
    if (piece.standing.age !== null) {
      // the call may have stood for longer than anybody said
      const settled = weighPiece(
        model,
        piece,
        model.situation({ ...piece.standing, age: null }, also),
        which,
        intermittent,
      )
      for (const h of which)
        row[h] = Math.log(clockTrust * Math.exp(row[h]) + (1 - clockTrust) * Math.exp(settled[h]))
    }
    for (const h of which) log[h] += row[h]
    return row
  })
  return { ...normalise(log), weight }
}

/** How far the seconds that were said are believed. */
const clockTrust = 0.75

/** Log-likelihood of one piece of evidence in one situation, by hypothesis; −∞ where it was not asked for. */
function weighPiece(
  model: UnitModel,
  piece: Evidence,
  situation: SituationModel,
  which: readonly number[],
  intermittent: boolean,
): Float64Array {
  const known = knownWeights(piece, situation, which, intermittent)
  const row = new Float64Array(model.hypotheses.length).fill(-Infinity)
  for (const h of which) row[h] = known[h]
  return row
}

/** The same, kept with the situation: each entry adds one piece, and the others stay what they were. */
function knownWeights(
  piece: Evidence,
  situation: SituationModel,
  which: readonly number[],
  intermittent: boolean,
): Float64Array {
  switch (piece.kind) {
    case 'reading': {
      const { meter, from, to, value } = piece
      const predicted = situation.predict(meter, from, to, [0, ...which])
      // a fault that comes and goes is away for most readings
      let density: number | null = null
      const moving = (): number => (density ??= movingDensity(piece, situation))
      const asHealthy = intermittent ? likelihood(meter, value, readingOf(predicted[0])) : 0
      return situation.keep(`reading ${meter} ${from} ${to} ${value} ${intermittent}`, which, (h) => {
        const chance = likelihood(meter, value, readingOf(predicted[h]))
        const steady = situation.settle(h).oscillates
          ? (1 - movingTarget) * chance + movingTarget * moving()
          : chance
        return Math.log(intermittent ? atRestShare * asHealthy + (1 - atRestShare) * steady : steady)
      })
    }
    case 'drop-out':
      return situation.keep(`drop-out ${JSON.stringify([piece.fell, piece.held])}`, which, (h) =>
        dropOutWeight(situation, piece, which, h),
      )
    case 'look': {
      const { of, what } = piece
      const usual = what === 'code' ? situation.looks(0, of) : null
      return situation.keep(`look ${of} ${what}`, which, (h) =>
        Math.log(shows(situation.looks(h, of), what, usual) ? lookChance.hit : lookChance.falseAlarm),
      )
    }
    case 'found-set': {
      const { part, setting, to } = piece.found
      return situation.keep(`found-set ${part} ${setting} ${to}`, which, (h) =>
        Math.log(situation.settingOf(h, part, setting) === to ? foundSetChance.hit : foundSetChance.miss),
      )
    }
  }
}

/**
 * Density of a reading on a circuit that will not rest, per unit of its meter: volts may be anything that its
 * two points can have between them.
 */
function movingDensity({ meter, from, to, value }: Reading, situation: SituationModel): number {
  if (meter !== 'volts' && meter !== 'loz' && meter !== 'millivolts') return elsewhereDensity
  const volts = [from, to].reduce(
    (sum, point) => sum + (point === 'EARTH' ? 0 : situation.predict('volts', point, 'EARTH', [0])[0]),
    1,
  )
  const most = 1.2 * volts * (meter === 'millivolts' ? 1000 : 1)
  return value !== null && value <= most ? 1 / most : 0
}

/** Chance that a channel of a logged stretch falls, or holds, as a suspect has it. */
const channelRight = 0.93
/** Share of the time that a fault which comes and goes is away. */
const atRestShare = 0.7

/** How well a suspect has those channels fall that fell, and those hold that held. */
function dropOutWeight(
  situation: SituationModel,
  { fell, held }: Evidence & { kind: 'drop-out' },
  which: readonly number[],
  h: number,
): number {
  const falls = ({ from, to }: DropPoint): boolean => {
    const predicted = situation.predict('volts', from, to, [0, ...which])
    return situation.settle(h).oscillates || predicted[h] < 0.6 * predicted[0]
  }
  const right = fell.filter(falls).length + held.filter((channel) => !falls(channel)).length
  const wrong = fell.length + held.length - right
  return right * Math.log(channelRight) + wrong * Math.log(1 - channelRight)
}

/** Whether a look shows a word; a bare `code`: any other code than a healthy unit's. */
const shows = (seen: readonly string[], what: string, usual: readonly string[] | null): boolean =>
  usual ? seen.some((word) => word.startsWith('code ') && !usual.includes(word)) : seen.includes(what)

/** How many of these faults cannot well be under what was measured outside the circuit. */
const excluded = (faults: readonly Fault[], { now }: Findings): number =>
  faults.filter(({ unless }) => {
    const value = unless ? now.conditions[unless.of] : undefined
    return (
      unless !== undefined &&
      value !== undefined &&
      (unless.above === undefined || value > unless.above) &&
      (unless.below === undefined || value < unless.below)
    )
  }).length

function addComplaint(
  model: UnitModel,
  findings: Findings,
  log: Float64Array,
  which: readonly number[],
): void {
  const complaint = model.diagram.complaints.find(({ id }) => id === findings.complaint)
  if (!complaint) return
  const situation = model.situation(atArrival(model.diagram, complaint.call))
  for (const h of which) if (!situation.showsSymptom(h)) log[h] += Math.log(complaintWithoutSymptom)
}

function normalise(log: Float64Array): Pick<Weighed, 'probability' | 'logChance'> {
  const top = log.reduce((a, b) => Math.max(a, b), -Infinity)
  const raw = log.map((value) => Math.exp(value - top))
  const total = raw.reduce((a, b) => a + b, 0)
  return { probability: raw.map((value) => value / total), logChance: top + Math.log(total) }
}
