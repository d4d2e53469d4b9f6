import { Circuit, type Settled } from '../circuit/circuit'
import {
  clampAmps,
  MeterSweep,
  nodeOf,
  valueBetween,
  wireLink,
  type LeadMeter,
  type Meter,
} from '../circuit/meter'
import { lateMoves, pendingAt, type LateMove } from '../circuit/delays'
import { situationOf } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import type { Clearing, Effect, Fault } from '../parts/effect'
import { bothOf, hypothesesOf, type Hypothesis } from './hypothesis'
import { outcomeNumbers } from './outcomeNumbers'
import type { SettingChange, Standing } from '../visit/standing'

/** Predicted values by hypothesis number; NaN stands for out of range, and for what was not asked for. */
export type Predictions = Float64Array

/**
 * A number for each hypothesis, worked out when first asked for; there is room for pairs that are thought of
 * later.
 */
interface Numbers {
  readonly values: Float64Array
  readonly done: Uint8Array
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
  /** What a case has had worked out besides predictions. */
  private readonly kept = new Map<string, Numbers>()
  private readonly sweeps = new Map<
    LeadMeter,
    { readonly which: readonly number[]; readonly sweep: MeterSweep }
  >()
  private readonly lifted: ReadonlySet<string>
  private readonly words: string[] = []
  private readonly symptoms: (boolean | undefined)[] = []
  private readonly knownLooks: (ReadonlyMap<string, readonly string[]> | undefined)[] = []

  /** `done` are effects of something that is done on top for a moment. */
  constructor(
    private readonly hypotheses: readonly Hypothesis[],
    circuit: Circuit,
    private readonly after: Aftermath,
    private readonly done: readonly Effect[] = [],
  ) {
    this.circuit = circuit
    this.lifted = new Set(
      [...circuit.situation.standing, ...done].flatMap((effect) =>
        effect.does === 'open' ? [effect.branch] : [],
      ),
    )
  }

  /** The same situation with something more done in it, solved on the same factorisation. */
  with(done: readonly Effect[], reset: readonly string[]): SituationModel {
    return new SituationModel(
      this.hypotheses,
      this.circuit,
      { ...this.after, reset: [...this.after.reset, ...reset] },
      done,
    )
  }

  settle(hypothesis: number): Settled {
    const known = this.settled[hypothesis]
    if (known) return known
    const settled = this.circuit.vary([...this.done, ...this.effectsNow(this.hypotheses[hypothesis])])
    this.settled[hypothesis] = settled
    return settled
  }

  /**
   * What is left of a hypothesis here: a trip that was reset is gone, a setting that was changed is changed,
   * a lifted wire takes along what it touches.
   */
  private effectsNow({ faults }: Hypothesis): readonly Effect[] {
    return faults.flatMap((fault) =>
      this.isCleared(fault)
        ? []
        : fault.effects.filter((effect) => {
            if (effect.does === 'join')
              return !this.lifted.has(fault.of) && !this.lifted.has(fault.touching ?? '')
            return (
              effect.does !== 'set' ||
              !this.after.settings.some(
                ({ part, setting }) => part === effect.part && setting === effect.setting,
              )
            )
          }),
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
    this.knownLooks.length = Math.min(this.knownLooks.length, from)
    for (const { done } of this.known.values()) done.fill(0, from)
    this.kept.clear()
    this.sweeps.clear()
  }

  /** What the meter would show under each of the hypotheses; others are left as they were. */
  predict(meter: Meter, from: string, to: string, which: readonly number[]): Predictions {
    const { values, done } = this.numbers(this.known, `${meter} ${from} ${to}`)
    if (isAllDone(which, done)) return values
    const asked = which.filter((h) => done[h] !== 1)
    const { healthy } = this.circuit
    if (meter === 'amps') {
      const link = wireLink(healthy, from, to)
      for (const h of asked) values[h] = clampAmps(this.settle(h), link)
    } else {
      const a = nodeOf(healthy, from)
      const b = nodeOf(healthy, to)
      if (asked.length < sweptFrom)
        for (const h of asked) values[h] = valueBetween(this.settle(h), meter, a, b) ?? NaN
      else
        this.sweepOver(meter, asked)
          .read(a, b)
          .forEach((value, k) => {
            values[asked[k]] = value
          })
    }
    for (const h of asked) done[h] = 1
    return values
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
    const known = this.numbers(this.known, `${meter} ${from} ${to}`)
    if (known.outcome) return known.outcome
    known.outcome = outcomeNumbers(meter, this.predict(meter, from, to, singles), singles.length)
    return known.outcome
  }

  /** A number for each of the hypotheses under a name of its own, kept; others are NaN, or as they were. */
  keep(name: string, which: readonly number[], of: (hypothesis: number) => number): Float64Array {
    const { values, done } = this.numbers(this.kept, name)
    for (const h of which) {
      if (done[h] === 1) continue
      values[h] = of(h)
      done[h] = 1
    }
    return values
  }

  private numbers(among: Map<string, Numbers>, name: string): Numbers {
    const room = this.hypotheses.length
    const known = among.get(name)
    if (known && known.values.length >= room) return known
    const roomy = known ? 2 * room : room + 64
    const fresh: Numbers = {
      values: new Float64Array(roomy).fill(NaN),
      done: new Uint8Array(roomy),
      outcome: known?.outcome ?? null,
    }
    if (known) {
      fresh.values.set(known.values)
      fresh.done.set(known.done)
    }
    among.set(name, fresh)
    return fresh
  }

  /**
   * The first word that a look at a part gives, however it stands, by hypothesis: as a number for
   * `firstLookWord`. Others are left as they were.
   */
  firstLooks(part: string, which: readonly number[]): Float64Array {
    const { values, done } = this.numbers(this.known, `look ${part}`)
    if (isAllDone(which, done)) return values
    for (const h of which) {
      if (done[h] === 1) continue
      values[h] = this.wordNumber(this.looksOf(h).get(part)?.[0] ?? '')
      done[h] = 1
    }
    return values
  }

  /** Empty where a look gives no word. */
  firstLookWord(number: number): string {
    return this.words[number]
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

  looks(hypothesis: number, part: string): readonly string[] {
    const known = this.looksOf(hypothesis)
    const shown = this.hypotheses[hypothesis].faults.flatMap(({ of, shows }) =>
      of === part && shows ? [shows] : [],
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

  private findSymptom(hypothesis: number): boolean {
    const settled = this.settle(hypothesis)
    if (settled.oscillates) return true
    const { network, healthy } = this.circuit
    for (const part of network.diagram.parts.values()) {
      const { moving } = part.kind
      if (!moving) continue
      const link = network.linkNumbers.get(`${part.id}/${moving}`)
      if (link !== undefined && settled.states[link] !== healthy.states[link]) return true
    }
    return false
  }
}

/** Situations kept at once: each holds the unit solved under all its faults, some megabytes. */
const mostSituations = 48

/** A unit with its hypotheses, solved situation by situation. */
export class UnitModel {
  /** Single faults first; pairs are added behind them as they are thought of. */
  readonly hypotheses: readonly Hypothesis[]
  /** How many of the hypotheses are not pairs. */
  readonly singles: number
  /** Their numbers. */
  readonly everySingle: readonly number[]
  private readonly all: Hypothesis[]
  private readonly pairs = new Map<string, number>()
  private readonly situations = new Map<string, SituationModel>()
  private readonly late = new Map<string, readonly LateMove[]>()

  constructor(readonly diagram: Diagram) {
    this.all = [...hypothesesOf(diagram)]
    this.hypotheses = this.all
    this.singles = this.all.length
    this.everySingle = Array.from(this.all, (_, h) => h)
  }

  /** The number of the hypothesis that two single faults are there at once. */
  pair(a: number, b: number): number {
    const key = a < b ? `${a} ${b}` : `${b} ${a}`
    const known = this.pairs.get(key)
    if (known !== undefined) return known
    const number = this.all.push(bothOf(this.all[Math.min(a, b)], this.all[Math.max(a, b)])) - 1
    this.pairs.set(key, number)
    return number
  }

  /** Forgets every pair that was thought of, when a case is over: their numbers are given out anew. */
  forgetPairs(): void {
    this.all.length = this.singles
    this.pairs.clear()
    for (const situation of this.situations.values()) situation.forget(this.singles)
  }

  /**
   * The effects of the faults that were still there at a standing, though they have been put right since; −1
   * stands for none.
   */
  stillThere(repairedFaults: readonly number[], { repairs }: Standing): readonly Effect[] {
    return repairedFaults.slice(repairs).flatMap((h) => (h < 0 ? [] : this.hypotheses[h].effects))
  }

  /** The situation of a standing; `also` are faults known to have been there at the time. */
  situation(standing: Standing, also: readonly Effect[] = []): SituationModel {
    const { call, power, off, conditions, actions, settings, reset, rested } = standing
    const pending = this.pending(standing)
    const key = JSON.stringify([
      call,
      power,
      off,
      Object.entries(conditions).sort(),
      actions.map((action) => action.key).sort(),
      settings,
      reset,
      rested,
      pending,
      also,
    ])
    const known = this.situations.get(key)
    if (known) {
      // to the end of the line: the first in it goes first
      this.situations.delete(key)
      this.situations.set(key, known)
      return known
    }
    const standingEffects = [
      ...also,
      ...settings.map((change) => this.settingEffect(change)),
      ...actions.flatMap((action) => action.effects),
      ...pending,
    ]
    const circuit = new Circuit(
      this.diagram,
      situationOf(this.diagram, call, power, conditions, standingEffects, off),
    )
    const model = new SituationModel(this.hypotheses, circuit, standing)
    this.situations.set(key, model)
    const [oldest] = this.situations.keys()
    if (this.situations.size > mostSituations) this.situations.delete(oldest)
    return model
  }

  /** What moves late in a healthy unit after the last change of call or power, with the seconds it takes. */
  lateMoves({ call, power, conditions, before }: Standing): readonly LateMove[] {
    if (power === 'off') return []
    const key = JSON.stringify([call, conditions, before])
    const known = this.late.get(key)
    if (known) return known
    const earlier = before ?? { call: this.diagram.calls[0].id, power: 'on' }
    const moves = lateMoves(
      this.diagram,
      situationOf(this.diagram, earlier.call, earlier.power, conditions),
      situationOf(this.diagram, call, 'on', conditions),
    )
    this.late.set(key, moves)
    return moves
  }

  private pending(standing: Standing): readonly Effect[] {
    return standing.age === null ? [] : pendingAt(this.lateMoves(standing), standing.age)
  }

  private settingEffect({ part, setting, to }: SettingChange): Effect {
    const usual = this.diagram.parts.get(part)?.kind.settings[setting]
    return { does: 'set', part, setting, to: typeof usual === 'number' ? Number(to) : to }
  }
}
