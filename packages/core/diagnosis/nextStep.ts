import { isAnswered } from './answered'
import { partOfBranch, partOfPoint, type Diagram } from '../diagram/diagram'
import {
  defaultCosts,
  isolatedCandidates,
  liveCandidates,
  type Candidate,
  type CostRules,
} from './candidates'
import { conditionSteps, turnsOn } from './conditionSteps'
import { deedSteps, readingsLeftAlone } from './deeds'
import { pathDrops } from './drops'
import { readingsOf, type Findings } from '../visit/evidence'
import { supplyDanger } from '../visit/supplyDanger'
import { heldOffBehind, mannerly } from './manners'
import { meetFirst } from './meetFirst'
import type { UnitModel } from './predictor'
import { lookSteps, readingSteps, searchOf, situationIn, type Search } from './proposals'
import { inOrderOf } from './inOrderOf'
import type { School } from './schools'
import { poweredAgain } from '../visit/poweredAgain'
import type { Standing } from '../visit/standing'
import {
  rate,
  sortOf,
  type ConditionStep,
  type LookStep,
  type ReadingStep,
  type Step,
  type StepSort,
  type WaitStep,
} from './steps'
import type { Belief } from './suspects'

/** Information below which a step is not worth taking, bits. */
const worthwhileBits = 0.02
/**
 * While the best step at hand tells less for its time than this, readings along whole paths, other calls,
 * isolation and actions are worked out too. Those that need a switching take a minute or more and seldom
 * tell over a bit: against a better step they would not come first. Bits per second.
 */
const tellingRate = 0.02
/** A wait costs less than its seconds: hands are free meanwhile. */
const waitShare = 0.5

export interface Choosing {
  readonly count?: number
  readonly costs?: CostRules
  readonly school?: School
  /** Only steps of these sorts; all when not given. */
  readonly sorts?: readonly StepSort[]
}

/** Every step that was worked out, in the order of a school, best first. */
export function stepsInOrder(
  model: UnitModel,
  findings: Findings,
  belief: Belief,
  { costs = defaultCosts, school = 'best', sorts }: Choosing = {},
): readonly Step[] {
  const search = searchOf(model, findings, belief, costs, school)
  const { now } = findings
  const here = situationIn(search, now)
  const wants = (sort: StepSort): boolean => sorts === undefined || sorts.includes(sort)
  const steps: Step[] = [
    ...readingSteps(search, now, [...readingsLeftAlone(search), ...candidatesIn(model.diagram, now)], here),
    ...(wants('look') ? lookSteps(search, now, here) : []),
  ]
  const behind = heldOffBehind(search)
  // nothing is asked for with power where nothing in the unit bears the supply
  const isDanger = supplyDanger(model.diagram, readingsOf(findings)) !== null
  const askable = (some: readonly Step[]): readonly Step[] =>
    mannerly(
      search,
      behind,
      some.filter((step) => wants(sortOf(step)) && !(isDanger && needsPower(step))),
    )
  const answered = isAnswered(model, findings, belief)
  const isTripped = behind === 'overcurrent'
  if (!answered && (isTripped || bestRate(askable(steps)) < tellingRate || school === 'pull')) {
    if (now.power === 'on') steps.push(...readingSteps(search, now, pathDrops(here.circuit), here))
    steps.push(...elsewhere(search), ...(wants('deed') ? deedSteps(search) : []))
  }
  const asked = wants('condition') ? conditionSteps(search) : []
  const all = [...steps, ...asked, ...(wants('wait') ? waits(search) : [])].filter(
    (step) => !(answered && looksFurther(step)),
  )
  const inOrder = inOrderOf(school, search, askable(all))
  const deciding = decidingFirst(now, school === 'best' ? littleLast(inOrder) : inOrder)
  const ordered = isTripped ? deadFirst(deciding) : deciding
  return surroundingsFirst(search, meetFirst(search, ordered, tellsMuchBits))
}

/** Behind a fuse or breaker that has opened: what it feeds is read dead before anything else is looked at. */
function deadFirst(steps: readonly Step[]): readonly Step[] {
  const isDead = (step: Step): boolean =>
    step.do === 'measure' && step.power === 'off' && step.bits >= tellsLittleBits
  return [...steps.filter(isDead), ...steps.filter((step) => !isDead(step))]
}

/** Whether a step looks for what is wrong, rather than for what everything depends on. */
const looksFurther = (step: Step): boolean => step.do === 'measure' || step.do === 'look'

const needsPower = (step: Step): boolean => step.do !== 'condition' && step.power === 'on'

/** Bits from which a step comes before a reading that is taken once more: it may bear that one out. */
const tellsMuchBits = 0.25

/** Bits up to which a step tells next to nothing, however quick it is. */
const tellsLittleBits = 0.05

/**
 * What tells next to nothing comes after what tells much, though that takes its time: nobody reads for its
 * own sake.
 */
function littleLast(steps: readonly Step[]): readonly Step[] {
  if (!steps.some(({ bits }) => bits > tellsMuchBits)) return steps
  const tellsLittle = ({ bits }: Step): boolean => bits < tellsLittleBits
  return [...steps.filter((step) => !tellsLittle(step)), ...steps.filter(tellsLittle)]
}

/** Whether it is a reading taken once more because the verdict hangs on it. */
const decides = (step: Step): boolean => step.do === 'measure' && step.again === 'decides'

/**
 * A reading that the verdict hangs on is taken once more before the verdict, unless power has changed, or
 * something else tells much as things stand.
 */
function decidingFirst({ call, power }: Standing, steps: readonly Step[]): readonly Step[] {
  const isFirst = (step: Step): boolean => decides(step) && step.power === power
  const others = steps.filter((step) => !isFirst(step))
  const tellsMuchHere = others.some(
    (step) => step.bits > tellsMuchBits && step.call === call && step.power === power,
  )
  return tellsMuchHere ? steps : [...steps.filter(isFirst), ...others]
}

/** Share of what is believed that cannot be told without a condition, from which it waits for no reading. */
const conditionDue = 0.7

/**
 * Whether a reading or look here goes before a condition that part of what is believed answers to: it tells
 * much, and more for its time. Volts across a pressure switch go before gauges.
 */
function waitsFor(step: ConditionStep, best: ReadingStep | LookStep): boolean {
  const isHere = best.call === step.call && best.power === step.power
  return step.bearing < conditionDue && isHere && best.bits > tellsMuchBits && rate(best) > rate(step)
}

/**
 * What must be measured outside the circuit comes first: before a verdict, and before a reading that it
 * would change.
 */
function surroundingsFirst(search: Search, steps: readonly Step[]): readonly Step[] {
  const best = steps.find((step) => step.do === 'measure' || step.do === 'look')
  const judged = steps.map((step): Step => {
    if (step.do !== 'condition' || !best) return step
    const isDue = step.first !== null && !waitsFor(step, best)
    if (isDue) return step
    // without it the reading would tell another thing than it seems to
    return turnsOn(search, best, step.of)
      ? { ...step, first: 'reading', bits: Math.max(step.bits, best.bits) }
      : { ...step, first: null }
  })
  const isFirst = (step: Step): boolean => step.do === 'condition' && step.first !== null
  return [...judged.filter(isFirst), ...judged.filter((step) => !isFirst(step))]
}

const bestRate = (steps: readonly Step[]): number =>
  steps.reduce((most, step) => Math.max(most, rate(step)), 0)

/** Readings in the other calls, and isolated. */
const elsewhere = (search: Search): readonly Step[] =>
  standingsElsewhere(search.model.diagram, search.findings.now).flatMap((standing) =>
    readingSteps(
      search,
      standing,
      candidatesIn(search.model.diagram, standing),
      situationIn(search, standing),
    ),
  )

/** The other calls, and the unit isolated. */
export const standingsElsewhere = (diagram: Diagram, now: Standing): readonly Standing[] => [
  ...diagram.calls
    .filter(({ id }) => id !== now.call || now.power !== 'on')
    .map(({ id }): Standing => ({ ...poweredAgain(now), call: id, age: null })),
  ...(now.power === 'off' ? [] : [{ ...now, power: 'off', age: null } as const]),
]

/** What can be read in a standing. */
export const candidatesIn = (diagram: Diagram, { power }: Standing): readonly Candidate[] =>
  power === 'on' ? liveCandidates(diagram) : isolatedCandidates(diagram)

/** While a delay runs: to wait for it, worth what the best reading tells once it has passed. */
function waits(search: Search): readonly WaitStep[] {
  const {
    model,
    findings: { now },
  } = search
  const { age } = now
  if (age === null || now.power === 'off') return []
  const left = model.lateMoves(now).filter(({ seconds }) => seconds > age)
  const [last] = left.slice(-1)
  if (!last) return []
  const after: Standing = { ...now, age: null }
  const then = readingSteps(
    search,
    after,
    liveCandidates(model.diagram),
    situationIn(search, after),
  ).reduce<Step | null>((a, b) => (a && a.bits >= b.bits ? a : b), null)
  const seconds = Math.ceil(last.seconds - age)
  return [
    {
      do: 'wait',
      seconds,
      of: partOfBranch(last.branch),
      call: now.call,
      power: now.power,
      bits: then?.bits ?? 0,
      cost: waitShare * seconds + (then?.cost ?? 0),
      reach: then?.reach ?? 0,
      outcomes: then?.outcomes ?? [],
    },
  ]
}

/**
 * The first `count`, leaving out those that tell nothing but what a better one tells at nearly the same
 * place.
 */
export function pick(steps: readonly Step[], count = 3): readonly Step[] {
  const chosen: Step[] = []
  for (const step of steps) {
    if (chosen.length >= count) break
    if (step.bits <= worthwhileBits && !decides(step)) continue
    const same = chosen.some(
      (other) => Math.abs(other.bits - step.bits) < 1e-6 && placeOf(other) === placeOf(step),
    )
    if (!same) chosen.push(step)
  }
  return chosen
}

const placeOf = (step: Step): string => (step.do === 'measure' ? partOfPoint(step.from) : step.of)
