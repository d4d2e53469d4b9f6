import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { bench } from '../circuit/testBench'
import { readLadder } from '../diagram/readLadder'
import { builtInUnit } from '../units/index'
import { dropOutShare, pullInShare } from './coil'

/** One coil across a 120 V leg: whether what it drives is in at these volts. */
const withCoil = (part: string, branch: string) => {
  const diagram = readLadder(
    bench('120 one leg', `part K ${part}`, '  SV.L1 -black 1- K.A1 = K.A2 -white 2- SV.N'),
  )
  const circuit = (volts: number): Circuit =>
    new Circuit(diagram, situationOf(diagram, 'off', 'on', { supplyVolts: volts }))
  return (volts: number): string => {
    const { healthy, network } = circuit(volts)
    return healthy.states[network.linkNumbers.get(`K/${branch}`) ?? -1]
  }
}

describe.each([
  [
    'contactor',
    'contactor "Contactor" in here : poles 3, coilVolts 120, va 8, coilOhms 300',
    'armature',
    'in',
  ],
  ['relay', 'relay "Relay" in here : coilVolts 120, va 4, coilOhms 900', 'made1', 'closed'],
])('a %s', (_, part, branch, whenIn) => {
  const at = withCoil(part, branch)

  test.each([103, 110, 120, 132])('comes in at %d V: from 85 to 110 %% of its coil', (volts) => {
    expect(at(volts)).toBe(whenIn)
  })

  test.each([0, 12, 24])('stays out at %d V: below 20 %% nothing holds it', (volts) => {
    expect(at(volts)).not.toBe(whenIn)
  })

  test('comes in once on the way up and never falls out again', () => {
    const swept = Array.from({ length: 28 }, (_, k) => at(5 * k) === whenIn)
    expect(swept.indexOf(true)).toBeGreaterThan(0)
    expect(swept.slice(swept.indexOf(true)).every(Boolean)).toBe(true)
  })
})

test.each([
  [8, 'in', 'brings it in'],
  [60, 'out', 'would hold it and do not bring it in'],
])(
  'through a joint of %s Ω a contactor of 24 V is %s once its call begins: the volts there %s',
  (ohms, stands) => {
    const unit = builtInUnit('fan-coil-cooling')
    const circuit = new Circuit(unit, situationOf(unit, 'cool1'))
    const { healthy, network } = circuit
    const settled = circuit.vary([{ does: 'ohms', branch: 'TS.Y1-TB.Y1', ohms }])
    const armature = network.linkNumbers.get('CC1/armature') ?? -1
    const volts = meterValue(settled, 'volts', 'CC1.A1', 'CC1.A2') ?? NaN
    expect(healthy.states[armature]).toBe('in')
    expect(settled.states[armature]).toBe(stands)
    expect(settled.oscillates).toBe(false)
    expect(volts).toBeGreaterThan(dropOutShare * 24)
    if (stands === 'out') expect(volts).toBeLessThan(pullInShare * 24)
  },
)
