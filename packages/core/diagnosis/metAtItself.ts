import type { Diagram } from '../diagram/diagram'
import { effectEnds, terminalsOfBranch } from '../diagram/effectEnds'
import { branchesOpened, earth, type Effect, type Fault, type PointId } from '../parts/effect'
import { showsFed } from '../parts/lookVocabulary'
import type { Findings } from '../visit/evidence'
import type { Standing } from '../visit/standing'
import type { Hypothesis } from './hypothesis'
import { readAlone } from './readAlone'
import type { ReadingStep } from './steps'

type Meeting = (step: ReadingStep) => boolean

/**
 * Which readings meet a suspect at itself that has not been met yet; null where it was met, or seen. What is
 * read elsewhere may come of something that nobody drew. A suspect is met by leads of the meter on the two
 * points that it lies between; a short by the ohms of a part with its leads off, or those that are left with
 * its lead off; and what acts on what it is given, as a relay or a board, where that is given to it.
 */
export function meetingOf(
  diagram: Diagram,
  { evidence, now }: Findings,
  { faults }: Hypothesis,
): Meeting | null {
  const since = evidence.filter(({ standing }) => standing.repairs === now.repairs)
  const readings = since.flatMap((piece) => (piece.kind === 'reading' ? [piece] : []))
  const touched = new Set(readings.flatMap(({ from, to }) => [from, to]))
  const left = faults.flatMap((fault) => [...alone(fault), ...atItsEnds(fault), ...atItsInputs(fault)])
  return left.length === 0 ? null : (step) => left.some((meets) => meets(step))

  function alone(fault: Fault): readonly Meeting[] {
    const way = readAlone(diagram, fault)
    if (!way || (diagram.wires.has(fault.of) && isSeen(fault))) return []
    const isOne = (a: PointId, b: PointId): boolean =>
      way.readings.some(({ from, to }) => [a, b].includes(from) && [a, b].includes(to))
    const isRead = readings.some(
      ({ from, to, standing }) => isOne(from, to) && way.isAloneWith(liftedIn(standing)),
    )
    const isOff = way.isAloneWith(liftedIn(now))
    const isAlone = ({ deed, power }: ReadingStep): boolean =>
      deed === null ? isOff && power === 'off' : deed.verb === 'lift' && deed.of === way.lifted
    return isRead ? [] : [(step) => isAlone(step) && isOne(step.from, step.to)]
  }

  function atItsEnds(fault: Fault): readonly Meeting[] {
    if (isSeen(fault) || readAlone(diagram, fault)) return []
    const ends = fault.effects.flatMap((effect) => {
      const pair = effectEnds(diagram, effect)
      return pair ? [pair.filter((point) => point !== earth && !touched.has(point))] : []
    })
    const isMet = ends.length === 0 || ends.some((pair) => pair.length === 0)
    return isMet ? [] : [atAnyOf(ends.flat())]
  }

  function isSeen({ of, shows, effects }: Fault): boolean {
    const isMoved = effects.every(({ does }: Effect) => does === 'hold' || does === 'set')
    return since.some(
      (piece) => piece.kind === 'look' && piece.of === of && (isMoved || shows?.includes(piece.what)),
    )
  }

  /** It was seen to act on what it is given; what has stuck there acts on nothing. */
  function isSeenFed({ of, class: sort }: Fault): boolean {
    return (
      sort !== 'stuck' &&
      since.some((piece) => piece.kind === 'look' && piece.of === of && showsFed(piece.what))
    )
  }

  /** Each thing that the part acts on, as its coil or the inputs of a board, of which no end was touched live. */
  function atItsInputs(fault: Fault): readonly Meeting[] {
    const part = diagram.parts.get(fault.of)
    if (!part || readAlone(diagram, fault) || isSeenFed(fault)) return []
    const live = new Set(
      readings.flatMap(({ from, to, standing }) => (standing.power === 'on' ? [from, to] : [])),
    )
    const inputs = part.kind.senses?.(part.settings).volts ?? []
    return inputs.flatMap((name): readonly Meeting[] => {
      const pair = terminalsOfBranch(part, `${part.id}/${name}`)
      if (!pair || pair.some((point) => live.has(point))) return []
      const meets = atAnyOf(pair)
      return [(step) => step.power === 'on' && meets(step)]
    })
  }
}

const atAnyOf =
  (points: readonly PointId[]): Meeting =>
  ({ from, to }) =>
    [from, to].some((point) => point !== earth && points.includes(point))

const liftedIn = ({ actions }: Standing): ReadonlySet<string> =>
  branchesOpened(actions.flatMap(({ effects }) => effects))
