import { builtInUnitText } from '../units/index'
import { sketchOf } from './sketch'

test('a sketch has the calls, the paths with their volts, and what each load draws', () => {
  const cooling = sketchOf(builtInUnitText('fan-coil-cooling'), 'cool1')
  expect(cooling.calls.map(({ id }) => id)).toEqual(['off', 'fan', 'cool1'])
  expect(cooling.strips.map(({ words }) => words)).toEqual(['Cooling call', 'Fan relay'])
  expect(cooling.strips[0].stops.find(({ point }) => point === 'LPS.1')?.expected).toBeGreaterThan(22)
  const amps = (part: string, call: string): number =>
    sketchOf(builtInUnitText('fan-coil-cooling'), call).loads.find((load) => load.part === part)?.amps ?? -1
  expect(amps('C1', 'cool1')).toBeCloseTo(9, 0)
  expect(amps('C1', 'off')).toBeLessThan(0.1)
  expect(cooling.oscillates).toBe(false)
})

test('an unknown call shows the first with a path; a text that cannot be read says why', () => {
  expect(sketchOf(builtInUnitText('fan-coil-cooling'), 'nothing').call).toBe('fan')
  expect(() => sketchOf('part', 'off')).toThrow(/line 1/)
})
