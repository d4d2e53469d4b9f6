import { Settings } from '../parts/settings'
import { partKinds } from '../parts/index'
import { tracedRung } from './bareLadder'
import { partOfPoint, terminalOfPoint, type Diagram, type Wire } from './diagram'
import {
  afterLastPart,
  edited,
  landElsewhere,
  partName,
  problem,
  wireNumber,
  wireWord,
  type LadderEdit,
} from './editLadder'
import { circuitOf } from './joins'
import { newPartLine } from './newPartLine'
import type { PointId } from '../parts/effect'
import { wireAt } from './wireAt'

/** Where a lead goes that is traced from one of its ends. */
export type FarEnd =
  | { readonly is: 'terminal'; readonly point: PointId }
  | {
      readonly is: 'new-part'
      readonly id: string
      readonly kind: string
      readonly words: string
      readonly zone: string
      readonly terminal: string
      /** Its settings where they are not the usual ones, as a text has them. */
      readonly settings?: string
    }
  /** Nobody has followed it further yet: it stays open, and is named as such. */
  | { readonly is: 'not-traced' }

export interface TracedLead {
  readonly from: PointId
  readonly color: string
  readonly number: string
  readonly to: FarEnd
}

/** The part that stands for everything nobody has followed yet: each of its terminals is one open end. */
export const openEndsPart = 'UT'

/** Leads of a circuit whose far end nobody has followed yet. */
export const openLeads = ({ wires }: Diagram): readonly Wire[] =>
  [...wires.values()].filter(({ to }) => partOfPoint(to) === openEndsPart)

/** Draws one lead more, as it was traced: from a terminal that is drawn already to wherever it goes. */
export function drawLead(text: string, diagram: Diagram, lead: TracedLead): LadderEdit {
  const { from, color, number, to } = lead
  if (!diagram.points.has(from)) return problem(`there is no terminal ${from || '(none)'} to begin at`)
  if (!wireWord.test(color)) return problem('write the colour as one word: yellow')
  if (!wireNumber.test(number)) return problem('write the number in letters and digits: 83')
  const end = farEndOf(text, diagram, to)
  if (end.is === 'problem') return end
  if (end.point === from) return problem('a lead needs two different ends')
  const twin = [...diagram.wires.values()].find((wire) => hasEnds(wire, from, end.point))
  if (twin)
    return problem(`${from} and ${end.point} are joined by a lead already: ${twin.color} ${twin.number}`)
  const wiring = wiringFor(diagram, from, end.point)
  if (!wiring)
    return problem(`${from} and ${end.point} are of line voltage and of control: no lead joins the two`)
  return edited(intoRung(end.text, tracedRung[wiring], wiring, `${from} -${color} ${number}- ${end.point}`))
}

/** What a lead between two terminals is, line voltage or control; null where one is of each. */
function wiringFor(diagram: Diagram, from: PointId, to: PointId): Wire['wiring'] | null {
  const [one, other] = [from, to].map((point) => wiringAt(diagram, point))
  const shared = one.filter((wiring) => other.includes(wiring))
  const possible = one.length === 0 ? other : other.length === 0 ? one : shared
  if (possible.length === 0) return one.length === 0 ? 'control' : null
  // where both go, as where the neutral is the common, a coil that is fed from the control circuit returns
  // to it; else it is what is there already
  const near = [...[from, to].flatMap((point) => acrossPart(diagram, point)), from, to]
  const beside = near.map((point) => wireAt(diagram, point)?.wiring)
  return beside.find((wiring) => wiring && possible.includes(wiring)) ?? possible[0]
}

/** The other ends of whatever lies between a terminal and others of its part. */
function acrossPart({ parts }: Diagram, point: PointId): readonly PointId[] {
  const part = parts.get(partOfPoint(point))
  if (!part) return []
  const own = terminalOfPoint(point)
  return part.kind
    .branches(part.settings, {})
    .filter(({ from, to }) => from === own || to === own)
    .map(({ from, to }) => `${part.id}.${from === own ? to : from}`)
}

/** What the wires of the circuit that a terminal is in are: line voltage, control, or nothing yet. */
function wiringAt(diagram: Diagram, point: PointId): readonly Wire['wiring'][] {
  if (!diagram.points.has(point)) return []
  const circuit = circuitOf(diagram, point)
  const own = [...diagram.wires.values()].filter(({ from }) => circuitOf(diagram, from) === circuit)
  return [...new Set(own.map(({ wiring }) => wiring))]
}

const hasEnds = (wire: Wire, one: PointId, other: PointId): boolean =>
  (wire.from === one && wire.to === other) || (wire.from === other && wire.to === one)

type Reached =
  | { readonly is: 'reached'; readonly text: string; readonly point: PointId }
  | { readonly is: 'problem'; readonly message: string }

const failed = (message: string): Reached => ({ is: 'problem', message })

/** The text with whatever the far end needs, and the terminal that it is. */
function farEndOf(text: string, diagram: Diagram, to: FarEnd): Reached {
  switch (to.is) {
    case 'terminal':
      return diagram.points.has(to.point)
        ? { is: 'reached', text, point: to.point }
        : failed(`there is no terminal ${to.point || '(none)'}`)
    case 'new-part': {
      const { id, kind: kindName, words, zone, terminal, settings } = to
      const kind = partKinds.get(kindName)
      if (!kind) return failed('choose what kind of part it is')
      if (!partName.test(id)) return failed('name the part in capitals and digits, as on its cover: CC1')
      if (diagram.parts.has(id)) return failed(`there is a part ${id} already; take another name`)
      if (!diagram.zones.has(zone))
        return failed(`choose where it is: ${[...diagram.zones.keys()].join(', ')}`)
      const own = kind.terminals(new Settings(id, kind.settings)).map(({ name }) => name)
      if (!own.includes(terminal)) return failed(`a ${kind.words} has the terminals ${own.join(', ')}`)
      const line = newPartLine(diagram, kind, { id, words, zone, settings })
      return { is: 'reached', text: afterLastPart(text, line), point: `${id}.${terminal}` }
    }
    case 'not-traced':
      return openEnd(text, diagram)
  }
}

/** One open end more. */
function openEnd(text: string, diagram: Diagram): Reached {
  const part = diagram.parts.get(openEndsPart)
  const [zone] = [...diagram.zones.keys()].slice(-1)
  const written = (terminals: readonly string[]): string =>
    `part ${openEndsPart} terminal-board "Not traced yet" in ${zone} : terminals "${terminals.join(',')}"`
  if (!part) return { is: 'reached', text: afterLastPart(text, written(['1'])), point: `${openEndsPart}.1` }
  const known = part.settings.list('terminals')
  const next = String(Math.max(0, ...known.map(Number)) + 1)
  const lines = text.split('\n')
  return {
    is: 'reached',
    text: lines.map((line, k) => (k === part.line - 1 ? written([...known, next]) : line)).join('\n'),
    point: `${openEndsPart}.${next}`,
  }
}

/** An open lead has been followed: it goes to a terminal that is drawn. */
export function followLead(text: string, diagram: Diagram, wire: Wire, point: PointId): LadderEdit {
  const landed = landElsewhere(text, diagram, wire, point)
  if (landed.is === 'problem' || openLeads(diagram).length > 1) return landed
  // the last one: nothing is open any more
  return edited(
    landed.text
      .split('\n')
      .filter((line) => !line.startsWith(`part ${openEndsPart} `))
      .join('\n'),
  )
}

/** A chain at the end of a rung, which is made where there is none. */
function intoRung(text: string, words: string, wiring: Wire['wiring'], chain: string): string {
  const lines = text.trimEnd().split('\n')
  const head = lines.indexOf(`rung "${words}" ${wiring}`)
  if (head < 0) return [...lines, `rung "${words}" ${wiring}`, `  ${chain}`, ''].join('\n')
  const rest = lines.slice(head + 1).findIndex((line) => !/^\s/.test(line))
  const at = rest < 0 ? lines.length : head + 1 + rest
  return [...lines.slice(0, at), `  ${chain}`, ...lines.slice(at), ''].join('\n')
}
