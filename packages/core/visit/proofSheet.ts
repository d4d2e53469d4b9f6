import { Circuit } from '../circuit/circuit'
import { runsFromAmps } from '../circuit/loadAmps'
import { clampAmps, valueBetween } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { terminalOfPoint, type Diagram } from '../diagram/diagram'
import type { Conditions } from '../parts/kind'
import type { ProofPlace } from './entry'
import { isPowerLoad } from '../parts/powerLoad'

/** A value to read in proof, with what the solved circuit has there at the measured volts. */
export interface ProofLine {
  readonly what: string
  /** Where to read it; null for what is not of the circuit: air. */
  readonly at: ProofPlace | null
  readonly unit: 'V' | 'A' | '°F'
  /** Null where the circuit says nothing: air. */
  readonly expected: number | null
}

export interface ProofSheet {
  readonly call: string
  readonly words: string
  readonly lines: readonly ProofLine[]
}

/** A reading further off than this share asks for a second look. */
const nearShare = 0.15

/**
 * For every call of a unit: control volts, amps of each leg of each load that runs, and that off means off.
 */
export function proofSheets(diagram: Diagram, conditions: Conditions): readonly ProofSheet[] {
  return diagram.calls.map(({ id, words }) => ({ call: id, words, lines: linesOf(diagram, id, conditions) }))
}

function linesOf(diagram: Diagram, call: string, conditions: Conditions): readonly ProofLine[] {
  const { healthy } = new Circuit(diagram, situationOf(diagram, call, 'on', conditions))
  const { network } = healthy.circuit
  const control: ProofLine[] = []
  const r = network.nodes.get(diagram.hot ?? '')
  const common = network.nodes.get(diagram.common)
  if (diagram.hot !== null && r !== undefined && common !== undefined)
    control.push({
      what: `Control power, ${terminalOfPoint(diagram.hot)} to ${terminalOfPoint(diagram.common)}`,
      at: { meter: 'volts', from: diagram.hot, to: diagram.common },
      unit: 'V',
      expected: valueBetween(healthy, 'volts', r, common),
    })
  const legs = [...diagram.parts.values()]
    .filter(({ kind }) => isPowerLoad(kind))
    .flatMap((part) => {
      const wires = [...diagram.wires.values()].filter(
        ({ from, to, wiring }) =>
          wiring === 'line' && (from.startsWith(`${part.id}.`) || to.startsWith(`${part.id}.`)),
      )
      const seen = new Set<string>()
      return wires.flatMap(({ id, from, to }): readonly (ProofLine & { readonly amps: number })[] => {
        const terminal = from.startsWith(`${part.id}.`) ? from : to
        const link = network.linkNumbers.get(id)
        if (link === undefined || seen.has(terminal)) return []
        seen.add(terminal)
        const amps = clampAmps(healthy, link)
        return [
          {
            what: `${part.words}, at ${terminal}`,
            at: { meter: 'amps', from, to },
            unit: 'A',
            expected: amps,
            amps,
          },
        ]
      })
    })
  const running = legs.filter(({ amps }) => amps >= runsFromAmps).map(({ amps: _, ...line }) => line)
  const air: readonly ProofLine[] =
    running.length > 0
      ? ['Return air', 'Supply air, after 10 to 15 minutes'].map((what): ProofLine => ({
          what,
          at: null,
          unit: '°F',
          expected: null,
        }))
      : []
  // off means off: what could still run is looked at once
  const still =
    running.length === 0
      ? legs
          .slice(0, 1)
          .map(({ amps: _, ...line }): ProofLine => ({ ...line, what: `${line.what}: nothing runs` }))
      : []
  return [...control, ...running, ...still, ...air]
}

/** Whether a value read is near what it should be. */
export const isNear = (expected: number | null, value: number): boolean =>
  expected === null || Math.abs(value - expected) <= Math.max(nearShare * Math.abs(expected), 0.3)

/** What is put back before the unit is left, whatever was done to it. */
export const restoredItems: readonly { readonly id: string; readonly words: string }[] = [
  { id: 'fuses', words: 'Fuses of the right size in, stand-ins out' },
  { id: 'jumpers', words: 'Jumpers, test leads and tone set off' },
  { id: 'settings', words: 'Thermostat and controller settings back' },
  { id: 'drain', words: 'Drain runs' },
  { id: 'damper', words: 'Outside-air damper where it should be' },
  { id: 'tucked', words: 'Wires tucked in, run once more with covers on' },
  { id: 'panels', words: 'Panels on, screws in' },
]
