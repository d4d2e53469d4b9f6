import { judge } from '../diagnosis/diagnose'
import { changeover } from '../bench/changeover'
import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { memberText } from '../families/testMember'
import { entryProblem } from '../visit/checkEntry'
import type { EntryBody } from '../visit/entry'
import { entryWords } from '../visit/entryWords'
import { builtInUnit } from '../units/index'
import { dialsOf, dialValue, dialWords } from './dials'

import { DiagramError, readLadder } from './readLadder'

const lettered = memberText('rooftop', { economizer: 'dry-bulb', 'changeover-dial': 'letters' })
const diagram = readLadder(lettered)
const dial = 'EC.changeover'

test('a dial with letters shows what each stands for, as its unit’s controller has them', () => {
  const found = dialsOf(diagram).find(({ id }) => id === dial)
  expect(found).toMatchObject({ drawn: 'D', unit: '°F' })
  expect(found?.marks.map(({ mark, value }) => `${mark} ${value}`).join()).toBe('A 73,B 70,C 67,D 62,E 55')
  expect(dialValue(diagram, dial, 'D')).toBe('D (62 °F)')
  // said in small letters, or as the number that it stands for
  expect(dialValue(diagram, dial, 'd')).toBe('D (62 °F)')
  expect(dialValue(diagram, dial, '62')).toBe('D (62 °F)')
  expect(dialValue(diagram, dial, '64')).toBe('64 °F')
})

test('it lets outdoor air in up to what its letter stands for, no further', () => {
  const opens = (outdoorDryBulb: number): boolean => {
    const circuit = new Circuit(diagram, situationOf(diagram, 'cool1', 'on', { outdoorDryBulb }))
    return circuit.looks(circuit.healthy).get('EC')?.includes('open-drawn') ?? false
  }
  expect([55, 61, 63, 72].map(opens)).toEqual([true, true, false, false])
})

test('found on a letter it is the setting that was wrong; put right by its letter it is right', () => {
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    { kind: 'setting', of: dial, from: 'a', to: 'D' },
  ]
  const { findings } = judge(diagram, { complaint: 'not-cooling', entries })
  expect(findings.repaired).toEqual(['EC:changeover-high'])
  expect(findings.now.settings).toEqual([{ part: 'EC', setting: 'changeover', to: 'D' }])
  expect(entries.slice(1).map((body) => entryWords(body, diagram))).toEqual([
    'Economizer controller: changeover point: A (73 °F) → D (62 °F)',
  ])
})

test('a letter that the dial does not have is refused before it is kept, in words', () => {
  expect(entryProblem(diagram, { kind: 'setting', of: dial, from: 'Q', to: 'D' })).toMatch(
    /“Q” must be a number, or a mark that its dial has/,
  )
  expect(entryProblem(diagram, { kind: 'setting', of: dial, from: '73', to: 'e' })).toBe('')
})

test.each([
  ['changeover D', 'changeover F', /no mark “F”; it has: A, B, C, D, E/],
  ['A 73', 'A', /“A” is no mark of a dial/],
  ['A 73', 'A hot', /“A hot” is no mark of a dial/],
])('in the ladder text “%s” written as “%s” is named with its part', (right, wrong, message) => {
  const spoiled = (): unknown => readLadder(lettered.replace(right, wrong))
  expect(spoiled).toThrow(DiagramError)
  expect(spoiled).toThrow(message)
  expect(spoiled).toThrow(/EC/)
})

test('the changeover tool takes its limit from the controller, not from itself', () => {
  expect(changeover.places(diagram).map(({ part, known }) => [part, known.dryBulbLimit])).toEqual([
    ['EC', 62],
  ])
})

test('a dial of few choices stands at one of them, however it is spelt; anything else is refused', () => {
  const keypad = 'VD.keypad'
  const drive = builtInUnit('air-handler-drive-running')
  const set = (from: string): EntryBody => ({ kind: 'setting', of: keypad, from, to: 'auto' })
  expect(
    dialsOf(drive)
      .find(({ id }) => id === keypad)
      ?.choices.map(({ id }) => id),
  ).toEqual(['auto', 'hand', 'off'])
  const { findings } = judge(drive, { complaint: '', entries: [{ kind: 'call', call: 'off' }, set('Hand')] })
  expect(findings.repaired).toEqual(['VD:in-hand'])
  expect(entryWords(set('hand'), drive)).toBe('Drive: keypad: in hand → auto, by its run call')
  expect(entryProblem(drive, set('local'))).toMatch(
    /“local” must be one of: auto, by its run call, in hand, off/,
  )
})

test('every choice of every dial is one that its part can be solved with', () => {
  for (const id of ['rooftop-enthalpy', 'rooftop-480', 'split-heat-pump', 'air-handler-drive-running']) {
    const unit = builtInUnit(id)
    for (const { id: of, choices } of dialsOf(unit))
      for (const choice of choices) {
        const [part = '', setting = ''] = of.split('.')
        const standing = [{ does: 'set', part, setting, to: choice.id } as const]
        for (const { id: call } of unit.calls)
          expect(() => new Circuit(unit, situationOf(unit, call, 'on', {}, standing))).not.toThrow()
      }
  }
})

test('a dial that does nothing on a unit is not asked about there, and what was said of it is still read', () => {
  const heater = builtInUnit('unit-heater')
  const ofThermostat = (unit: typeof heater) =>
    dialsOf(unit)
      .map(({ id }) => id)
      .filter((id) => id.startsWith('TS.'))
  expect(ofThermostat(heater)).toEqual(['TS.heat', 'TS.stages'])
  expect(ofThermostat(builtInUnit('split-heat-pump'))).toContain('TS.changeover')
  expect(dialWords(heater, 'TS.changeover')).toBe('Thermostat: reversing valve on')
})
