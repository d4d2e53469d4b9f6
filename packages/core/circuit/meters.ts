/** Functions of a multimeter that readings are taken with. */
export type Meter = 'volts' | 'loz' | 'ohms' | 'amps' | 'dc' | 'millivolts'
export const meters: readonly Meter[] = ['volts', 'loz', 'ohms', 'amps', 'dc', 'millivolts']
/** Those that two leads are held to the circuit for. */
export type LeadMeter = Exclude<Meter, 'amps'>

/** Input resistance, ohms. */
export const meterOhms = { volts: 10e6, millivolts: 10e6, dc: 10e6, loz: 3000 } as const
/** Beyond this the ohms range shows OL. */
export const ohmsRangeEnd = 40e6

export interface Reading {
  /** Volts, amps or ohms; null when out of range. */
  readonly value: number | null
  readonly unit: 'V' | 'A' | 'Ω' | 'mV' | 'V DC'
  /** What the display says. */
  readonly shows: string
}

export const unitOf = (meter: Meter): Reading['unit'] =>
  meter === 'amps'
    ? 'A'
    : meter === 'ohms'
      ? 'Ω'
      : meter === 'millivolts'
        ? 'mV'
        : meter === 'dc'
          ? 'V DC'
          : 'V'

/** A value as a meter's display would give it, with its unit. */
export function display(value: number | null, meter: Meter): string {
  if (value === null) return 'OL'
  if (meter === 'ohms') return ohmsText(value)
  if (meter === 'amps') return `${value.toFixed(Math.abs(value) < 10 ? 2 : 1)} A`
  return `${value.toFixed(1)} ${unitOf(meter)}`
}

/** Digits, and a multiple of the unit behind them. */
const typedNumber = /^-?\d+(\.\d*)?( [kMmµ])?$/

/**
 * A reading in the digits that were typed: further ones would claim what nobody read. Where only the number
 * was kept, as the display would have it.
 */
export function asTyped(value: number | null, meter: Meter, typed = ''): string {
  if (value === null || !typedNumber.test(typed)) return display(value, meter)
  return `${typed}${typed.includes(' ') ? '' : ' '}${unitOf(meter)}`
}

const ohmsText = (ohms: number): string =>
  ohms >= 1e6
    ? `${(ohms / 1e6).toFixed(2)} MΩ`
    : ohms >= 1000
      ? `${(ohms / 1000).toFixed(2)} kΩ`
      : `${ohms.toFixed(1)} Ω`
