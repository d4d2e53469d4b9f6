import type { Diagram, Part } from '../diagram/diagram'
import { drawLead } from '../diagram/drawLead'
import { edited, problem, type LadderEdit } from '../diagram/editLadder'
import { freeName } from '../diagram/freeName'
import { farFrom, wireAt, wiresAt } from '../diagram/wireAt'
import type { PassingBy } from '../parts/kind'
import { inTurn, type Turn } from './inTurn'
import { moveLead } from './moveLead'

/** Parts that can be passed by as they are wired: one that is passed by already has nothing to move. */
export const passableParts = (diagram: Diagram): readonly Part[] =>
  [...diagram.parts.values()].filter(({ id, kind, settings }) => {
    const way = kind.passedBy?.(settings)
    return way && Object.keys({ ...way.moved, ...way.fed }).every((own) => wireAt(diagram, `${id}.${own}`))
  })

/**
 * The circuit with a part passed by: what stands in its place is fed from where the part is, and its leads
 * leave it for that. Every guard that is in those leads stays in them.
 */
export function passBy(text: string, diagram: Diagram, part: Part): LadderEdit {
  const way = part.kind.passedBy?.(part.settings)
  if (!way) return problem(`${part.words} cannot be passed by`)
  const id = freeName(diagram, way.words)
  const fed = Object.entries(way.fed).map(([own, other], k) =>
    feed(part, way, { id, own, other, isFirst: k === 0 }),
  )
  const moved = Object.entries({ ...way.moved, ...way.alsoMoved }).flatMap(([own, other]) => {
    const point = `${part.id}.${own}`
    return wiresAt(diagram, point).map(() => moveLead(point, `${id}.${other}`))
  })
  return inTurn(text, [...fed, ...moved, traced(part.id, way, id)])
}

interface Feed {
  readonly id: string
  readonly own: string
  readonly other: string
  /** The first lead to it brings it with it. */
  readonly isFirst: boolean
}

/** A lead more from what feeds the part, in the colour of the one there. */
const feed = (
  { id: passed, zone }: Part,
  { kind, words, settings }: PassingBy,
  { id, own, other, isFirst }: Feed,
): Turn => ({
  words: `Feed ${id}.${other}`,
  make: (text, diagram) => {
    const wire = wireAt(diagram, `${passed}.${own}`)
    if (!wire) return problem(`no lead comes to ${passed}.${own}`)
    const { color, number } = wire
    const from = farFrom(`${passed}.${own}`, wire)
    return drawLead(text, diagram, {
      from,
      color,
      number: `${number}B`,
      to: isFirst
        ? { is: 'new-part', id, kind, words, zone, terminal: other, settings }
        : { is: 'terminal', point: `${id}.${other}` },
    })
  },
})

/** Traces that led to a terminal of the one lead to where its lead is now. */
const traced = (passed: string, { moved }: PassingBy, id: string): Turn => ({
  words: 'Lead its traces on',
  make: (text) =>
    edited(
      text
        .split('\n')
        .map((line) => {
          const [, head, to] = /^(trace .*-> )(\S+)$/.exec(line) ?? []
          const onto = Object.entries(moved).find(([own]) => to === `${passed}.${own}`)?.[1]
          return onto === undefined ? line : `${head}${id}.${onto}`
        })
        .join('\n'),
    ),
})
