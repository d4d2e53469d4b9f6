import fc from 'fast-check'
import { builtInUnitIds, builtInUnitText } from '../units/index'
import type { Diagram, Wire } from './diagram'
import {
  insertPart,
  landElsewhere,
  relabelWire,
  takePartOut,
  throughKinds,
  type LadderEdit,
} from './editLadder'
import { readableLadder, readLadder } from './readLadder'

const text = builtInUnitText('fan-coil-cooling')
const diagram = readLadder(text)
const freeze = throughKinds.find(({ kind }) => kind === 'freeze-switch')
const after = (edit: LadderEdit): string => {
  if (edit.is === 'problem') throw new Error(edit.message)
  return edit.text
}
const wireOf = (of: Diagram, id: string): Wire => {
  const wire = of.wires.get(id)
  if (!wire) throw new Error(`no wire ${id}`)
  return wire
}
const newPart = (id: string) => {
  if (!freeze) throw new Error('a freeze switch can be put into a path')
  return { id, kind: freeze, words: 'Freeze switch', zone: 'roof' }
}

test('a part put into a wire carries what the wire carried, in its colour and number', () => {
  const wire = wireOf(diagram, 'OS.Y-LPS.1')
  const now = readLadder(after(insertPart(text, diagram, wire, newPart('FZ1'))))
  expect(now.parts.get('FZ1')).toMatchObject({ words: 'Freeze switch', zone: 'roof' })
  const { enters, leaves } = newPart('FZ1').kind
  expect(now.wires.get(`OS.Y-FZ1.${enters}`)).toMatchObject({ color: 'yellow', number: '30' })
  expect(now.wires.get(`FZ1.${leaves}-LPS.1`)).toMatchObject({ color: 'yellow', number: '30' })
  expect(now.wires.has('OS.Y-LPS.1')).toBe(false)
})

test('put in and taken out again, it is the circuit that it was: any wire of any unit', () => {
  const units = builtInUnitIds.map((id) => ({
    ladder: builtInUnitText(id),
    of: readLadder(builtInUnitText(id)),
  }))
  fc.assert(
    fc.property(fc.nat(units.length - 1), fc.nat(), fc.nat(throughKinds.length - 1), (unit, pick, kind) => {
      const { ladder, of } = units[unit]
      const wires = [...of.wires.values()]
      const wire = wires[pick % wires.length]
      const part = { id: 'ZZ9', kind: throughKinds[kind], words: 'x', zone: [...of.zones.keys()][0] }
      const added = after(insertPart(ladder, of, wire, part))
      const withIt = readableLadder(added)
      // some loads cannot stand in a supply; the text says so by its line
      if (!withIt) return
      const back = readLadder(after(takePartOut(added, withIt, 'ZZ9')))
      expect([...back.wires.values()].map(({ line: _, ...rest }) => rest)).toEqual(
        [...of.wires.values()].map(({ line: _, ...rest }) => rest),
      )
    }),
    { numRuns: 60 },
  )
})

test('a wire gets the label that it has in the panel', () => {
  const wire = wireOf(diagram, 'TB.Y1-OS.Y')
  expect(readLadder(after(relabelWire(text, wire, 'orange', '12a'))).wires.get(wire.id)).toMatchObject({
    color: 'orange',
    number: '12a',
  })
})

test('a lead landed elsewhere leaves the rest of its rung where it was', () => {
  const wire = wireOf(diagram, 'TS.G-TB.G')
  const now = readLadder(after(landElsewhere(text, diagram, wire, 'TB.Y1')))
  expect(now.wires.has('TS.G-TB.Y1')).toBe(true)
  expect(now.wires.has('TB.G-GR.A1')).toBe(true)
  expect(now.wires.size).toBe(diagram.wires.size)
  const last = wireOf(diagram, 'OS.C-TB.C')
  expect(readLadder(after(landElsewhere(text, diagram, last, 'TB.G'))).wires.has('OS.C-TB.G')).toBe(true)
})

test('either end of any wire may be landed elsewhere, and every other wire stays as it was', () => {
  const wires = [...diagram.wires.values()]
  const points = [...diagram.points.keys()]
  const ends = (of: Diagram) =>
    [...of.wires.values()].map(({ from, to, color, number }) => [from, to, color, number].join(' '))
  fc.assert(
    fc.property(
      fc.nat(wires.length - 1),
      fc.nat(points.length - 1),
      fc.constantFrom('from', 'to'),
      (w, p, end) => {
        const edit = landElsewhere(text, diagram, wires[w], points[p], end)
        const now = edit.is === 'text' ? readableLadder(edit.text) : null
        if (!now) return
        const { from, to, color, number } = wires[w]
        const moved = end === 'to' ? [from, points[p]] : [points[p], to]
        const others = ends(diagram).filter((each) => each !== [from, to, color, number].join(' '))
        expect(ends(now).sort()).toEqual([...others, [...moved, color, number].join(' ')].sort())
      },
    ),
    { numRuns: 150 },
  )
})

test.each([
  ['a name in small letters', () => insertPart(text, diagram, wireOf(diagram, 'OS.Y-LPS.1'), newPart('fz'))],
  ['a name that is taken', () => insertPart(text, diagram, wireOf(diagram, 'OS.Y-LPS.1'), newPart('LPS'))],
  ['a colour of two words', () => relabelWire(text, wireOf(diagram, 'OS.Y-LPS.1'), 'dark red', '1')],
  ['a terminal that is not there', () => landElsewhere(text, diagram, wireOf(diagram, 'OS.Y-LPS.1'), 'Q.1')],
  ['a part with more wires', () => takePartOut(text, diagram, 'TB')],
  [
    'a text that has changed since',
    () => relabelWire('unit x "x"', wireOf(diagram, 'OS.Y-LPS.1'), 'red', '1'),
  ],
])('%s is refused with what to do', (_, edit) => {
  expect(edit()).toMatchObject({ is: 'problem', message: expect.stringMatching(/\w/) })
})
