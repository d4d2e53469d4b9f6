import type { PartKind } from '../parts/kind'
import type { Diagram } from './diagram'
import { highestVolts } from './highestVolts'
import { plateUnits } from './plateUnits'

interface Named {
  readonly id: string
  readonly words: string
  readonly zone: string
  /** Its settings where they are known, as a text has them. */
  readonly settings?: string
}

/**
 * The line of a ladder text for a part that somebody has found or fits: made for the volts of the circuit
 * that it is in, and with what a plate would say marked as not read.
 */
export function newPartLine(
  diagram: Diagram,
  kind: PartKind,
  { id, words, zone, settings = usual(diagram, kind) }: Named,
): string {
  const called = words.replaceAll('"', '’').trim() || kind.words
  return `part ${id} ${kind.kind} "${called}" in ${zone}${settings ? ` : ${settings}` : ''}`
}

function usual(diagram: Diagram, { settings, madeFor }: PartKind): string {
  const volts = madeFor ? voltsOf(diagram)[madeFor.circuit] : 0
  const made = madeFor && volts > 0 ? Object.entries(madeFor.at(volts)) : []
  const unread = Object.entries(settings).filter(([name]) => name in plateUnits)
  return [
    ...made.filter(([name, value]) => value !== settings[name]).map(([name, value]) => `${name} ${value}`),
    ...unread.map(([name, value]) => `${name} ${value}?`),
  ].join(', ')
}

/** Volts of the line, and of the control circuit: the line’s too where there is no transformer. */
function voltsOf(diagram: Diagram): { readonly line: number; readonly control: number } {
  const line = highestVolts(diagram)
  const source = [...diagram.parts.values()].find(({ kind }) => kind.fullLoadAmps !== undefined)
  return { line, control: source ? source.settings.number('secondary') : line }
}
