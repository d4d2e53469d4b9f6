import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { diagnose } from '../diagnosis/diagnose'
import { faultsOf } from '../diagram/faults'
import { readLadder } from '../diagram/readLadder'
import { memberText } from '../families/testMember'
import { volts } from '../visit/testReadings'

const switchLine = 'part SS speed-switch "Fan speed switch" in hall'
const ladderAt = (at: string): string => {
  const text = memberText('two-pipe-fan-coil', { speeds: 'three' })
  expect(text).toContain(switchLine)
  return text.replace(switchLine, `${switchLine} : at ${at}`)
}
const unitAt = (at: string) => readLadder(ladderAt(at))
const solvedAt = (at: string, fault = '') => {
  const unit = unitAt(at)
  const circuit = new Circuit(unit, situationOf(unit, 'fan'))
  const settled = circuit.vary(faultsOf(unit).find(({ id }) => id === fault)?.effects ?? [])
  return {
    looks: circuit.looks(settled).get('IFM'),
    amps: meterValue(settled, 'amps', 'GR.NO1', 'SS.COM') ?? NaN,
    on: (lead: string) => meterValue(settled, 'volts', `IFM.${lead}`, 'TB.N') ?? NaN,
  }
}
const lineVolts = 120
const turnsTo = { HI: 1, MED: 1.15, LO: 1.35 } as const
const leadOf = { high: 'HI', medium: 'MED', low: 'LO' } as const
const speeds = ['high', 'medium', 'low'] as const

test.each(speeds)('at %s speed every lead has volts by its turns, as coils on one core have', (at) => {
  const { on, looks } = solvedAt(at)
  expect(looks).toEqual(['turning'])
  for (const [lead, turns] of Object.entries(turnsTo)) {
    const ideal = (lineVolts * turns) / turnsTo[leadOf[at]]
    // what flows takes a little in the resistance and the flux of each coil
    expect(on(lead) / ideal).toBeGreaterThan(0.95)
    expect(on(lead) / ideal).toBeLessThan(1.05)
  }
})

test('its amps go down with its speed, about with the square of the turns', () => {
  const [high, medium, low] = speeds.map((at) => solvedAt(at).amps)
  // of 1 A on its plate; the start winding and its capacitor take their share beside the coupled ones
  expect(high).toBeGreaterThan(0.85)
  expect(high).toBeLessThan(1.1)
  expect(Math.abs((medium / high) * 1.15 ** 2 - 1)).toBeLessThan(0.06)
  expect(Math.abs((low / high) * 1.35 ** 2 - 1)).toBeLessThan(0.06)
})

test('with nothing connected to it but the line it is one winding: ohms add up from speed to speed', () => {
  const unit = unitAt('off')
  const circuit = new Circuit(unit, situationOf(unit, 'off', 'off'))
  const ohms = (from: string, to: string) => meterValue(circuit.healthy, 'ohms', `IFM.${from}`, `IFM.${to}`)
  const main = (0.12 * lineVolts) / 1
  expect(ohms('C', 'HI')).toBeCloseTo(main, 1)
  expect((ohms('C', 'LO') ?? 0) - (ohms('C', 'HI') ?? 0)).toBeCloseTo(1.5 * 0.35 * main, 1)
})

test('a section that is open stops the speeds beyond it and no other', () => {
  expect(solvedAt('high', 'IFM:mediumTurns-open').looks).toEqual(['turning'])
  expect(solvedAt('medium', 'IFM:mediumTurns-open').looks).toEqual(['still'])
  expect(solvedAt('medium', 'IFM:lowTurns-open').looks).toEqual(['turning'])
  expect(solvedAt('low', 'IFM:lowTurns-open').looks).toEqual(['still'])
})

test('two speeds at once send a current around the turns between them, as coils that a contact joins', () => {
  expect(solvedAt('high', 'SS:two-at-once').amps).toBeGreaterThan(1.4 * solvedAt('high').amps)
})

test.each([
  [
    'IFM:start-open',
    'no-air',
    [
      volts('IFM.HI', 120, 'TB.N'),
      { kind: 'reading', meter: 'amps', from: 'GR.NO1', to: 'SS.COM', value: 1.9 },
    ],
  ],
  ['SS:high-open', 'no-air', [volts('SS.COM', 120, 'TB.N'), volts('SS.HI', 0, 'TB.N')]],
] as const)('on a fan coil with three speeds %s is among what leads', (fault, complaint, readings) => {
  const { ranked, model } = diagnose(unitAt('high'), {
    complaint,
    entries: [{ kind: 'call', call: 'fan' }, ...readings],
  })
  expect(ranked.slice(0, 4).map((h) => model.hypotheses[h]?.id)).toContain(fault)
})

test('a switch that is found at another speed is no fault: the unit is judged as it stands', () => {
  const { ranked, model } = diagnose(unitAt('high'), {
    complaint: 'no-air',
    entries: [
      { kind: 'call', call: 'fan' },
      { kind: 'setting', of: 'SS.at', from: 'low', to: 'low' },
      volts('SS.HI', 88, 'TB.N'),
      volts('SS.LO', 120, 'TB.N'),
    ],
  })
  const [lead] = ranked.slice(0, 1).map((h) => model.hypotheses[h]?.id)
  expect(lead).not.toMatch(/^SS:/)
})
