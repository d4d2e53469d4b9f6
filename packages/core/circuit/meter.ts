import { UnknownNameError } from '../diagram/nearest'
import type { Settled } from './circuit'
import { Sweep } from './sweep'
import type { Variation } from './variation'

export type Meter = 'volts' | 'loz' | 'ohms' | 'amps' | 'dc' | 'millivolts'
export const meters: readonly Meter[] = ['volts', 'loz', 'ohms', 'amps', 'dc', 'millivolts']

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

const scratch = new Float64Array(2)
export type LeadMeter = Exclude<Meter, 'amps'>

/** Below this no meter shows anything, volts. */
const unreadVolts = 1e-7

/**
 * What the meter reads between two points of a settled circuit, its own input resistance included; for
 * `amps`, in the
 * wire with these two ends. Volts and amps are root-mean-square, ohms by direct current. Throws
 * UnknownNameError.
 */
export function readMeter(settled: Settled, meter: Meter, from: string, to: string): Reading {
  const value = meterValue(settled, meter, from, to)
  return { value, unit: unitOf(meter), shows: display(value, meter) }
}

/** The bare value of `readMeter`. */
export function meterValue(settled: Settled, meter: Meter, from: string, to: string): number | null {
  if (meter === 'amps') return clampAmps(settled, wireLink(settled, from, to))
  return valueBetween(settled, meter, nodeOf(settled, from), nodeOf(settled, to))
}

export const clampAmps = (settled: Settled, link: number): number => clampAmpsOf(settled.ac, link)

/** Current of a link, root-mean-square amperes. */
export function clampAmpsOf(solution: Variation, link: number): number {
  solution.amps(link, scratch)
  return size(scratch[0], scratch[1])
}

/** Size of a phasor; its parts are far from where squares overflow, and `Math.hypot` is slow. */
const size = (re: number, im: number): number => Math.sqrt(re * re + im * im)

/** The value between two nodes; see `readMeter`. */
export function valueBetween(settled: Settled, meter: LeadMeter, a: number, b: number): number | null {
  if (a === b) return 0
  const solution = solutionFor(settled, meter)
  if (meter === 'ohms') {
    solution.impedance(a, b, scratch)
    return ohmsShown(scratch[0])
  }
  solution.volts(a, b, scratch)
  const vRe = scratch[0]
  const vIm = scratch[1]
  if (isUnread(vRe, vIm)) return 0
  solution.impedance(a, b, scratch)
  return voltsShown(meter, vRe, vIm, scratch[0], scratch[1])
}

/** What a meter in each of many settled states shows between one pair of nodes after another. */
export class MeterSweep {
  private readonly sweep: Sweep
  private readonly shown: Float64Array

  constructor(
    private readonly meter: LeadMeter,
    states: readonly Settled[],
  ) {
    this.sweep = new Sweep(states.map((settled) => solutionFor(settled, meter)))
    this.shown = new Float64Array(states.length)
  }

  /**
   * The same as `valueBetween` by the place of the state, NaN when out of range; holds until the next pair.
   */
  read(a: number, b: number): Float64Array {
    const {
      meter,
      shown,
      sweep,
      sweep: { voltsRe, voltsIm, ohmsRe, ohmsIm },
    } = this
    if (a === b) return shown.fill(0)
    if (meter === 'ohms') {
      sweep.impedance(a, b)
      for (let k = 0; k < shown.length; k++) shown[k] = ohmsShown(ohmsRe[k]) ?? NaN
      return shown
    }
    sweep.volts(a, b)
    sweep.impedance(a, b, unreadVolts)
    for (let k = 0; k < shown.length; k++)
      shown[k] = isUnread(voltsRe[k], voltsIm[k])
        ? 0
        : voltsShown(meter, voltsRe[k], voltsIm[k], ohmsRe[k], ohmsIm[k])
    return shown
  }
}

const solutionFor = (settled: Settled, meter: LeadMeter): Variation =>
  meter === 'ohms' ? settled.circuit.wholeDirect(settled) : meter === 'dc' ? settled.dc : settled.ac

const ohmsShown = (ohms: number): number | null => (Math.abs(ohms) > ohmsRangeEnd ? null : Math.max(0, ohms))

/** Nothing there is nothing read, whatever feeds it. */
const isUnread = (vRe: number, vIm: number): boolean => Math.abs(vRe) + Math.abs(vIm) < unreadVolts

/**
 * The meter is an element too: volts divide between what feeds it, behind its impedance, and its own input.
 */
function voltsShown(
  meter: Exclude<LeadMeter, 'ohms'>,
  vRe: number,
  vIm: number,
  zRe: number,
  zIm: number,
): number {
  const input = meterOhms[meter]
  const share = input / size(input + zRe, zIm)
  if (meter === 'dc') return vRe * share
  return size(vRe, vIm) * share * (meter === 'millivolts' ? 1000 : 1)
}

export function nodeOf(settled: Settled, point: string): number {
  const { network } = settled.circuit
  if (point === 'EARTH') return network.earthNode
  const node = network.nodes.get(point)
  if (node === undefined) throw new UnknownNameError('point', point, network.diagram.points.keys())
  return node
}

export function wireLink(settled: Settled, from: string, to: string): number {
  const { linkNumbers, diagram } = settled.circuit.network
  const link = linkNumbers.get(`${from}-${to}`) ?? linkNumbers.get(`${to}-${from}`)
  if (link === undefined) throw new UnknownNameError('wire', `${from}-${to}`, diagram.wires.keys())
  return link
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

const ohmsText = (ohms: number): string =>
  ohms >= 1e6
    ? `${(ohms / 1e6).toFixed(2)} MΩ`
    : ohms >= 1000
      ? `${(ohms / 1000).toFixed(2)} kΩ`
      : `${ohms.toFixed(1)} Ω`
