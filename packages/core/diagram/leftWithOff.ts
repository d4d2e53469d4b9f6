import type { Effect, Fault, PointId } from '../parts/effect'
import type { Diagram } from './diagram'
import { isFree, wireAt } from './wireAt'

/**
 * What a fault still does once these wires are off. What has rubbed through goes with its wire. Who lifts
 * every lead of a terminal lifts what was put there too: a lead from elsewhere hangs free, and a jumper is
 * gone.
 */
export function leftWithOff(
  diagram: Diagram,
  { of, touching = '', class: sort, effects }: Pick<Fault, 'of' | 'touching' | 'class' | 'effects'>,
  off: ReadonlySet<string>,
): readonly Effect[] {
  if (off.size === 0) return effects
  if (sort !== 'landing')
    return off.has(of) || off.has(touching) ? effects.filter(({ does }) => does !== 'join') : effects
  const isCleared = (point: PointId): boolean =>
    wireAt(diagram, point) !== undefined && isFree(diagram, point, off)
  return effects.flatMap((effect): readonly Effect[] => {
    switch (effect.does) {
      case 'move':
        return isCleared(effect.to) ? [{ does: 'open', branch: effect.wire }] : [effect]
      case 'join':
        return isCleared(effect.from) || isCleared(effect.to) ? [] : [effect]
      default:
        return [effect]
    }
  })
}
