import { asTyped, isAcVolts } from '../circuit/meters'
import { partOfPoint, partWords, type Diagram, type Part } from '../diagram/diagram'
import { controlFuses } from '../diagram/roles'
import type { Evidence } from '../visit/evidence'
import { insulationMegohms } from '../physics/insulation'
import { mostFuseShare } from '../physics/controlFuse'
import type { Judgement } from './diagnose'
import type { Expected } from './factors'
import { factorsOf, supplyFactor, transformerFactor } from './scaling'

/** Something worth saying beside whatever the unit was called for: said once, and kept for the report. */
export interface SideFinding {
  readonly id: string
  readonly words: string
  /** The part it is about. */
  readonly of: string
}

/**
 * Everything found beside the cause: of the supply, of control power, and second faults that are all but
 * certain.
 */
export const sideFindings = (diagnosis: Judgement): readonly SideFinding[] => [
  ...ofSupply(diagnosis),
  ...ofControlPower(diagnosis.model.diagram),
  ...unbalanceOf(diagnosis.findings.evidence),
  ...poorInsulation(diagnosis),
  ...secondFaults(diagnosis),
]

/** Share by which a supply or a secondary must be off to be worth a word. */
const offShare = 0.04
/**
 * How well that must be known, one standard deviation. What is read of control power alone leaves a supply
 * known to hardly better than before it.
 */
const knownWithin = { supply: 0.02, secondary: 0.03 } as const
/** A secondary that is off by this share on the volts that were measured is on another tap, or weak. */
const tapShare = 0.06

const sideOf = (share: number): 'low' | 'high' => (share < 0 ? 'low' : 'high')
const percent = (share: number): string => `${Math.abs(Math.round(share * 100))} %`
const isKnown = (of: keyof typeof knownWithin, { variance }: Expected): boolean =>
  Math.sqrt(variance) < knownWithin[of]
const unread: Expected = { mean: 0, variance: Infinity }

function ofSupply({ model, belief, ranked, findings }: Judgement): readonly SideFinding[] {
  const { diagram } = model
  const wasMeasured = findings.evidence.some((piece) => isOfSupply(diagram, piece))
  const factors = belief.factors[ranked[0]] ?? belief.factors[0]
  const supply = factors?.known(supplyFactor.key) ?? unread
  const transformers = [...diagram.parts.values()].filter(({ kind }) => kind.fullLoadAmps)
  const found = transformers.flatMap((transformer): readonly SideFinding[] => {
    const secondary = factors?.known(transformerFactor(transformer.id).key) ?? unread
    if (wasMeasured && isKnown('secondary', secondary) && Math.abs(secondary.mean) > tapShare)
      return [onAnotherTap(transformer, secondary.mean)]
    // on control readings alone nobody can tell which of the two it is
    if (secondary === unread || isKnown('supply', supply)) return []
    const both = supply.mean + secondary.mean
    const isOff = Math.abs(both) > offShare && Math.abs(both) < 2 * tapShare
    return isOff ? [supplyOff(diagram, both)] : []
  })
  return isKnown('supply', supply) && Math.abs(supply.mean) > offShare
    ? [...found, supplyOff(diagram, supply.mean)]
    : found
}

const onAnotherTap = ({ id, words }: Part, share: number): SideFinding => ({
  id: 'tap',
  of: id,
  words:
    `${words}: ${percent(share)} ${sideOf(share)} for the supply that was measured. ` +
    'Which tap is its primary on?',
})

/** Whether volts were read that no transformer is in. */
const isOfSupply = (diagram: Diagram, piece: Evidence): boolean =>
  piece.kind === 'reading' &&
  isAcVolts(piece.meter) &&
  piece.value !== 0 &&
  factorsOf(diagram, piece.meter, piece.from, piece.to).every(({ key }) => key === supplyFactor.key)

function supplyOff(diagram: Diagram, share: number): SideFinding {
  const [of = ''] = [...diagram.parts.values()]
    .filter(({ kind }) => kind.symbol === 'source')
    .map(({ id }) => id)
  const side = sideOf(share)
  return { id: `supply-${side}`, of, words: `Supply about ${percent(share)} ${side}: measure it leg to leg` }
}

/** The last word on each winding whose insulation was measured, where it is not sound. */
function poorInsulation({ model: { diagram }, findings }: Judgement): readonly SideFinding[] {
  const measured = new Map<string, Evidence & { readonly kind: 'reading' }>()
  for (const piece of findings.evidence)
    if (piece.kind === 'reading' && piece.meter === 'megohms')
      measured.set(partOfPoint(piece.from === 'EARTH' ? piece.to : piece.from), piece)
  return [...measured].flatMap(([of, { value, meter, typed }]) => {
    if (value === null || value >= insulationMegohms.sound) return []
    const advice =
      value < insulationMegohms.suspect
        ? 'wet, dirty or failing. Not to be energised before that is cleared'
        : `under ${insulationMegohms.sound} MΩ. Measure it again warm and dry`
    const words = `${partWords(diagram, of)}: insulation ${asTyped(value, meter, typed)}, ${advice}`
    return [{ id: 'insulation', of, words }]
  })
}

function ofControlPower(diagram: Diagram): readonly SideFinding[] {
  const [transformer] = [...diagram.parts.values()].filter(({ kind }) => kind.fullLoadAmps)
  const fullLoad = transformer?.kind.fullLoadAmps?.(transformer.settings)
  if (!transformer || fullLoad === undefined) return []
  const fuses = controlFuses(diagram)
  if (fuses.length === 0)
    return [
      {
        id: 'no-control-fuse',
        of: transformer.id,
        words: `${transformer.words}: no fuse in its secondary. A short takes the transformer; propose one, as maker and code allow`,
      },
    ]
  // sizes that nobody has read from a plate prove nothing
  const isRead = ({ settings }: Part): boolean => !settings.isUnread('amps')
  if (transformer.settings.isUnread('va')) return []
  return fuses
    .filter(isRead)
    .filter(({ settings }) => settings.number('amps') / fullLoad > mostFuseShare)
    .map(({ id, words, settings }) => ({
      id: 'fuse-too-large',
      of: id,
      words: `${words}: ${settings.number('amps')} A is over ${mostFuseShare} times the ${fullLoad.toFixed(2)} A that the transformer gives: it cannot protect it`,
    }))
}

/** Voltage unbalance from which a motor is to be derated (NEMA MG-1 14.36). */
const mostUnbalancePercent = 2

/** Three readings leg to leg at one place. */
function unbalanceOf(evidence: readonly Evidence[]): readonly SideFinding[] {
  const places = new Map<string, Map<string, number>>()
  for (const piece of evidence) {
    if (piece.kind !== 'reading' || piece.meter !== 'volts' || !piece.value) continue
    const [part, other] = [piece.from, piece.to].map((point) => point.slice(0, point.indexOf('.')))
    if (part !== other) continue
    const pairs = places.get(part) ?? new Map<string, number>()
    places.set(part, pairs.set([piece.from, piece.to].sort().join(' '), piece.value))
  }
  return [...places].flatMap(([of, pairs]): readonly SideFinding[] => {
    const volts = [...pairs.values()]
    const average = volts.reduce((sum, value) => sum + value, 0) / volts.length
    if (volts.length !== 3 || Math.min(...volts) < 0.8 * average) return []
    const unbalance = (100 * Math.max(...volts.map((value) => Math.abs(value - average)))) / average
    return unbalance > mostUnbalancePercent
      ? [
          {
            id: 'unbalance',
            of,
            words: `Legs at ${of} unbalanced by ${unbalance.toFixed(1)} %: over 2 % a motor is derated`,
          },
        ]
      : []
  })
}

/** Probability from which a fault beside the leading one is said as found. */
const certainFrom = 0.5

/** Of suspects that are two faults, those that most of the weight has beside another. */
function secondFaults({ model, belief, ranked }: Judgement): readonly SideFinding[] {
  const [leader] = ranked
  const shares = new Map<string, number>()
  for (const h of ranked)
    for (const { id } of model.hypotheses[h].faults)
      shares.set(id, (shares.get(id) ?? 0) + belief.probability[h])
  return model.hypotheses[leader].faults
    .slice()
    .sort((a, b) => (shares.get(b.id) ?? 0) - (shares.get(a.id) ?? 0))
    .slice(1)
    .filter(({ id }) => (shares.get(id) ?? 0) >= certainFrom)
    .map(({ id, words, of }) => ({
      id,
      of,
      words: `${words} (${partWords(model.diagram, of)}), beside the first`,
    }))
}
