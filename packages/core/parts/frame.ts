import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed } from './contact'
import type { Branch } from './kind'

/**
 * Capacitance of windings to their frame: some ten nanofarads, some hundred kilohms at supply frequency; dry
 * insulation for direct current.
 */
const frameReactanceOhms = 3e5
const insulationOhms = 1e9

/** What lies between a winding or element and its frame in good order. */
export const toFrame = (from: string): Branch =>
  fixed('frame', from, 'EARTH', 'load', impedance(complex(5e3, -frameReactanceOhms), insulationOhms))
