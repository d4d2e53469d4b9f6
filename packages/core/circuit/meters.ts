/** Functions of a multimeter, and of an insulation tester, that readings are taken with. */
export const meters = [
  'volts',
  'loz',
  'ohms',
  'megohms',
  'amps',
  'dc',
  'millivolts',
  'microamps',
  'microfarads',
] as const
export type Meter = (typeof meters)[number]

const isAmong =
  <Some extends Meter>(...some: readonly Some[]) =>
  (meter: Meter): meter is Some =>
    some.some((each) => each === meter)

/** What is read in a wire: around it with a clamp, or in series with it. */
export type WireMeter = 'amps' | 'microamps'
export const isInWire = isAmong<WireMeter>('amps', 'microamps')

/** Alternating volts, by a meter of high input resistance or a low-impedance one. */
type AcVoltsMeter = 'volts' | 'loz'
export const isAcVolts = isAmong<AcVoltsMeter>('volts', 'loz')

/** Resistance by direct current, over many decades: it may be out of range. */
export type OhmsMeter = 'ohms' | 'megohms'
export const isOhms = isAmong<OhmsMeter>('ohms', 'megohms')

/** What puts out a current of its own, and is spoiled by any other: only with the unit isolated. */
export type DeadMeter = OhmsMeter | 'microfarads'
export const isDead = isAmong<DeadMeter>('ohms', 'megohms', 'microfarads')

/** What is mostly small: read to a hundredth below ten. */
export const hasSmallValues = isAmong<WireMeter | 'microfarads'>('amps', 'microamps', 'microfarads')

/** Those that two leads are held to the circuit for, wherever they are held. */
export type LeadMeter = Exclude<Meter, WireMeter | 'microfarads'>

/** Input resistance, ohms. */
export const meterOhms = { volts: 10e6, millivolts: 10e6, dc: 10e6, loz: 3000 } as const
/** Beyond this a range of resistance shows OL, ohms: an insulation tester's is wider. */
export const rangeEnd: Readonly<Record<OhmsMeter, number>> = { ohms: 40e6, megohms: 10e9 }

const units = {
  volts: 'V',
  loz: 'V',
  ohms: 'Ω',
  megohms: 'MΩ',
  amps: 'A',
  dc: 'V DC',
  millivolts: 'mV',
  microamps: 'µA',
  microfarads: 'µF',
} as const satisfies Readonly<Record<Meter, string>>

export interface Reading {
  /** In `unit`; null when out of range. */
  readonly value: number | null
  readonly unit: (typeof units)[Meter]
  /** What the display says. */
  readonly shows: string
}

export const unitOf = (meter: Meter): Reading['unit'] => units[meter]

/** A value as a meter's display would give it, with its unit. */
export function display(value: number | null, meter: Meter): string {
  if (value === null) return 'OL'
  if (meter === 'ohms') return ohmsText(value)
  if (hasSmallValues(meter)) return `${value.toFixed(Math.abs(value) < 10 ? 2 : 1)} ${unitOf(meter)}`
  if (meter === 'megohms') return `${value.toFixed(value < 10 ? 2 : 0)} MΩ`
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
