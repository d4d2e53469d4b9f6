import type { Diagram } from '../diagram/diagram'
import { supplies } from '../diagram/roles'
import { systemsLike } from '../parts/supply'

/** A system that a unit may be found on, and what a meter shows of it. */
export interface SupplyChoice {
  readonly system: string
  readonly words: string
}

/**
 * Every supply with as many legs as the unit is drawn for, the drawn one first; none where its supply has no
 * system.
 */
export function supplyChoices(diagram: Diagram): readonly SupplyChoice[] {
  const [supply] = supplies(diagram)
  if (!supply || !('system' in supply.kind.settings)) return []
  return systemsLike(supply.settings.text('system')).map(({ name, legToLegVolts, toGroundVolts }) => {
    const volts = toGroundVolts.map((each) => Math.round(each))
    const between = volts.length > 1 ? `${legToLegVolts} V leg to leg, ` : ''
    const toGround = volts.every((each) => each === volts[0]) ? String(volts[0]) : volts.join(', ')
    return { system: name, words: `${name}: ${between}${toGround} V to ground` }
  })
}
