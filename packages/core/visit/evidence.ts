import { isDead, isInWire, type Meter } from '../circuit/meters'
import { capacitorBetween } from '../diagram/capacitorBetween'
import type { Diagram, Wire } from '../diagram/diagram'
import { addedSwitch } from '../diagram/addedFaults'
import { faultsOf } from '../diagram/faults'
import { UnknownNameError } from '../diagram/nearest'
import type { Effect, Fault } from '../parts/effect'
import { dialMayBe } from '../diagram/dials'
import { wireJoining } from '../diagram/wireJoining'
import type { Conditions } from '../parts/kind'
import { isSurrounding } from '../parts/surroundings'
import { complaintSaid } from './complaintSaid'
import type { CaseFile, DropPoint, EntryBody, StandInResult } from './entry'
import { faultOfLanding, wireBetween, wireNamed } from './movedLead'
import {
  afterLook,
  atArrival,
  follow,
  settingIn,
  settingOf,
  type SettingChange,
  type Standing,
} from './standing'
import { observedWord } from './observedWords'

/** One thing seen or measured, and what held when it was. */
export type Evidence =
  | {
      readonly kind: 'reading'
      readonly standing: Standing
      readonly meter: Meter
      readonly from: string
      readonly to: string
      readonly value: number | null
      /** What was typed; empty where only the number was kept. */
      readonly typed: string
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
  /** A lead found on another terminal than drawn. */
  | { readonly kind: 'found-on'; readonly standing: Standing; readonly of: string; readonly at: string }
  /** What a stand-in did in the place of a fuse. */
  | {
      readonly kind: 'stand-in'
      readonly standing: Standing
      readonly of: string
      readonly amps: number
      readonly result: StandInResult
    }
  /** Something was moved, pressed or touched: what comes and goes at it may have come or gone. */
  | { readonly kind: 'touched'; readonly standing: Standing; readonly of: string }

/** A look at a part or a lead. */
export type Look = Extract<Evidence, { readonly kind: 'look' }>

/** The readings of a log, as they were taken. */
export const readingsOf = ({ evidence }: Pick<Findings, 'evidence'>) =>
  evidence.filter((piece) => piece.kind === 'reading')

/** What a log says, as far as the search for a cause goes. */
export interface Findings {
  readonly evidence: readonly Evidence[]
  readonly now: Standing
  /** Every condition that was measured, as it was last, whatever was put right since. */
  readonly measured: Conditions
  /** Parts or wires put right, in order. */
  readonly repaired: readonly string[]
  readonly unreachable: ReadonlySet<string>
  readonly complaint: string
  /** The call that the visit is about: the complaint's, else the one in which something was read first. */
  readonly home: string
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
  const home = complaintSaid(diagram, said)
  let standing = atArrival(diagram, home?.call ?? diagram.calls[0].id)
  const evidence: Evidence[] = []
  const repaired: string[] = []
  const unreachable = new Set<string>()
  const replaced: string[] = []
  for (const entry of entries) {
    const before = standing
    standing = follow(diagram, standing, entry)
    evidence.push(...told(diagram, before, standing, entry))
    if (entry.kind === 'observation')
      standing = afterLook(diagram, standing, { of: entry.of, what: observedWord(entry) })
    if (entry.kind === 'repair') repaired.push(entry.of)
    const putRight = faultPutRight(diagram, entry)
    if (putRight) {
      repaired.push(putRight.id)
      standing = { ...standing, repairs: standing.repairs + 1 }
    }
    if (entry.kind === 'unreachable') unreachable.add(entry.of)
    if (entry.kind === 'replaced') {
      if (!diagram.parts.has(entry.of)) throw new UnknownNameError('part', entry.of, diagram.parts.keys())
      replaced.push(entry.of)
    }
  }
  return {
    evidence: inSurroundings(evidence, entries),
    now: standing,
    measured: Object.fromEntries(
      entries.flatMap((entry) => (entry.kind === 'condition' ? [[entry.of, entry.value]] : [])),
    ),
    repaired,
    unreachable,
    replaced,
    complaint: home?.id ?? said,
    home: home?.call ?? (evidence.at(0)?.standing ?? standing).call,
  }
}

/**
 * Weather and water measured late were the same before: each piece with what was measured first, where it
 * has nothing.
 */
function inSurroundings(evidence: readonly Evidence[], entries: readonly EntryBody[]): readonly Evidence[] {
  const first: Record<string, number> = {}
  for (const entry of entries)
    if (entry.kind === 'condition' && isSurrounding(entry.of)) first[entry.of] ??= entry.value
  if (Object.keys(first).length === 0) return evidence
  return evidence.map((piece) => ({
    ...piece,
    standing: { ...piece.standing, conditions: { ...first, ...piece.standing.conditions } },
  }))
}

/** The fault that an entry ends without a part being renewed: a setting put right, a lead put back. */
function faultPutRight(diagram: Diagram, entry: EntryBody): Fault | null {
  if (entry.kind === 'setting') return faultOfSetting(diagram, entry)
  const isPutBack = entry.kind === 'alteration-settled' && entry.as === 'corrected'
  const wire = isPutBack && wireBetween(diagram, entry.of)
  if (!wire) return null
  return entry.to ? faultOfLanding(diagram, entry.of, entry.to) : faultOfAdded(diagram, wire)
}

const faultOfAdded = (diagram: Diagram, { id }: Wire): Fault | null =>
  faultsOf(diagram).find((fault) => fault.of === id && fault.class === 'added') ?? null

/**
 * The fault that a setting was, before somebody put it right; null when it was none that the unit is known to
 * have.
 */
export function faultOfSetting(
  diagram: Diagram,
  { of, from, to }: EntryBody & { kind: 'setting' },
): Fault | null {
  const place = settingOf(diagram, of)
  if (!place || from === to) return null
  const found = settingIn(diagram, place, from)
  const isIt = (effect: Effect): boolean =>
    effect.does === 'set' &&
    effect.part === place.part &&
    effect.setting === place.setting &&
    String(effect.to) === found
  return faultsOf(diagram).find(({ effects }) => effects.some(isIt)) ?? null
}

/** What an entry tells of the circuit, taken in the standing that it was made in. */
function told(diagram: Diagram, before: Standing, standing: Standing, entry: EntryBody): readonly Evidence[] {
  switch (entry.kind) {
    case 'setting':
      return foundSet(diagram, before, entry)
    case 'reading':
      return [reading(diagram, before, entry)]
    case 'observation':
      return [look(diagram, before, entry)]
    case 'drop-out':
      return [dropOut(diagram, standing, entry)]
    case 'proof':
      return proven(diagram, standing, entry)
    case 'found-on':
      return [{ kind: 'found-on', standing: before, of: wireNamed(diagram, entry.of).id, at: entry.at }]
    case 'alteration':
      return foundAltered(diagram, before, entry)
    case 'stand-in':
      return [{ kind: 'stand-in', standing, of: entry.of, amps: entry.amps, result: entry.result }]
    case 'action':
      return entry.do === 'wiggle' ? [{ kind: 'touched', standing, of: entry.of }] : []
    default:
      return []
  }
}

/** What somebody altered, as far as it is a finding of its own; the rest is how the unit stands. */
function foundAltered(
  diagram: Diagram,
  standing: Standing,
  { what, of, to = '' }: EntryBody & { kind: 'alteration' },
): readonly Evidence[] {
  if (what === 'moved') return [{ kind: 'found-on', standing, of: wireNamed(diagram, of).id, at: to }]
  return what === 'added'
    ? [{ kind: 'look', standing, what: addedSwitch, of: wireNamed(diagram, of).id }]
    : []
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
  return values.flatMap(({ at, value, typed }) =>
    at ? [reading(diagram, running, { kind: 'reading', ...at, value, ...(typed ? { typed } : {}) })] : [],
  )
}

function look(diagram: Diagram, standing: Standing, entry: EntryBody & { kind: 'observation' }): Evidence {
  if (!diagram.parts.has(entry.of) && !diagram.wires.has(entry.of))
    throw new UnknownNameError('part or wire', entry.of, [...diagram.parts.keys(), ...diagram.wires.keys()])
  return { kind: 'look', standing, what: observedWord(entry), of: entry.of }
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
  for (const value of [entry.from, entry.to])
    if (value !== '' && settingIn(diagram, place, value) === null)
      throw new EvidenceError(`setting ${entry.of}: “${value}” must be ${dialMayBe(diagram, entry.of)}`)
  const found = settingIn(diagram, place, entry.from)
  return found === null || found === ''
    ? []
    : [{ kind: 'found-set', standing, found: { ...place, to: found } }]
}

type ReadingEntry = EntryBody & { readonly kind: 'reading' }

function reading(diagram: Diagram, standing: Standing, entry: ReadingEntry): Evidence {
  const { meter, from, value, typed = '' } = entry
  if (isInWire(meter)) return readingInWire(diagram, standing, entry)
  const to = entry.to ?? diagram.common
  const problem = valueProblem(meter, value, standing.power)
  if (problem !== '') throw new EvidenceError(`${meter} ${from} to ${to}${problem}`)
  for (const point of [from, to])
    if (point !== 'EARTH' && !diagram.points.has(point))
      throw new UnknownNameError('point', point, diagram.points.keys())
  if (from === to) throw new EvidenceError(`${from}: both leads on one point; choose two points`)
  if (meter === 'microfarads') capacitorBetween(diagram, from, to)
  return { kind: 'reading', standing, meter, from, to, value, typed }
}

/** What is wrong with a value of such a function, as the end of a sentence; empty when nothing is. */
function valueProblem(meter: Meter, value: number | null, power: Standing['power']): string {
  if (isDead(meter) && power === 'on') return ' with the power on: isolate the unit and prove it dead first'
  if (value === null) return isDead(meter) ? '' : ': OL is for the ohms range; enter the volts'
  return Number.isFinite(value) && (value >= 0 || meter === 'dc')
    ? ''
    : `: ${value} cannot be a reading; enter a number of zero or more`
}

/** What was read in a wire, the ends as the unit has them. */
function readingInWire(
  diagram: Diagram,
  standing: Standing,
  { meter, from, to = '', value, typed = '' }: ReadingEntry,
): Evidence {
  const wire = diagram.wires.get(from) ?? wireJoining(diagram, from, to)
  if (!wire) throw new UnknownNameError('wire', `${from}-${to}`, diagram.wires.keys())
  if (value === null)
    throw new EvidenceError(`${meter} do not show OL: enter the ${meter}, or leave the reading out`)
  const problem = valueProblem(meter, value, standing.power)
  if (problem !== '') throw new EvidenceError(`${meter} in ${wire.id}${problem}`)
  return { kind: 'reading', standing, meter, from: wire.from, to: wire.to, value, typed }
}
