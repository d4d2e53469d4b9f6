import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { faultsOf } from '../diagram/faults'
import type { Diagram, Part } from '../diagram/diagram'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { earth, type Effect } from './effect'

/** What a kind says of its terminals, beside its branches: each must be one of them. */
function terminalsNamed({ kind, settings }: Part): readonly string[] {
  return [
    ...(kind.landings?.(settings) ?? []).flatMap(({ terminals }) => terminals),
    ...(kind.polarity ? [kind.polarity.plus, kind.polarity.minus] : []),
    ...(kind.pairs?.(settings) ?? []).flat(),
    ...(kind.poles?.(settings) ?? []).flat(),
    ...(kind.senses?.(settings).between ?? []).flat(),
    ...(kind.start?.readings ?? []).flatMap(({ from, to }) => [from, to]),
    ...(kind.commonTerminal === undefined ? [] : [kind.commonTerminal]),
    ...(kind.calls?.(settings) ?? []),
  ]
}

/** And of its branches. */
function branchesNamed({ kind, settings }: Part): readonly string[] {
  const senses = kind.senses?.(settings) ?? {}
  return [
    ...(senses.volts ?? []),
    ...(senses.amps ?? []),
    ...(senses.direct ?? []),
    ...(kind.late?.opens(settings) ?? []),
    ...(kind.throws?.(settings) ?? []).flat(),
    ...(kind.delays?.(settings) ?? []).map(({ branch }) => branch),
    ...(kind.moving === undefined ? [] : [kind.moving]),
    ...Object.keys(kind.startsFrom ?? {}),
  ]
}

/** States of branches that a kind says something of. */
const statesNamed = ({ kind, settings }: Part): readonly (readonly [branch: string, state: string])[] => [
  ...(kind.delays?.(settings) ?? []).map(({ branch, to }) => [branch, to] as const),
  ...Object.entries(kind.startsFrom ?? {}),
]

const isEnd = (diagram: Diagram, point: string): boolean => {
  const [id, terminal] = point.split('.')
  const part = diagram.parts.get(id)
  return point === earth || part?.kind.terminals(part.settings).some(({ name }) => name === terminal) === true
}

/** What is wrong with an effect as it stands in a diagram; empty where it can be done. */
function flaw(circuit: Circuit, effect: Effect): string {
  const { diagram, network } = circuit
  switch (effect.does) {
    case 'open':
    case 'ohms':
      return network.linkNumbers.has(effect.branch) ? '' : `no branch ${effect.branch}`
    case 'hold': {
      const link = network.links[network.linkNumbers.get(effect.branch) ?? -1]
      return link && effect.state in link.states ? '' : `no state ${effect.state} of ${effect.branch}`
    }
    case 'join':
      return [effect.from, effect.to].every((end) => isEnd(diagram, end)) ? '' : `no ends of ${effect.from}`
    case 'move':
      return [effect.end, effect.to].every((end) => isEnd(diagram, end)) ? '' : `no ends of ${effect.wire}`
    case 'set':
      return diagram.parts.get(effect.part)?.kind.settings[effect.setting] === undefined
        ? `no setting ${effect.setting} of ${effect.part}`
        : ''
  }
}

describe.each(builtInUnitIds)('%s', (id) => {
  const diagram = builtInUnit(id)
  const parts = [...diagram.parts.values()]

  test('what a kind says of its terminals and branches is of terminals and branches that it has', () => {
    for (const part of parts) {
      const terminals = part.kind.terminals(part.settings).map(({ name }) => name)
      const branches = part.kind.branches(part.settings, {})
      const names = branches.map(({ name }) => name)
      expect(terminalsNamed(part).filter((name) => !terminals.includes(name))).toEqual([])
      expect(branchesNamed(part).filter((name) => !names.includes(name))).toEqual([])
      expect(new Set(names).size).toBe(names.length)
      expect(new Set(terminals).size).toBe(terminals.length)
      for (const { name, rest, states } of branches) expect([name, rest in states]).toEqual([name, true])
      for (const [branch, state] of statesNamed(part))
        expect(branches.find(({ name }) => name === branch)?.states).toHaveProperty(state)
    }
  })

  test('ratings and dials are of settings that it has', () => {
    for (const { kind } of parts) {
      const named = [...(kind.ratings ?? []).map(([setting]) => setting), ...Object.keys(kind.dials ?? {})]
      expect(named.filter((setting) => kind.settings[setting] === undefined)).toEqual([])
    }
  })

  test('a safety control is joined across by nobody: no kind that guards offers a bridge', () => {
    const offering = parts.filter(({ kind }) => kind.guard && kind.testBridge === 'momentary')
    expect(offering.map(({ id: part }) => part)).toEqual([])
  })

  test('every fault can be done to the circuit, and is named once', () => {
    const faults = faultsOf(diagram)
    const circuit = new Circuit(diagram, situationOf(diagram, diagram.calls[0].id))
    expect(new Set(faults.map((fault) => fault.id)).size).toBe(faults.length)
    const flaws = faults.flatMap((fault) =>
      [...fault.effects, ...(fault.ends?.least ?? []), ...(fault.ends?.most ?? [])]
        .map((effect) => flaw(circuit, effect))
        .filter((words) => words !== '')
        .map((words) => `${fault.id}: ${words}`),
    )
    expect(flaws).toEqual([])
    const unsaid = faults.filter(({ words, prior }) => words === '' || !(prior > 0))
    expect(unsaid.map((fault) => fault.id)).toEqual([])
  })

  test('in no call does a part want a state that its branch has not', () => {
    for (const { id: call } of diagram.calls) {
      const { network, healthy } = new Circuit(diagram, situationOf(diagram, call))
      healthy.states.forEach((state, link) => {
        expect([network.links[link].id, state in network.links[link].states]).toEqual([
          network.links[link].id,
          true,
        ])
      })
    }
  })
})
