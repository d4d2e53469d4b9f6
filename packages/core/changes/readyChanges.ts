import type { Diagram, Part } from '../diagram/diagram'
import type { LadderEdit } from '../diagram/editLadder'
import { addControlFuse, unfusedTransformers } from './addControlFuse'
import { leadPast, partsToLeadPast } from './leadPast'
import { passableParts, passBy } from './passBy'

/** A change of a unit that is made often enough to be ready: what it is, and the circuit after it. */
export interface ReadyChange {
  readonly id: string
  readonly words: string
  readonly make: (text: string) => LadderEdit
}

/** What stands beside a part that is passed by: “an external relay”. */
function passingWords({ kind, settings }: Part): string {
  const words = kind.passedBy?.(settings).words.toLowerCase() ?? 'another'
  return `${/^[aeiou]/.test(words) ? 'an' : 'a'} ${words}`
}

/** Changes that a unit is ready for, by what it is made of. */
export const readyChanges = (diagram: Diagram): readonly ReadyChange[] => [
  ...passableParts(diagram).map((part) => ({
    id: `pass-by ${part.id}`,
    words: `Pass by ${part.words} (${part.id}) with ${passingWords(part)}`,
    make: (text: string) => passBy(text, diagram, part),
  })),
  ...partsToLeadPast(diagram).map((part) => ({
    id: `lead-past ${part.id}`,
    words: `Lead the calls straight on, past ${part.words} (${part.id})`,
    make: (text: string) => leadPast(text, diagram, part),
  })),
  ...unfusedTransformers(diagram).map((transformer) => ({
    id: `fuse ${transformer.id}`,
    words: `A fuse behind ${transformer.words} (${transformer.id})`,
    make: (text: string) => addControlFuse(text, diagram, transformer),
  })),
]
