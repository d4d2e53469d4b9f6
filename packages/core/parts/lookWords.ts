import type { PartKind } from './kind'
import type { Settings } from './settings'

const reset = ['set', 'tripped']
const lamp = ['lamp-on', 'lamp-off']

/** What may be said of a look at a part of this kind, as it is set; empty where a look tells nothing. */
export function lookChoices(kind: PartKind, settings: Settings): readonly string[] {
  if (!kind.looks) return []
  return kind.lookWords?.(settings) ?? (kind.symbol === 'limit' || kind.symbol === 'pressure' ? reset : lamp)
}
