import type { Diagram } from '../diagram/diagram'
import type { LadderEdit } from '../diagram/editLadder'
import { addControlFuse, unfusedTransformers } from './addControlFuse'
import { passableParts, passBy } from './passBy'

/** A change of a unit that is made often enough to be ready: what it is, and the circuit after it. */
export interface ReadyChange {
  readonly id: string
  readonly words: string
  readonly make: (text: string) => LadderEdit
}

/** Changes that a unit is ready for, by what it is made of. */
export const readyChanges = (diagram: Diagram): readonly ReadyChange[] => [
  ...passableParts(diagram).map((part) => ({
    id: `pass-by ${part.id}`,
    words: `Pass by ${part.words} (${part.id}) with a contactor`,
    make: (text: string) => passBy(text, diagram, part),
  })),
  ...unfusedTransformers(diagram).map((transformer) => ({
    id: `fuse ${transformer.id}`,
    words: `A fuse behind ${transformer.words} (${transformer.id})`,
    make: (text: string) => addControlFuse(text, diagram, transformer),
  })),
]
