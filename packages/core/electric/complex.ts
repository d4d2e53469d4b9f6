/** A phasor: root-mean-square magnitude and angle at supply frequency, in Cartesian form. */
export interface Complex {
  readonly re: number
  readonly im: number
}

export const complex = (re: number, im = 0): Complex => ({ re, im })
export const polar = (magnitude: number, degrees: number): Complex => ({
  re: magnitude * Math.cos((degrees * Math.PI) / 180),
  im: magnitude * Math.sin((degrees * Math.PI) / 180),
})
export const add = (a: Complex, b: Complex): Complex => ({ re: a.re + b.re, im: a.im + b.im })
export const multiply = (a: Complex, b: Complex): Complex => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
})
export const scale = (a: Complex, factor: number): Complex => ({ re: a.re * factor, im: a.im * factor })
export const magnitude = (a: Complex): number => Math.hypot(a.re, a.im)

/** The impedance that draws `amps` at `volts` with the given power factor, lagging; ohms. */
export const impedanceFor = (volts: number, amps: number, powerFactor: number): Complex =>
  polar(volts / amps, (Math.acos(powerFactor) * 180) / Math.PI)

/** The impedance that takes `voltAmperes` at `volts`; ohms. */
export const impedanceForVoltAmperes = (volts: number, voltAmperes: number, powerFactor: number): Complex =>
  impedanceFor(volts, voltAmperes / volts, powerFactor)
