import { builtInUnit, builtInUnitIds } from '../units/index'
import { loadBetween } from './loadBetween'

const rooftop = builtInUnit('rooftop-two-stage')

test('the windings of a motor are one load, wherever its ohms are read', () => {
  const atMotor = loadBetween(rooftop, 'IFM.T1', 'IFM.T2')
  expect(atMotor).toMatchObject({ compares: 'pairs', make: null })
  expect(loadBetween(rooftop, 'IFM.T3', 'IFM.T1')).toBe(atMotor)
  // the other side of its leads, with its contactor out
  expect(loadBetween(rooftop, 'IFC.T1', 'IFC.T3')).toBe(atMotor)
})

test('two coils alike are of one make, a lone one can be held against nothing', () => {
  const [one, other] = ['CC1', 'CC2'].map((id) => loadBetween(rooftop, `${id}.A1`, `${id}.A2`))
  expect(one?.make).not.toBeNull()
  expect(other?.make).toBe(one?.make)
  expect(other?.id).not.toBe(one?.id)
  expect(one).toMatchObject({ compares: 'twins', twins: [{ id: 'CC2' }] })
  expect(loadBetween(rooftop, 'GV.1', 'GV.2')).toMatchObject({ compares: 'nothing', make: null })
})

test('of two loads side by side neither is read alone, and none across a contact or to metal', () => {
  const fanCoil = builtInUnit('fan-coil-cooling')
  expect(loadBetween(fanCoil, 'CC1.T1', 'CC1.T2')).toBeNull()
  expect(loadBetween(rooftop, 'HPS1.1', 'HPS1.2')).toBeNull()
  expect(loadBetween(rooftop, 'IFM.T1', 'EARTH')).toBeNull()
  expect(loadBetween(rooftop, 'IFM.T1', 'IFC.T1')).toBeNull()
})

test.each(builtInUnitIds)('%s: which way round the meter is held makes no difference', (id) => {
  const diagram = builtInUnit(id)
  const points = [...diagram.points.keys()]
  for (const [k, from] of points.entries())
    for (const to of points.slice(k + 1).filter((_, n) => n % 7 === k % 7))
      expect(loadBetween(diagram, from, to)).toBe(loadBetween(diagram, to, from))
})
