import type { Effect } from './effect'
import type { Now } from './kind'

/**
 * The setting of a part that a person warms or cools by hand for a test, or that lies in a place of so many
 * °F.
 */
export const untouched = { touch: 'none' } as const

/** What a warm hand or an ice pack brings a sensor to, °F. */
const touched = { warm: 115, cool: 33 } as const

/** A switch that feels a temperature of its place, °F. */
export const feelsTemperature = (fahrenheit: number): readonly Effect[] => [
  { does: 'set', part: '', setting: 'touch', to: fahrenheit },
]

/** The same under a warm hand or an ice pack. */
export const touchEffects = (verb: 'warm' | 'cool'): readonly Effect[] => feelsTemperature(touched[verb])

/** The temperature that a part feels: of the hand on it, or of the place it lies in; °F. */
export function temperatureFelt(
  { conditions, settings }: Pick<Now, 'conditions' | 'settings'>,
  otherwise: number,
): number {
  const touch = settings.text('touch')
  return touch === untouched.touch ? (conditions[settings.text('reads')] ?? otherwise) : Number(touch)
}

/** What a hand brings a sensor to, °F. */
export const handTemperature = (verb: 'warm' | 'cool'): number => touched[verb]
