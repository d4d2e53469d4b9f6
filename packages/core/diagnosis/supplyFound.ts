import type { Diagram, Part } from '../diagram/diagram'
import { supplies } from '../diagram/roles'
import { systemsLike, type SupplySystem } from '../parts/supply'
import type { PointId } from '../parts/effect'
import type { Evidence } from '../visit/evidence'
import { onSupply, withValues } from '../visit/unitAsMeasured'
import type { UnitModel } from './predictor'

/** How near a healthy unit's volts a reading must be to tell of the supply: less is a fault, more another system. */
const tells = { from: 0.7, to: 1.5 } as const
/** Predicted volts this near those of a system are of it: share. */
const sameShare = 0.05
/** Share by which a supply is commonly off, one standard deviation. */
const usualShare = 0.04
/** No one reading speaks more than so many squared deviations against a system. */
const mostAgainst = 25
/** Another system must fit by so many squared deviations better than the one that is drawn. */
const betterBy = 9

interface SupplyReading {
  readonly volts: number
  readonly drawnVolts: number
  /** The legs that its two points are on, by number; null of another point, ground among them. Solved for. */
  readonly legs: () => readonly [number | null, number | null]
  readonly toGround: boolean
}

/** To ground this is nothing, volts. */
const nothingVolts = 15

/**
 * The unit on the supply that its line readings speak of, where they fit another system much better than the
 * one drawn: 242 V leg to leg with 121 V to ground is no high 208 V supply. A leg that reads nothing to
 * ground is a lost leg, and speaks for no system, until all three legs read their volts to each other: then
 * it is the grounded one of a delta.
 */
export function onSupplyFound(model: UnitModel, evidence: readonly Evidence[]): Diagram {
  const { diagram } = model
  const [supply] = supplies(diagram)
  if (!supply || !('system' in supply.kind.settings)) return diagram
  const poles = legsOf(supply)
  const readings = evidence.flatMap((piece): readonly SupplyReading[] => {
    if (
      piece.kind !== 'reading' ||
      (piece.meter !== 'volts' && piece.meter !== 'loz') ||
      piece.value === null
    )
      return []
    const { from, to, meter, value, standing } = piece
    const situation = model.situation(standing)
    const legOf = (point: string): number | null => {
      const at = poles.findIndex((leg) => situation.predict('volts', point, leg, [0])[0] < sameLegVolts)
      return at < 0 || point === 'EARTH' ? null : at
    }
    const drawnVolts = situation.predict(meter, from, to, [0])[0]
    return Number.isFinite(drawnVolts)
      ? [{ volts: value, drawnVolts, legs: () => [legOf(from), legOf(to)], toGround: to === 'EARTH' }]
      : []
  })
  const [drawn, ...like] = systemsLike(supply.settings.text('system'))
  const telling = readings.filter(({ volts, drawnVolts }) => {
    const share = volts / drawnVolts
    return share > tells.from && share < tells.to
  })
  const misfit = (system: SupplySystem): number =>
    telling.reduce((sum, reading) => sum + against(reading, drawn, system), 0)
  const corner = like.find((system) => isProvenCorner(readings, system))
  if (corner) return withValues(diagram, onSupply(diagram, corner.name))
  const others = like.filter((system) => !isCorner(system))
  const ranked = others
    .map((system) => ({ system, misfit: misfit(system) }))
    .sort((a, b) => a.misfit - b.misfit)
  const [best] = ranked
  return best && misfit(drawn) - best.misfit > betterBy
    ? withValues(diagram, onSupply(diagram, best.system.name))
    : diagram
}

const isCorner = ({ toGroundVolts }: SupplySystem): boolean => toGroundVolts.includes(0)

/** Two points that healthy have less between them are on one leg, volts. */
const sameLegVolts = 2

/** The supply's own terminals of its legs. */
const legsOf = ({ id, kind, settings }: Part): readonly PointId[] => [
  ...new Set(
    (kind.poles?.(settings) ?? []).flatMap(([a, b]) => (b === 'N' ? [] : [`${id}.${a}`, `${id}.${b}`])),
  ),
]

/**
 * Whether all three legs read a system's volts to each other, and the leg that it grounds nothing to ground.
 */
function isProvenCorner(
  readings: readonly SupplyReading[],
  { legToLegVolts, toGroundVolts }: SupplySystem,
): boolean {
  const grounded = toGroundVolts.indexOf(0)
  if (grounded < 0) return false
  const isWhole = ({ volts }: SupplyReading): boolean => Math.abs(volts / legToLegVolts - 1) < 2 * usualShare
  // most often no leg is at ground, and on which legs the points are is not asked
  const dead = readings.filter(({ toGround, volts }) => toGround && volts < nothingVolts)
  if (!dead.some(({ legs }) => legs()[0] === grounded)) return false
  const pairs = toGroundVolts.flatMap((_, a) => toGroundVolts.slice(a + 1).map((_each, k) => [a, a + 1 + k]))
  const stands = pairs.every((pair) => {
    const between = readings.filter(({ legs }) => {
      const [a, b] = legs()
      return a !== b && pair.some((leg) => leg === a) && pair.some((leg) => leg === b)
    })
    return between.length > 0 && between.every(isWhole)
  })
  const toGround = readings.filter((reading) => reading.toGround && reading.legs()[0] === grounded)
  return stands && toGround.every(({ volts }) => volts < nothingVolts)
}

function against({ volts, drawnVolts }: SupplyReading, drawn: SupplySystem, system: SupplySystem): number {
  const isNear = (nominal: number): boolean => Math.abs(drawnVolts / nominal - 1) < sameShare
  const leg = drawn.toGroundVolts.findIndex(isNear)
  const nominal = isNear(drawn.legToLegVolts) ? system.legToLegVolts : system.toGroundVolts[leg]
  return nominal === undefined ? 0 : Math.min(mostAgainst, ((volts / nominal - 1) / usualShare) ** 2)
}
