import { faultsOf } from '../diagram/faults'
import { NoCapacitorError } from '../diagram/capacitorBetween'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { Circuit } from './circuit'
import { meterValue, readMeter } from './meter'
import { situationOf } from './situation'

const rooftop = builtInUnit('rooftop-two-stage')
const isolated = new Circuit(rooftop, situationOf(rooftop, 'off', 'off'))
const heating = new Circuit(rooftop, situationOf(rooftop, 'heat1'))
const effectsOf = (id: string) => {
  const fault = faultsOf(rooftop).find((each) => each.id === id)
  if (!fault) throw new RangeError(`no fault ${id}`)
  return fault.effects
}

test('every capacitor of every unit reads what its label says, whatever hangs on it', () => {
  for (const unit of builtInUnitIds.map(builtInUnit)) {
    const { healthy } = new Circuit(unit, situationOf(unit, 'off', 'off'))
    for (const { id, kind, settings } of unit.parts.values())
      if (kind.symbol === 'capacitor')
        expect(meterValue(healthy, 'microfarads', `${id}.1`, `${id}.2`)).toBeCloseTo(
          settings.number('microfarads'),
          6,
        )
  }
})

test('an open capacitor reads nothing, a shorted one is out of range, and nothing else has microfarads', () => {
  const read = (fault: string) =>
    readMeter(isolated.vary(effectsOf(fault)), 'microfarads', 'CAP1.1', 'CAP1.2').shows
  expect(read('CAP1:plates-open')).toBe('0.00 µF')
  expect(read('CAP1:shorted')).toBe('OL')
  expect(() => meterValue(isolated.healthy, 'microfarads', 'CC1.A1', 'CC1.A2')).toThrow(NoCapacitorError)
  expect(() => meterValue(isolated.healthy, 'microfarads', 'CAP1.1', 'CAP2.2')).toThrow(NoCapacitorError)
})

test('the flame drives its four microamperes through the wire of its rod; where none is proven there is none', () => {
  const inWire = (settled: typeof heating.healthy) => meterValue(settled, 'microamps', 'IC.FS', 'FR.1') ?? NaN
  expect(inWire(heating.healthy)).toBeCloseTo(4, 1)
  expect(inWire(heating.vary(effectsOf('FR:dirty')))).toBeCloseTo(0, 9)
  expect(inWire(new Circuit(rooftop, situationOf(rooftop, 'cool1')).healthy)).toBeCloseTo(0, 9)
})

test('sound windings have hundreds of megohms to metal, where an ohmmeter shows OL; a grounded one next to none', () => {
  const megohms = (settled: typeof heating.healthy) => meterValue(settled, 'megohms', 'C1.T1', 'EARTH')
  expect(meterValue(isolated.healthy, 'ohms', 'C1.T1', 'EARTH')).toBeNull()
  expect(megohms(isolated.healthy)).toBeGreaterThan(100)
  expect(megohms(isolated.vary(effectsOf('C1:T1-grounded')))).toBeLessThan(0.001)
})
