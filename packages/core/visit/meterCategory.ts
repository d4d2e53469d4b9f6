import type { Diagram } from '../diagram/diagram'
import { isDead, type Meter } from '../circuit/meters'
import { highestVolts } from '../diagram/highestVolts'
import type { VisitState } from './visitState'

/** Above so many volts a meter is asked for that is made for the place. */
const fromVolts = 50

/** Whether line voltage comes to a point, by the wires that land on it. */
const isLine = ({ wires }: Diagram, point: string): boolean =>
  [...wires.values()].some(({ wiring, from, to }) => wiring === 'line' && (from === point || to === point))

/**
 * Said before the first live reading above 50 V of a visit: what meter and leads must be made for. Empty
 * before any other.
 */
export function meterCategory(
  { readings }: VisitState,
  diagram: Diagram,
  meter: Meter,
  points: readonly string[],
): string {
  const line = (ends: readonly (string | undefined)[]): boolean =>
    ends.some((point) => point !== undefined && isLine(diagram, point))
  if (isDead(meter) || !line(points)) return ''
  const wasSaid = readings.some(
    ({ body, power }) => power === 'on' && !isDead(body.meter) && line([body.from, body.to]),
  )
  const most = highestVolts(diagram)
  return wasSaid || most <= fromVolts
    ? ''
    : `Line voltage, for the first time on this visit: meter, leads and probes of category III for ${most} V, of IV at the service; gloves and eyes.`
}
