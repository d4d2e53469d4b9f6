import { Circuit, type MetPhase, type Settled } from '../circuit/circuit'
import { glanceOf } from '../circuit/glance'
import { loopOf, type LoopState } from '../circuit/loop'
import {
  clampAmps,
  currentIn,
  MeterSweep,
  meterValue,
  nodeOf,
  valueBetween,
  voltsBetween,
  wireLink,
} from '../circuit/meter'
import { capacitance, capacitorLink } from '../circuit/capacitance'
import { isInWire, type LeadMeter, type Meter } from '../circuit/meters'
import { leftWithOff } from '../diagram/leftWithOff'
import { branchesOpened, type Clearing, type Effect, type Fault } from '../parts/effect'
import type { Standing } from '../visit/standing'
import type { Hypothesis } from './hypothesis'
import { outcomeNumbers } from './outcomeNumbers'
import { Tripping, type Trip } from './tripping'

/** Predicted values by hypothesis number; NaN stands for out of range, and for what was not asked for. */
export type Predictions = Float64Array

/**
 * A number for each hypothesis, worked out when first asked for; there is room for pairs that are thought of
 * later.
 */
interface Numbers {
  readonly values: Float64Array
  readonly done: Uint8Array
  /** Of volts: 1 where nothing firm feeds the two points. */
  readonly floats: Uint8Array
  /** Outcomes numbered over all single faults, of predictions; worked out when first asked for. */
  outcome: Int32Array | null
}

/** What has been done about faults by the time of a situation. */
export type Aftermath = Pick<Standing, 'settings' | 'reset' | 'rested'>

/** Mostly all is known already, and nothing is made to find that out. */
function isAllDone(which: readonly number[], done: Uint8Array): boolean {
  for (let k = 0; k < which.length; k++) if (done[which[k]] === 0) return false
  return true
}

/** Amps from which a heater heats. */
const drawnFromAmps = 0.5
/** Hypotheses from which one sweep over all of them costs less than as many walks. */
const sweptFrom = 8

/**
 * A unit's hypotheses solved in one situation: which state the circuit takes under each, and from that what
 * any
 * meter would read and any look would show. Everything is solved when first asked for, and kept.
 */
export class SituationModel {
  readonly circuit: Circuit
  private readonly settled: (Settled | undefined)[] = []
  private readonly known = new Map<string, Numbers>()
  private readonly sweeps = new Map<
    LeadMeter,
    { readonly which: readonly number[]; readonly sweep: MeterSweep }
  >()
  private readonly lifted: ReadonlySet<string>
  private readonly words: string[] = []
  private readonly symptoms: (boolean | undefined)[] = []
  private readonly knownPhases: (readonly MetPhase[] | undefined)[] = []
  private readonly tripping: Tripping
  private heating: readonly { readonly link: number; readonly amps: number }[] | null = null
  private moving: readonly { readonly link: number; readonly rest: string }[] | null = null
  private turning: ReadonlySet<string> | undefined
  private readonly cycles = new WeakMap<Settled, readonly Settled[]>()
  private readonly loops = new WeakMap<Settled, readonly LoopState[]>()
  private readonly knownLooks: (ReadonlyMap<string, readonly string[]> | undefined)[] = []

  /** `done` are effects of something that is done on top for a moment. */
  constructor(
    private readonly hypotheses: readonly Hypothesis[],
    circuit: Circuit,
    private readonly after: Aftermath,
    private readonly done: readonly Effect[] = [],
  ) {
    this.circuit = circuit
    this.lifted = branchesOpened([...circuit.situation.standing, ...done])
    this.tripping = new Tripping({
      circuit,
      settle: (h) => this.settle(h),
      effects: (h) => [...done, ...this.effectsNow(hypotheses[h])],
      isAsItStands: done.length === 0,
      of: (h) => hypotheses[h].of,
      cycle: (settled) => this.cycleOf(settled),
    })
  }

  /** The same situation with something more done in it, solved on the same factorisation. */
  with(done: readonly Effect[]): SituationModel {
    return new SituationModel(this.hypotheses, this.circuit, this.after, done)
  }

  settle(hypothesis: number): Settled {
    const known = this.settled[hypothesis]
    if (known) return known
    const { circuit, done, hypotheses } = this
    const effects = [...done, ...this.effectsNow(hypotheses[hypothesis])]
    const settled = hypotheses[hypothesis].atFirst ? circuit.atFirst(effects) : circuit.vary(effects)
    this.settled[hypothesis] = settled
    return settled
  }

  /**
   * What is left of a hypothesis here: a trip that was reset is gone, a setting that was changed is changed,
   * a lifted wire takes along what it touches.
   */
  private effectsNow({ faults, held = [] }: Hypothesis): readonly Effect[] {
    const own = faults.flatMap((fault) =>
      this.isCleared(fault)
        ? []
        : leftWithOff(this.circuit.diagram, fault, this.lifted).filter((effect) => !this.isReset(effect)),
    )
    return held.length === 0 ? own : [...own, ...held]
  }

  /** Whether it is a dial that has been set since. */
  private isReset(effect: Effect): boolean {
    return (
      effect.does === 'set' &&
      this.after.settings.some(({ part, setting }) => part === effect.part && setting === effect.setting)
    )
  }

  private isCleared({ of, clears = [] }: Fault): boolean {
    const by = (clearing: Clearing): boolean =>
      clearing === 'reset' ? this.after.reset.includes(of) : this.after.rested
    return clears.some(by)
  }

  /** Forgets what was worked out for hypotheses from this number on, and what belongs to a case. */
  forget(from: number): void {
    this.settled.length = Math.min(this.settled.length, from)
    this.symptoms.length = Math.min(this.symptoms.length, from)
    for (const kept of [this.knownLooks, this.knownPhases]) kept.length = Math.min(kept.length, from)
    this.tripping.forget(from)
    for (const { done } of this.known.values()) done.fill(0, from)
    this.sweeps.clear()
  }

  /** What the meter would show under each of the hypotheses; others are left as they were. */
  predict(meter: Meter, from: string, to: string, which: readonly number[]): Predictions {
    const { values, done, floats } = this.numbers(`${meter} ${from} ${to}`)
    if (isAllDone(which, done)) return values
    const asked = which.filter((h) => done[h] !== 1)
    const { healthy } = this.circuit
    if (isInWire(meter)) {
      const link = wireLink(healthy, from, to)
      for (const h of asked) values[h] = currentIn(this.settle(h), meter, link)
    } else if (meter === 'microfarads') {
      const link = capacitorLink(healthy, from, to)
      for (const h of asked) values[h] = capacitance(this.settle(h), link) ?? NaN
    } else {
      const a = nodeOf(healthy, from)
      const b = nodeOf(healthy, to)
      if (asked.length >= sweptFrom) {
        const sweep = this.sweepOver(meter, asked)
        sweep.read(a, b).forEach((value, k) => {
          values[asked[k]] = value
          floats[asked[k]] = sweep.floats[k]
        })
      } else if (meter === 'volts')
        for (const h of asked) {
          const there = voltsBetween(this.settle(h), a, b)
          values[h] = there.volts
          floats[h] = there.floats ? 1 : 0
        }
      else for (const h of asked) values[h] = valueBetween(this.settle(h), meter, a, b) ?? NaN
    }
    for (const h of asked) done[h] = 1
    return values
  }

  /**
   * What the meter would show in each of the states that a circuit goes through which does not come to
   * rest.
   */
  predictInCycle(meter: Meter, from: string, to: string, hypothesis: number): readonly (number | null)[] {
    const settled = this.settle(hypothesis)
    return settled.oscillates ? this.cycleOf(settled).map((state) => meterValue(state, meter, from, to)) : []
  }

  private cycleOf(settled: Settled): readonly Settled[] {
    const known = this.cycles.get(settled) ?? this.circuit.cycle(settled)
    this.cycles.set(settled, known)
    return known
  }

  /** How it stands, and for how long, in a round of the clock; empty where it rests. */
  loop(hypothesis: number): readonly LoopState[] {
    const settled = this.settle(hypothesis)
    const known = this.loops.get(settled) ?? loopOf(settled)
    this.loops.set(settled, known)
    return known
  }

  /** By hypothesis, of the volts predicted between two points: 1 where nothing firm feeds them. */
  floats(from: string, to: string): Uint8Array {
    return this.numbers(`volts ${from} ${to}`).floats
  }

  /**
   * The last sweep of a meter serves again while the same hypotheses are asked about, one pair of points
   * after another.
   */
  private sweepOver(meter: LeadMeter, which: readonly number[]): MeterSweep {
    const known = this.sweeps.get(meter)
    if (known && known.which.length === which.length && known.which.every((h, k) => h === which[k]))
      return known.sweep
    const sweep = new MeterSweep(
      meter,
      which.map((h) => this.settle(h)),
    )
    this.sweeps.set(meter, { which, sweep })
    return sweep
  }

  /** The same as numbers of outcomes that a person can tell apart, over all single faults. */
  outcomes(meter: Meter, from: string, to: string, singles: readonly number[]): Int32Array {
    const known = this.numbers(`${meter} ${from} ${to}`)
    if (known.outcome) return known.outcome
    known.outcome = outcomeNumbers(meter, this.predict(meter, from, to, singles), singles.length)
    return known.outcome
  }

  private numbers(name: string): Numbers {
    const room = this.hypotheses.length
    const known = this.known.get(name)
    if (known && known.values.length >= room) return known
    const roomy = known ? 2 * room : room + 64
    const fresh: Numbers = {
      values: new Float64Array(roomy).fill(NaN),
      done: new Uint8Array(roomy),
      floats: new Uint8Array(roomy),
      outcome: known?.outcome ?? null,
    }
    if (known) {
      fresh.values.set(known.values)
      fresh.done.set(known.done)
      fresh.floats.set(known.floats)
    }
    this.known.set(name, fresh)
    return fresh
  }

  /**
   * The word that a look at a part gives at a glance, by hypothesis: as a number for `glanceWord`. Others are
   * left as they were.
   */
  glances(part: string, which: readonly number[]): Float64Array {
    const { values, done } = this.numbers(`look ${part}`)
    if (isAllDone(which, done)) return values
    for (const h of which) {
      if (done[h] === 1) continue
      values[h] = this.wordNumber(this.glance(h, part))
      done[h] = 1
    }
    return values
  }

  /** Empty where a look gives no word. */
  glanceWord(number: number): string {
    return this.words[number]
  }

  /** What is said of a look at a part: its code where the unit has a table of them, else its first word. */
  glance(hypothesis: number, part: string): string {
    return glanceOf(this.circuit.diagram, this.looksOf(hypothesis), part)
  }

  private wordNumber(word: string): number {
    const known = this.words.indexOf(word)
    return known < 0 ? this.words.push(word) - 1 : known
  }

  private looksOf(hypothesis: number): ReadonlyMap<string, readonly string[]> {
    const known = this.knownLooks[hypothesis] ?? this.circuit.looks(this.settle(hypothesis))
    this.knownLooks[hypothesis] = known
    return known
  }

  /**
   * States besides the settled one that the unit may be met in: a motor that stands and hums, or has tripped
   * inside.
   */
  phases(hypothesis: number): readonly MetPhase[] {
    const known = this.knownPhases[hypothesis] ?? this.circuit.phases(this.settle(hypothesis))
    this.knownPhases[hypothesis] = known
    return known
  }

  /** Fuses and breakers that the hypothesis opens here by itself, with how they then stand. */
  trips(hypothesis: number): readonly Trip[] {
    return this.tripping.trips(hypothesis)
  }

  /** Whether what a hypothesis opens here may take another fuse or breaker along. */
  mayOpenWith(hypothesis: number, of: string): boolean {
    return this.tripping.mayOpenWith(hypothesis, of)
  }

  /** How it stands once it has gone so; empty where it may not. */
  openedBeside(hypothesis: number, of: string): readonly Effect[] {
    return this.tripping.openedBeside(hypothesis, of)
  }

  looks(hypothesis: number, part: string): readonly string[] {
    const known = this.looksOf(hypothesis)
    const shown = this.hypotheses[hypothesis].faults.flatMap(({ of, shows }) =>
      of === part ? (shows ?? []) : [],
    )
    return [...(known.get(part) ?? []), ...shown]
  }

  /** How a part's setting stands under a hypothesis. */
  settingOf(hypothesis: number, part: string, setting: string): string {
    const misset = this.hypotheses[hypothesis].effects.find(
      (effect) => effect.does === 'set' && effect.part === part && effect.setting === setting,
    )
    if (misset?.does === 'set') return String(misset.to)
    return this.circuit.diagram.parts.get(part)?.settings.text(setting) ?? ''
  }

  /** Whether anything that should move stands differently than in a healthy unit. */
  showsSymptom(hypothesis: number): boolean {
    const known = this.symptoms[hypothesis]
    if (known !== undefined) return known
    const shows = this.findSymptom(hypothesis)
    this.symptoms[hypothesis] = shows
    return shows
  }

  /** The motors that turn in a healthy unit. */
  motorsTurning(): ReadonlySet<string> {
    const { healthy, network } = this.circuit
    this.turning ??= new Set(
      this.movingLinks().flatMap(({ link, rest }) => {
        const { part } = network.links[link]
        return part?.kind.symbol === 'motor' && healthy.states[link] !== rest ? [part.id] : []
      }),
    )
    return this.turning
  }

  /** Whether any of these parts stands differently than in a healthy unit, or may be met so. */
  standsOtherwise(hypothesis: number, parts: ReadonlySet<string>): boolean {
    const settled = this.settle(hypothesis)
    const { healthy, network } = this.circuit
    return (
      settled.oscillates ||
      this.movingLinks().some(
        ({ link }) =>
          settled.states[link] !== healthy.states[link] && parts.has(network.links[link].part?.id ?? ''),
      ) ||
      this.phases(hypothesis).some(({ part }) => parts.has(part))
    )
  }

  /**
   * Whether a heater that heats in a healthy unit gives less than half of its heat, which goes with its amps
   * squared.
   */
  lacksHeat(hypothesis: number): boolean {
    return this.heaters().some(
      ({ link, amps }) => amps > drawnFromAmps && this.ampsOf(hypothesis, link) ** 2 < amps ** 2 / 2,
    )
  }

  /** Whether something runs or heats that rests in a healthy unit. */
  runsOn(hypothesis: number): boolean {
    const settled = this.settle(hypothesis)
    const { healthy } = this.circuit
    const turns = this.movingLinks().some(
      ({ link, rest }) => healthy.states[link] === rest && settled.states[link] !== rest,
    )
    return (
      turns ||
      this.heaters().some(
        ({ link, amps }) => amps < drawnFromAmps && this.ampsOf(hypothesis, link) > drawnFromAmps,
      )
    )
  }

  private ampsOf(hypothesis: number, link: number): number {
    return clampAmps(this.settle(hypothesis), link)
  }

  private heaters(): readonly { readonly link: number; readonly amps: number }[] {
    this.heating ??= this.circuit.network.links.flatMap(({ part, role }, link) =>
      part?.kind.symbol === 'heater' && role === 'load'
        ? [{ link, amps: clampAmps(this.circuit.healthy, link) }]
        : [],
    )
    return this.heating
  }

  private movingLinks(): readonly { readonly link: number; readonly rest: string }[] {
    const { links, linkNumbers } = this.circuit.network
    this.moving ??= [...this.circuit.diagram.parts.values()].flatMap(({ id, kind }) => {
      const link = kind.moving === undefined ? undefined : linkNumbers.get(`${id}/${kind.moving}`)
      return link === undefined ? [] : [{ link, rest: links[link].rest }]
    })
    return this.moving
  }

  private findSymptom(hypothesis: number): boolean {
    const settled = this.settle(hypothesis)
    const { healthy } = this.circuit
    return (
      settled.oscillates ||
      this.movingLinks().some(({ link }) => settled.states[link] !== healthy.states[link])
    )
  }
}
