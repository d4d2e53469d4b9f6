import type { Effect, PointId } from '../parts/effect'
import type { Diagram } from './diagram'
import { wiresAt } from './wireAt'

/**
 * What is left of something that nobody drew once these wires are off. Who lifts every lead of a terminal lifts
 * what was put there too: a lead from elsewhere hangs free, and a jumper is gone.
 */
export function leftWithOff(diagram: Diagram, effect: Effect, off: ReadonlySet<string>): readonly Effect[] {
  const isCleared = (point: PointId): boolean => {
    const drawn = wiresAt(diagram, point)
    return drawn.length > 0 && drawn.every(({ id }) => off.has(id))
  }
  switch (effect.does) {
    case 'move':
      return isCleared(effect.to) ? [{ does: 'open', branch: effect.wire }] : [effect]
    case 'join':
      return isCleared(effect.from) || isCleared(effect.to) ? [] : [effect]
    default:
      return [effect]
  }
}
