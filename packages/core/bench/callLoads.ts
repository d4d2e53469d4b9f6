import { calledCoils } from '../changes/coilInrush'
import { Circuit } from '../circuit/circuit'
import { clampAmps } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import type { Diagram, Part } from '../diagram/diagram'
import type { Picture, PictureBar } from './picture'

/** Volt-amperes over what they hold with, for the cycles in which the coils of a call pull in together. */
const inrushOf = (circuit: Circuit): number =>
  calledCoils(circuit).reduce((sum, { holds, times }) => sum + (times - 1) * holds, 0)

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
