import type { Wire } from '../diagram/diagram'
import type { PointId } from '../parts/effect'

/** What is done to one lead to make one circuit of another. */
export type LeadChange = {
  readonly color: string
  readonly number: string
} & (
  | { readonly is: 'moved'; readonly stays: PointId; readonly off: PointId; readonly onto: PointId }
  | { readonly is: 'relabelled'; readonly was: string; readonly from: PointId; readonly to: PointId }
  | { readonly is: 'new'; readonly from: PointId; readonly to: PointId }
  | { readonly is: 'taken-out'; readonly from: PointId; readonly to: PointId }
)

/** A lead by its ends and what is printed on it. */
export type Lead = Pick<Wire, 'from' | 'to' | 'color' | 'number'>

/** The leads of a circuit, whatever else is known of it. */
export interface Leads {
  readonly wires: ReadonlyMap<string, Lead>
}

/** Leads that somebody has listed. */
export const leadsOf = (listed: readonly Lead[]): Leads => ({
  wires: new Map(listed.map((lead) => [`${lead.from}-${lead.to}`, lead])),
})

const labelOf = ({ color, number }: Lead): string => `${color} ${number}`
const endsOf = ({ from, to }: Lead): string => [from, to].sort().join(' ')

/**
 * The leads that differ between two circuits, as a person at the panel would move them: a lead that keeps its colour,
 * its number and one end is moved, not renewed.
 */
export function leadList(before: Leads, after: Leads): readonly LeadChange[] {
  const were = new Map([...before.wires.values()].map((wire) => [endsOf(wire), wire]))
  const are = new Map([...after.wires.values()].map((wire) => [endsOf(wire), wire]))
  const relabelled = [...are].flatMap(([ends, wire]): readonly LeadChange[] => {
    const was = were.get(ends)
    if (!was || labelOf(was) === labelOf(wire)) return []
    const { color, number, from, to } = wire
    return [{ is: 'relabelled', color, number, was: labelOf(was), from, to }]
  })
  const gone = [...were].filter(([ends]) => !are.has(ends)).map(([, wire]) => wire)
  const come = [...are].filter(([ends]) => !were.has(ends)).map(([, wire]) => wire)
  const moved: LeadChange[] = []
  const left = new Set(gone)
  const made: LeadChange[] = []
  for (const wire of come) {
    const { color, number, from, to } = wire
    const old = [...left].find((one) => labelOf(one) === labelOf(wire) && sharedEnd(one, wire) !== null)
    const stays = old ? sharedEnd(old, wire) : null
    if (!old || stays === null) {
      made.push({ is: 'new', color, number, from, to })
      continue
    }
    left.delete(old)
    moved.push({ is: 'moved', color, number, stays, off: farEnd(old, stays), onto: farEnd(wire, stays) })
  }
  const takenOut = [...left].map(({ color, number, from, to }): LeadChange => ({
    is: 'taken-out',
    color,
    number,
    from,
    to,
  }))
  return [...takenOut, ...moved, ...made, ...relabelled]
}

const sharedEnd = (one: Lead, other: Lead): PointId | null =>
  [one.from, one.to].find((end) => end === other.from || end === other.to) ?? null

const farEnd = ({ from, to }: Lead, near: PointId): PointId => (from === near ? to : from)

/** A lead’s change as one says it to whoever holds the lead. */
export function leadWords(change: LeadChange): string {
  const lead = `${change.color} ${change.number}`
  switch (change.is) {
    case 'moved':
      return `Move ${lead}, which stays on ${change.stays}: off ${change.off}, onto ${change.onto}`
    case 'new':
      return `Run a new lead ${lead} from ${change.from} to ${change.to}`
    case 'taken-out':
      return `Take ${lead} out, from ${change.from} to ${change.to}`
    case 'relabelled':
      return `Mark ${change.was} as ${lead}, from ${change.from} to ${change.to}`
  }
}
