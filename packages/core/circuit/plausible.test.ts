import { readLadder } from '../diagram/readLadder'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '../units/index'
import { implausible, type Implausible } from './plausible'

test.each(builtInUnitIds)('%s: ratings fit each other', (id) => {
  expect(implausible(builtInUnit(id))).toEqual([])
})

test.each<[Implausible['rule'], string, string, string, string]>([
  ['transformer', 'rooftop-two-stage', 'va 75, taps', 'va 30, taps', 'XF'],
  [
    'control-fuse',
    'split-heat-pump',
    'part FU fuse "Control fuse" in closet : amps 3',
    'part FU fuse "Control fuse" in closet : amps 5',
    'FU',
  ],
  [
    'circuit-size',
    'rooftop-two-stage',
    '"Unit breaker" in panel : poles 3, amps 60',
    '"Unit breaker" in panel : poles 3, amps 70',
    'BR',
  ],
  [
    'circuit-size',
    'split-heat-pump',
    '"Heater breaker" in panel : poles 2, amps 50',
    '"Heater breaker" in panel : poles 2, amps 40',
    'BRH',
  ],
  [
    'motor-amps',
    'rooftop-480',
    '"Fan 1 capacitor" in control : microfarads 2',
    '"Fan 1 capacitor" in control : microfarads 7.5',
    'FM1',
  ],
  ['wire-numbers', 'air-handler-heat', '-white 411-', '-white 115-', 'APS.2-ML.1'],
])('%s: a spoiled %s is listed', (rule, id, right, spoiled, of) => {
  const text = builtInUnitText(id)
  expect(text).toContain(right)
  const listed = implausible(readLadder(text.replace(right, spoiled)))
  expect(listed).toContainEqual(expect.objectContaining({ rule, of }))
})
