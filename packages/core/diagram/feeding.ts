import type { Diagram, Part, Wire } from './diagram'
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

/** Of one diagram: what hangs on a source with every wire in place, and what each wire feeds. */
interface Known {
  readonly wasFed: (point: string) => boolean
  readonly feedings: Map<string, Feeding>
}

const knownOf = new WeakMap<Diagram, Known>()

/** What a wire feeds, by the wiring: the loads that lose a terminal's connection to every source when it is taken out. */
export function feedingOf(diagram: Diagram, wire: Wire): Feeding {
  const known = knownOf.get(diagram) ?? {
    wasFed: fedPoints(diagram, null),
    feedings: new Map<string, Feeding>(),
  }
  knownOf.set(diagram, known)
  const feeding = known.feedings.get(wire.id) ?? findFeeding(diagram, wire, known.wasFed)
  known.feedings.set(wire.id, feeding)
  return feeding
}

function findFeeding(diagram: Diagram, wire: Wire, wasFed: Known['wasFed']): Feeding {
  const cutOff = loadsBehind(diagram, wire, wasFed)
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
function loadsBehind(diagram: Diagram, without: Wire, wasFed: Known['wasFed']): readonly Part[] {
  const isFed = fedPoints(diagram, without)
  const isBehind = (point: string): boolean => wasFed(point) && !isFed(point)
  return [...diagram.parts.values()].filter(({ id, kind, settings }) =>
    kind
      .branches(settings, {})
      .some(
        ({ role, from, to }) =>
          (role === 'load' || role === 'coil') && (isBehind(`${id}.${from}`) || isBehind(`${id}.${to}`)),
      ),
  )
}

/** Which points hang on a source by wires, contacts and fuses, with one wire taken out. */
function fedPoints(diagram: Diagram, without: Wire | null): (point: string) => boolean {
  const joined = new Joined()
  const sources: string[] = []
  for (const wire of diagram.wires.values()) if (wire !== without) joined.join(wire.from, wire.to)
  for (const { id, kind, settings } of diagram.parts.values()) {
    // of a transformer only its secondary feeds anything: its primary is fed
    const [secondary = []] = kind.fullLoadAmps ? (kind.poles?.(settings) ?? []) : []
    sources.push(...secondary.map((terminal) => `${id}.${terminal}`))
    for (const { from, to, role } of kind.branches(settings, {})) {
      if (role === 'source') sources.push(`${id}.${from}`)
      const conducts = role === 'conductor' || role === 'contact' || role === 'fuse'
      if (conducts && from !== earth && to !== earth) joined.join(`${id}.${from}`, `${id}.${to}`)
    }
  }
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
  const isFed = fedPoints(diagram, null)
  const joined = new Joined()
  for (const { from, to } of diagram.wires.values()) joined.join(from, to)
  for (const { id, kind, settings } of diagram.parts.values())
    for (const { from, to, role } of kind.branches(settings, {}))
      if (role === 'conductor' || role === 'contact' || role === 'fuse')
        joined.join(endOf(id, from), endOf(id, to))
  return (point) => isFed(point) || joined.find(point) === joined.find(earth)
}

const endOf = (part: string, terminal: string): string => (terminal === earth ? earth : `${part}.${terminal}`)

/** Amps by the plate, roughly: enough to tell a compressor from its crankcase heater. */
export function ratedAmps({ kind, settings }: Part): number {
  const named = (name: string): number => (name in kind.settings ? settings.number(name) : 0)
  if (named('amps') > 0) return named('amps')
  if (named('watts') > 0)
    return named('watts') / Math.max(1, named('volts')) / (kind.threePhase ? Math.sqrt(3) : 1)
  return 0.2
}
