import { capacitorBetween } from '../diagram/capacitorBetween'
import { supplyHertz } from '../physics/supplyHertz'
import type { Settled } from './circuit'
import { replacedRow } from './overrides'

/** A capacitor with less impedance is shorted, ohms. */
const shortedBelowOhms = 1

/**
 * Microfarads of a capacitor by itself, its leads off, as it is in a settled circuit: 0 where it is open, null where it
 * is shorted. Throws NoCapacitorError.
 */
export function capacitance(settled: Settled, from: string, to: string): number | null {
  const { circuit, states, overrides } = settled
  const { links, diagram } = circuit.network
  const part = capacitorBetween(diagram, from, to)
  const link = links.findIndex((each) => each.part?.id === part.id)
  const own = links[link].states[states[link]]
  const replaced = overrides.rows.get(link)
  const row = replaced ? replacedRow(replaced, own, 'ac') : own.ac
  if (row === null) return 0
  const [resistanceOhms, reactanceOhms] = [row.ohmsRe[0], row.ohmsIm[0]]
  if (Math.hypot(resistanceOhms, reactanceOhms) < shortedBelowOhms) return null
  return Math.max(0, -1e6 / (2 * Math.PI * supplyHertz * reactanceOhms))
}
