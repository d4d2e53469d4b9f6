import type { Diagram } from '../diagram/diagram'
import type { Effect, Fault } from '../parts/effect'
import { faultsOf } from '../diagram/faults'
import { sharesOf } from './rates'
import { otherSurroundings } from './weather'

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
  /** What has come of its faults besides themselves: trips that stay, a motor that stands still. */
  readonly held?: readonly Effect[]
  /** Something that nobody drew is there: any reading may be of that. */
  readonly notDrawn?: true
  /** Nothing has reacted to it yet: every contact stands as in a healthy unit. */
  readonly atFirst?: true
}

/** Chances that a unit somebody complains of has nothing wrong, or more than one thing. */
export const healthyChance = 0.05
export const nothingWrong = 'none'
/** The hypothesis that the unit is wired or fitted otherwise than its drawing. */
export const notDrawn = 'not-drawn'
const notDrawnPrior = 0.004

/**
 * Chance of a call about nothing but weather or water that is otherwise than assumed, for each condition
 * that tells.
 */
const surroundingsChance = 0.02

/** Every single fault of the unit, after the hypothesis that nothing is wrong; priors sum to one. */
export function hypothesesOf(diagram: Diagram): readonly Hypothesis[] {
  const faults = faultsOf(diagram)
  const shares = sharesOf(diagram, faults)
  const around = otherSurroundings(diagram).map((fault): Hypothesis => ({
    ...single(fault, surroundingsChance * fault.prior),
    of: [],
  }))
  const elsewhere = around.reduce((sum, { prior }) => sum + prior, 0)
  const faulty = 1 - healthyChance - notDrawnPrior - elsewhere
  return [healthy, ...faults.map((fault, k) => single(fault, faulty * shares[k])), otherwise, ...around]
}

const healthy: Hypothesis = {
  id: nothingWrong,
  words: 'Nothing wrong is seen by these readings',
  prior: healthyChance,
  faults: [],
  effects: [],
  cause: '',
  prove: '',
  of: [],
}

const otherwise: Hypothesis = {
  ...healthy,
  notDrawn: true,
  id: notDrawn,
  words: 'Something is not as drawn: a part, a jumper, a lead or a substitute that the drawing does not have',
  prior: notDrawnPrior,
  cause: 'altered by somebody, or another version of the unit',
  prove: 'compare this stretch with the drawing, lead by lead',
}

const single = (fault: Fault, prior: number): Hypothesis => ({
  id: fault.id,
  words: fault.words,
  prior,
  faults: [fault],
  effects: fault.effects,
  cause: fault.cause,
  prove: fault.prove,
  of: fault.touching === undefined ? [fault.of] : [fault.of, fault.touching],
})

/** Two faults at once are rarer than two independent ones: most calls are about one thing. */
const twoShare = 0.12

/** Two faults at once; with *not as drawn*, something that nobody drew and that does what a fault would. */
export const bothOf = (a: Hypothesis, b: Hypothesis): Hypothesis =>
  a.notDrawn ? alike(b, a) : b.notDrawn ? alike(a, b) : two(a, b)

const alike = (fault: Hypothesis, other: Hypothesis): Hypothesis => ({
  ...fault,
  id: `${fault.id} + ${other.id}`,
  words: `Something is not as drawn that does what this would: ${fault.words}`,
  prior: fault.prior * other.prior,
  notDrawn: true,
  cause: other.cause,
  prove: other.prove,
})

const two = (a: Hypothesis, b: Hypothesis): Hypothesis => ({
  id: `${a.id} + ${b.id}`,
  words: `${a.words}; and ${b.words}`,
  prior: twoShare * a.prior * b.prior,
  faults: [...a.faults, ...b.faults],
  effects: [...a.effects, ...b.effects],
  cause: [a.cause, b.cause].filter(Boolean).join('; '),
  prove: [a.prove, b.prove].filter(Boolean).join('; '),
  of: [...a.of, ...b.of],
})
