/**
 * What something outside the circuit lies between but for one case in hundreds, in the units that are kept.
 * What lies outside is a slip more often than it is the weather: it is asked about once.
 */
export type UsualSpan = readonly [least: number, most: number]

/** Air of a room, and what a unit gives out, °F. */
export const returnAirSpan: UsualSpan = [35, 110]
export const supplyAirSpan: UsualSpan = [25, 200]

/** Whether a value wants to be looked at once more; not where nothing usual is said. */
export const isUnusual = (usual: UsualSpan | null | undefined, value: number): boolean =>
  usual ? value < usual[0] || value > usual[1] : false
