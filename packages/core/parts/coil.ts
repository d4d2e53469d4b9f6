import { impedanceForVoltAmperes } from '../electric/complex'
import { impedance } from '../electric/law'
import type { Branch, Now, Phasor, Senses, Wants } from './kind'

/**
 * A coil of rated volts and holding volt-amperes; its direct-current resistance is much lower than its
 * impedance.
 */
export const coilBranch = (
  name: string,
  from: string,
  to: string,
  ratedVolts: number,
  holdVoltAmperes: number,
  directOhms: number,
): Branch => ({
  name,
  from,
  to,
  role: 'coil',
  rest: 'is',
  states: { is: impedance(impedanceForVoltAmperes(ratedVolts, holdVoltAmperes, 0.35), directOhms) },
})

/** Ohms of a coil of the same volt-amperes that is wound for other volts: they go with the square of them. */
export const ohmsAt = (volts: number, ofVolts: number, ohms: number): number =>
  Number((ohms * (volts / ofVolts) ** 2).toPrecision(3))

/** Shares of rated coil volts at which an armature comes in, and below which it lets go (IEC 60947-4-1). */
export const pullInShare = 0.85
export const dropOutShare = 0.6

/** Whether the armature is in, given the volts on the coil and whether it was in before. */
export const armatureIn = (coil: Phasor, ratedVolts: number, wasIn: boolean): boolean =>
  coil.size >= ratedVolts * (wasIn ? dropOutShare : pullInShare)

/** What an armature feels: the volts on its coil, which matter where it comes in and where it lets go. */
export const armatureSenses = (ratedVolts: number): Senses => ({
  volts: ['coil'],
  steps: { coil: [ratedVolts * dropOutShare, ratedVolts * pullInShare] },
})

/**
 * Of a coil that holds its armature by volts that would not bring it in: `out`, how the part stands once its
 * call has begun anew; nothing of any other.
 */
export function unlessHeld(now: Now, wasIn: boolean, out: Wants): Wants {
  const ratedVolts = now.settings.number('coilVolts')
  const isHeld = wasIn && armatureIn(now.volts.coil, ratedVolts, true)
  return isHeld && !armatureIn(now.volts.coil, ratedVolts, false) ? out : {}
}
