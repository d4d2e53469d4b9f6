import { Circuit, type Settled } from '../circuit/circuit'
import { clampAmps, nodeOf, valueBetween, wireLink, type Meter } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import type { Effect } from '../diagram/effect'
import { bothOf, hypothesesOf, type Hypothesis } from './hypothesis'
import type { Standing } from './standing'

/** Predicted values by hypothesis number; NaN stands for out of range; what was not asked for is undefined. */
export type Predictions = readonly number[]

/**
 * A unit's hypotheses solved in one situation: which state the circuit takes under each, and from that what any
 * meter would read and any look would show. Everything is solved when first asked for, and kept.
 */
export class SituationModel {
  readonly circuit: Circuit
  private readonly settled: (Settled | undefined)[] = []
  private readonly known = new Map<string, number[]>()
  private readonly lifted: ReadonlySet<string>
  private readonly knownLooks: (ReadonlyMap<string, readonly string[]> | undefined)[] = []

  constructor(private readonly hypotheses: readonly Hypothesis[], circuit: Circuit) {
    this.circuit = circuit
    this.lifted = new Set(circuit.situation.standing.flatMap((effect) => (effect.does === 'open' ? [effect.branch] : [])))
  }

  settle(hypothesis: number): Settled {
    const known = this.settled[hypothesis]
    if (known) return known
    const settled = this.circuit.vary(this.effectsNow(this.hypotheses[hypothesis]))
    this.settled[hypothesis] = settled
    return settled
  }

  /** A wire that is lifted takes along what it touches. */
  private effectsNow({ of, effects }: Hypothesis): readonly Effect[] {
    return of.some((part) => this.lifted.has(part)) ? effects.filter((effect) => effect.does !== 'join') : effects
  }

  /** What the meter would show under each of the hypotheses; others are left as they were. */
  predict(meter: Meter, from: string, to: string, which: readonly number[]): Predictions {
    const key = `${meter} ${from} ${to}`
    let values = this.known.get(key)
    if (!values) {
      values = []
      this.known.set(key, values)
    }
    const { healthy } = this.circuit
    const wire = meter === 'amps' ? wireLink(healthy, from, to) : -1
    const a = meter === 'amps' ? 0 : nodeOf(healthy, from)
    const b = meter === 'amps' ? 0 : nodeOf(healthy, to)
    for (const h of which) {
      if (values[h] !== undefined) continue
      const settled = this.settle(h)
      values[h] = (meter === 'amps' ? clampAmps(settled, wire) : valueBetween(settled, meter, a, b)) ?? NaN
    }
    return values
  }

  looks(hypothesis: number, part: string): readonly string[] {
    const known = this.knownLooks[hypothesis] ?? this.circuit.looks(this.settle(hypothesis))
    this.knownLooks[hypothesis] = known
    return known.get(part) ?? []
  }

  /** Whether anything that should move stands differently than in a healthy unit. */
  showsSymptom(hypothesis: number): boolean {
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

/** A unit with its hypotheses, solved situation by situation. */
export class UnitModel {
  /** Single faults first; pairs are added behind them as they are thought of. */
  readonly hypotheses: readonly Hypothesis[]
  /** How many of the hypotheses are not pairs. */
  readonly singles: number
  private readonly all: Hypothesis[]
  private readonly pairs = new Map<string, number>()
  private readonly situations = new Map<string, SituationModel>()

  constructor(readonly diagram: Diagram) {
    this.all = [...hypothesesOf(diagram)]
    this.hypotheses = this.all
    this.singles = this.all.length
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

  /** The situation of a standing; `also` are faults known to have been there at the time. */
  situation(standing: Standing, also: readonly Effect[] = []): SituationModel {
    const { call, power, conditions, actions } = standing
    const key = JSON.stringify([call, power, Object.entries(conditions).sort(), actions.map((action) => action.key).sort(), also])
    const known = this.situations.get(key)
    if (known) return known
    const standingEffects = [...also, ...actions.flatMap((action) => action.effects)]
    const model = new SituationModel(this.hypotheses, new Circuit(this.diagram, situationOf(this.diagram, call, power, conditions, standingEffects)))
    this.situations.set(key, model)
    return model
  }
}
