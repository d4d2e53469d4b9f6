import type { Effect } from '../parts/effect'
import { isHeatingCall } from '../parts/heatingCall'

const isThere = (effect: Effect, call: string): boolean =>
  effect.does !== 'hold' || effect.during === undefined || isHeatingCall(call)

/** The effects that are there in a call: what heat does is gone where the unit makes none. */
export const effectsDuring = (effects: readonly Effect[], call: string): readonly Effect[] =>
  effects.every((effect) => isThere(effect, call))
    ? effects
    : effects.filter((effect) => isThere(effect, call))
