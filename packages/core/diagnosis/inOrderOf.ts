import { commonsOf } from '../diagram/commonNear'
import { pathPlaces } from './pathPoints'
import { situationIn, type Search } from './proposals'
import { rate, type ReadingStep, type Step } from './steps'
import type { School } from './schools'

/** Steps whose information per second differs by less are as good as each other: a share. */
const alike = 0.02
/** Bits per second that are none. */
const nothing = 1e-9
/** How much a step tells for its time, as a whole number: as good ones keep the order that they come in. */
const grade = (step: Step): number => Math.round(Math.log(Math.max(rate(step), nothing)) / alike)

/**
 * Steps in the order of a school; each school falls back on information per cost where its own manner says
 * nothing more.
 */
export function inOrderOf(school: School, search: Search, steps: readonly Step[]): readonly Step[] {
  const byRate = steps
    .map((step) => ({ step, grade: grade(step) }))
    .sort((a, b) => b.grade - a.grade)
    .map(({ step }) => step)
  if (school === 'best') return byRate
  const own = ownManner(school, search, byRate)
  return [...own, ...byRate.filter((step) => !own.includes(step))]
}

function ownManner(school: Exclude<School, 'best'>, search: Search, steps: readonly Step[]): readonly Step[] {
  switch (school) {
    case 'walk':
      return alongPath(search, steps).map(({ step }) => step)
    case 'split': {
      const rest = alongPath(search, steps)
      const middle = (rest.length - 1) / 2
      return rest
        .map((stop, k) => ({ ...stop, off: Math.abs(k - middle) }))
        .sort((a, b) => a.off - b.off)
        .map(({ step }) => step)
    }
    case 'pull':
      return steps.filter((step) => atPlug(search, step))
    case 'usual':
      return confirming(search, steps)
  }
}

interface OnPath {
  readonly step: ReadingStep
  readonly place: number
}

/**
 * Volts to common at the stops between the last that is live and the first that is dead, in the order of the
 * wire.
 */
function alongPath(search: Search, steps: readonly Step[]): readonly OnPath[] {
  const { findings, model } = search
  const { now, evidence } = findings
  const situation = situationIn(search, now)
  const places = pathPlaces(situation, now.call)
  const commons = commonsOf(model.diagram)
  let live = -1
  let dead = Infinity
  for (const piece of evidence) {
    if (
      piece.kind !== 'reading' ||
      piece.meter !== 'volts' ||
      !commons.has(piece.to) ||
      piece.standing.call !== now.call ||
      piece.standing.repairs !== now.repairs
    )
      continue
    const place = places.get(piece.from)
    if (place === undefined) continue
    const half = situation.predict('volts', piece.from, piece.to, [0])[0] / 2
    if ((piece.value ?? 0) > half) live = Math.max(live, place)
    else dead = Math.min(dead, place)
  }
  return steps
    .flatMap((step): readonly OnPath[] => {
      if (
        step.do !== 'measure' ||
        step.deed ||
        step.meter !== 'volts' ||
        !commons.has(step.to) ||
        step.call !== now.call ||
        step.power !== now.power
      )
        return []
      const place = places.get(step.from)
      return place !== undefined && place > live && place < dead ? [{ step, place }] : []
    })
    .sort((a, b) => a.place - b.place)
}

function atPlug({ model: { diagram } }: Search, step: Step): boolean {
  if (step.do !== 'measure') return false
  if (step.deed?.verb === 'unplug') return true
  return diagram.parts.get(step.from.split('.')[0])?.kind.pulledApart !== undefined
}

/** What would set the likeliest suspect apart from the most of the rest. */
function confirming({ belief, which }: Search, steps: readonly Step[]): readonly Step[] {
  const likeliest = which.reduce(
    (best, h) => (belief.probability[h] > belief.probability[best] ? h : best),
    which[0] ?? 0,
  )
  const withIt = (step: Step): number =>
    step.outcomes.find(({ hypotheses }) => hypotheses.includes(likeliest))?.probability ?? 1
  return steps
    .filter((step) => withIt(step) < 0.98)
    .sort((a, b) => withIt(a) - withIt(b) || rate(b) - rate(a))
}
