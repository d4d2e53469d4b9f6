import type { BenchInput } from './tool'

const asked =
  (unit: string, least: number, most: number) =>
  (words: string, usual?: number): BenchInput => ({
    words,
    unit,
    least,
    most,
    ...(usual === undefined ? {} : { usual }),
  })

/** One of a few, chosen and not typed: the first stands for 0, the next for 1. */
export const oneOfThese = (words: string, choices: readonly string[]): BenchInput => ({
  words,
  unit: '',
  least: 0,
  most: choices.length - 1,
  among: choices.map((each, value) => ({ value, words: each })),
})

/** Kinds of numbers with the range that each can have in this trade. */
export const volts = asked('V', 0, 750)
export const ratedVolts = asked('V', 12, 750)
export const amps = asked('A', 0, 1000)
export const fuseAmps = asked('A', 0.1, 600)
export const millivolts = asked('mV', 0, 20_000)
export const kilowatts = asked('kW', 0.1, 200)
export const voltAmperes = asked('VA', 1, 1000)
export const microfarads = asked('µF', 0.5, 300)
export const fahrenheit = asked('°F', -60, 300)
export const humidity = asked('%', 0, 100)
export const kilohms = asked('kΩ', 0.01, 1000)
export const megohms = asked('MΩ', 0, 10_000)
export const psig = asked('psig', -14, 700)
export const ohms = (words: string): BenchInput => ({ ...asked('Ω', 0, 100_000)(words), mayOverload: true })
export const directVolts = asked('V dc', 0, 15)
export const shareOf = asked('%', 0, 100)
export const seconds = asked('s', 0, 900)
export const microns = asked('microns', 0, 50_000)
export const minutes = asked('min', 0.5, 1440)
export const feet = asked('ft', -1500, 15_000)
export const hertz = asked('Hz', 45, 65)
