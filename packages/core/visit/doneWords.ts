import { partWords, type Diagram } from '../diagram/diagram'
import type { StandingAction } from './actions'

const without: Partial<Record<StandingAction['verb'], string>> = {
  lift: 'off',
  unplug: 'out',
  warm: 'warmed',
  cool: 'cooled',
  start: 'started anew',
}

/**
 * What had been done to a unit when something was read, each in few words: a lead off, a plug out, a jumper
 * on. What was found altered is no doing of whoever reads.
 */
export const doneWords = (diagram: Diagram, done: readonly StandingAction[]): readonly string[] =>
  done.flatMap(({ verb, of, to }) => {
    if (verb === 'bridge') return [`${of} to ${to} joined`]
    const words = without[verb]
    return words === undefined ? [] : [`${partWords(diagram, of)} ${words}`]
  })
