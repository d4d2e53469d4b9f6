import { parse } from '../generated/ladderParser'
import { partKinds } from '../parts/index'
import { namesPart } from '../parts/kind'
import { dialledNumber } from '../parts/dialMarks'
import { Settings } from '../parts/settings'
import type {
  Call,
  Complaint,
  Diagram,
  FaultCode,
  Part,
  Rung,
  RungStop,
  TestPoint,
  Trace,
  Wire,
  Zone,
} from './diagram'
import { partOfPoint, symptoms } from './diagram'
import type {
  ChainStatement,
  ComplaintStatement,
  PartStatement,
  Statement,
  WrittenSetting,
} from './ladderStatement'
import { inOnePlace } from './inOnePlace'
import { nearest } from './nearest'
import { parsed } from './parsed'
import { partFirst } from './partFirst'
import { unsoundWiring } from './soundness'

/** One thing wrong with a ladder text: where, and what to do. */
export interface DiagramProblem {
  readonly line: number
  readonly message: string
}

/** The ladder text cannot be used; `problems` name the line, the part and what to do. */
export class DiagramError extends Error {
  constructor(readonly problems: readonly DiagramProblem[]) {
    super(problems.map(({ line, message }) => `line ${line}: ${message}`).join('\n'))
    this.name = 'DiagramError'
  }
}

/** Resistance of a wire, ohms: inside a panel, in a cable between two places, or of line gauge. */
const wireOhms = { control: 0.01, cable: 0.12, line: 0.002 } as const
const defaultReachSeconds = 30
const mostProblems = 40

const inOrder = (problems: readonly DiagramProblem[]): readonly DiagramProblem[] =>
  [...problems].sort((a, b) => a.line - b.line)

/** Reads a unit's ladder text. Throws DiagramError with every problem found. */
export function readLadder(text: string): Diagram {
  return new Reader(statementsOf(text)).read()
}

/** The same; null where there is something to put right first. */
export function readableLadder(text: string): Diagram | null {
  try {
    return readLadder(text)
  } catch (error) {
    if (error instanceof DiagramError) return null
    throw error
  }
}

const readBefore = new Map<string, Diagram>()

/** The same, read once and kept: the same text gives the same diagram. */
export function knownLadder(text: string): Diagram {
  const known = readBefore.get(text)
  if (known) return known
  const diagram = readLadder(text)
  readBefore.set(text, diagram)
  return diagram
}

const statementsOf = (text: string): readonly Statement[] =>
  parsed(
    parse,
    text,
    ({ line, column, message }) => new DiagramError([{ line, message: `column ${column}: ${message}` }]),
  )

class Reader {
  private readonly problems: DiagramProblem[] = []
  private readonly zones = new Map<string, Zone>()
  private readonly parts = new Map<string, Part>()
  private readonly wires = new Map<string, Wire>()
  private readonly points = new Map<string, TestPoint>()
  private readonly calls: Call[] = []
  private readonly rungs: { words: string; wiring: 'control' | 'line'; chains: RungStop[][] }[] = []
  private readonly traces: (Trace & { line: number })[] = []
  private readonly complaints: Complaint[] = []
  private readonly codes: FaultCode[] = []
  private readonly isolators: { part: string; line: number }[] = []
  private identity = { id: '', title: '' }
  private unitClass = ''
  private common = { point: '', line: 1 }
  private readonly roles = new Map<
    'hot' | 'board' | 'plate',
    { readonly of: string; readonly line: number }
  >()

  constructor(private readonly statements: readonly Statement[]) {}

  read(): Diagram {
    for (const statement of this.statements) this.declare(statement)
    for (const statement of this.statements) if (statement.is === 'chain') this.connect(statement)
    this.check()
    if (this.problems.length > 0) throw new DiagramError(inOrder(this.problems))
    return {
      ...this.identity,
      unitClass: this.unitClass,
      common: this.common.point,
      hot: this.roles.get('hot')?.of ?? null,
      board: this.roles.get('board')?.of ?? null,
      plate: this.roles.get('plate')?.of ?? null,
      isolators: this.isolators.map(({ part }) => part),
      calls: this.calls,
      zones: this.zones,
      parts: this.parts,
      wires: this.wires,
      points: this.points,
      rungs: this.rungs satisfies readonly Rung[],
      traces: this.traces,
      complaints: this.complaints,
      codes: this.codes,
    }
  }

  /** Whoever has this many to put right begins with these; looking for more would only cost time. */
  private problem(line: number, message: string): void {
    this.problems.push({ line, message })
    if (this.problems.length >= mostProblems) throw new DiagramError(inOrder(this.problems))
  }

  private declare(statement: Statement): void {
    switch (statement.is) {
      case 'unit':
        this.identity = { id: statement.id, title: statement.title }
        return
      case 'class':
        this.unitClass = statement.name
        return
      case 'isolate':
        this.isolators.push(...statement.parts.map((part) => ({ part, line: statement.line })))
        return
      case 'common':
        this.common = { point: statement.point, line: statement.line }
        return
      case 'hot':
        this.roles.set('hot', { of: statement.point, line: statement.line })
        return
      case 'board':
      case 'plate':
        this.roles.set(statement.is, { of: statement.part, line: statement.line })
        return
      case 'call':
        this.calls.push({
          id: statement.id,
          words: statement.words,
          conditions: numbers(statement.conditions),
        })
        return
      case 'zone': {
        const { id, words, settings } = statement
        const reachSeconds = numbers(settings).reach ?? defaultReachSeconds
        const standsOn = (['roof', 'ground'] as const).find((ground) =>
          settings.some(([name, value]) => name === 'on' && value === ground),
        )
        this.zones.set(id, { id, words, reachSeconds, on: standsOn ?? null })
        return
      }
      case 'complaint':
        this.complain(statement)
        return
      case 'part':
        this.addPart(statement)
        return
      case 'rung':
        this.rungs.push({ words: statement.words, wiring: statement.wiring, chains: [] })
        return
      case 'trace':
        this.traces.push(statement)
        return
      case 'code':
        this.codes.push(statement)
        return
      case 'chain':
        if (this.rungs.length === 0)
          this.problem(statement.line, 'wires before any rung: start with a line rung "…" control')
        else this.chainRung.set(statement, this.rungs[this.rungs.length - 1])
    }
  }

  private readonly chainRung = new Map<ChainStatement, { wiring: 'control' | 'line'; chains: RungStop[][] }>()

  private complain({ id, words, calls, means, line }: ComplaintStatement): void {
    const symptom = means === '' ? 'any' : symptoms.find((name) => name === means)
    if (symptom) this.complaints.push({ id, words, call: calls[0], calls, means: symptom })
    else this.problem(line, `complaint ${id}: “${means}” is no meaning; it may mean ${symptoms.join(', ')}`)
  }

  private addPart(statement: PartStatement): void {
    const { id, line } = statement
    const kind = partKinds.get(statement.kind)
    if (!kind) {
      this.problem(
        line,
        `${id}: no kind of part is called “${statement.kind}”; nearest: ${nearest(statement.kind, partKinds.keys()).join(', ')}`,
      )
      return
    }
    if (this.parts.has(id)) this.problem(line, `${id}: there is already a part of this name; give it another`)
    for (const [name] of statement.settings)
      if (!(name in kind.settings))
        this.problem(
          line,
          `${id}: a ${kind.words} has no setting “${name}”; it has: ${Object.keys(kind.settings).join(', ') || 'none'}`,
        )
    const settings = new Settings(
      id,
      { ...kind.settings, ...Object.fromEntries(statement.settings) },
      new Set(statement.settings.filter(([, , unread]) => unread).map(([name]) => name)),
    )
    try {
      for (const terminal of kind.terminals(settings)) {
        const point = `${id}.${terminal.name}`
        this.points.set(point, {
          id: point,
          words: partFirst({ words: statement.words, kind }, terminal.words),
          zone: statement.zone,
          part: id,
        })
      }
      kind.branches(settings, {})
      for (const [setting, { marked }] of Object.entries(kind.dials ?? {}))
        if (marked) dialledNumber(settings, setting)
    } catch (error) {
      this.problem(line, `${id}: ${error instanceof Error ? error.message : String(error)}`)
      return
    }
    this.parts.set(id, { id, kind, words: statement.words, zone: statement.zone, settings, line })
  }

  private knows(point: string, line: number): boolean {
    if (this.points.has(point)) return true
    const part = this.parts.get(partOfPoint(point))
    if (part) {
      const own = [...this.points.keys()].filter((candidate) => partOfPoint(candidate) === part.id)
      this.problem(line, `${point}: ${part.id} has no such terminal; it has ${own.join(', ') || 'none'}`)
    } else
      this.problem(
        line,
        `${point}: no part ${partOfPoint(point)}; add a part line, or write one of ${nearest(point, this.points.keys()).join(', ')}`,
      )
    return false
  }

  private connect(statement: ChainStatement): void {
    const rung = this.chainRung.get(statement)
    if (!rung) return
    const { first, steps } = statement.chain
    if (!this.knows(first, statement.line)) return
    const stops: RungStop[] = [{ point: first, by: 'start' }]
    let here = first
    for (const step of steps) {
      if (!this.knows(step.to, step.line)) return
      if (step.by === 'part') {
        if (partOfPoint(here) !== partOfPoint(step.to))
          this.problem(
            step.line,
            `${here} = ${step.to}: “=” goes through one part; between two parts write a wire, -color number-`,
          )
        stops.push({ point: step.to, by: 'part' })
      } else {
        const wire = this.addWire(here, step.to, step.color, step.number, rung.wiring, step.line)
        stops.push({ point: step.to, by: { wire } })
      }
      here = step.to
    }
    rung.chains.push(stops)
  }

  private addWire(
    from: string,
    to: string,
    color: string,
    number: string,
    wiring: 'control' | 'line',
    line: number,
  ): string {
    const id = `${from}-${to}`
    const twin = this.wires.get(id) ?? this.wires.get(`${to}-${from}`)
    if (twin)
      this.problem(line, `${id}: a wire with these two ends is already on line ${twin.line}; leave one out`)
    if (from === to) this.problem(line, `${id}: a wire needs two different ends`)
    const sameZone = inOnePlace({ points: this.points }, from, to)
    const ohms = wiring === 'line' ? wireOhms.line : sameZone ? wireOhms.control : wireOhms.cable
    this.wires.set(id, { id, from, to, color, number, wiring, ohms, line })
    return id
  }

  private check(): void {
    if (this.identity.id === '') this.problem(1, 'no line unit NAME "title": start the text with one')
    if (this.calls.length === 0) this.problem(1, 'no calls: add at least a line call off "Off"')
    if (!this.points.has(this.common.point))
      this.problem(
        this.common.line,
        `common ${this.common.point || '(missing)'}: must name the terminal that control readings are taken against`,
      )
    this.checkRoles()
    for (const { part, line } of this.isolators)
      if (!this.parts.has(part))
        this.problem(
          line,
          `isolate ${part}: no such part; nearest: ${nearest(part, this.parts.keys()).join(', ')}`,
        )
    const wired = new Set([...this.wires.values()].flatMap((wire) => [wire.from, wire.to]))
    for (const part of this.parts.values()) {
      if (!this.zones.has(part.zone))
        this.problem(part.line, `${part.id}: no zone “${part.zone}”; add a line zone ${part.zone} "words"`)
      this.checkWired(part, wired)
      for (const setting of namesPart) {
        const named = setting in part.kind.settings ? part.settings.text(setting) : ''
        if (named !== '' && !this.parts.has(named))
          this.problem(part.line, `${part.id}: ${setting} ${named}, which is not a part`)
      }
    }
    if (this.problems.length === 0)
      this.problems.push(...unsoundWiring(this.parts.values(), this.wires.values()))
    for (const trace of this.traces) for (const point of [trace.from, trace.to]) this.knows(point, trace.line)
    const spokenOf = [
      ...this.traces,
      ...this.complaints.flatMap(({ calls, words }) => calls.map((call) => ({ call, words }))),
    ]
    for (const { call, words } of spokenOf)
      if (!this.calls.some(({ id }) => id === call))
        this.problem(1, `“${words}” speaks of the call ${call}, which the unit does not have`)
  }

  /** Hot, board and plate are there, and are what they are said to be. */
  private checkRoles(): void {
    for (const [role, { of, line }] of this.roles) {
      if (role === 'hot') this.knows(of, line)
      else if (!this.parts.has(of))
        this.problem(
          line,
          `${role} ${of}: no such part; nearest: ${nearest(of, this.parts.keys()).join(', ')}`,
        )
      else if (role === 'plate' && !this.parts.get(of)?.kind.calls)
        this.problem(line, `plate ${of}: gives no calls; name the thermostat`)
    }
  }

  /** A part with no wire at all floats: it cannot be solved and cannot be meant. */
  private checkWired(part: Part, wired: ReadonlySet<string>): void {
    const own = part.kind.terminals(part.settings).map(({ name }) => `${part.id}.${name}`)
    if (own.length > 0 && !own.some((point) => wired.has(point)))
      this.problem(part.line, `${part.id}: no wire reaches it; wire it or take it out`)
  }
}

const numbers = (settings: readonly WrittenSetting[]): Record<string, number> =>
  Object.fromEntries(
    settings.flatMap(([name, value]) => (typeof value === 'number' ? [[name, value] as const] : [])),
  )
