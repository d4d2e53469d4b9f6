import type { Diagram } from '../diagram/diagram'
import type { Of } from './fold'

/** What of a part has to be the same in its replacement, in words, by its setting. */
const matters: Readonly<Record<string, readonly (readonly [string, string])[]>> = {
  contactor: [
    ['coilVolts', 'Coil volts'],
    ['poles', 'Poles'],
    ['bars', 'Poles bridged by a bar'],
    ['auxiliary', 'Auxiliary switch'],
  ],
  relay: [
    ['coilVolts', 'Coil volts'],
    ['poles', 'Poles'],
    ['throws', 'Throws'],
  ],
  fuse: [
    ['amps', 'Amps'],
    ['poles', 'Poles'],
  ],
  breaker: [
    ['amps', 'Amps'],
    ['poles', 'Poles'],
  ],
  transformer: [
    ['va', 'Volt-amperes'],
    ['taps', 'Primary taps'],
    ['secondary', 'Secondary volts'],
  ],
  capacitor: [['microfarads', 'Microfarads']],
  heater: [
    ['watts', 'Watts'],
    ['volts', 'Volts'],
  ],
  'heater-bank': [
    ['watts', 'Watts'],
    ['volts', 'Volts'],
    ['wiring', 'Wiring'],
  ],
  sequencer: [['contacts', 'Contacts']],
  'single-phase-compressor': [
    ['volts', 'Volts'],
    ['amps', 'Rated amps'],
  ],
  'three-phase-compressor': [
    ['volts', 'Volts'],
    ['amps', 'Rated amps'],
  ],
  'capacitor-fan': [
    ['volts', 'Volts'],
    ['amps', 'Rated amps'],
  ],
  'three-phase-fan': [
    ['volts', 'Volts'],
    ['amps', 'Rated amps'],
  ],
  'temperature-sensor': [['family', 'Thermistor family']],
}

export interface RatingField {
  readonly setting: string
  readonly words: string
  /** As the diagram has it. */
  readonly fitted: string
}

/** The ratings of a part that its replacement is compared by; empty for a kind that has none. */
export function ratingFields(diagram: Diagram, id: string): readonly RatingField[] {
  const part = diagram.parts.get(id)
  if (!part) return []
  return (matters[part.kind.kind] ?? []).map(([setting, words]) => ({
    setting,
    words,
    fitted: part.settings.text(setting) || 'none',
  }))
}

/** Where a new part is not like the old one, in sentences; empty when it is. */
export function unlikeness(diagram: Diagram, { of, rating, bench }: Of<'part-used'>): readonly string[] {
  const differing = ratingFields(diagram, of)
    .filter(
      ({ setting, fitted }) =>
        rating[setting] !== undefined && rating[setting].trim() !== '' && rating[setting].trim() !== fitted,
    )
    .map(
      ({ setting, words, fitted }) =>
        `${words}: ${rating[setting].trim()} fitted in place of ${fitted}. Make it a deliberate change, written down, or fit the like`,
    )
  const doubtful =
    bench === 'unknown' ? ['A spare of unknown condition: prove it on the bench before it is mounted'] : []
  return [...differing, ...fuseProblem(diagram, of, rating.amps), ...doubtful]
}

/**
 * Fuse over full-load current from which it cannot protect the transformer (order of NEC 430.72(C),
 * 450.3(B)).
 */
const mostFuseShare = 1.67

function fuseProblem(diagram: Diagram, of: string, amps: string | undefined): readonly string[] {
  const part = diagram.parts.get(of)
  const transformer = [...diagram.parts.values()].find(({ kind }) => kind.kind === 'transformer')
  if (part?.kind.kind !== 'fuse' || !transformer || part.settings.number('amps') > 10) return []
  const fuseAmps = Number(amps ?? part.settings.number('amps'))
  const fullLoad = transformer.settings.number('va') / transformer.settings.number('secondary')
  return fuseAmps / fullLoad > mostFuseShare
    ? [
        `${fuseAmps} A is ${(fuseAmps / fullLoad).toFixed(2)} times the transformer’s full-load ${fullLoad.toFixed(2)} A: it cannot protect it. The unit’s diagram and local code decide`,
      ]
    : []
}
