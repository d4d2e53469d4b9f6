import type { PartKind } from './kind'
import type { Settings } from './settings'

const reset = ['set', 'tripped']
const lamp = ['lamp-on', 'lamp-off']

/** How a part of this kind may be seen to stand. */
function standsAs(kind: PartKind, settings: Settings): readonly string[] {
  if (!kind.looks) return []
  return kind.lookWords?.(settings) ?? (kind.symbol === 'limit' || kind.symbol === 'pressure' ? reset : lamp)
}

/**
 * What may be said of a look at a part of this kind, as it is set: how it stands, and the marks that its
 * faults leave. Empty where a look tells nothing.
 */
export const lookChoices = (kind: PartKind, settings: Settings): readonly string[] => [
  ...new Set([...standsAs(kind, settings), ...kind.faults(settings).flatMap(({ shows }) => shows ?? [])]),
]
