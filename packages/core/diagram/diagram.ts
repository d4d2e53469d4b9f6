import type { Conditions, PartKind } from '../parts/kind'
import type { Settings } from '../parts/settings'
import type { PointId } from '../parts/effect'

/** A place on the unit: what has to be opened to reach it, and the seconds that takes. */
export interface Zone {
  readonly id: string
  readonly words: string
  readonly reachSeconds: number
  /** What it stands on; null: not said. Of a roof, an edge, a ladder and weather go with it. */
  readonly on: 'roof' | 'ground' | null
}

export interface Call {
  readonly id: string
  readonly words: string
  /** Conditions that go with the call unless the visit says otherwise. */
  readonly conditions: Conditions
}

export interface Part {
  readonly id: string
  readonly kind: PartKind
  readonly words: string
  readonly zone: string
  readonly settings: Settings
  readonly line: number
}

export interface Wire {
  /** Its two ends, `PART.TERMINAL-PART.TERMINAL`. */
  readonly id: string
  readonly from: PointId
  readonly to: PointId
  readonly color: string
  readonly number: string
  readonly wiring: 'control' | 'line'
  readonly ohms: number
  readonly line: number
}

/** One line of the ladder: a path of points, from one rail towards the other. */
export interface Rung {
  readonly words: string
  readonly wiring: 'control' | 'line'
  readonly chains: readonly (readonly RungStop[])[]
}

export interface RungStop {
  readonly point: PointId
  /** What leads here from the stop before: a wire by its identity, or through the part itself. */
  readonly by: { readonly wire: string } | 'part' | 'start'
}

/** A path that a call takes, from its source to the load that should answer. */
export interface Trace {
  readonly call: string
  readonly words: string
  readonly from: PointId
  readonly to: PointId
}

export interface Complaint {
  readonly id: string
  readonly words: string
  /** The call that it is first thought of in. */
  readonly call: string
  /** Every call it can be about. */
  readonly calls: readonly string[]
  /** What it means of the unit; `any`: something does not do what it should. */
  readonly means: Symptom
}

/** What a customer's words say of a unit. */
export const symptoms = [
  'any',
  'no-cooling',
  'no-second-stage',
  'no-heat',
  'weak-heat',
  'no-air',
  'runs-on',
  'blank',
  'water',
  'trips',
  'comes-and-goes',
] as const
export type Symptom = (typeof symptoms)[number]

/** A code or lamp of an electronic part, as its table explains it: evidence, never a verdict. */
export interface FaultCode {
  readonly part: string
  readonly code: string
  readonly words: string
}

export interface TestPoint {
  readonly id: PointId
  readonly words: string
  readonly zone: string
  readonly part: string
}

/** A unit as drawn: everything about it that does not change by itself. */
export interface Diagram {
  readonly id: string
  readonly title: string
  readonly unitClass: string
  /** The terminal that control readings are taken against. */
  readonly common: PointId
  /** Where control power comes to, behind everything that may take it away; null: not said. */
  readonly hot: PointId | null
  /** The part whose terminals the calls come to; null: none. */
  readonly board: string | null
  /** The thermostat, whose plate the calls leave from; null: none. */
  readonly plate: string | null
  readonly isolators: readonly string[]
  readonly calls: readonly Call[]
  readonly zones: ReadonlyMap<string, Zone>
  readonly parts: ReadonlyMap<string, Part>
  readonly wires: ReadonlyMap<string, Wire>
  readonly points: ReadonlyMap<PointId, TestPoint>
  readonly rungs: readonly Rung[]
  readonly traces: readonly Trace[]
  readonly complaints: readonly Complaint[]
  readonly codes: readonly FaultCode[]
}

/** A part as one says it; its id where the diagram does not have it. */
export const partWords = ({ parts }: Diagram, id: string): string => parts.get(id)?.words ?? id

/** A place on the unit as one says it; its id where the diagram does not have it. */
export const zoneWords = ({ zones }: Diagram, id: string): string => zones.get(id)?.words ?? id

/** A point as it is written: by its id, and the bare metal of the unit as what it is. */
export const pointName = (point: string): string => (point === 'EARTH' ? 'ground' : point)

/** A call as one says it; its id where the unit does not have it. */
export const callWords = ({ calls }: Diagram, id: string): string =>
  calls.find((call) => call.id === id)?.words ?? id

export const partOfPoint = (point: PointId): string => point.slice(0, point.indexOf('.'))
/** The part of a branch `PART/branch`; a wire has none, and stands for itself. */
export const partOfBranch = (branch: string): string => branch.split('/')[0]
export const terminalOfPoint = (point: PointId): string => point.slice(point.indexOf('.') + 1)
