import type { LoopState } from '../circuit/loop'
import { isInWire, isOhms, type Meter } from '../circuit/meters'
import type { Effect } from '../parts/effect'
import { isPutBack, type Run, type Standing } from '../visit/standing'
import { onDayOfVisit } from './dayOfVisit'
import type { UnitModel } from './predictor'
import { hasRange, isShort, rangeOf, type Resistance } from './resistance'
import type { SituationModel } from './situationModel'
import type { Trip } from './tripping'
import { keepsOf, type Whereabouts } from './withinRange'

/**
 * A state in which the unit may be met: one version of a hypothesis, or anything between several in a row.
 */
export interface Met {
  readonly versions: readonly number[]
  readonly weight: number
  /** Where between its versions it lies, as far as readings have told. */
  readonly where?: Whereabouts
  /** Its versions go through a fault's range in order: a reading tells where between them it lies. */
  readonly isRange?: true
  /** A switch has opened that closes again by itself: the next reading may be of the unit running. */
  readonly recurs?: true
  /** The unit, or a motor of it, starts over and over, which at others of the fault's ohms it may not. */
  readonly startsOver?: true
}

/** How a unit that starts over and over is met in one of its rounds. */
interface Round {
  /** How often it is caught as it falls or stops. */
  readonly caught: number
  /** The states that it stays in for a while, with their weights. */
  readonly stays: readonly Met[]
}

/**
 * How often what a short trips is met before it has tripped: a stand-in is just in, or a clamp is on the wire
 * when the call is made.
 */
const firstShare = { standIn: 0.25, clamped: 0.15 } as const

/**
 * An overload of so many seconds is met before it has tripped anything as often as after; share of the first.
 */
const slowFromSeconds = 10
const beforeSlowTrip = 0.5

/**
 * Seconds that whoever reads has an eye on the meter, or the part: of a unit that starts over and over, what
 * falls or stops meanwhile is what is put down. A judgement.
 */
const watchedSeconds = 20
/** How often a bad joint is near the most of its ohms. */
const worstShare = 1 / 3
/** What stands for less is in no state that a meter or an eye would find it in, seconds. */
const standsFromSeconds = 2

const isSlow = (trips: readonly Trip[]): boolean => trips.every(({ seconds }) => seconds() >= slowFromSeconds)

/** What meets it: a clamp is on the wire when a call is made, an ohmmeter has but few volts. */
export type MetBy = 'clamp' | 'ohmmeter' | 'any'

export const metBy = (meter: Meter): MetBy => (isInWire(meter) ? 'clamp' : isOhms(meter) ? 'ohmmeter' : 'any')

/**
 * Whether and how a hypothesis had tripped things before anybody arrived: at which of its resistances, or not
 * at all. `untold`: not at all, and it comes and goes, so that only evidence tells what it has tripped since.
 */
export type Blown = Resistance | 'not' | 'untold'
const resistances: readonly Resistance[] = ['drawn', 'least', 'most']

/**
 * The unit at one moment of a visit, under any of its hypotheses: what has tripped in the runs before stays
 * so until somebody puts it back, a short has another resistance each time it is met, a motor may stand and
 * hum.
 */
export class Moment {
  readonly situation: SituationModel
  private readonly everyCall: readonly SituationModel[]
  private readonly runs: readonly SituationModel[]

  constructor(
    private readonly model: UnitModel,
    private readonly standing: Standing,
    also: readonly Effect[],
    /** The call that the visit is about: its weather is that of the day. */
    home: string = standing.call,
  ) {
    const onDay = (of: Standing): SituationModel =>
      model.situation(onDayOfVisit(model.diagram, home, of), also)
    const inRun = ({ call, actions }: Run): Standing => ({
      ...standing,
      call,
      actions,
      power: 'on',
      off: [],
      age: null,
    })
    this.situation = onDay(standing)
    // before anybody arrived it ran each call in the weather that the call is for
    this.everyCall = model.diagram.calls.map(({ id }) =>
      model.situation(inRun({ call: id, actions: [] }), also),
    )
    this.runs = standing.ran.map((run) => onDay(inRun(run)))
  }

  /** The unit as it ran a call before anybody arrived; none where it has no such call. */
  inCall(call: string): SituationModel | undefined {
    return this.everyCall.find(({ circuit }) => circuit.situation.call === call)
  }

  /** Whether a hypothesis may have opened one fuse or breaker along with another, in any call of the unit. */
  mayOpenWith(h: number, of: string): boolean {
    return this.model.mayTrip(h) && this.everyCall.some((situation) => situation.mayOpenWith(h, of))
  }

  /** Whether a hypothesis opens a fuse or breaker in any call of the unit. */
  tripsSomewhere(h: number): boolean {
    return this.model.mayTrip(h) && this.everyCall.some((situation) => situation.trips(h).length > 0)
  }

  /**
   * The ways in which a hypothesis may have tripped things before anybody arrived: which opens depends on its
   * ohms.
   */
  waysBlown(h: number): readonly Resistance[] {
    const ways = new Map<string, Resistance>()
    for (const resistance of resistances) {
      const held = JSON.stringify(this.held(h, resistance))
      if (held !== '[]' && !ways.has(held)) ways.set(held, resistance)
    }
    return [...ways.values()]
  }

  /** Whether all that a hypothesis trips takes so long that the unit may well be met before. */
  tripsSlowly(h: number): boolean {
    return isSlow(this.trippedAtFirst(h, 'drawn'))
  }

  /** Of the states in which a hypothesis that had tripped nothing is met here, the share that are tripped. */
  shareOpened(h: number, blown: Blown): number {
    const { model, situation, standing } = this
    if (standing.power === 'off' || !model.mayTrip(h)) return 0
    const held = this.held(h, blown)
    const opened = rangeOf(model.hypotheses[h].faults).map((ohms) =>
      situation.trips(model.version(h, ohms, held)),
    )
    const tripping = opened.filter((trips) => trips.length > 0)
    const share = tripping.length / opened.length
    return tripping.some((trips) => !isSlow(trips)) ? share : (1 - beforeSlowTrip) * share
  }

  /** The number to predict with while nothing has tripped yet. */
  beforeTrips(h: number): number {
    const { circuit } = this.situation
    return this.model.version(h, 'drawn', circuit.tripsHeld(circuit.healthy))
  }

  /**
   * The number to predict with: the hypothesis with what it has tripped, before arrival too where `blown`.
   */
  asTripped(h: number, blown: Blown, where: Whereabouts | null = null): number {
    const found = where && rangeOf(this.model.hypotheses[h].faults).at(Math.round(where.at))
    return this.model.version(h, found ?? 'drawn', this.held(h, blown))
  }

  /** The same while a switch is open that it makes open again and again. */
  asOpened(h: number, blown: Blown): number {
    const held = this.held(h, blown)
    const phases = this.situation.phases(this.model.version(h, 'drawn', held))
    const opened = phases.find(({ recurs }) => recurs)
    return this.model.version(h, 'drawn', [...held, ...(opened?.held ?? [])])
  }

  /**
   * Every state in which the unit may be met under a hypothesis, by a meter or an eye; weights sum to one.
   */
  met(h: number, blown: Blown, by: MetBy = 'any', where: Whereabouts | null = null): readonly Met[] {
    const held = this.held(h, blown)
    const settled = this.model.version(h, 'drawn', held)
    const phases = this.situation.phases(settled)
    const isShorted = this.model.hypotheses[h].faults.some(isShort)
    const tripping = this.situation.trips(settled)
    const first = isShorted ? this.shareOfFirst(tripping, by === 'clamp') : 0
    const ofPhases = phases.flatMap(({ held: more, weight, between, recurs }): readonly Met[] => {
      const version = this.model.version(h, 'drawn', [...held, ...more])
      return between
        ? [
            { versions: [version], weight: weight / 2 },
            { versions: [settled, version], weight: weight / 2 },
          ]
        : [{ versions: [version], weight, ...(recurs && { recurs }) }]
    })
    const standing = phases.length > 0 ? ofPhases : this.atWorst(h, held)
    const left =
      1 -
      Math.min(
        0.9,
        standing.reduce((sum, { weight }) => sum + weight, first),
      )
    if (!isShorted && tripping.length > 0 && isSlow(tripping))
      return [
        { versions: [settled], weight: left * (1 - beforeSlowTrip) },
        { versions: [this.beforeTrips(h)], weight: left * beforeSlowTrip },
        ...standing,
      ]
    const { faults } = this.model.hypotheses[h]
    if (!faults.some(hasRange)) return [...this.inLoop(this.roundOf(settled), [settled], left), ...standing]
    const isCold = by === 'ohmmeter' && faults.some(({ breaksDown }) => breaksDown)
    const places: readonly Resistance[] = isCold ? ['least', 'most', 'cold'] : rangeOf(faults)
    const range = (at: (ohms: Resistance) => number): readonly number[] => places.map(at)
    const versions = range((ohms) => this.model.version(h, ohms, held))
    const round = this.roundOf(settled)
    const kept = where === null || isCold ? 0 : keepsOf(faults) * left
    return [
      ...(where && kept > 0 ? [{ versions, weight: kept, where }] : []),
      ...this.inLoop(round, [settled], (left - kept) / 3),
      ...this.inLoop(round, versions, (2 * (left - kept)) / 3).map((met) =>
        met.versions.length === versions.length && !isCold ? { ...met, isRange: true as const } : met,
      ),
      ...(first > 0 ? [{ versions: range((ohms) => this.model.firstInstant(h, ohms)), weight: first }] : []),
      ...standing,
    ]
  }

  /** States that a bad joint is met in with the most of its ohms alone: of any ohms from there down. */
  private atWorst(h: number, held: readonly Effect[]): readonly Met[] {
    const { faults } = this.model.hypotheses[h]
    if (faults.some(isShort) || !faults.some(hasRange)) return []
    const phases = this.situation.phases(this.model.version(h, 'most', held))
    return phases.map(({ held: more, weight }) => ({
      versions: (['drawn', 'most'] as const).map((ohms) => this.model.version(h, ohms, [...held, ...more])),
      weight: worstShare * weight,
      startsOver: true,
    }))
  }

  /**
   * Versions in a row, of which some may start over and over while others rest: between such two lies
   * nothing. What starts over is caught as it falls or stops, or met in a state that it stays in for a while;
   * for how long, the `round` of the version as it is drawn tells for all of them.
   */
  private inLoop(round: Round | null, versions: readonly number[], weight: number): readonly Met[] {
    if (!round) return [{ versions, weight }]
    const each = weight / versions.length
    const startsOver = versions.map((version) => this.situation.settle(version).oscillates)
    const runs = versions.flatMap((_, k) => {
      if (k > 0 && startsOver[k] === startsOver[k - 1]) return []
      const next = startsOver.indexOf(!startsOver[k], k + 1)
      const run = versions.slice(k, next < 0 ? undefined : next)
      const share = run.length * each
      return startsOver[k]
        ? [{ versions: run, weight: round.caught * share, startsOver: true as const }]
        : [{ versions: run, weight: share }]
    })
    const over = startsOver.filter(Boolean).length * each
    return [...runs, ...round.stays.map((state) => ({ ...state, weight: state.weight * over }))]
  }

  /** The round of a version that starts over and over; null where it rests, or never stands for long. */
  private roundOf(version: number): Round | null {
    const loop = this.situation.loop(version)
    const seconds = (states: readonly LoopState[]): number =>
      states.reduce((sum, state) => sum + state.seconds, 0)
    const long = loop.filter((state) => state.seconds >= standsFromSeconds)
    if (long.length === 0) return null
    const caught = Math.min(1, watchedSeconds / seconds(loop))
    const stays = long.map((state) => ({
      versions: [this.model.version(version, 'drawn', state.held)],
      weight: ((1 - caught) * state.seconds) / seconds(long),
      startsOver: true as const,
    }))
    return { caught, stays }
  }

  private shareOfFirst(tripping: readonly Trip[], isClamped: boolean): number {
    if (tripping.some(({ part }) => this.standing.standIns.includes(part))) return firstShare.standIn
    return isClamped && tripping.length > 0 ? firstShare.clamped : 0
  }

  /**
   * The number to predict with while what comes and goes is away: what it has blown stays so, and so does
   * what lasts.
   */
  away(h: number, blown: Blown): number {
    return this.model.version(0, 'drawn', [...this.model.whileAway(h), ...this.held(h, blown)])
  }

  /** The number to predict with for the first instant: nothing that acts has acted on the fault. */
  atFirst(h: number): number {
    return this.model.firstInstant(h, 'drawn')
  }

  /**
   * What a hypothesis opens in the first call in which it opens anything: what has opened feeds it no more in
   * another. A short of the least or the most ohms is looked at in the first call in which a dead one does.
   */
  private trippedAtFirst(h: number, ohms: Resistance): readonly Trip[] {
    const opens = this.model.version(h, ohms === 'drawn' ? ohms : 'least', [])
    const first = this.everyCall.find((situation) => situation.trips(opens).length > 0)
    return first?.trips(this.model.version(h, ohms, [])) ?? []
  }

  private held(h: number, blown: Blown): readonly Effect[] {
    if (!this.model.mayTrip(h) || blown === 'untold') return []
    const trips = new Map<string, Trip>()
    const tripping = this.model.version(h, blown === 'not' ? 'drawn' : blown, [])
    const note = (opened: readonly Trip[], since: number): void => {
      for (const trip of opened)
        if (!isPutBack(this.standing, trip.part, since) && !trips.has(trip.part)) trips.set(trip.part, trip)
    }
    if (blown !== 'not') note(this.trippedAtFirst(h, blown), -1)
    this.runs.forEach((situation, run) => {
      note(situation.trips(tripping), run)
    })
    return [...[...trips.values()].flatMap(({ held }) => held), ...this.openedBeside(h, trips)]
  }

  /** What was seen open, and opened along with what a hypothesis trips. */
  private openedBeside(h: number, trips: ReadonlyMap<string, Trip>): readonly Effect[] {
    if (trips.size === 0) return []
    const { standing, everyCall } = this
    return Object.entries(standing.seenOpen).flatMap(([part, since]) => {
      if (trips.has(part) || isPutBack(standing, part, since - 1)) return []
      return (
        everyCall.map((situation) => situation.openedBeside(h, part)).find(({ length }) => length > 0) ?? []
      )
    })
  }
}
