import type { Complex } from '../electric/complex'
import type { Law } from '../electric/law'
import type { OpeningCurve } from '../physics/fuseTimes'
import type { Clearing, Effect, Exclusion, Fault } from './effect'
import type { CauseGroup } from './causeGroup'
import type { FaultClass } from './faultClass'
import type { Settings } from './settings'

/**
 * Outside facts that the circuit answers to: temperatures in °F, humidity in per cent, pressures in psig,
 * `supplyVolts` leg to leg; smoke and water 0 or 1.
 */
export const knownConditions = [
  'outdoorDryBulb',
  'outdoorHumidity',
  'returnDryBulb',
  'returnHumidity',
  'mixedDryBulb',
  'pipe',
  'supplyVolts',
  'smoke',
  'panWater',
  'suctionPressure',
  'suctionPressure2',
  'dischargePressure',
  'dischargePressure2',
  'liquidPressure',
  'coilTemperature',
  'outdoorCoilTemperature',
  'heaterTemperature',
  'burnerTemperature',
  'dischargeTemperature',
  'overloadHeat',
] as const
export type Condition = (typeof knownConditions)[number]
export type Conditions = Readonly<Record<string, number>>

export type Role =
  'conductor' | 'contact' | 'fuse' | 'load' | 'coil' | 'winding' | 'source' | 'sensor' | 'output'

/** Two-terminal branch of a part. `from` and `to` are terminals, inner nodes (`~x`) or `EARTH`. */
export interface Branch {
  readonly name: string
  readonly from: string
  readonly to: string
  readonly role: Role
  /** The laws it can be under, by name. */
  readonly states: Readonly<Record<string, Law>>
  /** The state before anything is energised. */
  readonly rest: string
}

export interface Phasor extends Complex {
  readonly size: number
}

/** What a part can feel of the circuit, and what it is told. */
export interface Now {
  readonly volts: Readonly<Record<string, Phasor>>
  readonly amps: Readonly<Record<string, Phasor>>
  /** Direct volts across a branch. */
  readonly direct: Readonly<Record<string, number>>
  readonly is: Readonly<Record<string, string>>
  /** State of the moving branch of the part named by the setting `follows`. */
  readonly followed: string
  /** The same of the part named by the setting `compressor`. */
  readonly compressor: string
  readonly call: string
  readonly conditions: Conditions
  readonly settings: Settings
}

/** Settings that name another part, whose moving branch the part that has them feels. */
export const namesPart = ['follows', 'compressor'] as const
export type NamesPart = (typeof namesPart)[number]

/** States a part wants for its own branches; those not named stay. */
export type Wants = Readonly<Record<string, string>>

/** What a part feels: volts across its branches, amps through them, direct volts across them. */
export interface Senses {
  readonly volts?: readonly string[]
  readonly amps?: readonly string[]
  readonly direct?: readonly string[]
  /** Volts between two of its terminals, felt under the name `FROM-TO`. */
  readonly between?: readonly (readonly [string, string])[]
  /**
   * Sizes that matter of what is felt, by name: a change that passes none of them is no reason to act.
   * Without any, every change is.
   */
  readonly steps?: Readonly<Record<string, readonly number[]>>
}

/** Seconds between wanting a state and having it. */
export interface Delay {
  readonly branch: string
  readonly to: string
  readonly seconds: number
}

/** A fault in the part's own names; `effects` speak of the part's branches and terminals. */
export interface PartFault {
  readonly name: string
  readonly class: FaultClass
  readonly words: string
  readonly prior: number
  readonly effects: readonly Effect[]
  /** Of something that may lie anywhere between two ends: what it does there. */
  readonly ends?: NonNullable<Fault['ends']>
  /** Of a winding with turns shorted: the ohms that are left of it at most. */
  readonly mostOhms?: number
  readonly cause?: string
  /** The causes of calls that it is counted with, where those are not its part's. */
  readonly countedWith?: CauseGroup
  readonly prove?: string
  /** All runs with it, and less heat is moved by the refrigerant. */
  readonly weakens?: true
  /** Marks of it that a look at the part may show, beside how it stands. */
  readonly shows?: readonly string[]
  /**
   * It comes of the current that its contacts make: they carry little in a control circuit, and weld there
   * seldom.
   */
  readonly welds?: true
  /** It is a dead short at the volts that it works at, and may read many ohms with a meter's few. */
  readonly breaksDown?: true
  /** What clears it for the time being: it was a trip, and nothing in the part is broken. */
  readonly clears?: readonly Clearing[]
  /** A condition under which it cannot be. */
  readonly unless?: Exclusion
  /** Under this condition the part does by itself what the fault says. */
  readonly when?: Exclusion
}

export interface Terminal {
  readonly name: string
  readonly words: string
}

/** How a part is drawn on a rung. */
export type PartSymbol =
  | 'terminal'
  | 'contact'
  | 'coil'
  | 'fuse'
  | 'switch'
  | 'limit'
  | 'pressure'
  | 'motor'
  | 'heater'
  | 'transformer'
  | 'control'
  | 'sensor'
  | 'plug'
  | 'jumper'
  | 'capacitor'
  | 'valve'
  | 'source'
  | 'lamp'

/** One of the few that a dial can stand at. */
export interface DialChoice {
  /** The setting as the ladder has it. */
  readonly id: string
  readonly words: string
}

/** Something that is set by hand: its words, and the unit of its number. */
export interface Dial {
  readonly words: string
  readonly unit: string | ((settings: Settings) => string)
  /** It may show marks of its maker’s, letters or numbers, listed in the part’s setting `dialMarks`. */
  readonly marked?: true
  /** All that it can stand at, where that is no number. */
  readonly choices?: readonly DialChoice[]
  /** Whoever uses the unit sets it as they like: no setting of it is wrong. */
  readonly ofUser?: true
  /** Whether it does anything on a part that is set up so; not said: always. */
  readonly matters?: (settings: Settings) => boolean
}

/**
 * A rating by which a replacement is held against the part it replaces: a setting of the kind, and its words.
 */
export type Rating = readonly [setting: string, words: string]

/** Terminals that look alike: a lead of one may be landed on another by mistake. */
export interface Landings {
  readonly terminals: readonly string[]
  /** Weight of each such mistake. */
  readonly prior: number
  /** What is moved: a lead like any other, or the part's own choice among its terminals. */
  readonly by: { readonly is: 'lead' } | { readonly is: 'tap'; readonly words: (terminal: string) => string }
  readonly cause: string
  readonly prove: string
}

/** Two leads of a part that do nothing the other way round. */
export interface Polarity {
  readonly plus: string
  readonly minus: string
  readonly prior: number
  readonly cause: string
  readonly prove: string
}

/** What makes the faults of a kind likelier. */
export type Liking = 'wear' | 'hot-weather' | 'cold-weather' | 'water'

/** A state that a part may be met in though it does not stay in it, and how often. */
export interface Phase {
  /** State by branch of the part. */
  readonly states: Readonly<Record<string, string>>
  readonly weight: number
  /** What is read may as well lie between the settled state and this one. */
  readonly between?: true
  /** It goes back by itself, and all begins anew: the unit stops and comes back. */
  readonly recurs?: true
  /** It is met only where the part, held in these states, would stay in them by what it then feels. */
  readonly onlyIf?: {
    readonly states: Readonly<Record<string, string>>
    readonly stays: (now: Now) => boolean
  }
}

/**
 * How the current of a load stands to what is on its plate: the share it differs by in the mean, and the
 * spread.
 */
export interface Drawn {
  readonly mean: number
  readonly spread: number
}

/** How a person may join across the part's contact for a test. */
export type TestBridge = 'momentary' | 'with-airflow-proven' | 'watching-pressure' | 'never'

/** What a part does when all is at rest. */
export interface Late {
  /** The branches that it opens. */
  opens(settings: Settings): readonly string[]
  wants(now: Now): Wants
  /**
   * Seconds that it takes for it, by what it feels: of several parts the soonest acts, and the rest feel what
   * is left.
   */
  actsAfter(now: Now): number
}

/** One of the things to be ticked when a unit is left. */
export interface PutBack {
  readonly id: string
  readonly words: string
}

/** Codes that a control stores, and gives when it is asked for them, though call and power have gone since. */
export interface StoredCodes {
  /** All that it may store. */
  readonly codes: readonly string[]
  /** What it stores of how it stands; null: nothing of that. */
  of(now: Now): string | null
}

/** A part that takes the place of another, and its terminals by those of the one that it passes by. */
export interface PassingBy {
  readonly kind: string
  readonly words: string
  /** Its settings where they are not the usual ones, as a ladder text has them. */
  readonly settings?: string
  /** Leads that leave the one for the other. */
  readonly moved: Readonly<Record<string, string>>
  /** Others that go along, of terminals that need not be wired. */
  readonly alsoMoved?: Readonly<Record<string, string>>
  /** Terminals that stay fed, from which the other is fed too. */
  readonly fed: Readonly<Record<string, string>>
}

/**
 * A kind of part: its terminals in the trade's letters, the branches between them and their laws, how its
 * state follows from what it feels, and what goes wrong with it. Pure data and pure functions.
 */
export interface PartKind {
  readonly kind: string
  readonly words: string
  /** What its faults are counted with when the trade says how often something is the cause of a call. */
  readonly cause: CauseGroup
  readonly symbol: PartSymbol
  /** Settings with their defaults; a diagram may give no others. */
  readonly settings: Readonly<Record<string, number | string>>
  terminals(settings: Settings): readonly Terminal[]
  /** The setting that lists its terminals by the names that the panel has for them. */
  readonly terminalsNamedBy?: string
  branches(settings: Settings, conditions: Conditions): readonly Branch[]
  senses?(settings: Settings): Senses
  behave?(now: Now): Wants
  /** What it does only when all else is at rest: a fuse does not open on a start. */
  readonly late?: Late
  /** How many times its holding current its coil draws until the armature is in. */
  readonly inrushTimes?: number
  /** It opens on too much current, and as what. */
  readonly overcurrent?: 'fuse' | 'breaker'
  /** How long it takes to open. */
  readonly opensAs?: (settings: Settings) => OpeningCurve
  delays?(settings: Settings): readonly Delay[]
  faults(settings: Settings): readonly PartFault[]
  /** The terminal that its windings share: with the lead off there, each reads by itself. */
  readonly commonTerminal?: string
  /** Pairs of terminals worth a meter, beside across its branches. */
  pairs?(settings: Settings): readonly (readonly [string, string])[]
  /** What a look at it can tell: words of observation that hold now. */
  looks?(now: Now): readonly string[]
  /** Air is moved by it or goes through it: what is wrong with it is felt as no air, whatever turns. */
  readonly passesAir?: true
  /** What has ice stay on it: heat that is not interrupted to defrost it, or too little air or charge. */
  readonly icesWhen?: 'not-defrosted' | 'starved'
  /** Whether it runs is seen or heard with every panel on. */
  readonly runsAloud?: true
  /** The code or lamp that an electronic part shows now, as its unit’s table of codes has it. */
  code?(now: Now): string
  readonly stores?: StoredCodes
  /** States besides the one it settles in that it may be met in, given what it feels there. */
  phases?(now: Now): readonly Phase[]
  /** How its current stands to its plate; not said: as a coil's does. */
  readonly drawn?: Drawn
  /** A load on three legs: its plate is of all three. */
  readonly threePhase?: true
  /**
   * A start of it that is watched: what holds meanwhile, in its own names, and what is worth a meter then.
   */
  readonly start?: {
    readonly words: string
    readonly effects: readonly Effect[]
    readonly readings: readonly {
      readonly meter: 'volts' | 'dc'
      readonly from: string
      readonly to: string
    }[]
  }
  /** What of it stands so only because it stood so before: how it is once its call begins from rest. */
  readonly fromRest?: (now: Now) => Wants
  /**
   * States of its own branches before a call comes, of a control that goes through a sequence: a fault of
   * what the sequence uses was there before it began.
   */
  readonly startsFrom?: Readonly<Record<string, string>>
  /** The branch whose state others follow (a motor turning, a contact made). */
  readonly moving?: string
  /** How a person may join across its contact for a test; not said: not at all. */
  readonly testBridge?: TestBridge
  /** What it watches is there while the unit heats, and it closes by itself soon after. */
  readonly opensDuring?: 'heating'
  /** A safety control or phase protection: no unit is left running around it, and nobody joins across it. */
  readonly guard?: true
  /** It acts by what sensors wired to it feel. */
  readonly governedBy?: 'sensors'
  /** What pulling it apart does, in its own names, of a connector: a search by sections starts there. */
  pulledApart?(settings: Settings): readonly Effect[]
  /** It comes out with two fingers, and most people read its ohms in their hand. */
  readonly comesOut?: true
  /** It breaks line conductors: volts from its terminals to bare metal tell where one of them stops. */
  readonly breaksLine?: true
  readonly ratings?: readonly Rating[]
  /** Of a part that is made for the volts of its circuit, the line or the control: its settings at so many. */
  readonly madeFor?: {
    readonly circuit: 'line' | 'control'
    readonly at: (volts: number) => Readonly<Record<string, number>>
  }
  /** What a person sets on it, by setting: a dial, a switch, a menu. */
  readonly dials?: Readonly<Record<string, Dial>>
  /** What a look shows of it while those can be read and set: they stand in a menu of its own. */
  readonly menuShownBy?: string
  /** The outdoor temperature up to which it lets outdoor air in, °F, where it goes by that alone. */
  dryBulbLimit?(settings: Settings): number | undefined
  /** Seconds that the energy stored in it is waited for before hands go in. */
  readonly storedSeconds?: number
  /** Its terminals with direct volts between them that stay when power is off. */
  readonly storedBetween?: readonly [string, string]
  /** Which circuit a fuse or breaker of these settings is meant for. */
  protects?(settings: Settings): 'control' | 'line'
  /** Volts leg to leg of the supply that it is. */
  nominalVolts?(settings: Settings): number
  /** The highest volts of a supply that it can be put on. */
  bearsVolts?(settings: Settings): number
  /** Full-load amps of the control power that it gives. */
  fullLoadAmps?(settings: Settings): number
  /** Its years in service are shown on the unit's record. */
  readonly ageShown?: true
  /** What a first look, before any power changes, says of it: right and wrong are words of its looks. */
  readonly firstLook?: {
    readonly words: string
    readonly right: string
    readonly wrong: readonly string[]
  }
  /** What is put back where it belongs before a unit with such a part is left. */
  readonly putBack?: PutBack
  /** What does its work in its place, of a part that can be passed by with every guard in series. */
  passedBy?(settings: Settings): PassingBy
  /**
   * Terminals between which it only passes a call on, in and out: led past it, the call is guarded by all that
   * guards it now.
   */
  readonly passesOn?: readonly (readonly [string, string])[]
  /** What a unit gives up, in words, once none of these terminals is wired any more. */
  readonly givenUp?: { readonly without: readonly string[]; readonly words: string }
  readonly likelier?: readonly Liking[]
  landings?(settings: Settings): readonly Landings[]
  readonly polarity?: Polarity
  /** Outputs that a call leaves by, of a thermostat. */
  calls?(settings: Settings): readonly string[]
  /** The one of them that calls the fan. */
  readonly fanCall?: string
  /** Words for what a look at it may tell; empty where a look tells nothing. */
  lookWords?(settings: Settings): readonly string[]
  /** Sets of its contacts that are closed together, of which only one set can be at a time. */
  throws?(settings: Settings): readonly (readonly string[])[]
  /** Pairs of its terminals that are the poles of a source. */
  poles?(settings: Settings): readonly (readonly [string, string])[]
  /**
   * What must be known before power goes back on behind a fault of it, by the fault's class; '' where
   * nothing.
   */
  beforeEnergising?(fault: FaultClass): string
  /** What a person's warm hand or an ice pack does to it, in its own names. */
  touched?(verb: 'warm' | 'cool', settings: Settings): readonly Effect[]
  /** What another value of the condition that it reads does to it, in its own names: °F or per cent. */
  feels?(value: number, settings: Settings): readonly Effect[]
}
