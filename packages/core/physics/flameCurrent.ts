/**
 * A flame passes current one way more easily than the other: put alternating volts between rod and burner,
 * and a direct current of some microamperes is left, which the control turns into volts. Usual currents are
 * 0.5 to 10 µA.
 */
export const flameSenseOhms = 1e6

/** Resistance of the flame between rod and burner, ohms. */
export const flameOhms = 4e6

/** Direct volts of a flame that leave so many microamperes in the control's sense input. */
export const flameVolts = (microamperes: number): number => microamperes * 1e-6 * (flameOhms + flameSenseOhms)

/** Flame is proven from one microampere: one volt at the sense input. */
export const provenMicroamps = 1
export const provenFlameVolts = provenMicroamps * 1e-6 * flameSenseOhms
