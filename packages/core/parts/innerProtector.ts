/**
 * Seconds at locked-rotor amps after which a motor’s inner protector opens; makers give two to ten. Its disc
 * must warm through: with however many amps it takes the lesser time, and whatever else opens by then does.
 */
const openingSeconds = { lockedRotor: 8, least: 0.5 } as const

/** Seconds until an inner protector opens at a multiple of locked-rotor amps: heat goes with their square. */
export const protectorSeconds = (multiple: number): number =>
  Math.max(openingSeconds.least, openingSeconds.lockedRotor / multiple ** 2)
