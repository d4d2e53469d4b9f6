import { isDead, isInWire, type Meter } from '../circuit/meters'
import type { Diagram, Part } from '../diagram/diagram'
import { partOfPoint } from '../diagram/diagram'
import { commonNear } from '../diagram/commonNear'
import { isCarried } from '../diagram/feeding'
import { linePoints } from '../diagram/linePoints'
import type { Branch } from '../parts/kind'
import { isPowerLoad } from '../parts/powerLoad'

/** A reading that could be taken: red lead, black lead (or the wire under the clamp). */
export interface Candidate {
  readonly meter: Meter
  readonly from: string
  readonly to: string
}

/** One reading, whichever lead is on which point. */
export const pairKey = (meter: Meter, from: string, to: string): string =>
  `${meter} ${[from, to].sort().join(' ')}`

const across = (part: Part): readonly (readonly [string, string])[] => {
  const named = (name: string): boolean => !name.startsWith('~') && name !== 'EARTH'
  const ofBranches = part.kind
    .branches(part.settings, {})
    .filter(({ from, to, role }) => named(from) && named(to) && role !== 'output' && role !== 'winding')
    .map(({ from, to }) => [from, to] as const)
  const pairs = [...ofBranches, ...(part.kind.pairs?.(part.settings) ?? [])]
  return [...new Map(pairs.map((pair) => [[...pair].sort().join(' '), pair])).values()]
}

/** Points whose path to the control common runs through control wiring: their volts are taken against it. */
function controlPoints(diagram: Diagram): ReadonlySet<string> {
  const lineWired = linePoints(diagram)
  const wired = new Set(
    [...diagram.wires.values()]
      .filter(({ wiring }) => wiring === 'control')
      .flatMap(({ from, to }) => [from, to]),
  )
  return new Set([...wired].filter((point) => !lineWired.has(point)))
}

const joins = (branch: Branch, from: string, to: string): boolean =>
  (branch.from === from && branch.to === to) || (branch.from === to && branch.to === from)

/** Direct-current points: across sensors, their inputs, the damper signal and a drive’s bus. */
const isDirect = (part: Part, from: string, to: string): boolean =>
  part.kind
    .branches(part.settings, {})
    .some(
      (branch) =>
        (branch.role === 'output' || branch.role === 'sensor' || branch.name === 'signal') &&
        joins(branch, from, to),
    )

/** What stays charged is no place for what puts out a current of its own. */
const staysCharged = ({ kind }: Part, from: string, to: string): boolean =>
  kind.storedBetween?.every((point) => point === from || point === to) === true

const known = new WeakMap<
  Diagram,
  {
    readonly live: readonly Candidate[]
    readonly isolated: readonly Candidate[]
  }
>()

/** What can be asked of a unit does not change: worked out once. */
function candidatesOf(diagram: Diagram) {
  const kept = known.get(diagram) ?? {
    live: findLive(diagram),
    isolated: findIsolated(diagram),
  }
  known.set(diagram, kept)
  return kept
}

/**
 * Every live reading worth proposing: each control point to common, across each contact, coil, fuse and pair,
 * amps to each load.
 */
export const liveCandidates = (diagram: Diagram): readonly Candidate[] => candidatesOf(diagram).live

function findLive(diagram: Diagram): readonly Candidate[] {
  const control = controlPoints(diagram)
  const toCommon = [...control]
    .filter((point) => point !== diagram.common)
    .map((point): Candidate => ({ meter: 'volts', from: point, to: commonNear(diagram, point) }))
  // line points to bare metal: where one conductor stops; never proof that it is dead
  const toMetal = [...diagram.points.values()]
    .filter(({ id, part }) => !control.has(id) && switchesLine(diagram, part))
    .map(({ id }): Candidate => ({ meter: 'volts', from: id, to: 'EARTH' }))
  const acrossParts = [...diagram.parts.values()].flatMap((part) =>
    across(part).flatMap(([from, to]): readonly Candidate[] => {
      const points = { from: `${part.id}.${from}`, to: `${part.id}.${to}` }
      if (isDirect(part, from, to)) return [{ meter: 'dc', ...points }]
      // volts across a start winding or a capacitor divide by what no plate gives
      const isTold = isCarried(diagram, points.from) && isCarried(diagram, points.to)
      return isTold ? [{ meter: 'volts', ...points }] : []
    }),
  )
  const clamped = [...diagram.wires.values()]
    .filter((wire) => feedsLoad(diagram, wire.to) || feedsLoad(diagram, wire.from))
    .map((wire): Candidate => ({ meter: 'amps', from: wire.from, to: wire.to }))
  // a coil whose other end is the common of its place is read across once
  const all = [...toCommon, ...acrossParts, ...toMetal, ...clamped]
  return [...new Map(all.map((each) => [pairKey(each.meter, each.from, each.to), each])).values()]
}

const switchesLine = (diagram: Diagram, part: string): boolean => {
  const kind = diagram.parts.get(part)?.kind
  return kind?.breaksLine === true || kind?.symbol === 'fuse'
}

const isLoad = (diagram: Diagram, id: string): boolean => {
  const part = diagram.parts.get(id)
  return part !== undefined && isPowerLoad(part.kind)
}

/**
 * A load, a fuse and a transformer have amps that are known: what overloads a transformer shows on its own
 * leads.
 */
const feedsLoad = (diagram: Diagram, point: string): boolean => {
  const id = partOfPoint(point)
  const kind = diagram.parts.get(id)?.kind
  return isLoad(diagram, id) || kind?.symbol === 'fuse' || kind?.fullLoadAmps !== undefined
}

/**
 * Unit isolated: ohms across what can be open or shorted, microfarads of capacitors; ohms from control points to common,
 * and to bare metal from every terminal of a load and of what breaks line conductors: after a trip this is how the
 * grounded one is found.
 */
export const isolatedCandidates = (diagram: Diagram): readonly Candidate[] => candidatesOf(diagram).isolated

function findIsolated(diagram: Diagram): readonly Candidate[] {
  const acrossParts = [...diagram.parts.values()]
    .filter((part) => part.kind.symbol !== 'source' && part.kind.symbol !== 'terminal')
    .flatMap((part) =>
      across(part)
        .filter(([from, to]) => !staysCharged(part, from, to))
        .map(([from, to]): Candidate => ({
          // with ohms the winding beside it would be read
          meter: part.kind.symbol === 'capacitor' ? 'microfarads' : 'ohms',
          from: `${part.id}.${from}`,
          to: `${part.id}.${to}`,
        })),
    )
  const board = [...diagram.points.values()].filter(({ part }) => part === partOfPoint(diagram.common))
  const toCommon = board
    .filter(({ id }) => id !== diagram.common)
    .map(({ id }): Candidate => ({ meter: 'ohms', from: id, to: diagram.common }))
  const control = controlPoints(diagram)
  const wired = new Set([...diagram.wires.values()].flatMap(({ from, to }) => [from, to]))
  const toMetal = [...diagram.points.values()]
    .filter(
      ({ id, part }) =>
        wired.has(id) && !control.has(id) && (isLoad(diagram, part) || switchesLine(diagram, part)),
    )
    .map(({ id }): Candidate => ({ meter: 'ohms', from: id, to: 'EARTH' }))
  // of those that tell the same the board goes first: nobody reads the rest of a circuit across an open
  // contact
  return [...toCommon, { meter: 'ohms', from: diagram.common, to: 'EARTH' }, ...acrossParts, ...toMetal]
}

/** What a step costs, in seconds of a technician's time with its risk and reach counted in. */
export interface CostRules {
  readonly touchSeconds: number
  readonly clampSeconds: number
  /** A wire taken off for a reading, what it holds discharged, and the wire put back. */
  readonly wireOffSeconds: number
  readonly changeCallSeconds: number
  readonly isolateSeconds: number
  /** Factor on work at line voltage. */
  readonly lineRisk: number
  /** Leaving the path that is being followed. */
  readonly asideSeconds: number
}

export const defaultCosts: CostRules = {
  touchSeconds: 15,
  clampSeconds: 25,
  wireOffSeconds: 90,
  changeCallSeconds: 45,
  isolateSeconds: 240,
  lineRisk: 1.6,
  asideSeconds: 4,
}

const handlingSeconds = (meter: Meter, rules: CostRules): number => {
  if (meter === 'microamps' || meter === 'microfarads') return rules.wireOffSeconds
  return meter === 'amps' ? rules.clampSeconds : rules.touchSeconds
}

/**
 * The cost of a reading where it is taken, given the path being followed. `changes` are the switchings that
 * it needs.
 */
export function costOf(
  diagram: Diagram,
  { meter, from, to }: Candidate,
  path: ReadonlySet<string>,
  changes: { readonly call: boolean; readonly power: boolean },
  rules: CostRules,
): number {
  const live = !isDead(meter) && isLine(diagram, from)
  const touch = handlingSeconds(meter, rules) * (live ? rules.lineRisk : 1)
  const aside = path.has(from) || isInWire(meter) || isDead(meter) ? 0 : rules.asideSeconds
  return (
    touch + aside + (changes.call ? rules.changeCallSeconds : 0) + (changes.power ? rules.isolateSeconds : 0)
  )
}

const isLine = (diagram: Diagram, point: string): boolean => linePoints(diagram).has(point)
