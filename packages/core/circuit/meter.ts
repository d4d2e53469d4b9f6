import { UnknownNameError } from '../diagram/nearest'
import type { Settled } from './circuit'
import { capacitance, capacitorLink } from './capacitance'
import {
  display,
  isInWire,
  isOhms,
  meterOhms,
  rangeEnd,
  unitOf,
  type LeadMeter,
  type Meter,
  type OhmsMeter,
  type Reading,
  type WireMeter,
} from './meters'
import { Sweep } from './sweep'
import type { Variation } from './variation'

const scratch = new Float64Array(2)

/** Direct volts that no input of a control tells from none. */
const levelVolts = 0.1

/** Below this no meter shows anything, volts. */
const unreadVolts = 1e-7

/**
 * What the meter reads between two points of a settled circuit, its own input resistance included; for `amps`
 * and `microamps`, in the wire with these two ends. Volts and amps are root-mean-square, microamps and ohms
 * by direct current; microfarads are of a capacitor with its leads off. Throws UnknownNameError and
 * NoCapacitorError.
 */
export function readMeter(settled: Settled, meter: Meter, from: string, to: string): Reading {
  const value = meterValue(settled, meter, from, to)
  return { value, unit: unitOf(meter), shows: display(value, meter) }
}

/** The bare value of `readMeter`. */
export function meterValue(settled: Settled, meter: Meter, from: string, to: string): number | null {
  if (isInWire(meter)) return currentIn(settled, meter, wireLink(settled, from, to))
  if (meter === 'microfarads') return capacitance(settled, capacitorLink(settled, from, to))
  return valueBetween(settled, meter, nodeOf(settled, from), nodeOf(settled, to))
}

export const clampAmps = (settled: Settled, link: number): number => clampAmpsOf(settled.ac, link)

/** Current of a link, root-mean-square amperes. */
export function clampAmpsOf(solution: Variation, link: number): number {
  solution.amps(link, scratch)
  return size(scratch[0], scratch[1])
}

/** What a meter shows of the current of a link. */
export const currentIn = (settled: Settled, meter: WireMeter, link: number): number =>
  meter === 'amps' ? clampAmps(settled, link) : 1e6 * clampAmpsOf(settled.dc, link)

/** Size of a phasor; its parts are far from where squares overflow, and `Math.hypot` is slow. */
const size = (re: number, im: number): number => Math.sqrt(re * re + im * im)

/** The value between two nodes; see `readMeter`. */
export function valueBetween(settled: Settled, meter: LeadMeter, a: number, b: number): number | null {
  if (a === b) return 0
  if (isOhms(meter)) {
    solutionFor(settled, meter).impedance(a, b, scratch)
    return ohmsShown(meter, scratch[0])
  }
  const fed = feedBetween(solutionFor(settled, meter), a, b)
  return fed ? voltsShown(meter, fed.vRe, fed.vIm, fed.zRe, fed.zIm) : 0
}

/** What feeds a pair of nodes: the volts with nothing between them, and the impedance behind those. */
interface Feed {
  readonly vRe: number
  readonly vIm: number
  readonly zRe: number
  readonly zIm: number
}

/** Null where there is nothing that a meter would show. */
function feedBetween(solution: Variation, a: number, b: number): Feed | null {
  solution.volts(a, b, scratch)
  const [vRe, vIm] = scratch
  if (isUnread(vRe, vIm)) return null
  solution.impedance(a, b, scratch)
  return { vRe, vIm, zRe: scratch[0], zIm: scratch[1] }
}

/** A pair of points floats where its volts fall below this share through a meter of low resistance. */
const floatsBelow = 0.5
const floatsFromVolts = 5

const isFloating = (volts: number, vRe: number, vIm: number, zRe: number, zIm: number): boolean =>
  volts >= floatsFromVolts && voltsShown('loz', vRe, vIm, zRe, zIm) < floatsBelow * volts

/** The alternating volts between two nodes as a meter shows them, and whether nothing firm feeds them. */
export function voltsBetween(
  settled: Settled,
  a: number,
  b: number,
): { readonly volts: number; readonly floats: boolean } {
  const fed = a === b ? null : feedBetween(settled.ac, a, b)
  if (!fed) return { volts: 0, floats: false }
  const { vRe, vIm, zRe, zIm } = fed
  const volts = voltsShown('volts', vRe, vIm, zRe, zIm)
  return { volts, floats: isFloating(volts, vRe, vIm, zRe, zIm) }
}

/**
 * Amps, root-mean-square, that two points would draw from each other if they were joined and nothing acted on
 * it; infinite where direct volts stand between them.
 */
export function joinDraws(
  settled: Settled,
  { from, to, ohms }: { from: string; to: string; ohms: number },
): number {
  const [a, b] = [nodeOf(settled, from), nodeOf(settled, to)]
  settled.dc.volts(a, b, scratch)
  if (Math.abs(scratch[0]) > levelVolts) return Infinity
  const fed = a === b ? null : feedBetween(settled.ac, a, b)
  return fed ? size(fed.vRe, fed.vIm) / size(fed.zRe + ohms, fed.zIm) : 0
}

/** What a meter in each of many settled states shows between one pair of nodes after another. */
export class MeterSweep {
  private readonly sweep: Sweep
  private readonly shown: Float64Array
  /** After a pair was read in volts: 1 where nothing firm feeds it. */
  readonly floats: Uint8Array

  constructor(
    private readonly meter: LeadMeter,
    states: readonly Settled[],
  ) {
    this.sweep = new Sweep(states.map((settled) => solutionFor(settled, meter)))
    this.shown = new Float64Array(states.length)
    this.floats = new Uint8Array(states.length)
  }

  /**
   * The same as `valueBetween` by the place of the state, NaN when out of range; holds until the next pair.
   */
  read(a: number, b: number): Float64Array {
    const {
      meter,
      shown,
      floats,
      sweep,
      sweep: { voltsRe, voltsIm, ohmsRe, ohmsIm },
    } = this
    if (a === b) return shown.fill(0)
    if (isOhms(meter)) {
      sweep.impedance(a, b)
      for (let k = 0; k < shown.length; k++) shown[k] = ohmsShown(meter, ohmsRe[k]) ?? NaN
      return shown
    }
    sweep.volts(a, b)
    sweep.impedance(a, b, unreadVolts)
    for (let k = 0; k < shown.length; k++) {
      const isThere = !isUnread(voltsRe[k], voltsIm[k])
      shown[k] = isThere ? voltsShown(meter, voltsRe[k], voltsIm[k], ohmsRe[k], ohmsIm[k]) : 0
      floats[k] =
        isThere && meter === 'volts' && isFloating(shown[k], voltsRe[k], voltsIm[k], ohmsRe[k], ohmsIm[k])
          ? 1
          : 0
    }
    return shown
  }
}

const solutionFor = (settled: Settled, meter: LeadMeter): Variation =>
  isOhms(meter) ? settled.circuit.wholeDirect(settled) : meter === 'dc' ? settled.dc : settled.ac

function ohmsShown(meter: OhmsMeter, ohms: number): number | null {
  if (Math.abs(ohms) > rangeEnd[meter]) return null
  return Math.max(0, meter === 'megohms' ? ohms / 1e6 : ohms)
}

/** Nothing there is nothing read, whatever feeds it. */
const isUnread = (vRe: number, vIm: number): boolean => Math.abs(vRe) + Math.abs(vIm) < unreadVolts

/**
 * The meter is an element too: volts divide between what feeds it, behind its impedance, and its own input.
 */
function voltsShown(
  meter: Exclude<LeadMeter, OhmsMeter>,
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
