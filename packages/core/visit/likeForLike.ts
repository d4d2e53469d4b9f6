import type { Diagram } from '../diagram/diagram'
import type { Of } from './fold'
import { mostFuseShare } from '../physics/controlFuse'

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
  return (part.kind.ratings ?? []).map(([setting, words]) => ({
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

function fuseProblem(diagram: Diagram, of: string, amps: string | undefined): readonly string[] {
  const part = diagram.parts.get(of)
  const protects = part?.kind.protects?.(part.settings) ?? null
  const source = [...diagram.parts.values()].flatMap(
    ({ kind, settings }) => kind.fullLoadAmps?.(settings) ?? [],
  )
  if (protects !== 'control' || source.length === 0) return []
  const fuseAmps = Number(amps ?? part?.settings.number('amps'))
  const [fullLoad] = source
  const share = fuseAmps / fullLoad
  return share > mostFuseShare
    ? [
        `${fuseAmps} A is ${share.toFixed(2)} times the transformer’s full-load ${fullLoad.toFixed(2)} A: ` +
          'it cannot protect it. The unit’s diagram and local code decide',
      ]
    : []
}
