import { partKinds } from '../parts/index'
import type { PartKind } from '../parts/kind'
import { Settings } from '../parts/settings'
import type { Diagram, Wire } from './diagram'
import { newPartLine } from './newPartLine'

/** An edit of a ladder text: the text after it, or why it cannot be made. */
export type LadderEdit =
  { readonly is: 'text'; readonly text: string } | { readonly is: 'problem'; readonly message: string }

export const edited = (text: string): LadderEdit => ({ is: 'text', text })
export const problem = (message: string): LadderEdit => ({ is: 'problem', message })

/** A kind of part that a wire can lead through, with the terminals that it enters and leaves by. */
export interface ThroughKind {
  readonly kind: string
  readonly words: string
  readonly enters: string
  readonly leaves: string
}

const throughRoles: ReadonlySet<string> = new Set(['contact', 'fuse', 'load', 'conductor'])

/** Kinds with one way through them as they come: what can be put into a path. */
export const throughKinds: readonly ThroughKind[] = [...partKinds.values()]
  .flatMap((kind) => {
    const way = wayThrough(kind)
    return way ? [{ kind: kind.kind, words: kind.words, ...way }] : []
  })
  .sort((a, b) => a.words.localeCompare(b.words))

function wayThrough(kind: PartKind): Pick<ThroughKind, 'enters' | 'leaves'> | null {
  const settings = new Settings('', kind.settings)
  const named = new Set(kind.terminals(settings).map(({ name }) => name))
  const ways = kind
    .branches(settings, {})
    .filter(({ role, from, to }) => throughRoles.has(role) && named.has(from) && named.has(to))
  const [way] = ways
  return named.size === 2 && ways.length === 1 ? { enters: way.from, leaves: way.to } : null
}

export interface NewPart {
  readonly id: string
  readonly kind: ThroughKind
  readonly words: string
  readonly zone: string
  /** Its settings where they are known, as a ladder text has them. */
  readonly settings?: string
}

export const partName = /^[A-Z][A-Z0-9]*$/

/** Puts a part into a wire: the wire leads to it, and on from it in the same colour and number. */
export function insertPart(text: string, diagram: Diagram, wire: Wire, part: NewPart): LadderEdit {
  const { id, kind, words, zone, settings } = part
  const made = partKinds.get(kind.kind)
  if (!made) return problem('choose what kind of part it is')
  if (!partName.test(id)) return problem('name the part in capitals and digits, as on its drawing: FZ1')
  if (diagram.parts.has(id)) return problem(`there is a part ${id} already; take another name`)
  if (!diagram.zones.has(zone)) return problem(`choose where it is: ${[...diagram.zones.keys()].join(', ')}`)
  const { from, to, color, number } = wire
  const label = `-${color} ${number}-`
  const through = `${from} ${label} ${id}.${kind.enters} = ${id}.${kind.leaves} ${label} ${to}`
  const rewired = rewire(text, wire, () => through)
  const line = newPartLine(diagram, made, { id, words, zone, settings })
  return rewired === null ? lost(wire) : edited(afterLastPart(rewired, line))
}

/** Takes a part out that one wire leads to and one away from: the first leads on to where the second went. */
export function takePartOut(text: string, diagram: Diagram, id: string): LadderEdit {
  const part = diagram.parts.get(id)
  if (!part) return problem(`there is no part ${id}`)
  const isOwn = (point: string): boolean => point.startsWith(`${id}.`)
  const own = [...diagram.wires.values()].filter(({ from, to }) => isOwn(from) || isOwn(to))
  const into = own.find(({ to }) => isOwn(to))
  const away = own.find(({ from }) => isOwn(from))
  if (own.length !== 2 || !into || !away)
    return problem(`${id} has other wires than one to it and one on from it; take it out in the text`)
  const lines = text.split('\n')
  const pattern = new RegExp(
    [
      spaced(into),
      '\\s*=\\s*',
      escaped(away.from),
      '\\s*-\\s*\\S+ \\S+?\\s*-\\s*',
      escaped(away.to),
      end,
    ].join(''),
  )
  const at = into.line - 1
  const shorter = lines[at]?.replace(pattern, `${into.from} -${into.color} ${into.number}- ${away.to}`)
  if (shorter === undefined || shorter === lines[at])
    return problem(`${id} does not stand in one line of a rung; take it out in the text`)
  return edited(
    lines
      .map((line, k) => (k === at ? shorter : line))
      .filter((_, k) => k !== part.line - 1)
      .join('\n'),
  )
}

export const wireWord = /^[A-Za-z][A-Za-z0-9]*$/
export const wireNumber = /^[A-Za-z0-9/]+$/

/** Gives a wire the colour and number that it has in the panel. */
export function relabelWire(text: string, wire: Wire, color: string, number: string): LadderEdit {
  if (!wireWord.test(color)) return problem('write the colour as one word: yellow')
  if (!wireNumber.test(number)) return problem('write the number in letters and digits: 83')
  const rewired = rewire(text, wire, ({ from, to }) => `${from} -${color} ${number}- ${to}`)
  return rewired === null ? lost(wire) : edited(rewired)
}

/**
 * Lands one end of a wire, the far one unless said, on another terminal; what was at the old one stays with
 * it.
 */
export function landElsewhere(
  text: string,
  diagram: Diagram,
  wire: Wire,
  point: string,
  end: 'from' | 'to' = 'to',
): LadderEdit {
  if (!diagram.points.has(point)) return problem(`there is no terminal ${point}`)
  if (point === wire[end === 'to' ? 'from' : 'to']) return problem('a wire needs two different ends')
  const { from, to, color, number } = wire
  const lines = text.split('\n')
  const at = wire.line - 1
  const match = new RegExp(`${spaced(wire)}(.*)$`).exec(lines[at] ?? '')
  if (!match) return lost(wire)
  const before = lines[at].slice(0, match.index)
  const rest = match[1].trim()
  const label = `-${color} ${number}-`
  const hasRest = rest !== '' && !rest.startsWith('#')
  const written = {
    to: hasRest
      ? [`${before}${from} ${label} ${point}`, `  ${to} ${rest}`]
      : [`${before}${from} ${label} ${point} ${rest}`.trimEnd()],
    from: [
      // what led to the old terminal still does
      ...(before.trim() === '' ? [] : [`${before}${from}`]),
      `  ${point} ${label} ${to} ${rest}`.trimEnd(),
    ],
  }[end]
  return edited([...lines.slice(0, at), ...written, ...lines.slice(at + 1)].join('\n'))
}

/** Takes a wire out; what it led from and to stay as they are. */
export function takeWireOut(text: string, wire: Wire): LadderEdit {
  const lines = text.split('\n')
  const at = wire.line - 1
  const match = new RegExp(`${spaced(wire)}(.*)$`).exec(lines[at] ?? '')
  if (!match) return lost(wire)
  const [before, rest] = [lines[at].slice(0, match.index), match[1].trim()]
  const goesOn = rest !== '' && !rest.startsWith('#')
  const left = [
    ...(before.trim() === '' ? [] : [`${before}${wire.from}${goesOn ? '' : ` ${rest}`}`.trimEnd()]),
    ...(goesOn ? [`  ${wire.to} ${rest}`] : []),
  ]
  return edited([...lines.slice(0, at), ...left, ...lines.slice(at + 1)].join('\n'))
}

const lost = ({ id }: Wire): LadderEdit =>
  problem(`the wire ${id} is not where it was; change it in the text`)

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
/** A point ends where no letter, digit or sign of a terminal goes on. */
const end = '(?![A-Za-z0-9+.])'

/** A wire as it is written, whatever the spaces. */
const spaced = ({ from, to, color, number }: Wire): string =>
  [
    '(?<![A-Za-z0-9.])',
    escaped(from),
    '\\s*-\\s*',
    escaped(color),
    '\\s+',
    escaped(number),
    '\\s*-\\s*',
    escaped(to),
    end,
  ].join('')

function rewire(text: string, wire: Wire, written: (wire: Wire) => string): string | null {
  const lines = text.split('\n')
  const at = wire.line - 1
  const now = lines[at]
  const pattern = new RegExp(spaced(wire))
  if (now === undefined || !pattern.test(now)) return null
  return lines.map((line, k) => (k === at ? line.replace(pattern, () => written(wire)) : line)).join('\n')
}

/** The text with a line for a part more, behind the others. */
export function afterLastPart(text: string, line: string): string {
  const lines = text.split('\n')
  const last = lines.findLastIndex((each) => each.startsWith('part '))
  return [...lines.slice(0, last + 1), line, ...lines.slice(last + 1)].join('\n')
}
