import type { DisplayUnits } from '@jokulgale/core/physics/displayUnits'
import { useAppSelector } from '../store'

/** The units that this device shows and takes; what is kept stays in its own. */
export const useUnits = (): DisplayUnits => useAppSelector(({ units }) => units)
