import { builtInUnit, builtInUnitIds } from '../units/index'
import { situationOf } from '../circuit/situation'
import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { supplies } from '../diagram/roles'
import { areProvenDead, legsToProve, stillLive } from './provenDead'

const said = (unit: string) => legsToProve(builtInUnit(unit)).map(({ from, to }) => `${from} ${to}`)

test('each leg to each other and to ground, behind the last isolator of each supply', () => {
  expect(said('rooftop-two-stage')).toEqual([
    'LB.L1 LB.L2',
    'LB.L1 LB.L3',
    'LB.L2 LB.L3',
    'LB.L1 EARTH',
    'LB.L2 EARTH',
    'LB.L3 EARTH',
  ])
  // the strip heat has a supply of its own
  expect(said('package-heat-pump')).toEqual([
    'HB.L1 HB.L2',
    'HB.L1 EARTH',
    'HB.L2 EARTH',
    'LB.L1 LB.L2',
    'LB.L1 EARTH',
    'LB.L2 EARTH',
  ])
  // a drive's bus is charged by whatever the legs were, and stays so
  expect(said('air-handler-drive-running')).toContain('VD.BP VD.BN')
  // one leg alone to its neutral too: with the ground lead off it would read nothing to ground
  expect(said('fan-coil-two-pipe')).toEqual(['SW.L1 TB.N', 'SW.L1 EARTH', 'HR.COM1 TB.N', 'HR.COM1 EARTH'])
})

describe.each(builtInUnitIds)('%s', (id) => {
  const diagram = builtInUnit(id)
  const legs = legsToProve(diagram)

  test('they are in the unit, and not at the panel of the building', () => {
    const panels = supplies(diagram).map(({ zone }) => zone)
    for (const { from } of legs) expect(panels).not.toContain(diagram.points.get(from)?.zone)
  })

  test('they are live with power on, and dead with it off', () => {
    const read = (power: 'on' | 'off') => {
      const { healthy } = new Circuit(diagram, situationOf(diagram, 'off', power))
      return legs.map((leg) => ({ ...leg, volts: meterValue(healthy, leg.meter, leg.from, leg.to) ?? NaN }))
    }
    // the bus of a drive that is out of use is not charged
    const supplied = legs.filter(({ meter }) => meter === 'volts')
    expect(stillLive(supplied, read('on'))).toHaveLength(supplied.length)
    expect(areProvenDead(legs, read('off'))).toBe(true)
  })
})

test('a leg that nobody read is not 0 V', () => {
  const legs = legsToProve(builtInUnit('rooftop-480'))
  const read = legs.map((leg) => ({ ...leg, volts: 0 }))
  expect(areProvenDead(legs, read)).toBe(true)
  expect(areProvenDead(legs, read.slice(1))).toBe(false)
  expect(areProvenDead(legs, [...read.slice(1), { ...legs[0], volts: 277 }])).toBe(false)
})

test('what a bus still holds counts from 50 V, a leg from 5', () => {
  const legs = legsToProve(builtInUnit('air-handler-drive-running'))
  const withBusAt = (bus: number, leg: number) =>
    legs.map(({ from, to, meter }) => ({ from, to, volts: meter === 'dc' ? bus : leg }))
  expect(areProvenDead(legs, withBusAt(31, 0))).toBe(true)
  expect(areProvenDead(legs, withBusAt(0, 31))).toBe(false)
  expect(stillLive(legs, withBusAt(212, 0))).toEqual([{ from: 'VD.BP', to: 'VD.BN', volts: 212 }])
})
