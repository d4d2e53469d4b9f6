import { Circuit, type MetPhase, type Settled } from '../circuit/circuit'
import { loopOf } from '../circuit/loop'
import { meterValue } from '../circuit/meter'
import type { Meter } from '../circuit/meters'
import { situationOf } from '../circuit/situation'
import { glanceOf } from '../circuit/glance'
import type { Diagram } from '../diagram/diagram'
import { lastingEffects } from '../diagram/lastingEffects'
import { leftWithOff } from '../diagram/leftWithOff'
import { branchesOpened, type Effect, type Fault } from '../parts/effect'
import type { Conditions } from '../parts/kind'
import { isSurrounding } from '../parts/surroundings'
import type { Standing } from '../visit/standing'
import { logBetween, oneOf, type Random } from './random'
import { withValues } from '../visit/unitAsMeasured'
import type { Substitutes } from './difference'
import { failingIn, type Failing } from './failing'
import { siteSupplyShare, siteSurroundings, unitOnSite, type Unlikeness } from './siteUnit'

/** Ohms of a short, from dead to wet carbon; a bad connection against what its kind says. */
const shortOhms = { least: 0.02, most: 8 } as const
/** A winding with turns shorted has no more than is left of it. */
const mostOf = ({ mostOhms = Infinity }: Fault): number => Math.min(shortOhms.most, mostOhms)
const looseFactor = { least: 1 / 6, most: 6 } as const
/** How often a chafe or a loose joint has other ohms than at the reading before. */
const shiftsShare = 0.25
/** Pressures of a unit that runs as it should, psig, and its coil, °F. */
const usualConditions: Readonly<Record<string, number>> = {
  suctionPressure: 125,
  suctionPressure2: 125,
  dischargePressure: 340,
  dischargePressure2: 340,
  liquidPressure: 320,
  coilTemperature: 52,
  outdoorCoilTemperature: 24,
}
/** A pressure climbs and falls in some minutes, and a reading takes about one, seconds. */
const cycleDwellSeconds = 300
const readingSeconds = 60
/** So often what comes and goes is otherwise at the next reading: two states that last as long on average. */
const changesShare = 0.5 * (1 - Math.exp((-2 * readingSeconds) / cycleDwellSeconds))
/** A round that is shorter is a chatter to whoever reads, seconds. */
const readableSeconds = 2
/** Seconds that somebody looks on at a reading: what falls or stops meanwhile is what he puts down. */
const lookedOnSeconds = 15
/** How often the customer has run the unit in every call before anybody arrives. */
const ranBefore = 0.85
/**
 * In how many readings a fault that comes and goes is there, and how often it is drawn anew whether it is.
 */
const presentShare = 0.6
const presenceDrawnShare = 0.35

/** What is wrong with a unit, beside what is unlike its drawing. */
export interface Trouble {
  readonly faults: readonly Fault[]
  /** Parts that are others than drawn. */
  readonly substitutes?: Substitutes
  readonly comesAndGoes?: boolean
}

/**
 * A unit that is not like its drawing, with hidden faults, in time. It answers any measurement and any look
 * as the real thing would: what has tripped stays so, a chafe shifts now and then, a motor that
 * lost a leg may stand and hum. It knows nothing of what anybody believes.
 */
export class World {
  readonly diagram: Diagram
  /** The same unit with the parts that it should have. */
  private readonly intended: Diagram
  private conditions: Conditions
  private faults: readonly Fault[]
  readonly comesAndGoes: boolean
  /** What comes and goes is gone just now. */
  private isAway = false
  private readonly circuits = new Map<string, Circuit>()
  private readonly tripped = new Map<string, readonly Effect[]>()
  /** Resistances of faults as they were last, or how many times their own, by fault. */
  private readonly ohms = new Map<string, number>()
  /** Of what opens and closes again by itself: for which call and power, and whether it is open. */
  private cycle = { begun: '', open: false }
  /** Of a unit that starts over and over: for which call and power, and seconds since it began. */
  private round = { begun: '', seconds: 0 }

  constructor(
    drawn: Diagram,
    { faults, substitutes = new Map(), comesAndGoes = false }: Trouble,
    private readonly unlike: Unlikeness,
    private readonly random: Random,
  ) {
    this.intended = unitOnSite(drawn, unlike, random)
    this.diagram = substitutes.size > 0 ? withValues(this.intended, substitutes) : this.intended
    this.faults = faults
    this.comesAndGoes = comesAndGoes
    const share = siteSupplyShare(unlike, random)
    const volts = this.supplyVolts()
    this.conditions = {
      ...siteSurroundings(unlike, random),
      ...(share === 1 || volts === null ? {} : { supplyVolts: volts * share }),
    }
    if (unlike.faults && random() < ranBefore) for (const { id } of drawn.calls) this.run(id, [])
  }

  /**
   * A visit is of one day: what nobody drew lots for is as the drawing has it for this call, and stays so in
   * every other.
   */
  onDayOf(call: string): void {
    const drawn = this.diagram.calls.find(({ id }) => id === call)?.conditions ?? {}
    const ofDay = Object.entries(drawn).filter(([of]) => isSurrounding(of))
    this.conditions = { ...Object.fromEntries(ofDay), ...this.conditions }
    this.circuits.clear()
  }

  /** What a meter shows; null is out of range. */
  measure(standing: Standing, meter: Meter, from: string, to: string): number | null {
    const settled = this.settled(standing)
    return meterValue(settled, meter, from, to)
  }

  /**
   * What a look at a part says: its code where the unit has a table of them, else its first word; what only
   * shows on it, where there is none.
   */
  look(standing: Standing, part: string): string {
    const settled = this.settled(standing)
    const seen = glanceOf(this.diagram, settled.circuit.looks(settled), part)
    return (seen || this.faults.find(({ of, shows }) => of === part && shows)?.shows?.at(0)) ?? ''
  }

  /**
   * What a thermometer, a hygrometer or gauges show; pressures are past a switch's trip where a fault makes
   * them so, and is not away.
   */
  condition(of: string, call: string): number {
    const known = this.conditions[of] ?? this.diagram.calls.find(({ id }) => id === call)?.conditions[of]
    if (known !== undefined) return known
    const tripped = [...this.diagram.parts.values()]
      .flatMap(({ id, kind, settings }) => kind.faults(settings).map((fault) => ({ id, fault })))
      .find(
        ({ id, fault: { when, effects } }) =>
          when?.of === of && effects.some((effect) => this.holds(id, effect)),
      )
    const { below, above } = tripped?.fault.when ?? {}
    if (below !== undefined) return Math.round(0.8 * below)
    return above === undefined ? (usualConditions[of] ?? 75) : Math.round(1.05 * above)
  }

  /**
   * Whether something that is no broken switch keeps a part's branch as an effect in the part's own names
   * would.
   */
  private holds(part: string, effect: Effect): boolean {
    return (
      !this.isAway &&
      effect.does === 'hold' &&
      this.faults.some(
        ({ class: sort, effects }) =>
          (sort === 'trip' || sort === 'fouled') &&
          effects.some(
            (own) =>
              own.does === 'hold' && own.branch === `${part}/${effect.branch}` && own.state === effect.state,
          ),
      )
    )
  }

  /** How the unit fails, in every call in which it does. */
  failing(): readonly Failing[] {
    this.isAway = false
    return this.diagram.calls
      .map(({ id }) => {
        const circuit = this.circuit(id, 'on', [], [])
        return failingIn(circuit.vary([...this.effects([]), ...this.held()]), this.healthy(circuit))
      })
      .filter(({ lacks, runsOn }) => lacks || runsOn)
  }

  /** Faults that `isPutRight` are gone, and what had tripped is put back: which parts those were. */
  repair(isPutRight: (fault: Fault) => boolean): readonly string[] {
    this.faults = this.faults.filter((fault) => !isPutRight(fault))
    const putBack = [...this.tripped.keys()]
    this.tripped.clear()
    return putBack
  }

  /** What is still wrong. */
  get left(): readonly Fault[] {
    return this.faults
  }

  /** The circuit with nothing wrong and the parts that it should have. */
  private healthy({ situation, healthy }: Circuit): Settled {
    return this.diagram === this.intended ? healthy : new Circuit(this.intended, situation).healthy
  }

  private settled({ call, power, off, actions }: Standing): Settled {
    if (this.comesAndGoes && this.random() < presenceDrawnShare) this.isAway = this.random() > presentShare
    const done = actions.flatMap(({ effects }) => effects)
    if (power === 'on' && this.unlike.faults) this.run(call, done)
    const circuit = this.circuit(call, power, off, done)
    const effects = [...this.effects(done), ...this.held()]
    const settled = circuit.vary(effects)
    if (settled.oscillates) {
      const now = this.inRound(`${call} ${power}`, settled, effects)
      if (now) return now
    }
    const phases = this.unlike.faults ? circuit.phases(settled) : []
    if (phases.length === 0) return settled
    const met =
      this.cycled(
        `${call} ${power}`,
        phases.filter(({ recurs }) => recurs),
      ) ?? oneOf(this.random, [null, ...phases.filter(({ recurs }) => !recurs)])
    return met ? circuit.vary([...effects, ...met.held]) : settled
  }

  /**
   * How everything stands at this moment of a round that begins again and again, or as it falls and stops;
   * null where the clock brings it to rest, or in a blink.
   */
  private inRound(begun: string, settled: Settled, effects: readonly Effect[]): Settled | null {
    const { circuit } = settled
    const loop = loopOf(settled)
    const whole = loop.reduce((sum, { seconds }) => sum + seconds, 0)
    if (whole < readableSeconds) return null
    const since = begun === this.round.begun ? this.round.seconds : this.random() * whole
    this.round = { begun, seconds: since + 2 * this.random() * readingSeconds }
    if (this.random() < lookedOnSeconds / whole) return oneOf(this.random, circuit.cycle(settled))
    let left = this.round.seconds % whole
    const stretch = loop.find(({ seconds }) => (left -= seconds) < 0)
    return stretch ? circuit.vary([...effects, ...stretch.held]) : null
  }

  /**
   * What a pressure or a limit opens by itself, as it stands at this reading: closed when a call begins, and mostly as
   * it was at the reading before.
   */
  private cycled(begun: string, cycle: readonly MetPhase[]): MetPhase | null {
    if (cycle.length === 0 || begun !== this.cycle.begun) this.cycle = { begun, open: false }
    if (cycle.length === 0) return null
    if (this.random() < changesShare) this.cycle = { begun, open: !this.cycle.open }
    return this.cycle.open ? oneOf(this.random, cycle) : null
  }

  /** Lets a call run: what opens then stays open. */
  private run(call: string, done: readonly Effect[]): void {
    const circuit = this.circuit(call, 'on', [], done)
    const settled = circuit.vary([...this.effects(done), ...this.held()])
    for (const { id, kind, settings } of this.diagram.parts.values()) {
      if (!kind.overcurrent || this.faults.some(({ of }) => of === id)) continue
      const branches = kind.branches(settings, {}).map(({ name }) => `${id}/${name}`)
      const stateOf = (branch: string, states: readonly string[]): string =>
        states[circuit.network.linkNumbers.get(branch) ?? -1]
      const hasOpened = branches.some(
        (branch) =>
          stateOf(branch, settled.states) === 'open' && stateOf(branch, circuit.healthy.states) !== 'open',
      )
      if (hasOpened)
        this.tripped.set(
          id,
          branches.map((branch) => ({ does: 'hold', branch, state: stateOf(branch, settled.states) })),
        )
    }
  }

  private held(): readonly Effect[] {
    return [...this.tripped.values()].flat()
  }

  /**
   * The faults as they are at this moment: resistances that nobody knows shift now and then, and a chafed
   * lead that is off takes its short with it.
   */
  private effects(done: readonly Effect[]): readonly Effect[] {
    if (this.isAway) return this.faults.flatMap((fault) => lastingEffects(this.diagram, fault))
    const off = branchesOpened(done)
    return this.faults.flatMap((fault) =>
      leftWithOff(this.diagram, fault, off).map((effect) => {
        const { class: sort } = fault
        if (!this.unlike.faults || (effect.does !== 'join' && effect.does !== 'ohms')) return effect
        if (sort === 'short' || sort === 'ground' || sort === 'crossed')
          return { ...effect, ohms: this.ohmsNow(fault, shortOhms.least, mostOf(fault)) }
        return sort === 'loose'
          ? { ...effect, ohms: effect.ohms * this.ohmsNow(fault, looseFactor.least, looseFactor.most) }
          : effect
      }),
    )
  }

  /**
   * A resistance that nobody knows: mostly what it was at the reading before, now and then it has shifted.
   */
  private ohmsNow({ id }: Fault, least: number, most: number): number {
    const known = this.ohms.get(id)
    if (known !== undefined && this.random() > shiftsShare) return known
    const ohms = logBetween(this.random, least, most)
    this.ohms.set(id, ohms)
    return ohms
  }

  private circuit(
    call: string,
    power: 'on' | 'off',
    off: readonly string[],
    done: readonly Effect[],
  ): Circuit {
    const key = JSON.stringify([call, power, off, done])
    const known = this.circuits.get(key)
    if (known) return known
    const circuit = new Circuit(
      this.diagram,
      situationOf(this.diagram, call, power, this.conditions, done, off),
    )
    this.circuits.set(key, circuit)
    return circuit
  }

  private supplyVolts(): number | null {
    for (const { kind, settings } of this.diagram.parts.values()) {
      const volts = kind.nominalVolts?.(settings)
      if (volts !== undefined) return volts
    }
    return null
  }
}
