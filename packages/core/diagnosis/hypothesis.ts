import type { Diagram } from '../diagram/diagram'
import type { Effect, Fault } from '../parts/effect'
import { faultsOf } from '../diagram/faults'

/** One way the unit may be: a fault, several at once, or none. */
export interface Hypothesis {
  readonly id: string
  readonly words: string
  /** Probability before any evidence. */
  readonly prior: number
  readonly faults: readonly Fault[]
  readonly effects: readonly Effect[]
  readonly cause: string
  readonly prove: string
  /** Parts or wires it lays blame on; empty for none. */
  readonly of: readonly string[]
}

/** Chances that a unit somebody complains of has nothing wrong, or more than one thing. */
export const healthyChance = 0.04
export const nothingWrong = 'none'

/** Every single fault of the unit, after the hypothesis that nothing is wrong; priors sum to one. */
export function hypothesesOf(diagram: Diagram): readonly Hypothesis[] {
  const faults = faultsOf(diagram)
  const total = faults.reduce((sum, fault) => sum + fault.prior, 0)
  return [
    {
      id: nothingWrong,
      words: 'Nothing wrong is seen by these readings',
      prior: healthyChance,
      faults: [],
      effects: [],
      cause: '',
      prove: '',
      of: [],
    },
    ...faults.map((fault): Hypothesis => ({
      id: fault.id,
      words: fault.words,
      prior: ((1 - healthyChance) * fault.prior) / total,
      faults: [fault],
      effects: fault.effects,
      cause: fault.cause,
      prove: fault.prove,
      of: fault.touching === undefined ? [fault.of] : [fault.of, fault.touching],
    })),
  ]
}

/** Two faults at once, independent of each other. */
export const bothOf = (a: Hypothesis, b: Hypothesis): Hypothesis => ({
  id: `${a.id} + ${b.id}`,
  words: `${a.words}; and ${b.words}`,
  prior: a.prior * b.prior,
  faults: [...a.faults, ...b.faults],
  effects: [...a.effects, ...b.effects],
  cause: [a.cause, b.cause].filter(Boolean).join('; '),
  prove: [a.prove, b.prove].filter(Boolean).join('; '),
  of: [...a.of, ...b.of],
})
