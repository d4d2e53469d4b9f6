import { Circuit } from '../circuit/circuit'
import { clampAmps } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import type { Diagram, Part } from '../diagram/diagram'
import { dropOutShare } from '../parts/coil'
import type { Picture, PictureBar } from './picture'

const out = new Float64Array(2)

/** Volt-amperes that the coils of a call draw over what they hold with, for the cycles in which they pull in together. */
function inrushOf({ healthy, network }: Circuit): number {
  return network.links.reduce((sum, { part, role, a, b }) => {
    const times = part?.kind.inrushTimes
    if (!part || times === undefined || role !== 'coil') return sum
    healthy.ac.volts(a, b, out)
    const rated = part.settings.number('coilVolts')
    const isCalled = Math.hypot(out[0], out[1]) > dropOutShare * rated
    return isCalled ? sum + (times - 1) * part.settings.number('va') : sum
  }, 0)
}

/**
 * What a transformer gives in each call of a healthy unit, and what it is asked for while the contactors of the call pull
 * in at the same instant, against its rating.
 */
export function callLoads(diagram: Diagram, { id, kind, settings }: Part): Picture | undefined {
  const full = kind.fullLoadAmps?.(settings)
  if (full === undefined) return undefined
  const secondaryVolts = settings.number('va') / full
  const bars = diagram.calls.map((call): PictureBar => {
    const circuit = new Circuit(diagram, situationOf(diagram, call.id))
    const secondary = circuit.network.linkNumbers.get(`${id}/secondary`)
    const holds = secondary === undefined ? 0 : clampAmps(circuit.healthy, secondary) * secondaryVolts
    return { words: call.words, holds, peaks: holds + inrushOf(circuit) }
  })
  return {
    is: 'bars',
    words: 'What each call takes, and for a moment while its contactors pull in together',
    unit: 'VA',
    limit: settings.number('va'),
    bars,
  }
}
