import { partOfPoint, type Diagram } from '../diagram/diagram'
import { effectEnds } from '../diagram/effectEnds'
import { wiresAt } from '../diagram/wireAt'
import { earth, type Fault, type PointId } from '../parts/effect'
import type { Candidate } from './candidates'
import { isShort } from './resistance'

/** A short inside one part, or a contact that stays made, and how it is read with nothing beside it. */
export interface ReadAlone {
  /** The terminal whose leads come off. */
  readonly free: PointId
  readonly reading: Candidate
}

/**
 * How a short in a part, or a contact of control power that stays made, is read by itself. With its leads on,
 * all that hangs on the same wires reads along: a jumper beside a coil is as few ohms as the coil that has
 * burnt, two conductors of a cable that touch are a thermostat that never lets go. Null for what lies in no one
 * part.
 */
export function readAlone(diagram: Diagram, fault: Fault): ReadAlone | null {
  if (!isShort(fault) && !staysMade(fault)) return null
  const [ends] = fault.effects.flatMap((effect) => {
    const pair = effectEnds(diagram, effect)
    return pair ? [pair] : []
  })
  if (ends?.some((point) => point !== earth && partOfPoint(point) !== fault.of)) return null
  const leads = (point: PointId): number => wiresAt(diagram, point).length
  const [free] = (ends ?? [])
    .filter((point) => point !== earth && leads(point) > 0)
    .sort((a, b) => leads(a) - leads(b))
  if (!ends || !free) return null
  if (!isShort(fault) && !wiresAt(diagram, free).every(({ wiring }) => wiring === 'control')) return null
  return { free, reading: { meter: 'ohms', from: ends[0], to: ends[1] } }
}

const staysMade = ({ class: sort, effects }: Fault): boolean =>
  sort === 'stuck' && effects.every((effect) => effect.does === 'hold' && effect.state === 'closed')
