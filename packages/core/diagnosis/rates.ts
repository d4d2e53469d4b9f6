import { partOfPoint, type Diagram, type Part } from '../diagram/diagram'
import { supplies } from '../diagram/roles'
import type { Fault, PointId } from '../parts/effect'
import type { CauseGroup } from '../parts/causeGroup'
import { feedingOf } from '../diagram/feeding'
import { wiresAt, wiresOn } from '../diagram/wireAt'

/** How often a group is the cause of a call, in hundredths: what careful and what generous people say. */
type Opinion = readonly [low: number, high: number]
type Rates = Readonly<Partial<Record<CauseGroup, Opinion>>>

/** Electric heat in any unit that has it: contacts and sequencers first, then elements and limits. */
const electricHeat: Rates = {
  elements: [7, 10],
  limits: [7, 10],
  'heat-switching': [12, 15],
  'heat-fuses': [5, 7],
}

/**
 * Causes of calls by class of unit. Orders of magnitude to begin with, as the trade states them: opinions differ by about
 * a factor of two, which the two ends give; a shop's own counts take over. Groups that a unit does not have drop out, and
 * the rest are shares of what is left.
 */
const ratesByClass: Readonly<Record<string, Rates>> = {
  /** Single-phase condensing and heat-pump sections: a run capacitor more than anything else. */
  'heat-pump': {
    'run-capacitor': [20, 30],
    contactor: [8, 12],
    'fan-motor': [13, 18],
    charge: [10, 15],
    short: [6, 10],
    thermostat: [8, 12],
    drain: [6, 12],
    board: [4, 6],
    disconnect: [3, 5],
    compressor: [3, 5],
    transformer: [2, 3],
    'reversing-valve': [1, 3],
    defrost: [2, 4],
    wires: [5, 8],
    air: [4, 8],
    ...electricHeat,
  },
  /** Rooftop units: air and charge, economizers that nobody keeps, gas ignition in the heating season. */
  rooftop: {
    economizer: [8, 12],
    contactor: [6, 10],
    air: [12, 18],
    charge: [12, 18],
    'fan-motor': [6, 10],
    gas: [10, 15],
    short: [5, 8],
    thermostat: [8, 12],
    phase: [3, 5],
    disconnect: [4, 6],
    wires: [6, 10],
    board: [4, 6],
    compressor: [3, 5],
    'run-capacitor': [3, 6],
    drain: [3, 5],
    transformer: [2, 3],
    detector: [2, 4],
    ...electricHeat,
  },
  /** Fan coils: water before anything electrical, then relay, motor and what changes over. */
  'fan-coil': {
    drain: [20, 30],
    board: [10, 15],
    'fan-motor': [7, 11],
    'run-capacitor': [4, 8],
    changeover: [10, 20],
    thermostat: [10, 15],
    transformer: [2, 4],
    short: [4, 6],
    'heat-switching': [4, 6],
    limits: [3, 4],
    elements: [2, 4],
    contactor: [4, 8],
    charge: [6, 10],
    compressor: [2, 4],
    disconnect: [3, 5],
    wires: [4, 7],
    air: [4, 8],
  },
  /** Air handlers with electric heat: contacts, elements and limits; airflow. */
  'air-handler': {
    elements: [15, 20],
    limits: [15, 20],
    'heat-switching': [25, 30],
    'heat-fuses': [10, 15],
    air: [10, 15],
    wires: [8, 10],
    'fan-motor': [5, 8],
    contactor: [4, 6],
    short: [3, 5],
    thermostat: [6, 10],
    phase: [3, 5],
    disconnect: [3, 5],
    transformer: [2, 3],
    drive: [4, 8],
    board: [2, 4],
    changeover: [2, 4],
    charge: [1, 2],
    drain: [2, 4],
  },
  /** Gas unit heaters hang in dirt: igniter, flame rod and draft before all else, then the fan that moves the heat. */
  'unit-heater': {
    gas: [30, 45],
    'fan-motor': [10, 15],
    thermostat: [8, 12],
    limits: [5, 8],
    'run-capacitor': [3, 6],
    board: [4, 6],
    transformer: [4, 6],
    short: [3, 5],
    disconnect: [3, 5],
    wires: [5, 8],
    air: [2, 4],
    elements: [6, 9],
    'heat-switching': [10, 14],
    'heat-fuses': [4, 6],
  },
  /** Terminal boxes with electric heat: no air past the heater, and what switches it; a fan that runs for years. */
  'terminal-box': {
    'heat-switching': [15, 20],
    limits: [12, 18],
    elements: [10, 14],
    'fan-motor': [10, 16],
    thermostat: [10, 15],
    air: [6, 10],
    'run-capacitor': [4, 7],
    board: [5, 8],
    transformer: [3, 5],
    short: [3, 5],
    disconnect: [3, 5],
    wires: [5, 8],
  },
}

/**
 * Of any unit: floats, freeze and smoke switches that installers wire into a call. Opinions differ more than
 * about what a maker fits, for nobody keeps count of them.
 */
const anywhere: Rates = { added: [1, 3] }

/** For a class of unit that nobody has stated rates of. */
const otherwise: Rates = ratesByClass.rooftop

/** Rate of a group that the class of unit says nothing of, in hundredths. */
const unstated = 1.5

/** The share of each fault among all causes of a call, by the rate of its group; they sum to one. */
export function sharesOf(diagram: Diagram, faults: readonly Fault[]): readonly number[] {
  const rates = { ...anywhere, ...(ratesByClass[diagram.unitClass] ?? otherwise) }
  const groups = faults.map((fault) => groupOf(diagram, fault))
  const weights = withNoShortLeft(
    faults,
    groups,
    faults.map(
      (fault) =>
        fault.prior * runShare(diagram, fault) * standingShare(diagram, fault) * weldingShare(diagram, fault),
    ),
  )
  const whole = new Map<CauseGroup, number>()
  groups.forEach((group, k) => whole.set(group, (whole.get(group) ?? 0) + weights[k]))
  const rateOf = (group: CauseGroup): number => {
    const [low, high] = rates[group] ?? [unstated, unstated]
    return Math.sqrt(low * high)
  }
  const total = [...whole.keys()].reduce((sum, group) => sum + rateOf(group), 0)
  return groups.map((group, k) => (rateOf(group) / total) * (weights[k] / (whole.get(group) ?? 1)))
}

/** The group that a fault is counted in. */
export function groupOf(diagram: Diagram, fault: Fault): CauseGroup {
  const part = diagram.parts.get(fault.of)
  if (fault.countedWith) return fault.countedWith
  if (!part) {
    const isControl = diagram.wires.get(fault.of)?.wiring === 'control'
    return isControl && (fault.class === 'ground' || fault.class === 'crossed') ? 'short' : 'wires'
  }
  if (fault.class === 'joined' && part.kind.symbol === 'terminal') return 'wires'
  if (isControlShort(part, fault)) return 'short'
  const { cause } = part.kind
  if (cause === 'limits' && !hasElectricHeat(diagram)) return 'gas'
  return feedsHeat(diagram, part) ? (inHeat[cause] ?? cause) : cause
}

/**
 * Of the control fuses that have opened, those for which no reason is left: they were worn, or somebody's
 * probe slipped. As many on a unit with two coils as on one with ten. Opinions differ, from one in twelve to
 * one in six.
 */
const noShortLeft = 0.12

/** The weights by fault, with those of the opened control fuses made that share of their group. */
function withNoShortLeft(
  faults: readonly Fault[],
  groups: readonly CauseGroup[],
  weights: readonly number[],
): readonly number[] {
  const isAlone = (k: number): boolean => groups[k] === 'short' && faults[k].class === 'blown'
  const sum = (isOne: (k: number) => boolean): number =>
    weights.reduce((total, weight, k) => (isOne(k) ? total + weight : total), 0)
  const shorts = sum((k) => groups[k] === 'short' && !isAlone(k))
  const alone = sum(isAlone)
  if (shorts === 0 || alone === 0) return weights
  const scale = (noShortLeft / (1 - noShortLeft)) * (shorts / alone)
  return weights.map((weight, k) => (isAlone(k) ? scale * weight : weight))
}

/** Shorts of the low-voltage circuit, and a control fuse that has opened for no reason that is left. */
function isControlShort({ kind, settings }: Part, { class: sort }: Fault): boolean {
  if (sort === 'blown') return kind.protects?.(settings) === 'control'
  const isOfControl = kind.symbol === 'coil' || kind.symbol === 'valve'
  return isOfControl && (sort === 'short' || sort === 'ground')
}

/** Limits of a unit without electric heat watch a gas section. */
const hasElectricHeat = ({ parts }: Diagram): boolean =>
  [...parts.values()].some(({ kind }) => kind.cause === 'elements')

/** Groups that go by another name where what a part switches is a heater. */
const inHeat: Readonly<Partial<Record<CauseGroup, CauseGroup>>> = {
  contactor: 'heat-switching',
  board: 'heat-switching',
  disconnect: 'heat-fuses',
}

/** Whether a part is in the line of nothing but heaters. */
function feedsHeat(diagram: Diagram, part: Part): boolean {
  const own = wiresOn(diagram, part.id).filter(({ wiring }) => wiring === 'line')
  const fed = own.flatMap((wire) => feedingOf(diagram, wire).loads)
  const behind = fed.filter((id) => id !== part.id).map((id) => diagram.parts.get(id)?.kind.cause)
  return behind.length > 0 && behind.every((cause) => cause === 'elements')
}

/**
 * A wire's share of its run: wires that follow each other through a splice with nothing else on it are one run to the
 * trade, so that a splice more makes no fault more.
 */
function runShare(diagram: Diagram, { of, class: sort }: Fault): number {
  const wire = diagram.wires.get(of)
  if (!wire || sort === 'crossed') return 1
  const lengthTo = (end: string): number => {
    let at = end
    let length = 0
    let last = wire.id
    for (;;) {
      const part = diagram.parts.get(partOfPoint(at))
      const on = wiresAt(diagram, at)
      const next = on.find(({ id }) => id !== last)
      if (!part || part.kind.symbol !== 'terminal' || on.length !== 2 || !next || part.id === diagram.board)
        return length
      length += 1
      last = next.id
      at = next.from === at ? next.to : next.from
    }
  }
  return 1 / (1 + lengthTo(wire.from) + lengthTo(wire.to))
}

/**
 * A standing short ahead of everything that could open is not met: nothing upstream would survive it, no
 * service and no transformer of some tens of volt-amperes.
 */
const standingShort = 0.02

function standingShare(diagram: Diagram, { of, class: sort }: Fault): number {
  const wire = diagram.wires.get(of)
  if (!wire || sort !== 'ground') return 1
  const feeds = new Set(supplies(diagram).map(({ id }) => id))
  const isAhead = (end: PointId): boolean => {
    const id = partOfPoint(end)
    return feeds.has(id) || (wire.wiring === 'control' && diagram.parts.get(id)?.kind.cause === 'transformer')
  }
  return isAhead(wire.from) || isAhead(wire.to) ? standingShort : 1
}

/**
 * Contacts that make a control circuit's small current weld seldom; what is left is an armature that sticks.
 */
const pilotWelds = 0.3

function weldingShare(diagram: Diagram, { of, welds, effects }: Fault): number {
  if (!welds) return 1
  const { kind, settings } = diagram.parts.get(of) ?? {}
  const held = new Set(effects.flatMap((effect) => (effect.does === 'hold' ? [effect.branch] : [])))
  const ends = (settings ? (kind?.branches(settings, {}) ?? []) : []).flatMap(({ name, from, to }) =>
    held.has(`${of}/${name}`) ? [`${of}.${from}`, `${of}.${to}`] : [],
  )
  const onIt = [...diagram.wires.values()].filter(({ from, to }) => ends.includes(from) || ends.includes(to))
  return onIt.every(({ wiring }) => wiring === 'control') ? pilotWelds : 1
}
