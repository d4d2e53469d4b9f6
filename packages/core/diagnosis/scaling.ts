import { isAcVolts, type Meter } from '../circuit/meters'
import { partOfPoint, type Diagram } from '../diagram/diagram'
import { circuitOf } from '../diagram/joins'
import type { FactorTerm } from './factors'
import { loadOhmsFactors } from './ohmsFactors'
import { feedingOf, isCarried } from '../diagram/feeding'
import { loadBetween } from '../diagram/loadBetween'
import { wireJoining } from '../diagram/wireJoining'

/** The building's volts, against those that the unit is drawn for. */
export const supplyFactor: FactorTerm = { key: 'supply', mean: 0, spread: 0.035 }
const transformerSpread = 0.04
/** One clamp reads all wires by the same share too high or too low. */
const clampFactor: FactorTerm = { key: 'clamp', mean: 0, spread: 0.025 }

/** The factor of a transformer's secondary against what its tap says. */
export const transformerFactor = (part: string): FactorTerm => ({
  key: `transformer ${part}`,
  mean: 0,
  spread: transformerSpread,
})

/** Volts that divide by the impedances of loads: a motor's windings and its capacitor, of whatever make. */
const dividedSpread = 0.4
const dividedFactor = (from: string, to: string): FactorTerm => ({
  key: `divided ${[from, to].sort().join(' ')}`,
  mean: 0,
  spread: dividedSpread,
})

const known = new WeakMap<Diagram, Map<string, readonly FactorTerm[]>>()

/**
 * The factors that a reading scales with. Volts scale with the supply, and behind a transformer with its ratio; amps with
 * what the wire's load draws, which also takes up what the supply does to it. Ohms of one load scale with its
 * make, between whichever of its terminals; direct volts and millivolts with nothing that readings share.
 */
export function factorsOf(diagram: Diagram, meter: Meter, from: string, to: string): readonly FactorTerm[] {
  const kept = known.get(diagram) ?? new Map<string, readonly FactorTerm[]>()
  known.set(diagram, kept)
  const key = `${meter} ${from} ${to}`
  const terms = kept.get(key) ?? findFactors(diagram, meter, from, to)
  kept.set(key, terms)
  return terms
}

function findFactors(diagram: Diagram, meter: Meter, from: string, to: string): readonly FactorTerm[] {
  if (isAcVolts(meter)) {
    const point = from === 'EARTH' ? to : from
    const between = isCarried(diagram, from) && isCarried(diagram, to) ? [] : [dividedFactor(from, to)]
    return [supplyFactor, ...transformersOf(diagram, point), ...between]
  }
  if (meter === 'ohms') {
    const load = loadBetween(diagram, from, to)
    return load === null ? [] : loadOhmsFactors(load)
  }
  if (meter !== 'amps') return []
  const wire = wireJoining(diagram, from, to)
  if (!wire) return []
  const { key, drawn } = feedingOf(diagram, wire)
  return [{ key, mean: drawn.mean, spread: drawn.spread }, clampFactor, ...transformersOf(diagram, wire.from)]
}

/** The transformers whose secondary is in the same circuit as a point. */
const transformersOf = (diagram: Diagram, point: string): readonly FactorTerm[] =>
  [...diagram.parts.values()].flatMap(({ id, kind, settings }) => {
    const [secondary] = kind.fullLoadAmps ? (kind.poles?.(settings) ?? []) : []
    if (!secondary || partOfPoint(point) === '') return []
    return circuitOf(diagram, `${id}.${secondary[0]}`) === circuitOf(diagram, point)
      ? [transformerFactor(id)]
      : []
  })
