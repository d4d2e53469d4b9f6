import type { Diagram, Part } from '../diagram/diagram'
import { liftedAt } from '../diagram/liftedAt'
import type { StandingAction } from '../visit/actions'
import type { Evidence } from '../visit/evidence'
import type { Standing } from '../visit/standing'
import type { Candidate } from './candidates'

type Leads = Pick<Candidate, 'from' | 'to'>

/** Seconds that it takes from where somebody stands to have places open. */
export interface Reach {
  /** To have a meter at two points. */
  readonly toRead: (reading: Leads) => number
  /** To see a part, or to hear it. */
  readonly toLook: (part: Part) => number
}

/** Of reaching a section, what taking its panel off takes; the rest is the way there. */
const panelSeconds = 45

/**
 * What is still to be opened and walked after this evidence, and after what was done since. Zones lie on one
 * line: the way between two is the difference of their ways, so that what is far from the board is near to
 * what is as far.
 */
export function reachAfter(
  diagram: Diagram,
  { evidence, now }: { readonly evidence: readonly Evidence[]; readonly now: Standing },
): Reach {
  const { zones, parts, points, common } = diagram
  const whole = (zone: string): number => zones.get(zone)?.reachSeconds ?? 0
  const way = (zone: string): number => Math.max(0, whole(zone) - panelSeconds)
  const board = points.get(common)?.zone ?? ''
  const open = new Set([board])
  let here: readonly string[] = [board]
  let done: readonly StandingAction[] = []
  const goWhereDone = (actions: readonly StandingAction[]): void => {
    const places = actions.filter((action) => !done.includes(action)).flatMap((one) => zonesAt(diagram, one))
    done = actions
    if (places.length === 0) return
    for (const zone of places) open.add(zone)
    here = places
  }
  for (const piece of evidence) {
    goWhereDone(piece.standing.actions)
    if (piece.kind === 'reading') {
      const zonesRead = zonesOf(diagram, piece)
      for (const zone of zonesRead) open.add(zone)
      if (zonesRead.size > 0) here = [...zonesRead]
    }
    const seen = piece.kind === 'look' ? parts.get(piece.of) : undefined
    if (!seen) continue
    here = [seen.zone]
    // what runs is heard with its panel on; coils, filters and drains are not where the terminals are
    if (!seen.kind.runsAloud && seen.kind.terminals(seen.settings).length > 0) open.add(seen.zone)
  }
  goWhereDone(now.actions)
  const walk = (zone: string): number => Math.min(...here.map((place) => Math.abs(way(zone) - way(place))))
  const panel = (zone: string): number => (open.has(zone) ? 0 : Math.min(panelSeconds, whole(zone)))
  return {
    toRead: (reading) => {
      const asked = [...zonesOf(diagram, reading)]
      return Math.max(0, ...asked.map(walk)) + asked.reduce((sum, zone) => sum + panel(zone), 0)
    },
    toLook: ({ zone, kind }) => walk(zone) + (kind.runsAloud ? 0 : panel(zone)),
  }
}

const zonesOf = ({ points }: Diagram, { from, to }: Leads): ReadonlySet<string> =>
  new Set([from, to].flatMap((point) => points.get(point)?.zone ?? []))

/** Where somebody stands who lifts a lead, pulls a plug or joins two terminals. */
function zonesAt(diagram: Diagram, { of, to }: StandingAction): readonly string[] {
  const lead = diagram.wires.get(of)
  const points = lead ? liftedAt(diagram, lead) : [of, to]
  return points.flatMap((point) => (diagram.points.get(point) ?? diagram.parts.get(point))?.zone ?? [])
}
