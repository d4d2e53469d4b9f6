import { isAcVolts, type Meter } from '../circuit/meters'

/** Volts that people say when they mean that it is there. */
const nominalVolts: ReadonlySet<number> = new Set([24, 120, 208, 240, 277, 480])
/** Share by which a bare nominal may be off: it may mean no more than that it is there. */
const nominalShare = 0.1

/** How coarsely a reading was put down. */
export interface Coarseness {
  /** One standard deviation of what the digits leave out, in the reading's own unit. */
  readonly rounding: number
  /** The number is one that is said of anything near it: one standard deviation of that; 0 for others. */
  readonly nominal: number
}

/** Digits bound the accuracy from below: what was typed, or where only the number was kept, its own digits. */
export function coarsenessOf(meter: Meter, value: number | null, typed: string): Coarseness {
  if (value === null) return { rounding: 0, nominal: 0 }
  // behind the digits a multiple of the unit may stand
  const digits = (typed || String(value)).replace(/[^0-9.]/g, '')
  const decimals = digits.includes('.') ? digits.length - digits.indexOf('.') - 1 : 0
  // a whole number may have lost up to half of its last digit; spread evenly, that is a step over the root of twelve
  const rounding = 10 ** -decimals / Math.sqrt(12)
  const isBare = isAcVolts(meter) && decimals === 0 && nominalVolts.has(value)
  return { rounding, nominal: isBare ? (nominalShare * value) / 2 : 0 }
}
