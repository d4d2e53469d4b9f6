import type { Diagram } from '../diagram/diagram'
import type { CauseGroup } from '../parts/causeGroup'

const byClass: Readonly<Record<string, string>> = {
  'heat-pump': 'Its sections have isolators of their own: one off leaves the others live.',
  'fan-coil': 'A ladder in somebody’s room; water above live parts.',
  'air-handler': 'Line voltage behind the first panel; belts that start by themselves.',
  'terminal-box': 'A ladder under a ceiling grid, beside the wires and pipes of others.',
  'unit-heater': 'It hangs high: a lift or a ladder on firm ground, and nobody under it.',
}

const onRoofs = 'Roof edge, ladder, weather.'

/** What a unit that has such parts asks for beside. */
const byPart: Partial<Record<CauseGroup, string>> = {
  gas: 'Gas heat: smell for gas first, and keep a carbon-monoxide alarm on you.',
  compressor: 'Read which refrigerant it holds: some burn. No flame and no spark, and fresh air.',
  drive: 'A drive keeps its bus charged with the power off.',
}

/** What is said before somebody stands in front of a unit, fitted to what it is made of. */
export function unitCautions({ unitClass, parts, zones }: Diagram): readonly string[] {
  const groups = new Set<string>([...parts.values()].map(({ kind }) => kind.cause))
  const grounds = new Set([...zones.values()].map(({ on }) => on))
  // of a unit drawn on the spot nobody has said where its sections stand
  const isOnRoof = grounds.has('roof') || (unitClass === 'rooftop' && !grounds.has('ground'))
  return [
    isOnRoof ? onRoofs : '',
    byClass[unitClass] ?? '',
    ...Object.entries(byPart).map(([group, words]) => (groups.has(group) ? words : '')),
  ].filter(Boolean)
}
