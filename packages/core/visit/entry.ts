import type { Meter } from '../circuit/meters'

/**
 * Everything that a visit, or a case file, can say. `of`, `from` and `to` name points, parts or wires of the
 * unit.
 */
export type EntryBody = CallEntry | FindingEntry | SafetyEntry | RepairEntry | ClosingEntry

/** Taking the call and finding the right unit. */
type CallEntry =
  | { readonly kind: 'arrived' }
  | { readonly kind: 'complaint'; readonly complaint: string; readonly words?: string }
  /** Who controls the call, and whether somebody confirmed by telephone that they are calling. */
  | {
      readonly kind: 'controls'
      readonly by: 'thermostat' | 'building' | 'energy-company'
      readonly telephone?: string
      readonly confirmed?: boolean
      readonly words?: string
    }
  /** Somebody has replaced a part before this visit. */
  | { readonly kind: 'replaced'; readonly of: string; readonly by?: string; readonly words?: string }
  /** One step of finding which unit belongs to which thermostat, and what came of it. */
  | {
      readonly kind: 'pairing-step'
      readonly method: PairingMethod
      readonly of: string
      readonly outcome: string
    }
  | {
      readonly kind: 'pairing'
      readonly thermostat: string
      readonly indoor: string
      readonly outdoor?: string
      readonly breaker?: string
      readonly disconnect?: string
      readonly label: string
    }
  /** Where a unit stands on the sketch of its roof or floor: hundredths of its width and depth. */
  | { readonly kind: 'placed'; readonly of: string; readonly x: number; readonly y: number }

/** What is set, seen, measured and done. */
type FindingEntry =
  | { readonly kind: 'call'; readonly call: string }
  | { readonly kind: 'power'; readonly is: 'on' | 'off' | 'isolated'; readonly of?: string }
  | { readonly kind: 'condition'; readonly of: string; readonly value: number }
  | { readonly kind: 'wait'; readonly seconds: number }
  | {
      readonly kind: 'reading'
      readonly meter: Meter
      readonly from: string
      readonly to?: string
      readonly value: number | null
      /** What was typed: its digits say how finely it was read. */
      readonly typed?: string
    }
  /** The building's supply, as it was found to be. */
  | { readonly kind: 'supply'; readonly system: string }
  /** What a part's own plate says: settings of its kind. */
  | {
      readonly kind: 'plate'
      readonly of: string
      readonly values: Readonly<Record<string, number | string>>
    }
  /** A resettable stand-in for a fuse: its rating, and what it did in the call that is set. */
  | {
      readonly kind: 'stand-in'
      readonly of: string
      readonly amps: number
      readonly result: StandInResult
    }
  /** A lead found on another terminal than drawn; `of` is the wire by its two drawn ends. */
  | { readonly kind: 'found-on'; readonly of: string; readonly at: string }
  | { readonly kind: 'observation'; readonly what: string; readonly of: string; readonly words?: string }
  | { readonly kind: 'action'; readonly do: ActionVerb; readonly of: string; readonly to?: string }
  | { readonly kind: 'setting'; readonly of: string; readonly from: string; readonly to: string }
  | { readonly kind: 'unreachable'; readonly of: string }
  /** A logged stretch with drop-outs: which points fell with the first, which held. */
  | {
      readonly kind: 'drop-out'
      readonly fell: readonly DropPoint[]
      readonly held: readonly DropPoint[]
      readonly words?: string
    }
  | {
      readonly kind: 'first-look'
      readonly item: string
      readonly is: 'right' | 'wrong' | 'not-looked'
      readonly words?: string
    }
  | {
      readonly kind: 'photo'
      readonly photo: string
      readonly of?: string
      /** The entry that it shows: a defect, a repair. */
      readonly on?: string
      readonly words?: string
    }
  /** A test point shown on a picture, in per cent of its width and height from the upper left. */
  | {
      readonly kind: 'pinned'
      readonly photo: string
      readonly of: string
      readonly x: number
      readonly y: number
    }
  | { readonly kind: 'note'; readonly words: string }
  /** What a tool of the bench was given and found, as it said it then. */
  | {
      readonly kind: 'calculation'
      readonly tool: string
      readonly of?: string
      readonly given: readonly WorkedLine[]
      readonly found: readonly WorkedLine[]
      readonly level: 'good' | 'watch' | 'act'
      readonly words: string
    }
  | { readonly kind: 'support'; readonly asked?: string; readonly advice: string }
  | { readonly kind: 'retracted'; readonly entry: string }
  /** A reading or a condition that was entered wrong: it counts where it was taken, with this value. */
  | {
      readonly kind: 'corrected'
      readonly entry: string
      readonly value: number | null
      readonly typed?: string
    }

/** What keeps people whole, and what is not as it should be left. */
type SafetyEntry =
  | {
      readonly kind: 'isolation'
      readonly sources: readonly string[]
      readonly where?: string
      readonly storedEnergySeconds: number
      readonly testerBefore: boolean
      readonly testerAfter: boolean
      readonly legs: readonly DeadLeg[]
    }
  /** Something that somebody changed before this visit, as found. */
  | {
      readonly kind: 'alteration'
      readonly what: AlterationSort
      readonly of: string
      readonly to?: string
      readonly hazard: string
      readonly owner?: string
    }
  | {
      readonly kind: 'alteration-settled'
      readonly entry: string
      readonly of: string
      readonly to?: string
      readonly as: 'corrected' | 'accepted' | 'left-off'
      readonly words?: string
    }
  | {
      readonly kind: 'temporary'
      readonly sort: TemporarySort
      readonly of: string
      readonly to?: string
      readonly words?: string
    }
  | {
      readonly kind: 'temporary-left'
      readonly entry: string
      readonly hazard: string
      readonly reason: string
      readonly authorisedBy: string
      readonly expires: string
      readonly told: string
    }
  | { readonly kind: 'temporary-removed'; readonly entry: string; readonly words?: string }

type RepairEntry =
  | { readonly kind: 'go-ahead'; readonly by: string; readonly words: string }
  /** A lead as found, before it leaves its terminal; `reach` is the order of taking it off, hardest first. */
  | {
      readonly kind: 'lead-found'
      readonly of: string
      readonly terminal: string
      readonly color: string
      readonly number: string
      readonly photo?: string
    }
  | {
      readonly kind: 'lead-landed'
      readonly of: string
      readonly terminal: string
      readonly color: string
      readonly number: string
    }
  | {
      readonly kind: 'part-used'
      readonly of: string
      readonly words: string
      readonly dateCode?: string
      readonly rating: Readonly<Record<string, string>>
      readonly bench?: 'new' | 'proven-on-bench' | 'unknown'
    }
  /**
   * A suspect is taken for the cause; `fault` is how the diagnosis names it. Nothing has been done to it
   * yet.
   */
  | {
      readonly kind: 'cause'
      readonly of: string
      readonly words?: string
      readonly fault?: string
      readonly reasoning?: Reasoning
    }
  /** It was renewed or mended. Records from before causes were said apart give their reasoning here. */
  | {
      readonly kind: 'repair'
      readonly of: string
      readonly words?: string
      readonly fault?: string
      /** What had tripped it, of what only opened by what it watches. */
      readonly trippedBy?: string
      readonly reasoning?: Reasoning
    }
  /** The unit is no longer wired as its diagram: what the next visit starts from. */
  | { readonly kind: 'diagram-changed'; readonly of: string; readonly words: string }
  /**
   * A planned change of the circuit was carried out before this visit, which has the circuit that came of it: what it
   * is for, what was done lead by lead, and the calls that prove it.
   */
  | {
      readonly kind: 'rewired'
      readonly words: string
      readonly done: readonly string[]
      readonly prove: readonly string[]
    }

type ClosingEntry =
  | {
      readonly kind: 'proof'
      readonly call: string
      readonly words: string
      readonly passed: boolean
      readonly values?: readonly ProofValue[]
    }
  | { readonly kind: 'restored'; readonly item: string; readonly is: boolean }
  | {
      readonly kind: 'defect'
      readonly words: string
      readonly of?: string
      readonly recommend?: string
      readonly reason?: string
    }
  | { readonly kind: 'defect-closed'; readonly entry: string }
  | {
      readonly kind: 'sign-off'
      readonly outcome: 'repaired' | 'restricted' | 'left-off'
      readonly words: string
      /** Of a unit that is left restricted or off: who was told, and until which day it may stay so. */
      readonly told?: string
      readonly until?: string
      /** Who signed for it on the device, and the strokes as the data of an SVG path. */
      readonly signedBy?: string
      readonly signature?: string
    }

/** Why something was taken for the cause, as it was judged when it was said: no later version changes it. */
export interface Reasoning {
  readonly chance: number
  /** Evidence that speaks for it, in words. */
  readonly shownBy: readonly string[]
  readonly rivals: readonly Rival[]
  /** Which build of the program judged. */
  readonly program: string
}

/** What else it might have been, and the evidence against that. */
export interface Rival {
  readonly words: string
  readonly chance: number
  readonly against: readonly string[]
}

/** What a stand-in did: it held, tripped at once, or tripped after a while. */
export type StandInResult = 'holds' | 'trips-at-once' | 'trips-later'
export const standInResults: readonly StandInResult[] = ['holds', 'trips-at-once', 'trips-later']

export type PairingMethod = 'fans-on' | 'tone' | 'room-temperature'
/**
 * `moved`: a lead, named by its two drawn ends, on another terminal than drawn; `added`: a lead with a switch
 * in it that the drawing does not have.
 */
export type AlterationSort = 'moved' | 'added' | 'bridged' | 'joined' | 'substituted' | 'other'
export const alterationSorts: readonly AlterationSort[] = [
  'moved',
  'added',
  'bridged',
  'joined',
  'substituted',
  'other',
]
export type TemporarySort =
  | 'bypass'
  | 'substitute'
  | 'restricted'
  | 'wired-for-now'
  | 'door-switch-held'
  | 'tone-set'
  | 'resettable-stand-in'
  | 'test-leads'
export const temporarySorts: readonly TemporarySort[] = [
  'bypass',
  'substitute',
  'restricted',
  'wired-for-now',
  'door-switch-held',
  'tone-set',
  'resettable-stand-in',
  'test-leads',
]

/** A line of a calculation: what, and its value with its unit. */
export interface WorkedLine {
  readonly what: string
  readonly value: string
}

export interface DropPoint {
  readonly from: string
  readonly to: string
}

export interface DeadLeg extends DropPoint {
  readonly volts: number
}

/** A value of a proof sheet with what the solved circuit expects at the measured volts. */
export interface ProofValue {
  readonly what: string
  readonly value: number
  /** What was typed, in this unit: its digits say how finely it was read. */
  readonly typed?: string
  readonly unit: string
  readonly expected?: number
  /** Where it was read, when it is of the circuit: a reading like any other, in the call that is proven. */
  readonly at?: ProofPlace
}

export interface ProofPlace {
  readonly meter: 'volts' | 'amps'
  readonly from: string
  readonly to: string
}

/** `start` is a call begun anew, and lasts for what is read or seen next. */
export type ActionVerb =
  'lift' | 'land' | 'unplug' | 'plug' | 'bridge' | 'unbridge' | 'reset' | 'warm' | 'cool' | 'wiggle' | 'start'
export const actionVerbs: readonly ActionVerb[] = [
  'lift',
  'land',
  'unplug',
  'plug',
  'bridge',
  'unbridge',
  'reset',
  'warm',
  'cool',
  'wiggle',
  'start',
]

/** A stretch of a visit's log, in the visit's own entry types. */
export interface CaseFile {
  readonly unit: string
  readonly complaint: string
  readonly entries: readonly EntryBody[]
}
