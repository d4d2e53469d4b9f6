import { feedingOf, ratedAmps } from '../diagram/feeding'
import type { Diagram, Part } from '../diagram/diagram'
import { controlFuses } from '../diagram/roles'
import { wiresOn } from '../diagram/wireAt'
import { Circuit } from './circuit'
import { runsFromAmps } from './loadAmps'
import { clampAmps } from './meter'
import { situationOf } from './situation'
import { isPowerLoad } from '../parts/powerLoad'

/** Ratings of a unit that do not fit each other: which part, and why. */
export interface Implausible {
  readonly rule: 'transformer' | 'control-fuse' | 'circuit-size' | 'motor-amps' | 'wire-numbers'
  readonly of: string
  readonly words: string
}

/** Everything about a unit's ratings that the rules of the trade say cannot be so. */
export const implausible = (diagram: Diagram): readonly Implausible[] => {
  const healthy = diagram.calls.map(({ id }) => new Circuit(diagram, situationOf(diagram, id)))
  return [
    ...transformers(diagram, healthy),
    ...controlFuseSizes(diagram),
    ...circuitSizes(diagram, healthy),
    ...motorAmps(diagram, healthy),
    ...wireNumbers(diagram),
  ]
}

/** A transformer is not asked for more than it is rated for in any call. */
const transformers = (diagram: Diagram, healthy: readonly Circuit[]): readonly Implausible[] =>
  [...diagram.parts.values()].flatMap(({ id, kind, settings }): readonly Implausible[] => {
    const rated = kind.fullLoadAmps?.(settings)
    if (rated === undefined) return []
    const amps = healthy.map((circuit) => clampAmps(circuit.healthy, linkOf(circuit, `${id}/secondary`)))
    const most = Math.max(...amps)
    return most > rated
      ? [
          {
            rule: 'transformer',
            of: id,
            words: `gives ${most.toFixed(2)} A where it is rated for ${rated.toFixed(2)} A`,
          },
        ]
      : []
  })

/** A control fuse of more than twice what the transformer gives protects nothing (order of NEC 430.72(C), 450.3(B)). */
const mostFuseShare = 2

function controlFuseSizes(diagram: Diagram): readonly Implausible[] {
  const [rated] = [...diagram.parts.values()].flatMap(
    ({ kind, settings }) => kind.fullLoadAmps?.(settings) ?? [],
  )
  if (rated === undefined) return []
  return controlFuses(diagram)
    .filter(({ settings }) => settings.number('amps') > mostFuseShare * rated)
    .map(({ id, settings }) => ({
      rule: 'control-fuse',
      of: id,
      words: `${settings.number('amps')} A behind a transformer that gives ${rated.toFixed(2)} A`,
    }))
}

/** Standard sizes of overcurrent devices, amps (NEC 240.6, as far as these units go). */
const standardAmps = [1, 3, 5, 6, 10, 15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125] as const
/** Smaller branch circuits are not made. */
const leastAmps = 15

/**
 * A breaker or line fuse holds what it feeds, 1.25 times the largest and all others (NEC 440.33, 424.3(B)), and is not
 * larger than its group allows: 2.25 times the largest motor-compressor and all others, the standard size below; without
 * one 1.25 times all of it, the size above (440.22).
 */
function circuitSizes(diagram: Diagram, healthy: readonly Circuit[]): readonly Implausible[] {
  return [...diagram.parts.values()].flatMap((part): readonly Implausible[] => {
    if (!part.kind.overcurrent || part.kind.protects?.(part.settings) === 'control') return []
    const fed = loadsOf(diagram, part)
    // what never runs together is not counted together
    const together = healthy
      .map((circuit) => limitsOf(fed.filter((load) => runs(circuit, load))))
      .filter(({ least }) => least > 0)
    if (together.length === 0) return []
    const least = Math.max(...together.map((limits) => limits.least))
    const most = Math.max(...together.map((limits) => limits.most))
    const amps = part.settings.number('amps')
    if (amps < least)
      return [
        { rule: 'circuit-size', of: part.id, words: `${amps} A where its loads need ${least.toFixed(1)} A` },
      ]
    return amps > most
      ? [{ rule: 'circuit-size', of: part.id, words: `${amps} A where its loads allow ${most} A` }]
      : []
  })
}

const runs = ({ healthy, network }: Circuit, { id }: Part): boolean =>
  network.links.some(
    ({ part, role }, link) => part?.id === id && role === 'load' && clampAmps(healthy, link) > runsFromAmps,
  )

/** Loads behind a breaker or fuse, by the wires on its far side. */
function loadsOf(diagram: Diagram, part: Part): readonly Part[] {
  const far = new Set(part.kind.branches(part.settings, {}).map(({ to }) => `${part.id}.${to}`))
  const fed = [...diagram.wires.values()]
    .filter(({ from, to }) => far.has(from) || far.has(to))
    .flatMap((wire) => feedingOf(diagram, wire).loads)
  return [...new Set(fed)].flatMap((id) => {
    const load = diagram.parts.get(id)
    return load && drawsPower(load) ? [load] : []
  })
}

/** Motors and heaters; a drive stands for the motor behind it. */
const drawsPower = ({ kind }: Part): boolean =>
  isPowerLoad(kind) || (kind.moving !== undefined && typeof kind.settings.amps === 'number')

function limitsOf(loads: readonly Part[]): { readonly least: number; readonly most: number } {
  const heat = loads
    .filter(({ kind }) => kind.cause === 'elements')
    .reduce((sum, load) => sum + ratedAmps(load), 0)
  const others = loads.filter(({ kind }) => kind.cause !== 'elements')
  const all = others.reduce((sum, load) => sum + ratedAmps(load), 0)
  const largest = Math.max(0, ...others.map(ratedAmps))
  const least = 1.25 * heat + 0.25 * largest + all
  const compressor = Math.max(0, ...loads.filter(({ kind }) => kind.cause === 'compressor').map(ratedAmps))
  const above = (amps: number): number =>
    standardAmps.find((size) => size >= Math.max(amps, leastAmps)) ?? Infinity
  const below = (amps: number): number =>
    [...standardAmps].reverse().find((size) => size <= amps) ?? leastAmps
  const most =
    compressor > 0 ? below(1.25 * heat + 2.25 * compressor + all - compressor) : above(1.25 * (heat + all))
  return { least, most: Math.max(most, above(least), leastAmps) }
}

/** A healthy motor at its rated volts draws its plate, within so much of it. */
const plateShare = 0.15

const motorAmps = (diagram: Diagram, healthy: readonly Circuit[]): readonly Implausible[] =>
  [...diagram.parts.values()].flatMap((part): readonly Implausible[] => {
    if (part.kind.symbol !== 'motor' || typeof part.kind.settings.amps !== 'number') return []
    const own = wiresOn(diagram, part.id)
    const amps = healthy.flatMap((circuit) =>
      own.map(({ id }) => clampAmps(circuit.healthy, linkOf(circuit, id))),
    )
    const most = Math.max(0, ...amps)
    const plate = ratedAmps(part)
    return most > 0.05 && Math.abs(most / plate - 1) > plateShare
      ? [{ rule: 'motor-amps', of: part.id, words: `draws ${most.toFixed(2)} A on a plate of ${plate} A` }]
      : []
  })

/** No number stands on wires of line and of control voltage. */
function wireNumbers({ wires }: Diagram): readonly Implausible[] {
  const all = [...wires.values()]
  const line = new Set(all.filter(({ wiring }) => wiring === 'line').map(({ number }) => number))
  return all
    .filter(({ wiring, number }) => wiring === 'control' && /^\d+$/.test(number) && line.has(number))
    .map(({ id, number }) => ({
      rule: 'wire-numbers',
      of: id,
      words: `number ${number} is on a line-voltage wire too`,
    }))
}

function linkOf({ network }: Circuit, id: string): number {
  const link = network.linkNumbers.get(id)
  if (link === undefined) throw new RangeError(`${id} is not in this unit`)
  return link
}
