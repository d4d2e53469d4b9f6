import type { Meter } from '../circuit/meter'
import type { Diagram } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'
import type { CaseFile, DropPoint, EntryBody } from './entry'
import { atArrival, follow, settingOf, type SettingChange, type Standing } from './standing'

/** One thing seen or measured, and what held when it was. */
export type Evidence =
  | {
      readonly kind: 'reading'
      readonly standing: Standing
      readonly meter: Meter
      readonly from: string
      readonly to: string
      readonly value: number | null
    }
  | { readonly kind: 'look'; readonly standing: Standing; readonly what: string; readonly of: string }
  /** What fell together in a logged stretch, and what held. */
  | {
      readonly kind: 'drop-out'
      readonly standing: Standing
      readonly fell: readonly DropPoint[]
      readonly held: readonly DropPoint[]
    }
  /** How a setting was found, before anybody changed it. */
  | { readonly kind: 'found-set'; readonly standing: Standing; readonly found: SettingChange }

/** What a log says, as far as the search for a cause goes. */
export interface Findings {
  readonly evidence: readonly Evidence[]
  readonly now: Standing
  /** Parts or wires put right, in order. */
  readonly repaired: readonly string[]
  readonly unreachable: ReadonlySet<string>
  readonly complaint: string
  /** Parts that somebody replaced before this visit. */
  readonly replaced: readonly string[]
}

/** Entries are wrong in themselves: ohms on a live circuit, a reading with no second point. */
export class EvidenceError extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'EvidenceError'
  }
}

/** Folds the entries of a case or visit into findings. Throws EvidenceError and UnknownNameError. */
export function gather(diagram: Diagram, { complaint, entries }: Omit<CaseFile, 'unit'>): Findings {
  const said = complaint || entries.find((entry) => entry.kind === 'complaint')?.complaint || ''
  const home = diagram.complaints.find(({ id, words }) => id === said || words === said)
  let standing = atArrival(diagram, home?.call ?? diagram.calls[0].id)
  const evidence: Evidence[] = []
  const repaired: string[] = []
  const unreachable = new Set<string>()
  const replaced: string[] = []
  for (const entry of entries) {
    if (entry.kind === 'setting') evidence.push(...foundSet(diagram, standing, entry))
    standing = follow(diagram, standing, entry)
    if (entry.kind === 'reading') evidence.push(reading(diagram, standing, entry))
    if (entry.kind === 'observation') evidence.push(look(diagram, standing, entry))
    if (entry.kind === 'drop-out') evidence.push(dropOut(diagram, standing, entry))
    if (entry.kind === 'proof') evidence.push(...proven(diagram, standing, entry))
    if (entry.kind === 'repair') repaired.push(entry.of)
    if (entry.kind === 'unreachable') unreachable.add(entry.of)
    if (entry.kind === 'replaced') {
      if (!diagram.parts.has(entry.of)) throw new UnknownNameError('part', entry.of, diagram.parts.keys())
      replaced.push(entry.of)
    }
  }
  return { evidence, now: standing, repaired, unreachable, replaced, complaint: home?.id ?? said }
}

/** What was read in proof is a reading in the call that was proven, which stood long enough. */
function proven(
  diagram: Diagram,
  standing: Standing,
  { call, values = [] }: EntryBody & { kind: 'proof' },
): readonly Evidence[] {
  if (!diagram.calls.some(({ id }) => id === call))
    throw new UnknownNameError(
      'call',
      call,
      diagram.calls.map(({ id }) => id),
    )
  const running: Standing = { ...standing, call, power: 'on', off: [], age: null }
  return values.flatMap(({ at, value }) =>
    at ? [reading(diagram, running, { kind: 'reading', ...at, value })] : [],
  )
}

function look(diagram: Diagram, standing: Standing, entry: EntryBody & { kind: 'observation' }): Evidence {
  if (!diagram.parts.has(entry.of) && !diagram.wires.has(entry.of))
    throw new UnknownNameError('part or wire', entry.of, [...diagram.parts.keys(), ...diagram.wires.keys()])
  // a code is said as `code` with the code in words
  return {
    kind: 'look',
    standing,
    what: entry.what === 'code' && entry.words ? `code ${entry.words}` : entry.what,
    of: entry.of,
  }
}

function dropOut(
  diagram: Diagram,
  standing: Standing,
  { fell, held }: EntryBody & { kind: 'drop-out' },
): Evidence {
  if (fell.length === 0) throw new EvidenceError('drop-out: name at least one point that fell')
  for (const { from, to } of [...fell, ...held])
    for (const point of [from, to])
      if (point !== 'EARTH' && !diagram.points.has(point))
        throw new UnknownNameError('point', point, diagram.points.keys())
  return { kind: 'drop-out', standing, fell, held }
}

function foundSet(
  diagram: Diagram,
  standing: Standing,
  entry: EntryBody & { kind: 'setting' },
): readonly Evidence[] {
  const place = settingOf(diagram, entry.of)
  if (!place) return []
  const usual = diagram.parts.get(place.part)?.kind.settings[place.setting]
  for (const value of [entry.from, entry.to])
    if (typeof usual === 'number' && !Number.isFinite(Number(value)))
      throw new EvidenceError(`setting ${entry.of}: “${value}” must be a number`)
  return entry.from === '' ? [] : [{ kind: 'found-set', standing, found: { ...place, to: entry.from } }]
}

function reading(diagram: Diagram, standing: Standing, entry: EntryBody & { kind: 'reading' }): Evidence {
  const { meter, from, value } = entry
  const known = (point: string): string => {
    if (point !== 'EARTH' && !diagram.points.has(point))
      throw new UnknownNameError('point', point, diagram.points.keys())
    return point
  }
  if (meter === 'amps') {
    const wire =
      diagram.wires.get(from) ??
      diagram.wires.get(`${from}-${entry.to ?? ''}`) ??
      diagram.wires.get(`${entry.to ?? ''}-${from}`)
    if (!wire) throw new UnknownNameError('wire', `${from}-${entry.to ?? ''}`, diagram.wires.keys())
    if (value === null)
      throw new EvidenceError('a clamp does not show OL: enter the amps, or leave the reading out')
    return { kind: 'reading', standing, meter, from: wire.from, to: wire.to, value }
  }
  const to = entry.to ?? diagram.common
  if (meter === 'ohms' && standing.power === 'on')
    throw new EvidenceError(
      `ohms ${from} to ${to} with the power on: isolate the unit and prove it dead first`,
    )
  if (meter !== 'ohms' && value === null)
    throw new EvidenceError(`${meter} ${from} to ${to}: OL is for the ohms range; enter the volts`)
  if (value !== null && (!Number.isFinite(value) || (value < 0 && meter !== 'dc')))
    throw new EvidenceError(
      `${meter} ${from} to ${to}: ${value} cannot be a reading; enter a number of zero or more`,
    )
  if (known(from) === known(to))
    throw new EvidenceError(`${from}: both leads on one point; choose two points`)
  return { kind: 'reading', standing, meter, from, to, value }
}
