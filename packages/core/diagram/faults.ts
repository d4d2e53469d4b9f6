import type { PartSymbol } from '../parts/kind'
import { addedFaults } from './addedFaults'
import { partOfBranch, partOfPoint, terminalOfPoint, type Diagram, type Part, type Wire } from './diagram'
import { earth, type Effect, type Ends, type Fault, type PointId } from '../parts/effect'
import { inOnePlace } from './inOnePlace'
import { partFirst } from './partFirst'
import { boardHot, callTerminals } from './roles'
import { wireAt } from './wireAt'
import { wireName } from './wireName'

/**
 * Weights of what goes wrong with wires, against each other: inside a panel, where those of the line burn at
 * their terminals, in a harness from one section of the unit to another, and in a cable in the field, where
 * staples, tools and teeth get at it.
 */
const wireWeights = {
  panel: { open: 0.1, ground: 0.03, crossed: 0 },
  panelLine: { open: 0.3, ground: 0.03, crossed: 0 },
  harness: { open: 0.25, ground: 0.1, crossed: 0.01 },
  field: { open: 2.5, ground: 0.2, crossed: 0.055 },
  // in conduit, of heavy wire
  feeder: { open: 0.3, ground: 0.1, crossed: 0 },
} as const
type Lies = keyof typeof wireWeights
const chafedOhms = 0.3

/** Effects in a part's own names as effects in the unit's. */
export const inPart = (part: Part, effect: Effect): Effect => {
  // a branch of another part is named whole, PART/branch
  const branch = (name: string): string => (name.includes('/') ? name : `${part.id}/${name}`)
  const point = (name: string): PointId => (name === earth ? earth : `${part.id}.${name}`)
  switch (effect.does) {
    case 'open':
    case 'ohms':
    case 'hold':
      return { ...effect, branch: branch(effect.branch) }
    case 'join':
      return { ...effect, from: point(effect.from), to: point(effect.to) }
    case 'set':
      return { ...effect, part: part.id }
    case 'move':
      return effect
  }
}

/** What a fault does to another part that opens only while the unit heats, it does then. */
function whileHeating({ parts }: Diagram, effect: Effect): Effect {
  if (effect.does !== 'hold' || effect.state !== 'open') return effect
  const during = parts.get(partOfBranch(effect.branch))?.kind.opensDuring
  return during ? { ...effect, during } : effect
}

const mapped = (ends: Ends, as: (effects: readonly Effect[]) => readonly Effect[]): Ends => ({
  least: as(ends.least),
  most: as(ends.most),
  ...(ends.less && { less: as(ends.less) }),
  ...(ends.more && { more: as(ends.more) }),
})

function partFaults(diagram: Diagram, part: Part): readonly Fault[] {
  const inUnit = (effects: readonly Effect[]) =>
    effects.map((effect) => whileHeating(diagram, inPart(part, effect)))
  return part.kind.faults(part.settings).map(({ name, words, effects, ends, ...rest }) => ({
    cause: '',
    prove: '',
    ...rest,
    id: `${part.id}:${name}`,
    words: partFirst(part, words),
    effects: inUnit(effects),
    ...(ends && { ends: mapped(ends, inUnit) }),
    of: part.id,
  }))
}

/** Where a wire lies: a cable in the field leads from one place to another and lands on terminals at both. */
function liesIn(diagram: Diagram, { from, to, wiring }: Wire): Lies {
  const { parts, plate } = diagram
  if (inOnePlace(diagram, from, to)) return wiring === 'line' ? 'panelLine' : 'panel'
  const isLanding = (end: PointId): boolean => {
    const part = parts.get(partOfPoint(end))
    return part !== undefined && (part.id === plate || landsField.has(part.kind.symbol))
  }
  if (!isLanding(from) || !isLanding(to)) return 'harness'
  return wiring === 'line' ? 'feeder' : 'field'
}

/** Parts that wiring in the field lands on. */
const landsField: ReadonlySet<PartSymbol> = new Set(['terminal', 'source', 'switch'])

function wireFaults(diagram: Diagram, wire: Wire): readonly Fault[] {
  const lies = liesIn(diagram, wire)
  return [
    {
      id: `${wire.id}:open`,
      class: 'loose',
      words: `Wire ${wireName(wire)}: open`,
      of: wire.id,
      prior: wireWeights[lies].open,
      effects: [{ does: 'open', branch: wire.id }],
      shows: ['off', 'loose', 'burnt', 'cut'],
      cause: lies === 'field' ? 'cut, pulled or not landed' : 'loose or burnt at a terminal',
      prove: 'same volts at both ends; power off, ohms end to end',
    },
    {
      id: `${wire.id}:grounded`,
      class: 'ground',
      words: `Wire ${wireName(wire)}: chafed to metal`,
      of: wire.id,
      prior: wireWeights[lies].ground,
      effects: [{ does: 'join', from: wire.from, to: earth, ohms: chafedOhms }],
      ...(wire.wiring === 'line' && { breaksDown: true }),
      cause: 'sharp edge, hot copper, vibration',
      shows: ['chafed', 'wet'],
      prove: 'power off, both ends lifted, ohms to ground',
    },
  ]
}

/** Control wires of one cable: those with the same two places at their ends. */
function cablesOf(diagram: Diagram): readonly (readonly Wire[])[] {
  const cables = new Map<string, Wire[]>()
  for (const wire of diagram.wires.values()) {
    if (wire.wiring === 'line' || liesIn(diagram, wire) === 'panel') continue
    const zones = [wire.from, wire.to]
      .map((end) => diagram.points.get(end)?.zone ?? '')
      .sort()
      .join(' ')
    cables.set(zones, [...(cables.get(zones) ?? []), wire])
  }
  return [...cables.values()]
}

/** Wires of one cable touch each other, pair by pair. */
const crossedFaults = (diagram: Diagram): readonly Fault[] =>
  cablesOf(diagram).flatMap((cable) =>
    cable.flatMap((a, k) =>
      cable
        .slice(k + 1)
        .flatMap((b) =>
          b.from !== a.from && b.to !== a.to ? [crossed(a, b, wireWeights[liesIn(diagram, a)].crossed)] : [],
        ),
    ),
  )

const crossed = (a: Wire, b: Wire, prior: number): Fault => ({
  id: `${a.id}:crossed:${b.id}`,
  class: 'crossed',
  words: `Wires ${a.color} ${a.number} and ${b.color} ${b.number} touch in their cable (${a.from}, ${b.from})`,
  of: a.id,
  touching: b.id,
  prior,
  effects: [{ does: 'join', from: a.from, to: b.from, ohms: chafedOhms }],
  cause: 'staple, garden tool, gnawing',
  shows: ['chafed', 'wet'],
  prove: 'power off, both ends lifted, ohms between the two',
})

/** Weight of a call's lead on the wrong terminal of the board. */
const boardLandingPrior = 0.06

/** Leads that sit on the wrong one of several terminals that look alike. */
const landingFaults = (diagram: Diagram): readonly Fault[] => [
  ...[...diagram.parts.values()].flatMap((part) =>
    (part.kind.landings?.(part.settings) ?? []).flatMap(({ terminals, ...landing }) =>
      landedElsewhere(
        diagram,
        terminals.map((name) => `${part.id}.${name}`),
        (wire, end, other) =>
          landing.by.is === 'tap'
            ? {
                id: `${part.id}:on-${terminalOfPoint(other)}`,
                words: `${part.words}: ${landing.by.words(terminalOfPoint(other))}`,
                of: part.id,
                ...landing,
              }
            : { ...leadLanded(wire, end, other), ...landing },
      ),
    ),
  ),
  ...landedElsewhere(diagram, boardTerminals(diagram), (wire, end, other) => ({
    ...leadLanded(wire, end, other),
    prior: boardLandingPrior,
    cause: 'miswired at the last work',
    prove: 'follow the lead to its terminal',
  })),
]

/** The board's hot and call terminals; common is a conductor of its own color. */
const boardTerminals = (diagram: Diagram): readonly PointId[] => {
  const hot = boardHot(diagram)
  return [...new Set([...(hot === null ? [] : [hot]), ...callTerminals(diagram)])]
}

const leadLanded = (wire: Wire, end: PointId, other: PointId): Pick<Fault, 'id' | 'words' | 'of'> => ({
  id: `${wire.id}:on:${other}`,
  words: `Wire ${wireName(wire)}: landed on ${other} instead of ${end}`,
  of: wire.id,
})

type LandingWords = Pick<Fault, 'id' | 'words' | 'of' | 'prior' | 'cause' | 'prove'>

const landedElsewhere = (
  { wires }: Diagram,
  alike: readonly PointId[],
  describe: (wire: Wire, end: PointId, other: PointId) => LandingWords,
): readonly Fault[] =>
  [...wires.values()].flatMap((wire) =>
    [wire.from, wire.to]
      .filter((end) => alike.includes(end))
      .flatMap((end) =>
        alike
          .filter((other) => other !== end && other !== wire.from && other !== wire.to)
          .map((other): Fault => {
            const { id, words, of, prior, cause, prove } = describe(wire, end, other)
            const effects: readonly Effect[] = [{ does: 'move', wire: wire.id, end, to: other }]
            return { id, class: 'landing', words, of, prior, effects, cause, prove, landedOn: other }
          }),
      ),
  )

/** What the leads of two terminals of a part do, landed the one on the other; null where one has none. */
function exchanged(diagram: Diagram, part: Part, names: readonly [string, string]): readonly Effect[] | null {
  const points = names.map((name) => `${part.id}.${name}`)
  const [one, other] = points.map((point) => wireAt(diagram, point))
  if (!one || !other) return null
  return [
    { does: 'move', wire: one.id, end: points[0], to: points[1] },
    { does: 'move', wire: other.id, end: points[1], to: points[0] },
  ]
}

/** Polarised leads landed the wrong way round. */
const polarityFaults = (diagram: Diagram): readonly Fault[] =>
  [...diagram.parts.values()].flatMap((part): readonly Fault[] => {
    const { polarity } = part.kind
    if (!polarity) return []
    const effects = exchanged(diagram, part, [polarity.plus, polarity.minus])
    if (!effects) return []
    return [
      {
        id: `${part.id}:leads-crossed`,
        class: 'landing',
        words: `${part.words}: + and − leads crossed`,
        of: part.id,
        prior: polarity.prior,
        effects,
        cause: polarity.cause,
        prove: polarity.prove,
      },
    ]
  })

/** Ohms of a poor joint in a control cable, in the middle of what is met, and its weight. */
const poorJoint = { ohms: 60, prior: 0.35 } as const

/**
 * A splice or screw of a cable in the field that still passes some current: volts are there until the load
 * behind it draws.
 */
const poorJointFaults = (diagram: Diagram): readonly Fault[] =>
  [...diagram.wires.values()]
    .filter((wire) => liesIn(diagram, wire) === 'field')
    .map((wire) => ({
      id: `${wire.id}:poor-joint`,
      class: 'loose',
      words: `Wire ${wireName(wire)}: a poor joint in it`,
      of: wire.id,
      prior: poorJoint.prior,
      effects: [{ does: 'ohms', branch: wire.id, ohms: poorJoint.ohms }],
      shows: ['loose', 'burnt', 'wet'],
      cause: 'a splice that corrodes, a strand left under its screw',
      prove: 'volts from end to end while its load is called; power off, ohms end to end',
    }))

/** Weight of two leads of a motor that were exchanged when it was changed. */
const swappedPrior = 0.1

/** Two leads of a three-phase motor exchanged: it turns the other way, on a supply in the right order. */
const swappedFaults = (diagram: Diagram): readonly Fault[] =>
  [...diagram.parts.values()].flatMap((part): readonly Fault[] => {
    if (!part.kind.threePhase || part.kind.symbol !== 'motor') return []
    const effects = exchanged(diagram, part, ['T1', 'T2'])
    if (!effects) return []
    return [
      {
        id: `${part.id}:leads-swapped`,
        class: 'landing',
        words: `${part.words}: two of its leads exchanged`,
        of: part.id,
        prior: swappedPrior,
        effects,
        cause: 'landed so when the motor, its contactor or its drive was changed',
        prove: 'watch which way it turns as it stops, against its arrow; the supply’s order is right',
      },
    ]
  })

/** Weight of a jumper from hot to a call: to the first call that a unit has, its fan, and to any other. */
const joinedPrior = { fan: 0.3, other: 0.05 } as const

/** The hot terminal of the board joined by somebody to a call that then never stops. */
function joinedFaults(diagram: Diagram): readonly Fault[] {
  const hot = boardHot(diagram)
  const board = diagram.parts.get(diagram.board ?? '')
  if (hot === null || !board) return []
  const fanCall = diagram.parts.get(diagram.plate ?? '')?.kind.fanCall
  return callTerminals(diagram).map((point): Fault => {
    const name = terminalOfPoint(point)
    return {
      id: `${board.id}:${terminalOfPoint(hot)}-joined-${name}`,
      class: 'joined',
      words: `${board.words}: ${terminalOfPoint(hot)} joined to ${name} by somebody`,
      of: board.id,
      prior: name === fanCall ? joinedPrior.fan : joinedPrior.other,
      effects: [{ does: 'join', from: hot, to: point, ohms: 0.05 }],
      cause: 'a jumper left in, or put in so that ventilation never stops',
      prove: 'look at the board for a strange wire',
    }
  })
}

const known = new WeakMap<Diagram, readonly Fault[]>()

/** Every single thing that can be wrong with the unit's parts, wires, settings and landings. */
export function faultsOf(diagram: Diagram): readonly Fault[] {
  const kept = known.get(diagram)
  if (kept) return kept
  const faults = [
    ...[...diagram.parts.values()].flatMap((part) => partFaults(diagram, part)),
    ...[...diagram.wires.values()].flatMap((wire) => wireFaults(diagram, wire)),
    ...crossedFaults(diagram),
    ...landingFaults(diagram),
    ...joinedFaults(diagram),
    ...addedFaults(diagram),
    ...polarityFaults(diagram),
    ...swappedFaults(diagram),
    ...poorJointFaults(diagram),
  ]
  known.set(diagram, faults)
  return faults
}
