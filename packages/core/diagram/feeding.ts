import type { Diagram, Part, Wire } from './diagram'
import { endOf } from './endOf'
import { Joined } from './joined'
import { earth } from '../parts/effect'
import type { Drawn } from '../parts/kind'
import type { Settings } from '../parts/settings'

/** What a wire feeds: loads that share one unknown, the share by which their current differs from their plates. */
export interface Feeding {
  /** The same for every wire in series with the same loads. */
  readonly key: string
  readonly drawn: Drawn
  /** Every load that it feeds. */
  readonly loads: readonly string[]
}

/** Coils and electronics: impedances differ by some fifteen per cent from one make to the next. */
const coilDrawn: Drawn = { mean: 0, spread: 0.15 }
/** Nobody has read the plate: amps tell that it draws, and how its legs stand to each other, and little else. */
const unreadSpread = 0.5
/** A load of at least this share of what a wire feeds stands for all of it. */
const mostlyShare = 0.85

/** The parts of a diagram as far as they carry, feed or draw, every contact taken as closed. */
interface Carrying {
  readonly sources: readonly string[]
  /** The points that contacts, conductors and fuses join. */
  readonly joins: readonly (readonly [string, string])[]
  readonly loads: readonly { readonly part: Part; readonly ends: readonly string[] }[]
}

/** Of one diagram: what hangs on a source with every wire in place, and what each wire feeds. */
interface Known {
  readonly carrying: Carrying
  readonly wasFed: (point: string) => boolean
  readonly feedings: Map<string, Feeding>
}

const knownOf = new WeakMap<Diagram, Known>()

/** What a wire feeds, by the wiring: the loads that lose a terminal's connection to every source when it is taken out. */
export function feedingOf(diagram: Diagram, wire: Wire): Feeding {
  const known = knownFor(diagram)
  const feeding = known.feedings.get(wire.id) ?? findFeeding(diagram, wire, known)
  known.feedings.set(wire.id, feeding)
  return feeding
}

function knownFor(diagram: Diagram): Known {
  const known = knownOf.get(diagram)
  if (known) return known
  const carrying = carryingOf(diagram)
  const made: Known = { carrying, wasFed: fedPoints(diagram, carrying, null), feedings: new Map() }
  knownOf.set(diagram, made)
  return made
}

function findFeeding(diagram: Diagram, wire: Wire, known: Known): Feeding {
  const cutOff = loadsBehind(diagram, wire, known)
  const weights = cutOff.map((part) => ({ part, amps: ratedAmps(part) }))
  const total = weights.reduce((sum, { amps }) => sum + amps, 0)
  const main = weights.find(({ amps }) => amps >= mostlyShare * total)
  const loads = cutOff.map(({ id }) => id)
  if (main) return { key: `load ${main.part.id}`, drawn: drawnBy(main.part), loads }
  const drawn = cutOff.map(drawnBy)
  if (drawn.length === 0) return { key: `wire ${wire.id}`, drawn: coilDrawn, loads }
  return {
    key: `loads ${loads.join(' ')}`,
    loads,
    drawn: {
      mean: drawn.reduce((sum, { mean }) => sum + mean, 0) / drawn.length,
      spread: Math.max(...drawn.map(({ spread }) => spread)),
    },
  }
}

function drawnBy({ kind, settings }: Part): Drawn {
  const drawn = kind.drawn ?? coilDrawn
  return isPlateUnread(settings) ? { ...drawn, spread: unreadSpread } : drawn
}

/** What a load draws by its plate has not been read. */
const isPlateUnread = (settings: Settings): boolean => settings.isUnread('amps') || settings.isUnread('watts')

/** Loads with a terminal that only this wire joins to a source, every contact taken as closed. */
function loadsBehind(diagram: Diagram, without: Wire, { carrying, wasFed }: Known): readonly Part[] {
  const isFed = fedPoints(diagram, carrying, without)
  return carrying.loads
    .filter(({ ends }) => ends.some((point) => wasFed(point) && !isFed(point)))
    .map(({ part }) => part)
}

function carryingOf(diagram: Diagram): Carrying {
  const sources: string[] = []
  const joins: (readonly [string, string])[] = []
  const loads: { part: Part; ends: string[] }[] = []
  for (const part of diagram.parts.values()) {
    const { id, kind, settings } = part
    // of a transformer only its secondary feeds anything: its primary is fed
    const [secondary = []] = kind.fullLoadAmps ? (kind.poles?.(settings) ?? []) : []
    sources.push(...secondary.map((terminal) => `${id}.${terminal}`))
    const ends: string[] = []
    for (const { from, to, role } of kind.branches(settings, {})) {
      if (role === 'source') sources.push(`${id}.${from}`)
      if (role === 'load' || role === 'coil') ends.push(`${id}.${from}`, `${id}.${to}`)
      if (role === 'conductor' || role === 'contact' || role === 'fuse')
        joins.push([endOf(id, from), endOf(id, to)])
    }
    if (ends.length > 0) loads.push({ part, ends })
  }
  return { sources, joins, loads }
}

/**
 * Which points hang on a source by wires, contacts and fuses, with one wire taken out; the metal feeds
 * nothing.
 */
function fedPoints(
  diagram: Diagram,
  { sources, joins }: Carrying,
  without: Wire | null,
): (point: string) => boolean {
  const joined = new Joined()
  for (const wire of diagram.wires.values()) if (wire !== without) joined.join(wire.from, wire.to)
  for (const [from, to] of joins) if (from !== earth && to !== earth) joined.join(from, to)
  const fed = new Set(sources.map((source) => joined.find(source)))
  return (point) => fed.has(joined.find(point))
}

const carriedBy = new WeakMap<Diagram, (point: string) => boolean>()

/**
 * Whether a point is joined to a source or to the metal of the unit by nothing but wires, contacts and fuses. Any other
 * one lies between loads: what it has divides by their impedances, which no plate gives.
 */
export function isCarried(diagram: Diagram, point: string): boolean {
  const carried = carriedBy.get(diagram) ?? carriedPoints(diagram)
  carriedBy.set(diagram, carried)
  return carried(point)
}

function carriedPoints(diagram: Diagram): (point: string) => boolean {
  const { carrying, wasFed } = knownFor(diagram)
  const joined = new Joined()
  for (const { from, to } of diagram.wires.values()) joined.join(from, to)
  for (const [from, to] of carrying.joins) joined.join(from, to)
  return (point) => wasFed(point) || joined.find(point) === joined.find(earth)
}

/** Amps by the plate, roughly: enough to tell a compressor from its crankcase heater. */
export function ratedAmps({ kind, settings }: Part): number {
  const named = (name: string): number => (name in kind.settings ? settings.number(name) : 0)
  if (named('amps') > 0) return named('amps')
  if (named('watts') > 0)
    return named('watts') / Math.max(1, named('volts')) / (kind.threePhase ? Math.sqrt(3) : 1)
  return 0.2
}
