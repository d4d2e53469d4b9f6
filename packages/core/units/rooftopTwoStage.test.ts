import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import type { Effect } from '../parts/effect'
import { faultsOf } from '../diagram/faults'
import { builtInUnit } from './index'

const unit = builtInUnit('rooftop-two-stage')
const faults = new Map(faultsOf(unit).map((fault) => [fault.id, fault.effects]))
const read = (
  call: string,
  from: string,
  to: string,
  fault: readonly Effect[] = [],
  conditions = {},
): number =>
  meterValue(new Circuit(unit, situationOf(unit, call, 'on', conditions)).vary(fault), 'volts', from, to) ??
  NaN
const firstStage = [
  'TS.Y1',
  'TB.Y1',
  'PL.1A',
  'PL.1B',
  'EC.Y1I',
  'EC.Y1O',
  'PL.2B',
  'PL.2A',
  'RH.1',
  'RH.2',
  'LPS1.1',
  'LPS1.2',
  'HPS1.1',
  'HPS1.2',
  'FRZ1.1',
  'FRZ1.2',
  'LOC1.1',
  'LOC1.2',
  'CC1.A1',
]

test('it is a unit and not a sketch', () => {
  expect(unit.points.size).toBeGreaterThanOrEqual(150)
  expect(unit.wires.size).toBeGreaterThanOrEqual(110)
  expect(faults.size).toBeGreaterThanOrEqual(2 * unit.points.size)
})

test('control power is 24 to 28 V at the board and all along the first-stage path', () => {
  for (const point of ['TB.R', ...firstStage]) expect(read('cool1', point, 'TB.C')).toBeGreaterThan(24)
  for (const point of ['TB.R', ...firstStage]) expect(read('cool1', point, 'TB.C')).toBeLessThan(28)
})

test('with the call off nothing is left past the first open contact', () => {
  for (const point of firstStage.slice(1)) expect(read('off', point, 'TB.C')).toBeLessThan(0.2)
})

test('R to a lifted G reads control power through the relay’s coil', () => {
  const lifted = faults.get('TS.G-TB.G:open') ?? []
  expect(read('off', 'TB.R', 'TB.G', lifted)).toBeGreaterThan(24)
})

test('on the 240 V tap control power falls in proportion', () => {
  const right = read('off', 'TB.R', 'TB.C')
  const wrong = read('off', 'TB.R', 'TB.C', faults.get('XF:on-P240'))
  expect(wrong / right).toBeCloseTo(208 / 240, 2)
})

test('warm outside the call is passed on; cool outside the controller keeps it', () => {
  expect(read('cool1', 'EC.Y1O', 'TB.C', [], { outdoorDryBulb: 88 })).toBeGreaterThan(24)
  expect(read('cool1', 'EC.Y1O', 'TB.C', [], { outdoorDryBulb: 52 })).toBeLessThan(0.5)
})

test('a lead off the outdoor sensor makes warm air look cold', () => {
  expect(read('cool1', 'EC.Y1O', 'TB.C', faults.get('EC.SO+-OAT.1:open'))).toBeLessThan(0.5)
})

test('a shorted coil opens the control fuse, and only when it is called', () => {
  const shorted = faults.get('CC2:coil-shorted') ?? []
  expect(read('cool1', 'TB.R', 'TB.C', shorted)).toBeGreaterThan(24)
  expect(read('cool2', 'TB.R', 'TB.C', shorted)).toBeLessThan(1)
})
