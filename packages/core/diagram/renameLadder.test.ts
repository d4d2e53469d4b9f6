import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '../units/index'
import type { LadderEdit } from './editLadder'
import { readLadder } from './readLadder'
import { hasOwnTerminalNames, renamePart, renameTerminal } from './renameLadder'

const textOf = (edit: LadderEdit): string => {
  if (edit.is === 'problem') throw new Error(edit.message)
  return edit.text
}
const messageOf = (edit: LadderEdit): string => (edit.is === 'problem' ? edit.message : '')

const id = 'fan-coil-cooling'
const text = builtInUnitText(id)
const diagram = builtInUnit(id)

test('a part has the mark and the words of the panel wherever it is spoken of, and is solved as before', () => {
  const after = textOf(renamePart(text, diagram, 'GR', { id: 'K3', words: 'Fan relay K3, left' }))
  const renamed = readLadder(after)
  expect(renamed.parts.get('K3')?.words).toBe('Fan relay K3, left')
  expect(renamed.parts.has('GR')).toBe(false)
  const volts = (unit: typeof diagram, part: string) =>
    meterValue(new Circuit(unit, situationOf(unit, 'fan')).healthy, 'volts', `${part}.A1`, `${part}.A2`)
  expect(volts(renamed, 'K3')).toBe(volts(diagram, 'GR'))
})

test('a part that trips others is still the one that does, and remarks stay as they are', () => {
  const remarked = `# FLT is behind the filter\n${text}`
  const after = textOf(renamePart(remarked, readLadder(remarked), 'FLT', { id: 'FS2', words: 'Float' }))
  expect(after.split('\n')[0]).toBe('# FLT is behind the filter')
  expect(readLadder(after).parts.get('DRN')?.settings.text('trips')).toContain('FS2/contact')
})

test('every part of every unit takes another mark and reads again', () => {
  for (const unit of builtInUnitIds) {
    const before = builtInUnit(unit)
    for (const part of [...before.parts.values()].filter((_, k) => k % 5 === 0)) {
      const name = { id: `${part.id}9Z`, words: part.words }
      const after = readLadder(textOf(renamePart(builtInUnitText(unit), before, part.id, name)))
      expect(after.wires.size).toBe(before.wires.size)
    }
  }
})

test('a terminal of a board has the name that stands beside it; roles and traces go with it', () => {
  const after = readLadder(textOf(renameTerminal(text, diagram, 'TB.R', '24H')))
  expect(after.hot).toBe('TB.24H')
  expect([...after.points.keys()]).not.toContain('TB.R')
  expect(after.traces.length).toBe(diagram.traces.length)
  // TB.C is no beginning of another
  const common = readLadder(textOf(renameTerminal(text, diagram, 'TB.C', 'COM')))
  expect(common.common).toBe('TB.COM')
  expect(common.points.has('OS.C')).toBe(true)
  const screws = readLadder(textOf(renameTerminal(text, diagram, 'G1.1', 'G')))
  expect(screws.points.has('G1.G')).toBe(true)
})

test('what cannot be is refused in words: a mark that is taken or unreadable, a terminal of a part’s kind', () => {
  const rename = (mark: string, words = 'Relay') =>
    messageOf(renamePart(text, diagram, 'GR', { id: mark, words }))
  expect(rename('CC1')).toMatch(/CC1 already/)
  expect(rename('k3')).toMatch(/capitals/)
  expect(rename('K3', ' ')).toMatch(/in words/)
  expect(messageOf(renamePart(text, diagram, 'NOT', { id: 'K3', words: 'x' }))).toMatch(/no part NOT/)
  expect(messageOf(renameTerminal(text, diagram, 'TB.R', 'C'))).toMatch(/C already/)
  expect(messageOf(renameTerminal(text, diagram, 'GR.A1', 'X'))).toMatch(/its kind/)
  expect(messageOf(renameTerminal(text, diagram, 'TB.R', 'R 1'))).toMatch(/letters and digits/)
  expect(hasOwnTerminalNames(diagram, 'TB')).toBe(true)
  expect(hasOwnTerminalNames(diagram, 'GR')).toBe(false)
})
