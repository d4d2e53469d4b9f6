import type { Effect, Fault } from '../parts/effect'
import type { Diagram } from './diagram'
import { opensForAWhile } from './opensForAWhile'

/**
 * What of a fault lasts while what it does is away: a coil is still dirty when its switch has closed again.
 */
export const lastingEffects = (diagram: Diagram, { class: sort, effects }: Fault): readonly Effect[] =>
  sort === 'fouled' ? effects.filter((effect) => !opensForAWhile(diagram, effect)) : []
