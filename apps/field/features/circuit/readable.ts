import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { DiagramError, readLadder } from '@jokulgale/core/diagram/readLadder'

/** The circuit of a text; null while the text cannot be read, as the marks beside it say. */
export function readable(text: string): Diagram | null {
  try {
    return readLadder(text)
  } catch (error) {
    if (error instanceof DiagramError) return null
    throw error
  }
}
