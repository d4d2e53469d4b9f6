import type { Meter } from '../circuit/meters'
import { pointName, type Diagram } from '../diagram/diagram'
import { isCarried } from '../diagram/feeding'
import { linePoints } from '../diagram/linePoints'
import { highestVolts } from '../diagram/highestVolts'

/**
 * Volts on the line side of a unit that nothing in it can bear: read between two points, or of the supply as
 * chosen.
 */
export interface SupplyDanger {
  readonly volts: number
  readonly between: readonly [from: string, to: string] | null
  /** The highest volts of a supply that anything in the unit is made for. */
  readonly bears: number
}

interface LineReading {
  readonly meter: Meter
  readonly from: string
  readonly to: string
  readonly value: number | null
}

/** A supply may be so much above what a unit is made for: a tenth is what utilities keep within. */
const borneShare = 1.1
/** No building feeds a unit with more, volts: it is a number typed wrong. */
const mostVolts = 700

/**
 * A supply that no transformer tap and no load of a unit can bear: the one that it is said to be on, or what
 * was read last between any two points of its line wiring, or to ground; null where there is none. What lies
 * between the windings of a motor divides as it will, and says nothing.
 */
export function supplyDanger(diagram: Diagram, readings: readonly LineReading[]): SupplyDanger | null {
  const bears = mostBorne(diagram)
  const last = new Map<string, SupplyDanger>([['', { volts: highestVolts(diagram), between: null, bears }]])
  for (const { meter, from, to, value } of readings) {
    if ((meter !== 'volts' && meter !== 'loz') || value === null || !isOfSupply(diagram, from, to)) continue
    last.set([from, to].sort().join(' '), { volts: value, between: [from, to], bears })
  }
  return [...last.values()].find(({ volts }) => volts > borneShare * bears && volts < mostVolts) ?? null
}

export function supplyDangerWords({ volts, between, bears }: SupplyDanger): string {
  const where = between ? ` from ${between[0]} to ${pointName(between[1])}` : ' of supply'
  const what = `${Math.round(volts)} V${where}: no tap and no load of a unit for ${bears} V bears that.`
  return `${what} Isolate it, put no power on, and find out which supply this is.`
}

function mostBorne(diagram: Diagram): number {
  const each = [...diagram.parts.values()].map(({ kind, settings }) => kind.bearsVolts?.(settings) ?? 0)
  return Math.max(...each, 0) || highestVolts(diagram)
}

/** Whether two points are of the line wiring, or one of it and ground. */
function isOfSupply(diagram: Diagram, from: string, to: string): boolean {
  const isLine = (point: string): boolean => linePoints(diagram).has(point) && isCarried(diagram, point)
  return isLine(from) && (to === 'EARTH' || isLine(to))
}
