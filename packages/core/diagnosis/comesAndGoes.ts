import type { Evidence, Findings } from '../visit/evidence'
import type { Met } from './moment'
import type { Cycle, Track } from './tracks'

/** How a fault that may come and go is thought of. */
interface Changing {
  /** Chance that it does. */
  readonly share: number
  /** Chance that it then stays as it is from one entry to the next. */
  readonly stays: number
}

/**
 * As a rule, where something was moved or logged to find out, and where that is what the unit is said to do.
 * What comes and goes unsaid does so seldom. Judgements.
 */
const changing: Readonly<Record<'usual' | 'lookedFor' | 'complained', Changing>> = {
  usual: { share: 0.08, stays: 0.95 },
  lookedFor: { share: 0.5, stays: 0.88 },
  complained: { share: 0.9, stays: 0.88 },
}

/** How what may come and go does, by what speaks for it. */
export const changingIn = (evidence: readonly Evidence[], { complaint }: Findings): Changing => {
  if (complaint === 'comes-and-goes') return changing.complained
  const isLookedFor = evidence.some(({ kind }) => kind === 'drop-out' || kind === 'touched')
  return isLookedFor ? changing.lookedFor : changing.usual
}

/**
 * A fault that comes and goes: how likely it is there at first, and after its part was touched. What is read
 * while another part is moved is read within moments of that: it would be a coincidence that this one changed
 * just then.
 */
export const presentAtFirst = 0.6
const staysMeanwhile = 0.97
const presentWhenTouched = 0.35

/**
 * A pressure or a limit takes minutes to open its switch and to close it; what is read at one place, seconds.
 */
export const cycleAtFirst: Cycle = { opened: 0.15, stays: 0.9 }
/** Seconds from one entry to the next, as a rule. */
const entrySeconds = 60

/**
 * Evidence on a fault that comes and goes: its chance, and how likely the fault was there when it was taken.
 */
export function whetherThere(
  before: number,
  keeps: number,
  there: number,
  away: number,
): { readonly own: number; readonly present: number } {
  const now = before * keeps + (1 - before) * (1 - keeps)
  const own = now * there + (1 - now) * away
  return { own, present: (now * there) / own }
}

/** What a piece of evidence says under a track, and what the track knows of how things stand after it. */
interface InCycle<Told> extends Pick<Track, 'cycle' | 'startsOver'> {
  readonly told: Told
  readonly chance: number
}

type Under<Told> = (met: readonly Met[]) => Told

/**
 * Evidence on a unit whose switch opens and closes again and again: what is read one after the other is read
 * of the same state, mostly. Where nothing recurs, it is as all its states have it.
 */
export function inCycle<Told extends { readonly chance: number }>(
  track: Track,
  met: readonly Met[],
  under: Under<Told>,
): InCycle<Told> {
  const { cycle, startsOver } = track
  const [open, shut] = parted(met, ({ recurs }) => recurs === true)
  if (open.length === 0) return { ...whetherItStartsOver(startsOver, met, under), cycle }
  const { told, chance, is } = eitherOf(cycle.opened, cycle.stays, [open, shut], under)
  return { told, chance, cycle: { ...cycleAtFirst, opened: is }, startsOver }
}

/** So often a fault that has the unit start over and over does so still at the next entry, or still not. */
const startsOverStill = 0.95

/**
 * The same of a fault with which the unit starts over at some of its resistances, and rests at others: it
 * seldom goes from the one to the other.
 */
function whetherItStartsOver<Told extends { readonly chance: number }>(
  before: number | null,
  met: readonly Met[],
  under: Under<Told>,
): Pick<InCycle<Told>, 'told' | 'chance' | 'startsOver'> {
  const [over, resting] = parted(met, ({ startsOver }) => startsOver === true)
  if (over.length === 0 || resting.length === 0) {
    const told = under(met)
    return { told, chance: told.chance, startsOver: before }
  }
  const share = before ?? weightOf(over) / weightOf(met)
  const { told, chance, is } = eitherOf(share, before === null ? 1 : startsOverStill, [over, resting], under)
  return { told, chance, startsOver: is }
}

/**
 * Evidence on what stands in one of two ways: what it says as it most likely stands, and how likely the first
 * is.
 */
function eitherOf<Told extends { readonly chance: number }>(
  before: number,
  stays: number,
  ways: readonly [readonly Met[], readonly Met[]],
  under: Under<Told>,
): { readonly told: Told; readonly chance: number; readonly is: number } {
  const [first, second] = ways.map((states) => under(asWhole(states)))
  const { own, present } = whetherThere(before, stays, first.chance, second.chance)
  return { told: present > 0.5 ? first : second, chance: own, is: present }
}

const parted = (
  met: readonly Met[],
  isFirst: (state: Met) => boolean,
): readonly [readonly Met[], readonly Met[]] => [met.filter(isFirst), met.filter((state) => !isFirst(state))]

const weightOf = (met: readonly Met[]): number => met.reduce((sum, { weight }) => sum + weight, 0)

/** States with weights that sum to one. */
function asWhole(met: readonly Met[]): readonly Met[] {
  const whole = weightOf(met)
  return met.map((state) => ({ ...state, weight: state.weight / whole }))
}

/** Chance of being as it was after so many entries more, each of which it outlasts with a chance. */
const staysFor = (before: number, each: number, entries: number): number =>
  0.5 + (before - 0.5) * (2 * each - 1) ** entries

/**
 * What is read at one part is read within seconds; and a switch that opens there is heard: the contactor that
 * one stands at drops out.
 */
const staysAtPart = { fault: 0.94, cycle: 0.997 } as const

/** A track before something more is read or seen at the part where one stands. */
export const atSamePart = (track: Track): Track => ({
  ...track,
  stays: Math.max(track.stays, staysAtPart.fault),
  cycle: { ...track.cycle, stays: Math.max(track.cycle.stays, staysAtPart.cycle) },
})

/** The same while the leads stay where they are: what is done in between takes moments. */
export const betweenTwoLooks = (track: Track): Track => ({
  ...atSamePart(track),
  stays: Math.max(track.stays, staysMeanwhile),
})

/**
 * A track after so many seconds of waiting: as many more chances to change as there were entries in that
 * time, so that a long wait leaves both as likely.
 */
export function waited(track: Track, seconds: number): Track {
  if (seconds <= 0) return track
  const entries = seconds / entrySeconds
  const { cycle } = track
  return {
    ...track,
    stays: staysFor(track.stays, track.keeps, entries),
    cycle: { ...cycle, stays: staysFor(cycle.stays, cycleAtFirst.stays, entries) },
  }
}

/** A track after a part was moved, its own or another. */
export function touched(track: Track, isItsPart: boolean): Track {
  if (track.present === null) return track
  return { ...track, present: isItsPart ? presentWhenTouched : track.present, stays: staysMeanwhile }
}
