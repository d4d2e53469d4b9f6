import type { Diagram } from '../diagram/diagram'
import { supplies } from '../diagram/roles'
import { systemsLike, type SupplySystem } from '../parts/supply'
import type { Evidence } from '../visit/evidence'
import { withValues } from '../visit/unitAsMeasured'
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
}

/**
 * The unit on the supply that its line readings speak of, where they fit another system much better than the one drawn:
 * 242 V leg to leg with 121 V to ground is no high 208 V supply. A leg that reads nothing to ground is a lost leg, and
 * speaks for no system.
 */
export function onSupplyFound(model: UnitModel, evidence: readonly Evidence[]): Diagram {
  const { diagram } = model
  const [supply] = supplies(diagram)
  if (!supply || !('system' in supply.kind.settings)) return diagram
  const readings = evidence.flatMap((piece): readonly SupplyReading[] => {
    if (
      piece.kind !== 'reading' ||
      (piece.meter !== 'volts' && piece.meter !== 'loz') ||
      piece.value === null
    )
      return []
    const { from, to, meter, value, standing } = piece
    const drawnVolts = model.situation(standing).predict(meter, from, to, [0])[0]
    const share = value / drawnVolts
    return share > tells.from && share < tells.to ? [{ volts: value, drawnVolts }] : []
  })
  const [drawn, ...others] = systemsLike(supply.settings.text('system'))
  const misfit = (system: SupplySystem): number =>
    readings.reduce((sum, reading) => sum + against(reading, drawn, system), 0)
  const ranked = others
    .map((system) => ({ system, misfit: misfit(system) }))
    .sort((a, b) => a.misfit - b.misfit)
  const [best] = ranked
  return best && misfit(drawn) - best.misfit > betterBy
    ? withValues(diagram, new Map([[supply.id, { system: best.system.name }]]))
    : diagram
}

function against({ volts, drawnVolts }: SupplyReading, drawn: SupplySystem, system: SupplySystem): number {
  const isNear = (nominal: number): boolean => Math.abs(drawnVolts / nominal - 1) < sameShare
  const leg = drawn.toGroundVolts.findIndex(isNear)
  const nominal = isNear(drawn.legToLegVolts) ? system.legToLegVolts : system.toGroundVolts[leg]
  return nominal === undefined ? 0 : Math.min(mostAgainst, ((volts / nominal - 1) / usualShare) ** 2)
}
