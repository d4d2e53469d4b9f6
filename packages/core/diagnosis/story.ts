import { partWords, type Diagram } from '../diagram/diagram'
import { findTheShort } from '../parts/energising'
import type { Diagnosis } from './diagnose'
import type { Hypothesis } from './hypothesis'
import { readingOf } from './grouping'
import { likelihoodAtBest, mayBePhantom } from './likelihood'
import { situationIn } from './proposals'
import type { Stop, Strip } from './strip'
import { evidenceWords } from './words'

type MeasuredStop = Stop & { readonly measured: NonNullable<Stop['measured']> }

const isMeasured = (stop: Stop): stop is MeasuredStop => stop.measured !== null

/**
 * The last live point and the first dead one of the call's path, as measured; null when there is no such
 * pair.
 */
function stretchOf(
  strips: readonly Strip[],
): { readonly live: MeasuredStop; readonly dead: MeasuredStop } | null {
  for (const { stops } of strips) {
    const measured = stops.filter(isMeasured).filter(({ expected }) => expected > 2)
    const dead = measured.find(({ state }) => state === 'dead')
    if (!dead) continue
    const live = measured
      .slice(0, measured.indexOf(dead))
      .reverse()
      .find(({ state }) => state === 'live')
    if (live) return { live, dead }
  }
  return null
}

/** The same two as points. */
export function storyPoints(strips: readonly Strip[]): readonly [from: string, to: string] | null {
  const stretch = stretchOf(strips)
  return stretch ? [stretch.live.point, stretch.dead.point] : null
}

/** The same in a sentence; empty when there is no such pair. */
export function storyOf(strips: readonly Strip[]): string {
  const stretch = stretchOf(strips)
  if (!stretch) return ''
  const { live, dead } = stretch
  const [above, below] = [live, dead].map(({ measured, point }) => `${measured.words} at ${point}`)
  return `${above}, ${below}: it stops between these two.`
}

/**
 * A reading is unexplained when every suspect falls so far short, in log-likelihood, of one that predicts
 * just that value.
 */
const unexplained = -4

/** What to do about some volts on a point that should be dead. */
export const phantomWords = (reading: string): string =>
  `${reading} may be a phantom from live wires beside a dead one: repeat it with the low-impedance function. A phantom falls to nothing there, a back-feed does not.`

/** Evidence that nothing explains, and what to do about it. */
export function contradictionOf(diagnosis: Diagnosis): string {
  const { belief, findings, model, ranked } = diagnosis
  const best = (row: Float64Array): number =>
    row.reduce(
      (most, weight, h) =>
        belief.probability[h] > 0.01 && weight > most && !model.hypotheses[h].notDrawn ? weight : most,
      -Infinity,
    )
  const odd = findings.evidence
    .flatMap((piece, e) =>
      piece.kind === 'reading'
        ? [
            {
              piece,
              short: best(belief.weight[e]) - Math.log(likelihoodAtBest(piece.meter, piece.value)),
            },
          ]
        : [],
    )
    .filter(({ short }) => short < unexplained)
    .sort((a, b) => a.short - b.short)
  const [worst] = odd
  if (!worst) return ''
  const { meter, from, to, value, standing } = worst.piece
  const suspects = ranked.filter((h) => belief.probability[h] > 0.01)
  const predicted = situationIn(diagnosis, standing).predict(meter, from, to, suspects)
  if (
    odd.length === 1 &&
    suspects.length > 0 &&
    mayBePhantom(meter, value, readingOf(predicted[suspects[0]]))
  )
    return phantomWords(evidenceWords(model.diagram, worst.piece))
  const least = model.hypotheses[ranked[0]].words
  return `No suspect explains ${odd.map(({ piece }) => evidenceWords(model.diagram, piece)).join(' and ')}. Least contradicted: ${least}. Check the meter’s function and leads, then repeat ${evidenceWords(model.diagram, worst.piece)}.`
}

/**
 * Repairs that what was read before does not speak for: the fault may still be there. Empty when there is
 * none.
 */
export function doubtOf({ model, belief, findings }: Diagnosis): string {
  const doubted = findings.repaired.filter(
    (of, k) =>
      belief.repairedFaults[k] < 0 &&
      model.hypotheses.some((hypothesis) => hypothesis.of.includes(of)) &&
      findings.evidence.some(({ standing }) => standing.repairs <= k),
  )
  if (doubted.length === 0) return ''
  return `What was found before does not point to ${doubted.map((of) => partWords(model.diagram, of)).join(' or ')}: what stopped the unit may still be there.`
}

/** What has to be known before the unit is energised again with this repaired. */
export function beforeEnergising(diagram: Diagram, { faults }: Hypothesis): string {
  const said = faults.map((fault) => {
    const part = diagram.parts.get(fault.of)
    if (part) return part.kind.beforeEnergising?.(fault.class) ?? ''
    return fault.class === 'ground' || fault.class === 'crossed' ? findTheShort : ''
  })
  return [...new Set(said.filter((words) => words !== ''))].join(' ')
}
