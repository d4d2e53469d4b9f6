/**
 * Insulation of windings to ground, megohms: IEEE 43 asks 5 of random-wound motors below 1 kV; below 1 it is wet, dirty
 * or failing; below 0.1 shorted for practical purposes.
 */
export const insulationMegohms = { sound: 5, suspect: 1, shorted: 0.1 } as const
