import type { Diagram } from '../diagram/diagram'
import { nearest } from '../diagram/nearest'
import type { PointId } from '../parts/effect'

/** A netlist that cannot be used: line by line what is wrong, and what to do. */
export class NetlistError extends Error {
  constructor(problems: readonly string[]) {
    super(problems.join('\n'))
    this.name = 'NetlistError'
  }
}

const mostLines = 5000
const mostProblems = 20

/** A line of a netlist in words, with its number; what goes on in lines that begin with `+` is one. */
interface Statement {
  readonly line: number
  readonly words: readonly string[]
}

/** Whether a file is such a netlist and no list or ladder text. */
export const isNetlist = (text: string): boolean => /^\.subckt\s/im.test(text.slice(0, 100_000))

/**
 * Reads which terminals of a drawn unit are joined: `.subckt NAME TERMINAL…` for each part, and a line
 * `XPART NODE… NAME` each. Of a SPICE netlist that is the part that says how something is wired; other elements
 * are refused. Throws NetlistError.
 */
export function readPartsNetlist(text: string, diagram: Diagram): readonly (readonly PointId[])[] {
  const statements = statementsOf(text)
  const problems: string[] = []
  const ports = new Map<string, readonly string[]>()
  const nodes = new Map<string, PointId[]>()
  const listed = new Map<string, number>()
  let inside = false
  for (const { line, words } of statements) {
    const [first, ...rest] = words
    const told = (problem: string): void => {
      problems.push(`line ${line}: ${problem}`)
    }
    const keyword = first.toLowerCase()
    if (keyword === '.subckt') {
      inside = true
      ports.set((rest[0] ?? '').toLowerCase(), rest.slice(1))
    } else if (keyword === '.ends') inside = false
    // what a part is made of inside does not say how it is wired
    else if (inside || keyword === '.end' || keyword === '.title') continue
    else if (keyword.startsWith('x')) place(told, line, first.slice(1), rest)
    else told(`${first} is not known here: a part is a line XNAME, with a .subckt that names its terminals`)
  }
  const missing = [...diagram.parts.values()].filter(
    ({ id, kind, settings }) => kind.terminals(settings).length > 0 && !listed.has(id),
  )
  if (problems.length === 0 && missing.length > 0)
    problems.push(
      `no line for ${missing
        .map(({ id }) => id)
        .slice(0, 8)
        .join(', ')}: give the whole unit`,
    )
  if (problems.length > 0) throw new NetlistError(problems.slice(0, mostProblems))
  return [...nodes.values()]

  function place(told: (problem: string) => void, line: number, name: string, rest: readonly string[]): void {
    const part = partOf(diagram, name)
    const at = rest.slice(0, -1)
    const terminals = ports.get((rest.at(-1) ?? '').toLowerCase())
    if (!part)
      return told(`there is no part ${name}; nearest: ${nearest(name, diagram.parts.keys()).join(', ')}`)
    if (!terminals) return told(`${rest.at(-1) ?? 'nothing'} has no .subckt before it`)
    if (terminals.length !== at.length)
      return told(`${at.length} nodes for the ${terminals.length} terminals of ${part}`)
    const twin = listed.get(part)
    if (twin !== undefined) return told(`${part} is in line ${twin} already`)
    listed.set(part, line)
    const own = terminalsOf(diagram, part)
    const named = terminals.map((terminal) => pointOf(diagram, `${part}.${terminal}`))
    const left = own.filter((point) => !named.includes(point))
    const twice = named.find((point, k) => point !== undefined && named.indexOf(point) !== k)
    if (twice !== undefined) return told(`its .subckt names ${twice} twice`)
    for (const [k, terminal] of terminals.entries()) {
      const point = named[k]
      if (!point) {
        told(`there is no terminal ${part}.${terminal}; it has ${own.join(', ')}`)
        continue
      }
      const node = at[k].toLowerCase()
      nodes.set(node, [...(nodes.get(node) ?? []), point])
    }
    // a terminal that is left out is not one that nothing comes to: that one has a node of its own
    if (left.length > 0 && named.every((point) => point !== undefined))
      told(`its .subckt leaves out ${left.join(', ')}: give each a node, its own where nothing comes to it`)
  }
}

const terminalsOf = ({ points }: Diagram, part: string): readonly PointId[] =>
  [...points.keys()].filter((point) => point.startsWith(`${part}.`))

/** SPICE knows no capitals: other programs write all in small letters. */
const alike = (names: Iterable<string>, name: string): string | undefined => {
  const all = [...names]
  return all.find((each) => each === name) ?? all.find((each) => each.toLowerCase() === name.toLowerCase())
}
const partOf = ({ parts }: Diagram, name: string): string | undefined => alike(parts.keys(), name)
const pointOf = ({ points }: Diagram, name: string): PointId | undefined => alike(points.keys(), name)

/** The first line is a title, whatever stands in it. */
function statementsOf(text: string): readonly Statement[] {
  const lines = text.split(/\r?\n/)
  if (lines.length > mostLines) throw new NetlistError([`more than ${mostLines} lines: give one unit’s`])
  const statements: { line: number; words: string[] }[] = []
  for (const [k, whole] of lines.entries()) {
    const [line] = whole.split(/[;$]/)
    if (k === 0 || /^\s*(?:\*|$)/.test(line)) continue
    const goesOn = /^\s*\+/.test(line)
    const words = line
      .replace(/^\s*\+/, '')
      .trim()
      .split(/\s+/)
      .filter(Boolean)
    const before = statements.at(-1)
    if (goesOn && before) before.words.push(...words)
    else if (words.length > 0) statements.push({ line: k + 1, words })
  }
  return statements
}
