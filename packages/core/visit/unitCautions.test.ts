import { builtInUnit, builtInUnitIds } from '../units/index'
import type { EntryBody } from './entry'
import { meterCategory } from './meterCategory'
import { storedWords } from './storedEnergy'
import { logOf } from './testLog'
import { unitCautions } from './unitCautions'
import { foldVisit } from './visitState'

const speaking = (of: RegExp): readonly string[] =>
  builtInUnitIds.filter((id) => of.test(unitCautions(builtInUnit(id)).join(' ')))

test('gas is spoken of where there is a gas section, and a drive where there is one', () => {
  expect(speaking(/carbon-monoxide/)).toEqual(
    builtInUnitIds.filter((id) =>
      [...builtInUnit(id).parts.values()].some(({ kind }) => kind.kind === 'gas-valve'),
    ),
  )
  expect(speaking(/carbon-monoxide/)).toEqual(expect.arrayContaining(['rooftop-two-stage', 'unit-heater']))
  expect(speaking(/carbon-monoxide/)).not.toContain('terminal-box')
  expect(speaking(/keeps its bus charged/)).toContain('air-handler-drive')
  expect(speaking(/keeps its bus charged/)).not.toContain('rooftop-two-stage')
})

test('a roof edge is spoken of wherever a section stands on a roof', () => {
  expect(speaking(/Roof edge/)).toEqual(expect.arrayContaining(['fan-coil-cooling', 'rooftop-480']))
  expect(speaking(/Roof edge/)).toContain('split-heat-pump')
  expect(speaking(/Roof edge/)).not.toContain('fan-coil-two-pipe')
  expect(speaking(/Roof edge/)).not.toContain('air-handler-heat')
  // a package unit in a yard
  expect(speaking(/Roof edge/)).not.toContain('package-proving')
})

test('refrigerants that burn are spoken of where a unit holds any', () => {
  expect(speaking(/some burn/)).toEqual(expect.arrayContaining(['split-heat-pump', 'rooftop-480']))
  expect(speaking(/some burn/)).not.toContain('fan-coil-hydronic')
})

test('of a drive the bus is read, and of nothing else', () => {
  expect(storedWords(builtInUnit('air-handler-drive'))).toMatch(/drive’s plate/)
  expect(storedWords(builtInUnit('rooftop-two-stage'))).not.toMatch(/bus/)
})

test('the meter for the place is spoken of once a visit, before the first line voltage', () => {
  const diagram = builtInUnit('rooftop-480')
  const said = (meter: 'volts' | 'ohms', point: string, ...entries: readonly EntryBody[]): string =>
    meterCategory(foldVisit(logOf(entries), diagram), diagram, meter, [point, 'EARTH'])
  const control: EntryBody = { kind: 'reading', meter: 'volts', from: 'TB.R', value: 25 }
  const line: EntryBody = { kind: 'reading', meter: 'volts', from: 'CC1.L1', to: 'CC1.L2', value: 478 }
  expect(said('volts', 'CC1.L1')).toMatch(/category III for 480 V/)
  expect(said('volts', 'CC1.L1', control)).toMatch(/category III/)
  expect(said('volts', 'CC1.L1', control, line)).toBe('')
  expect(said('volts', 'TB.R')).toBe('')
  expect(said('ohms', 'CC1.L1')).toBe('')
})
