import type { Wire } from '../diagram/diagram'
import { landElsewhere, problem } from '../diagram/editLadder'
import { wiresAt } from '../diagram/wireAt'
import type { PointId } from '../parts/effect'
import type { Turn } from './inTurn'

/** Moves the first lead of a terminal, but one that stays, onto another terminal. */
export const moveLead = (point: PointId, onto: PointId, stays?: Pick<Wire, 'from' | 'to'>): Turn => ({
  words: `Move the lead of ${point} onto ${onto}`,
  make: (text, now) => {
    const wire = wiresAt(now, point).find(({ from, to }) => from !== stays?.from || to !== stays.to)
    return wire
      ? landElsewhere(text, now, wire, onto, wire.to === point ? 'to' : 'from')
      : problem(`no lead comes to ${point}`)
  },
})
