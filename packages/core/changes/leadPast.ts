import type { Diagram, Part } from '../diagram/diagram'
import { problem, takeWireOut, type LadderEdit } from '../diagram/editLadder'
import { farFrom, wireAt, wiresAt } from '../diagram/wireAt'
import type { PointId } from '../parts/effect'
import { inTurn, type Turn } from './inTurn'
import { moveLead } from './moveLead'

interface Passage {
  readonly into: PointId
  readonly outOf: PointId
}

/** Where a part passes a call on, of those ways that are wired on both sides. */
const passagesOf = (diagram: Diagram, { id, kind: { passesOn = [] } }: Part): readonly Passage[] =>
  passesOn
    .map(([into, outOf]) => ({ into: `${id}.${into}`, outOf: `${id}.${outOf}` }))
    .filter(({ into, outOf }) => wireAt(diagram, into) && wireAt(diagram, outOf))

/** Parts that can be left out of the path of the calls that they pass on. */
export const partsToLeadPast = (diagram: Diagram): readonly Part[] =>
  [...diagram.parts.values()].filter((part) => passagesOf(diagram, part).length > 0)

/**
 * The circuit with the calls led past a part, an economizer or a board: what came to it lands where it passed
 * the call on to, so that whatever guards the call before and behind it stays in series.
 */
export const leadPast = (text: string, diagram: Diagram, part: Part): LadderEdit =>
  inTurn(
    text,
    passagesOf(diagram, part).flatMap((passage) => ledPast(diagram, passage)),
  )

function ledPast(diagram: Diagram, { into, outOf }: Passage): readonly Turn[] {
  const [on, ...others] = wiresAt(diagram, outOf)
  const target = farFrom(outOf, on)
  return [
    ...wiresAt(diagram, into).map(() => moveLead(into, target)),
    ...others.map(() => moveLead(outOf, target, on)),
    {
      words: `Take out the lead of ${outOf}`,
      make: (text, now) => {
        const wire = wireAt(now, outOf)
        return wire ? takeWireOut(text, wire) : problem(`no lead comes to ${outOf}`)
      },
    },
  ]
}
