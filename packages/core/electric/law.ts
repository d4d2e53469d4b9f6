import { complex, type Complex } from './complex'

/**
 * One term of a branch equation: `volts` × voltage across − `ohms` × current through, of a branch of the same
 * part.
 */
export interface Term {
  readonly of: string
  readonly volts: Complex
  readonly ohms: Complex
}

/** A branch equation, sum of terms = `emf`; an open branch carries no current. */
export type Equation = 'open' | { readonly terms: readonly Term[]; readonly emf: Complex }

/** What a branch obeys at supply frequency and for direct current. */
export interface Law {
  readonly ac: Equation
  readonly dc: Equation
}

const one = complex(1)
const zero = complex(0)
/** Refers to the branch that the law belongs to. */
export const self = ''

const resistive = (ohms: Complex): Equation => ({ terms: [{ of: self, volts: one, ohms }], emf: zero })

export const opened: Law = { ac: 'open', dc: 'open' }

/** An impedance, with its own resistance to direct current (Infinity: blocks it). Ohms. */
export const impedance = (ac: Complex, dcOhms: number): Law => ({
  ac: resistive(ac),
  dc: Number.isFinite(dcOhms) ? resistive(complex(dcOhms)) : 'open',
})

/** Direct resistance of an electronic load, ohms: its rectifier blocks what an ohmmeter puts out. */
export const rectified = Infinity

/** The same resistance to alternating and direct current. Ohms. */
export const resistance = (ohms: number): Law => impedance(complex(ohms), ohms)

/** Only direct current sees it: a sensor of an electronic input. Ohms. */
export const directResistance = (ohms: number): Law => ({ ac: 'open', dc: resistive(complex(ohms)) })

/** An alternating source of `emf` volts behind `ohms`. */
export const alternatingSource = (emf: Complex, ohms: Complex): Law => ({
  ac: { terms: [{ of: self, volts: one, ohms }], emf },
  dc: resistive(complex(Math.hypot(ohms.re, ohms.im))),
})

/** A direct-current source of `volts` behind `ohms`, as an electronic output has it. */
export const directSource = (volts: number, ohms: number): Law => ({
  ac: resistive(complex(ohms)),
  dc: { terms: [{ of: self, volts: one, ohms: complex(ohms) }], emf: complex(volts) },
})
