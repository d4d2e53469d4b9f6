import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { bench } from '../circuit/testBench'
import { faultsOf } from '../diagram/faults'
import { readLadder } from '../diagram/readLadder'
import { builtInUnit } from '../units/index'
import type { Condition } from './kind'

/** A switch in series with a lamp across 120 V; whether the lamp has its volts under a condition. */
const lampWith = (part: string, out = '2') => {
  const diagram = readLadder(
    bench(
      '120 one leg',
      `part SW ${part}\npart H heater "Lamp" in here : watts 40, volts 120`,
      `  SV.L1 -black 1- SW.1 = SW.${out} -red 2- H.1 = H.2 -white 3- SV.N`,
    ),
  )
  return (conditions: Readonly<Partial<Record<Condition, number>>>): boolean =>
    (meterValue(
      new Circuit(diagram, situationOf(diagram, 'off', 'on', conditions)).healthy,
      'volts',
      'H.1',
      'H.2',
    ) ?? 0) > 60
}

describe('a protective switch passes while what it watches is right, and stops beyond', () => {
  const watched: readonly (readonly [string, string, Condition, number, number])[] = [
    [
      'low pressure',
      'low-pressure-switch "Switch" in here : opensAt 20, closesAt 45',
      'suctionPressure',
      60,
      15,
    ],
    [
      'high pressure',
      'high-pressure-switch "Switch" in here : opensAt 600, closesAt 450',
      'dischargePressure',
      400,
      640,
    ],
    ['freeze', 'freeze-switch "Switch" in here : opensAt 30, closesAt 45', 'coilTemperature', 50, 25],
  ]

  test.each(watched)('%s', (_, part, condition, right, wrong) => {
    const lit = lampWith(part)
    expect(lit({ [condition]: right })).toBe(true)
    expect(lit({ [condition]: wrong })).toBe(false)
    // what nobody measured condemns nothing
    expect(lit({})).toBe(true)
  })

  test('it turns at its own point and nowhere else', () => {
    const lit = lampWith('low-pressure-switch "Switch" in here : opensAt 20, closesAt 45')
    const swept = Array.from({ length: 80 }, (__, psig) => lit({ suctionPressure: psig }))
    expect(swept.indexOf(true)).toBe(21)
    expect(swept.slice(21).every(Boolean)).toBe(true)
  })
})

test('a limit is not judged by what was measured where another one sits', () => {
  const lit = lampWith('automatic-limit "Switch" in here : opensAt 160, closesAt 130')
  expect(lit({ heaterTemperature: 100 })).toBe(true)
  expect(lit({ heaterTemperature: 180 })).toBe(true)
})

test('an outdoor thermostat lets auxiliary heat in when it is cold, and not when it is warm', () => {
  const lit = lampWith('outdoor-thermostat "Switch" in here : closesBelow 35')
  expect(lit({ outdoorDryBulb: 20 })).toBe(true)
  expect(lit({ outdoorDryBulb: 34 })).toBe(true)
  expect(lit({ outdoorDryBulb: 60 })).toBe(false)
})

test('a float switch stops the call when its pan fills, and gives its alarm instead', () => {
  const float = 'float-switch "Switch" in here'
  expect(lampWith(float)({ panWater: 0 })).toBe(true)
  expect(lampWith(float)({ panWater: 1 })).toBe(false)
  expect(lampWith(float, 'AL')({ panWater: 0 })).toBe(false)
  expect(lampWith(float, 'AL')({ panWater: 1 })).toBe(true)
})

test.each([
  ['FM:protector-open', true],
  ['CC1:jammed', false],
  ['CC1:coil-open', false],
])(
  'behind %s a high-pressure switch opens for want of its fan: %s, for its compressor must turn',
  (id, opens) => {
    const unit = builtInUnit('split-heat-pump')
    const circuit = new Circuit(unit, situationOf(unit, 'cool1'))
    const effects = faultsOf(unit).find((fault) => fault.id === id)?.effects ?? []
    const phases = circuit.phases(circuit.vary(effects))
    expect(phases.some(({ part, recurs }) => part === 'HPS' && recurs)).toBe(opens)
  },
)
