import fc from 'fast-check'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { gather } from './evidence'
import { allOn, powerAfter } from './powerState'
import { logOf } from './testLog'
import { foldVisit } from './visitState'

test.each(builtInUnitIds)('%s: the visit and the search for a cause fold power alike', (id) => {
  const diagram = builtInUnit(id)
  const switching = fc.record({
    kind: fc.constant('power' as const),
    is: fc.constantFrom('on' as const, 'off' as const, 'isolated' as const),
    of: fc.subarray([...diagram.isolators]).map((names) => names.join(', ')),
  })
  fc.assert(
    fc.property(fc.array(switching, { maxLength: 12 }), (entries) => {
      const state = foldVisit(logOf(entries), diagram)
      const { now } = gather(diagram, { complaint: '', entries })
      expect(state.power === 'on').toBe(now.power === 'on')
      expect(state.off).toEqual(now.off)
    }),
    { numRuns: 60 },
  )
})

test('one isolator off after the other is the unit off, and one back on leaves the others off', () => {
  const diagram = builtInUnit('split-heat-pump')
  const off = diagram.isolators.reduce(
    (state, isolator) => powerAfter(diagram, state, false, isolator),
    allOn,
  )
  expect(off).toEqual({ power: 'off', off: [] })
  expect(powerAfter(diagram, off, true, 'BRO').off).toEqual(['BRH', 'BRI', 'DSO'])
})

test('only one off, then only another: both are off', () => {
  const diagram = builtInUnit('split-heat-pump')
  const first = powerAfter(diagram, allOn, false, 'BRO')
  expect(powerAfter(diagram, first, false, 'BRI')).toEqual({ power: 'on', off: ['BRI', 'BRO'] })
})
