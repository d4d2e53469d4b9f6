import { partOfPoint, type Diagram, type Wire } from '../diagram/diagram'
import { effectEnds } from '../diagram/effectEnds'
import { inOnePlace } from '../diagram/inOnePlace'
import { liftedAt, staysLanded } from '../diagram/liftedAt'
import { isFree, wiresAt } from '../diagram/wireAt'
import { earth, type Effect, type Fault, type PointId } from '../parts/effect'
import type { Candidate } from './candidates'
import { isShort } from './resistance'

/** How something is read with nothing beside it. */
export interface ReadAlone {
  /** The terminal whose leads come off, or the lead. */
  readonly lifted: string
  /** Where it is read then, any of these. */
  readonly readings: readonly Candidate[]
  /** Whether it is read alone with these leads off. */
  readonly isAloneWith: (off: ReadonlySet<string>) => boolean
}

/**
 * How a short, or a contact of control power that stays made, is read by itself. With its leads on, all that
 * hangs on the same wires reads along: a jumper beside a coil is as few ohms as the coil that has burnt, two
 * conductors of a cable that touch are a thermostat that never lets go. Null for what can be read where it
 * is, and where no lead may come off.
 */
export function readAlone(diagram: Diagram, fault: Fault): ReadAlone | null {
  if (!isShort(fault)) return staysMade(fault) ? contactAlone(diagram, fault) : null
  const lead = diagram.wires.get(fault.of)
  return lead ? withoutLead(diagram, fault, lead) : partAlone(diagram, fault)
}

const staysMade = ({ class: sort, effects }: Fault): boolean =>
  sort === 'stuck' && effects.every((effect) => effect.does === 'hold' && effect.state === 'closed')

/** What has rubbed through goes with its lead: what is shorted still without it, another thing shorts. */
function withoutLead(diagram: Diagram, { effects, touching = '' }: Fault, lead: Wire): ReadAlone | null {
  const [ends] = endsOf(diagram, effects)
  const lifted = liftedAt(diagram, lead)
  if (!ends || lifted.length === 0) return null
  const other = diagram.wires.get(touching)
  // both leads of the meter in one place
  const beside = (from: PointId): PointId =>
    (other && [other.from, other.to].find((point) => inOnePlace(diagram, from, point))) ?? ends[1]
  const readings = lifted.map((from): Candidate => ({ meter: 'ohms', from, to: beside(from) }))
  return { lifted: lead.id, readings, isAloneWith: (off) => off.has(lead.id) }
}

function contactAlone(diagram: Diagram, fault: Fault): ReadAlone | null {
  const alone = partAlone(diagram, fault)
  const isOfControl = alone && wiresAt(diagram, alone.lifted).every(({ wiring }) => wiring === 'control')
  return isOfControl ? alone : null
}

/** Across a part of which the terminal with fewer leads is free of them. */
function partAlone(diagram: Diagram, { of, effects }: Fault): ReadAlone | null {
  const [ends] = endsOf(diagram, effects)
  const terminals = (ends ?? []).filter((point) => point !== earth)
  if (!ends || terminals.some((point) => partOfPoint(point) !== of)) return null
  const leads = (point: PointId): number => wiresAt(diagram, point).length
  const [lifted] = terminals
    .filter((point) => leads(point) > 0 && !staysLanded(diagram, point))
    .sort((a, b) => leads(a) - leads(b))
  if (!lifted) return null
  return {
    lifted,
    readings: [{ meter: 'ohms', from: ends[0], to: ends[1] }],
    isAloneWith: (off) => terminals.some((point) => isFree(diagram, point, off)),
  }
}

const endsOf = (diagram: Diagram, effects: readonly Effect[]) =>
  effects.flatMap((effect) => {
    const ends = effectEnds(diagram, effect)
    return ends ? [ends] : []
  })
