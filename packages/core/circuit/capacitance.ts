import { capacitorBetween } from '../diagram/capacitorBetween'
import { supplyHertz } from '../physics/supplyHertz'
import type { Settled } from './circuit'
import { replacedRow } from './overrides'

/** A capacitor with less impedance is shorted, ohms. */
const shortedBelowOhms = 1

/** The link between the plates of the capacitor that has both points. Throws NoCapacitorError. */
export function capacitorLink({ circuit: { network } }: Settled, from: string, to: string): number {
  const { id } = capacitorBetween(network.diagram, from, to)
  return network.links.findIndex(({ part }) => part?.id === id)
}

/**
 * Microfarads of a capacitor by itself, its leads off, as it is in a settled circuit: 0 where it is open,
 * null where it is shorted.
 */
export function capacitance({ circuit, states, overrides }: Settled, link: number): number | null {
  const own = circuit.network.links[link].states[states[link]]
  const replaced = overrides.rows.get(link)
  const row = replaced ? replacedRow(replaced, own, 'ac') : own.ac
  if (row === null) return 0
  const [resistanceOhms, reactanceOhms] = [row.ohmsRe[0], row.ohmsIm[0]]
  if (Math.hypot(resistanceOhms, reactanceOhms) < shortedBelowOhms) return null
  return Math.max(0, -1e6 / (2 * Math.PI * supplyHertz * reactanceOhms))
}
