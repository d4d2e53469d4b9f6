import { add, complex, scale, type Complex } from '../electric/complex'
import { resistance, self, type Law, type Term } from '../electric/law'

/** A part of a motor's main winding, in series with it from its end on: fed past it, the motor runs slower. */
export interface SpeedSection {
  readonly name: string
  /** The lead at its far end. */
  readonly terminal: string
  readonly words: string
  /** Its turns, as a share of the main winding's. */
  readonly turns: number
}

/** A coil that shares its core with others. */
export interface CoupledCoil {
  readonly name: string
  /** Of the main winding's. */
  readonly turns: number
  readonly directOhms: number
}

/** Flux that a coil does not share, as a share of its own reactance. */
const leakageShare = 0.05
/** A section is wound of thinner wire than the main winding, into what its slots have left. */
const thinner = 1.5

/** The main winding and its sections, in the order of the current through them. */
export const coilsOf = (mainOhms: number, sections: readonly SpeedSection[]): readonly CoupledCoil[] => [
  { name: 'main', turns: 1, directOhms: mainOhms },
  ...sections.map(({ name, turns }) => ({ name, turns, directOhms: thinner * turns * mainOhms })),
]

/** Turns from the common lead to the last of the sections, as a multiple of the main winding's. */
export const turnsInAll = (sections: readonly SpeedSection[]): number =>
  sections.reduce((sum, { turns }) => sum + turns, 1)

/**
 * The law of one of several coils on a core, by what the main one does alone, `own`: a coil of t turns takes
 * t times the volts of a turn, from the current of all of them times their turns, beside its own resistance
 * and the flux that it shares with none.
 */
export function coupledLaw(coil: CoupledCoil, coils: readonly CoupledCoil[], own: Complex): Law {
  const lost = (of: CoupledCoil): Complex => complex(of.directOhms, leakageShare * own.im * of.turns ** 2)
  const shared = add(own, scale(lost(coils[0]), -1))
  const terms = coils.map((other): Term => {
    const mutual = scale(shared, coil.turns * other.turns)
    return other === coil
      ? { of: self, volts: complex(1), ohms: add(mutual, lost(coil)) }
      : { of: other.name, volts: complex(0), ohms: mutual }
  })
  return { ac: { terms, emf: complex(0) }, dc: resistance(coil.directOhms).dc }
}
