import { partOfPoint, partWords, type Diagram } from '../diagram/diagram'
import { wireName } from '../diagram/wireName'
import type { SuspectBrief } from './briefing'
import { oddsWords } from './words'

/**
 * Suspects that a person would go to, look at and mend as one thing: a part, its terminals and its leads, or
 * a lead.
 */
export interface SuspectGroup {
  readonly id: string
  readonly words: string
  /** The part or lead that it is around, as its suspects begin with it; empty for one that stands alone. */
  readonly around: string
  readonly probability: number
  readonly odds: string
  /** Most probable first. */
  readonly suspects: readonly SuspectBrief[]
}

interface Gathering {
  /** The part that the group is around; empty while only a lead is in it. */
  around: string
  /** Parts that a lone lead ends on: the first of them to be suspected takes it along. */
  ends: readonly string[]
  readonly suspects: SuspectBrief[]
}

/** A part with more terminals than this is no single thing to go to: its leads stand for themselves. */
const mostTerminals = 3

/**
 * Groups suspects by what they are handled with. Two faults at once stand alone; a lead between two suspected
 * parts goes with the likelier one. Takes suspects in the order of their probability, and gives groups in the
 * order of theirs.
 */
export function handledAsOne(diagram: Diagram, suspects: readonly SuspectBrief[]): readonly SuspectGroup[] {
  const groups: Gathering[] = []
  for (const suspect of suspects) {
    const own = groups.find((group) => belongs(diagram, group, suspect))
    const place = suspect.of.length === 1 ? suspect.of[0] : ''
    const isPart = diagram.parts.has(place)
    if (!own) groups.push({ around: isPart ? place : '', ends: endsOf(diagram, place), suspects: [suspect] })
    else {
      own.suspects.push(suspect)
      if (isPart) own.around = place
    }
  }
  return groups.map((group) => shown(diagram, group)).sort((a, b) => b.probability - a.probability)
}

/** The small parts that a lead ends on. */
function endsOf({ wires, parts }: Diagram, place: string): readonly string[] {
  const wire = wires.get(place)
  if (!wire) return []
  return [wire.from, wire.to].map(partOfPoint).filter((id) => {
    const part = parts.get(id)
    return part !== undefined && part.kind.terminals(part.settings).length <= mostTerminals
  })
}

function belongs(diagram: Diagram, { around, ends, suspects }: Gathering, { of }: SuspectBrief): boolean {
  if (of.length !== 1) return false
  const [place] = of
  if (suspects.some((other) => other.of.length === 1 && other.of[0] === place)) return true
  return around === '' ? ends.includes(place) : endsOf(diagram, place).includes(around)
}

function shown(diagram: Diagram, { around, suspects }: Gathering): SuspectGroup {
  const probability = suspects.reduce((sum, suspect) => sum + suspect.probability, 0)
  const [first] = suspects
  const withLeads = around !== '' && suspects.some(({ of }) => of[0] !== around)
  const wire = around === '' ? diagram.wires.get(first.of[0]) : undefined
  const name = wire ? `Wire ${wireName(wire)}` : partWords(diagram, around)
  return {
    id: first.id,
    around: suspects.length === 1 ? '' : name,
    words: suspects.length === 1 ? first.words : withLeads ? `${name}, with its leads` : name,
    probability,
    odds: oddsWords(probability),
    suspects,
  }
}
