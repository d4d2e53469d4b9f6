import { builtInUnit } from '../units/index'
import { effectEnds } from './effectEnds'
import { faultsOf } from './faults'

const unit = builtInUnit('fan-coil-cooling')

test('a wire, a contact, a join and a moved lead each lie between two points', () => {
  const wire = 'TS.Y1-TB.Y1'
  expect(effectEnds(unit, { does: 'open', branch: wire })).toEqual(['TS.Y1', 'TB.Y1'])
  expect(effectEnds(unit, { does: 'join', from: 'TB.Y1', to: 'EARTH', ohms: 1 })).toEqual(['TB.Y1', 'EARTH'])
  expect(effectEnds(unit, { does: 'move', wire, end: 'TB.Y1', to: 'TB.G' })).toEqual(['TS.Y1', 'TB.G'])
  expect(effectEnds(unit, { does: 'ohms', branch: 'CC1/coil', ohms: 1 })).toEqual(['CC1.A1', 'CC1.A2'])
})

test('a winding behind a motor’s own protector lies between the leads that come out', () => {
  expect(effectEnds(unit, { does: 'open', branch: 'IFM/main' })).toEqual(['IFM.C', 'IFM.R'])
  expect(effectEnds(unit, { does: 'open', branch: 'IFM/protector' })).toEqual(['IFM.C', 'IFM.R'])
})

test('a dial lies between none, and every point that a fault lies between is one of the unit', () => {
  expect(effectEnds(unit, { does: 'set', part: 'TS', setting: 'heat', to: 'gas' })).toBeNull()
  const ends = faultsOf(unit).flatMap(({ effects }) => effects.flatMap((one) => effectEnds(unit, one) ?? []))
  expect(ends.length).toBeGreaterThan(100)
  expect(ends.filter((point) => point !== 'EARTH' && !unit.points.has(point))).toEqual([])
})
