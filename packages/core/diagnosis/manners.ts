import { isAcVolts, isOhms } from '../circuit/meters'
import { partOfPoint, type Diagram, type Part } from '../diagram/diagram'
import { endOf } from '../diagram/endOf'
import { supplies } from '../diagram/roles'
import { showsOpened } from '../parts/lookVocabulary'
import type { Evidence } from '../visit/evidence'
import { putBackBetween } from '../visit/standing'
import type { Search } from './proposals'
import { isShort } from './resistance'
import { rate, sortOf, type ReadingStep, type Step } from './steps'

/**
 * Probability of shorts from which power stays off behind a trip: before anything was read on the dead unit,
 * and after.
 */
const heldOffFrom = { unread: 0.02, read: 0.2 } as const
/** Millivolts are not asked for across what may stand open: beyond so many, with more than this probability. */
const openMillivolts = { from: 2000, probability: 0.01 } as const
/** A reading at the building's panel is left out where another tells at least this share of it. */
const sameShare = 0.9

/** What a good technician would not be asked to do: steps of that sort are left out, whatever they would tell. */
export function mannerly(search: Search, behind: HeldOff, steps: readonly Step[]): readonly Step[] {
  const allowed = steps.filter(
    (step) =>
      !(behind !== 'nothing' && needsPower(step)) && !mayStandOpen(search, step) && !isIdle(search, step),
  )
  return withoutPanel(search, powerFirst(search, allowed))
}

/**
 * Before any volts were read in a call, a clamp must tell so many times as much as volts and looks in that
 * call do, and so many times as much for its time.
 */
const clearlyBetter = { bits: 1.5, rate: 3 } as const

/**
 * Power and the call are known first: a clamp on a wire is put back until then, unless it is clearly better.
 */
function powerFirst({ findings }: Search, steps: readonly Step[]): readonly Step[] {
  const { evidence, now } = findings
  const isKnown = evidence.some(
    (piece) =>
      piece.kind === 'reading' &&
      isAcVolts(piece.meter) &&
      piece.standing.call === now.call &&
      piece.standing.repairs === now.repairs,
  )
  if (isKnown) return steps
  const isClamp = (step: Step): boolean => step.do === 'measure' && step.meter === 'amps'
  const others = steps.filter((step) => !isClamp(step) && step.call === now.call && step.power === now.power)
  const most = (of: (step: Step) => number): number => Math.max(0, ...others.map(of))
  const [bits, best] = [most((step) => step.bits), most(rate)]
  const isClearlyBetter = (step: Step): boolean =>
    step.bits > clearlyBetter.bits * bits && rate(step) > clearlyBetter.rate * best
  return steps.filter((step) => !isClamp(step) || isClearlyBetter(step))
}

const needsPower = (step: Step): boolean =>
  step.power === 'on' && sortOf(step) !== 'look' && sortOf(step) !== 'condition'

/** Behind what power stays off: a safety control, or a fuse or breaker. */
export type HeldOff = 'nothing' | 'guard' | 'overcurrent'

/**
 * Behind what power stays off: something was found tripped or blown and has not been put back, and what
 * tripped it may still be there: isolate, then ohms of what it feeds. A manual limit or rollout is never put
 * back to see.
 */
export function heldOffBehind({ findings, model, belief, which }: Search): HeldOff {
  const { evidence, now } = findings
  const found = evidence.flatMap((piece, at) => {
    const part = partOpened(model.diagram, piece)
    // renewed since it was found so: it may open again, and then it is found open again
    return part === null || putBackBetween(piece.standing, now, part.id) ? [] : [{ part, at }]
  })
  const parts = found.map(({ part }) => part)
  if (
    parts.some(
      ({ kind, settings }) =>
        kind.guard && kind.faults(settings).some(({ clears }) => clears?.includes('reset')),
    )
  )
    return 'guard'
  if (!parts.some(({ kind }) => kind.overcurrent)) return 'nothing'
  const shorts = which
    .filter((h) => model.hypotheses[h].faults.some(isShort))
    .reduce((sum, h) => sum + belief.probability[h], 0)
  const isRead = evidence
    .slice(found[0].at + 1)
    .some((piece) => piece.kind === 'reading' && isOhms(piece.meter))
  return shorts >= heldOffFrom[isRead ? 'read' : 'unread'] ? 'overcurrent' : 'nothing'
}

/** The part that a piece of evidence found open: by its look, or a fuse or breaker by ohms through a pole. */
function partOpened({ parts }: Diagram, piece: Evidence): Part | null {
  if (piece.kind === 'look') return (showsOpened(piece.what) && parts.get(piece.of)) || null
  if (piece.kind !== 'reading' || piece.meter !== 'ohms' || piece.value !== null) return null
  const part = parts.get(partOfPoint(piece.from))
  if (part?.kind.overcurrent === undefined) return null
  const read = [piece.from, piece.to]
  const isPole = part.kind
    .branches(part.settings, {})
    .some(({ from, to }) => [from, to].every((name) => read.includes(endOf(part.id, name))))
  return isPole ? part : null
}

/** Belief in a drop of so many millivolts, by a step that reads one; 0 of any other step. */
function beliefInDrop(
  { belief, which }: Search,
  step: Step,
  isSuch: (millivolts: number) => boolean,
): number {
  if (step.do !== 'measure' || step.meter !== 'millivolts') return 0
  return which.reduce((sum, h) => (isSuch(step.predicted[h]) ? sum + belief.probability[h] : sum), 0)
}

/** Whether a drop is asked for where the full supply might stand: volts first. */
const mayStandOpen = (search: Search, step: Step): boolean =>
  beliefInDrop(search, step, (millivolts) => millivolts > openMillivolts.from) > openMillivolts.probability

/**
 * A drop of fewer millivolts, or of less than this share of the healthy one, is that of a path which hardly
 * carries anything; asked for only where more is expected by half of what is believed.
 */
const idleDrop = { belowMillivolts: 1, belowShare: 0.5, probability: 0.5 } as const

/** Whether a drop is asked for along a path that most likely carries little or nothing: volts tell that. */
function isIdle(search: Search, step: Step): boolean {
  const healthy = step.do === 'measure' ? Math.abs(step.healthy ?? 0) : 0
  const least = Math.max(idleDrop.belowMillivolts, idleDrop.belowShare * healthy)
  return beliefInDrop(search, step, (millivolts) => Math.abs(millivolts) < least) > idleDrop.probability
}

/** Leaves out what is read inside the building's panel while another place tells nearly the same. */
function withoutPanel({ model }: Search, steps: readonly Step[]): readonly Step[] {
  const { diagram } = model
  const panel = new Set(supplies(diagram).map(({ zone }) => zone))
  const isInPanel = (step: Step): step is ReadingStep =>
    step.do === 'measure' &&
    [step.from, step.to].some((point) => panel.has(diagram.points.get(point)?.zone ?? ''))
  const most = steps.reduce((bits, step) => (isInPanel(step) ? bits : Math.max(bits, step.bits)), 0)
  return steps.filter((step) => !isInPanel(step) || sameShare * step.bits > most)
}
